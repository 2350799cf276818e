<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Flight;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Group;
use Larkspur\Move\Move;
use Larkspur\Refusal;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Fault\Staging;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;

/**
 * A move as it is taught: flown clean on a plain stage, and flown again with one of its typical faults put in on purpose, by
 * the same hands, so that the two can be laid side by side.
 */
final readonly class Lesson
{
    /** How strongly a fault is put in, one after the other, until it is named. */
    private const STRENGTHS = [1.0, 1.7, 2.8, 4.5];

    /** One seed for all lessons: the hands are the same, the fault alone differs. */
    private const SEED = 7;

    private function __construct(
        public Plan $plan,
        public Flight $flown,
        public Score $score,
        /** As it was put in; null for the clean flight. */
        public ?string $fault,
        public float $from,
    ) {
    }

    /**
     * The move planned on the stage.
     *
     * @param  array<string, mixed>  $rig  document of the craft
     * @param  array<string, mixed>  $camera
     */
    public static function planned(
        string $id, array $rig, string $mode, array $camera, StickMode $sticks = StickMode::Mode2, bool $wheelUp = true,
    ): Plan {
        $shot = Shot::read(Fields::of(self::document(Catalogue::move($id), $rig, $mode, $camera)));

        return Planner::plan($shot->inHands($sticks, $wheelUp));
    }

    /** Flown by a practised hand; with a fault, that fault is put in. */
    public static function flown(Plan $plan, ?string $fault): self
    {
        if ($fault === null) {
            return self::staged($plan, null, Staging::of($plan, static fn (): float => 0.0));
        }
        $typical = Catalogue::move($plan->move->intent->move)->about()->faults;
        if (! in_array($fault, $typical, true)) {
            throw new Refusal(Fact::of('lesson.no-typical-fault', fault: $fault), 'fault', Fact::of('expected.one-of', choices: $typical));
        }
        $crossing = static fn (): float => self::flown($plan, null)->score->measured->pace ?? Measurements::AT_REST;
        $lesson = null;
        // As strong as it must be to be named; where that is never, as strong as it usually is.
        foreach (self::STRENGTHS as $strength) {
            $flown = self::staged($plan, $fault, FaultKinds::of($fault)->stage(Staging::of($plan, $crossing, $strength)));
            if (in_array($fault, array_column($flown->score->faults, 'id'), true)) {
                return $flown;
            }
            $lesson ??= $flown;
        }

        return $lesson;
    }

    /** Why the fault that was put in does not come out by its own name; null where it does, or none was put in. */
    public function toldOtherwise(): ?Fact
    {
        return $this->fault === null || in_array($this->fault, array_column($this->score->faults, 'id'), true)
            ? null
            : ToldOtherwise::reason($this->plan->move->intent->move, $this->fault);
    }

    private static function staged(Plan $plan, ?string $fault, Staging $staging): self
    {
        $from = $fault === null ? 0.0 : $plan->move->onset + ($staging->slips === [] ? 0.0 : $staging->slips[0]->at);
        $flying = $staging->plan;
        $flight = SimulatedOperator::fly($flying, $staging->habits(OperatorHabits::named('steady')), Wind::still(), self::SEED);
        $log = (new Recorder(25.0))->record($flight, $plan->shot->site->frame(), self::SEED);

        return new self(
            $plan, $flight, Scorer::scoreBetween($log, $plan->move->intent, $flying->move->onset, $flying->move->stop + 1.0), $fault, $from,
        );
    }

    /**
     * A plain stage: something to film, something near and something far, and room on all sides.
     *
     * @param  array<string, mixed>  $rig
     * @param  array<string, mixed>  $camera
     * @return array<string, mixed>
     */
    private static function document(Move $move, array $rig, string $mode, array $camera): array
    {
        $drill = $move->about()->group === Group::Drill;
        $intent = ['move' => $move->about()->id, 'camera' => $camera, 'parameters' => (object) []];
        if (! $drill) {
            $intent['subject'] = ['lat' => 57.6004, 'lon' => -0.4, 'alt_m' => 7.0, 'base_alt_m' => 4.0];
        }
        if ($move instanceof Combination) {
            $intent['parts'] = [['move' => 'orbit', 'parameters' => ['arc_deg' => 90.0]], ['move' => 'pull-away']];
        }
        $stands = match (true) {
            $drill, $move->about()->group === Group::Follow, $move->about()->group === Group::Above => [],
            $move->about()->id === 'gap' => [self::gatePost(-4.05), self::gatePost(4.05)],
            default => [[
                'name' => 'the peat stack', 'role' => 'subject', 'shape' => 'cylinder', 'east_m' => 0.0, 'north_m' => 44.54,
                'width_m' => 3.0, 'height_m' => 5.0,
            ]],
        };
        $post = static fn (float $east, float $north, float $high, string $name): array => [
            'name' => $name, 'shape' => 'cylinder', 'role' => 'obstacle', 'east_m' => $east, 'north_m' => $north, 'width_m' => 0.5,
            'height_m' => $high,
        ];

        return [
            'intent' => json_decode((string) json_encode($intent), true), 'rig' => $rig, 'mode' => $mode,
            'site' => [
                'name' => 'the practice field', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0],
                'solids' => [
                    ...$stands,
                    $post(-14.0, 88.0, 2.0, 'gate post'), $post(-9.0, 88.0, 2.0, 'gate post'), $post(26.0, 96.0, 3.5, 'mast'),
                    [
                        'name' => 'far wall', 'role' => 'obstacle', 'shape' => 'box', 'east_m' => 0.0, 'north_m' => 140.0,
                        'width_m' => 90.0, 'length_m' => 1.0, 'height_m' => 1.6,
                    ],
                ],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function gatePost(float $aside): array
    {
        return [
            'name' => 'gate post', 'role' => 'subject', 'shape' => 'box', 'east_m' => $aside, 'north_m' => 44.54, 'width_m' => 0.6,
            'length_m' => 0.6, 'height_m' => 5.0,
        ];
    }
}
