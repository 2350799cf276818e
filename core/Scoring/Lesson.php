<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Press;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Group;
use Larkspur\Move\Move;
use Larkspur\Move\PathKind;
use Larkspur\Refusal;
use Larkspur\Rig\Finger;
use Larkspur\Site\Wind;

/**
 * A move as it is taught: flown clean on a plain stage, and flown again with one of its typical faults put in on purpose, by
 * the same hands, so that the two can be laid side by side.
 */
final readonly class Lesson
{
    /** One seed for all lessons: the hands are the same, the fault alone differs. */
    private const SEED = 7;

    private function __construct(
        public Plan $plan,
        public \Larkspur\Flight $flown,
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
    public static function planned(string $id, array $rig, string $mode, array $camera): Plan
    {
        return Planner::plan(Shot::read(Fields::of(self::document(Catalogue::move($id), $rig, $mode, $camera))));
    }

    /** Flown by a practised hand; with a fault, that fault is put in. */
    public static function flown(Plan $plan, ?string $fault): self
    {
        $habits = OperatorHabits::named('steady');
        $flying = $plan;
        $from = 0.0;
        if ($fault !== null) {
            if (! isset(Catalogue::move($plan->move->intent->move)->about()->faults[$fault])) {
                throw new Refusal(sprintf('“%s” is not a typical fault of this move.', $fault), 'fault', 'one of '.implode(', ', array_keys(Catalogue::move($plan->move->intent->move)->about()->faults)));
            }
            $flying = self::wrongly($plan, $fault);
            $slips = self::slips($flying, $fault);
            // Who drifts or leaks does not see it, so does not correct it either.
            $blind = in_array($fault, ['drift', 'leak', 'off-mark'], true);
            $habits = ($blind ? new OperatorHabits(tremor: $habits->tremor, wander: $habits->wander) : $habits)->slipping(...$slips);
            $from = $plan->move->onset + ($slips === [] ? 0.0 : $slips[0]->at);
        }
        $flight = SimulatedOperator::fly($flying, $habits, Wind::still(), self::SEED);
        $log = (new Recorder(25.0))->record($flight, $plan->shot->site->frame(), self::SEED);

        return new self($plan, $flight, Scorer::scoreBetween($log, $plan->move->intent, $flying->move->onset, $flying->move->stop + 1.0), $fault, $from);
    }

    /** Faults that lie in the plan flown rather than in the hands: flown too fast, or to another end. */
    private static function wrongly(Plan $plan, string $fault): Plan
    {
        $intent = $plan->move->intent;
        $changed = match ($fault) {
            'too-quick' => self::hurried($plan),
            'half-sky' => ['tilt_end_deg' => 0.0],
            default => [],
        };

        return $changed === [] ? $plan : Planner::plan($plan->shot->withIntent($intent->with($changed)));
    }

    /**
     * A pace at which the frame is crossed in under three seconds, and as much more of a way.
     *
     * @return array<string, float>
     */
    private static function hurried(Plan $plan): array
    {
        $crossing = self::flown($plan, null)->score->measured->pace;
        $factor = max(1.5, $crossing / 2.6);
        $changed = [];
        foreach (['pace_mps', 'climb_mps', 'spin_dps', 'length_m', 'duration_s'] as $name) {
            $value = $plan->move->intent->number($name);
            if ($value !== null) {
                // The seconds stay what they were, so that the eases and a hold remain; what is stated by its seconds alone is shortened.
                $changed[$name] = $name === 'duration_s' ? max(4.0, $value / $factor) : ($name === 'length_m' ? min(400.0, $value * sqrt($factor)) : $value * $factor);
            }
        }

        return $changed;
    }

    /**
     * What the hands do for a fault to come out.
     *
     * @return list<Slip>
     */
    private static function slips(Plan $plan, string $fault): array
    {
        $move = $plan->move;
        $hold = max(1.0, $move->holdTo - $move->holdFrom);
        $begin = $move->holdFrom - $move->onset;
        $middle = $begin + 0.5 * $hold;
        $end = $move->holdTo - $move->onset;
        $main = self::finger($plan, false);
        $turning = self::finger($plan, true);
        $rests = self::resting($plan);

        return match ($fault) {
            'kick' => [new Slip('kick', $turning, $middle, self::kickSize($plan, $turning), 0.35)],
            'flick-start' => [new Slip('snap', $main, 0.0, 0.0, $begin), new Slip('snap', $turning, 0.0, 0.0, $begin)],
            'flick-stop' => [new Slip('spring', $main, $end, 0.0, 8.0), new Slip('spring', $turning, $end, 0.0, 8.0)],
            'stall' => [new Slip('sag', $main, $middle - 1.5, 1.0, 3.0)],
            'bobbing', 'throttle-bounce' => [new Slip('bounce', Finger::Climb, $middle - 2.0, 0.5, 4.0)],
            'shaky' => [new Slip('tremble', $turning, $begin, 0.07, $hold)],
            'off-mark' => $move->marks === []
                ? (Catalogue::move($move->intent->move)->about()->group === Group::Follow || self::judgedPath($plan) === PathKind::Beside
                    ? [new Slip('sag', $main, $begin, 0.9, 0.8 * $hold)]
                    : [new Slip('mismatch', $turning, $begin, self::judgedPath($plan) === PathKind::Circle ? 0.25 : 0.9, $hold)])
                : [new Slip('mismatch', $main, 0.0, 0.35, $hold)],
            'wrong-way' => self::noseIn($plan)
                ? [new Slip('nose-in', Finger::Slide, $begin + 0.3 * $hold, 0.3, 4.0)]
                : [new Slip('wrong-way', $turning, self::onset($plan, $turning), 1.0, 1.6)],
            'uneven' => array_map(static fn (float $share): Slip => new Slip('sag', $main, $begin + $share * $hold, 0.6, min(2.6, 0.22 * $hold)), [0.12, 0.4, 0.68]),
            'drift' => self::judgedPath($plan) === PathKind::Arc
                ? [new Slip('sag', Finger::Slide, $begin + 0.4 * $hold, 0.8, 0.5 * $hold)]
                : [new Slip('kick', self::drifting($plan), $begin, self::driftSize($plan, 0.6 * $hold), 0.6 * $hold)],
            'stopped-short' => [new Slip('spring', $main, $begin + 0.35 * $hold, 0.0, 60.0), new Slip('spring', $turning, $begin + 0.35 * $hold, 0.0, 60.0)],
            'out-of-step' => [new Slip('late', self::second($plan), 0.0, 2.8, 1.0)],
            'leak' => [new Slip('leak', $main, $begin, 0.45, $hold), new Slip('kick', $rests, $begin + 0.3 * $hold, 0.14, 0.4 * $hold)],
            'sway-off-centre' => [new Slip('kick', Finger::Slide, $begin + 0.1 * $hold, 0.25, 0.3 * $hold)],
            default => [],
        };
    }

    /** The finger that carries the move: the one held longest at the largest share; a rotating one, or one that travels. */
    private static function finger(Plan $plan, bool $rotates): Finger
    {
        $best = null;
        $most = -1.0;
        foreach ($plan->presses as $press) {
            $size = $press->rests() ? 0.0 : abs($press->peak);
            if ($press->finger->rotates() === $rotates && $size > $most) {
                [$best, $most] = [$press->finger, $size];
            }
        }
        if ($most > 0.02 || $best === null) {
            return $best ?? Finger::Turn;
        }

        // A move without such a finger is kicked where it should rest, and held up where it moves.
        return $rotates ? Finger::Turn : self::finger($plan, true);
    }

    /** Whether nothing rotates and the nose comes toward the pilot: there left and right are what goes wrong. */
    private static function noseIn(Plan $plan): bool
    {
        return array_filter($plan->presses, static fn (Press $press): bool => $press->finger->rotates() && ! $press->rests()) === [];
    }

    private static function judgedPath(Plan $plan): PathKind
    {
        return Catalogue::move($plan->move->intent->move)->judging($plan->move->intent)->path;
    }

    /** A finger of the thumbs that the move leaves at rest: beside the one that carries it, where there is one. */
    private static function resting(Plan $plan): Finger
    {
        $neighbour = $plan->shot->sticks->neighbour(self::finger($plan, false));
        foreach ([$neighbour, Finger::Turn, Finger::Climb, Finger::Slide, Finger::Run] as $finger) {
            foreach ($plan->presses as $press) {
                if ($press->finger === $finger && ($press->rests() || $press->isTouch())) {
                    return $finger;
                }
            }
        }

        return Finger::Turn;
    }

    /** A finger that leads the craft away: run round a subject, else one across the way. */
    private static function drifting(Plan $plan): Finger
    {
        $main = self::finger($plan, false);

        return $main === Finger::Slide ? Finger::Run : Finger::Slide;
    }

    /** A press by which the craft drifts off by a third of the viewing distance over that time. */
    private static function driftSize(Plan $plan, float $hold): float
    {
        $mode = $plan->shot->tune();
        $finger = self::drifting($plan);
        $held = $plan->sheet->at($finger, ($plan->move->holdFrom + $plan->move->holdTo) / 2);

        return abs($mode->travelFor($finger, $mode->asked($finger, $held) + ($held < 0 ? -1 : 1) * 0.3 * $plan->move->viewing / $hold) - $held);
    }

    /** The finger that joins the one that carries the move: a rotating one, or the second of two that travel. */
    private static function second(Plan $plan): Finger
    {
        $main = self::finger($plan, false);
        foreach ([Finger::Tilt, Finger::Turn, Finger::Climb, Finger::Run, Finger::Slide] as $finger) {
            foreach ($plan->presses as $press) {
                if ($press->finger === $finger && $finger !== $main && ! $press->rests() && abs($press->peak) > Press::TOUCH) {
                    return $finger;
                }
            }
        }

        return Finger::Turn;
    }

    private static function onset(Plan $plan, Finger $finger): float
    {
        foreach ($plan->presses as $press) {
            if ($press->finger === $finger && $press->onset !== null) {
                return max(0.0, $press->onset - $plan->move->onset);
            }
        }

        return 0.0;
    }

    /** A jerk of about a fifth of the frame a second, whatever the craft. */
    private static function kickSize(Plan $plan, Finger $finger): float
    {
        $mode = $plan->shot->tune();
        $held = $plan->sheet->at($finger, ($plan->move->holdFrom + $plan->move->holdTo) / 2);
        $rate = $finger->rotates() ? 0.4 * $plan->shot->intent->lens->horizontal : 2.5;

        return abs($mode->travelFor($finger, $mode->asked($finger, $held) + ($held < 0 ? -$rate : $rate)) - $held);
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
            $move->about()->id === 'gap' => [self::gatePost(-3.4), self::gatePost(3.4)],
            default => [['name' => 'the peat stack', 'role' => 'subject', 'shape' => 'cylinder', 'east_m' => 0.0, 'north_m' => 44.54, 'width_m' => 3.0, 'height_m' => 5.0]],
        };
        $post = static fn (float $east, float $north, float $high, string $name): array => ['name' => $name, 'shape' => 'cylinder', 'role' => 'obstacle', 'east_m' => $east, 'north_m' => $north, 'width_m' => 0.5, 'height_m' => $high];

        return [
            'intent' => json_decode((string) json_encode($intent), true), 'rig' => $rig, 'mode' => $mode,
            'site' => [
                'name' => 'the practice field', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0],
                'solids' => [
                    ...$stands,
                    $post(-14.0, 88.0, 2.0, 'gate post'), $post(-9.0, 88.0, 2.0, 'gate post'), $post(26.0, 96.0, 3.5, 'mast'),
                    ['name' => 'far wall', 'role' => 'obstacle', 'shape' => 'box', 'east_m' => 0.0, 'north_m' => 140.0, 'width_m' => 90.0, 'length_m' => 1.0, 'height_m' => 1.6],
                ],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function gatePost(float $aside): array
    {
        return ['name' => 'gate post', 'role' => 'subject', 'shape' => 'box', 'east_m' => $aside, 'north_m' => 44.54, 'width_m' => 0.6, 'length_m' => 0.6, 'height_m' => 5.0];
    }

    /**
     * For the page: the plan, what was flown in the same form, its pictures and its judgement.
     *
     * @param  int  $stride  samples of 0.02 s between those given
     * @return array<string, mixed>
     */
    public function toArray(int $stride): array
    {
        $flight = $this->flown->thinned($stride);
        $frames = [];
        for ($k = 0; $k < Plan::FRAMES; $k++) {
            $frames[] = $this->plan->frameOf($this->flown, $this->plan->move->onset + ($this->plan->move->stop - $this->plan->move->onset) * $k / (Plan::FRAMES - 1));
        }

        return [
            'fault' => $this->fault,
            'from_s' => round($this->from, 2),
            'samples' => [
                't' => Series::rounded($flight->t, 3), 'east_m' => Series::rounded($flight->east, 3), 'north_m' => Series::rounded($flight->north, 3), 'up_m' => Series::rounded($flight->up, 3),
                'heading_deg' => Series::rounded($flight->heading, 3, 1 / Angle::DEGREE), 'tilt_deg' => Series::rounded($flight->tilt, 3, 1 / Angle::DEGREE),
            ],
            'fingers' => array_map(static fn (array $travel): array => Series::rounded($travel, 4), $flight->fingers ?? []),
            'frames' => $frames,
            'score' => round($this->score->score, 1),
            'facets' => $this->score->facetScores(),
            'faults' => array_map(static fn (Fault $fault): array => [
                'id' => $fault->id, 'name' => FaultKinds::name($fault->id), 'axis' => $fault->axis, 't_s' => round($fault->t, 2), 'severity' => $fault->grade(), 'picture' => $fault->picture,
            ], $this->score->faults),
            'headline' => $this->score->verdict->headline,
        ];
    }
}
