<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Controls\Finger;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\RotationLead;
use Larkspur\Move\Timing\Stroke;

/**
 * A move that is stated finger by finger: so much run, slide and climb in metres, turn and tilt in radians, each over its
 * own stretch of time. Run and slide go along the craft's own axes, so a craft that turns as it goes draws a curve.
 */
abstract readonly class Played extends PacedMove
{
    /** By how much the wheel outlasts the thumbs, s (common practice, no published source). */
    private const WHEEL_LAST = 0.25;

    /**
     * What each finger gives; fingers left out rest.
     *
     * @return array<value-of<Finger>, list<Stroke>>
     */
    abstract protected function strokes(Intent $intent, Pace $pace): array;

    /**
     * The intent with what belongs to its staging filled in, and where it stands.
     *
     * @return array{Intent, Stance}
     */
    protected function staged(Intent $intent, LocalFrame $frame, Pace $pace): array
    {
        return [$intent, Stance::of($intent, $frame)];
    }

    /** Distance of the subject half-way along, where the intent says from where and how far the move runs, m. */
    protected function viewing(Intent $intent): ?float
    {
        $distance = parent::viewing($intent);
        if ($distance === null || $this->amount($intent) === null) {
            return $distance;
        }
        $run = array_sum(array_map(
            static fn (Stroke $stroke): float => $stroke->amount, $this->strokes($intent, $this->pace($intent))['run'] ?? [],
        ));

        return max(3.0, $distance - $run * (0.5 - $this->pivot()));
    }

    /** When the move passes its stance, s. */
    protected function passing(Intent $intent, Pace $pace, float $onset, float $stop): float
    {
        return $this->pivot() === 0.0 && $pace->before($intent) > 0 ? $pace->holdFrom() : $onset + $this->pivot() * ($stop - $onset);
    }

    /**
     * From its last place back to its first: where nothing runs and nothing but signs and sides have to change, which is what indoor moves
     * are flown with.
     */
    public function reversed(MovePlan $plan): array
    {
        $intent = $plan->intent;
        $strokes = $this->strokes($intent, $this->pace($intent));
        $indoors = isset($strokes['climb'], $strokes['turn']) && ! isset($strokes['run']) && $this->takes('turn_deg');
        if (! $indoors || $this->pivot() !== 0.0 || $this->about()->group === Group::Drill) {
            return [];
        }
        $flight = $plan->flight;
        $last = $flight->count() - 1;
        $place = $flight->position($last);
        $from = $plan->subject === null ? null : $place->minus($plan->subject->first());
        $negated = static fn (string $id): float => -($intent->number($id) ?? 0.0);

        return array_intersect_key([
            'height_m' => round($place->up - $plan->ground, 2), 'heading_deg' => round(Angle::bearing($flight->heading[$last]), 1),
            ...$from === null ? [] : [
                'distance_m' => round($from->ground(), 2), 'start_bearing_deg' => round(Angle::bearing($from->bearing()), 1),
            ],
            'climb_m' => $negated('climb_m'),
            // Where a side says which way it turns, the other side turns it back.
            ...$this->takes('side') ? parent::opposite($plan) : ['turn_deg' => $negated('turn_deg')],
            ...$this->takes('tilt_end_deg') ? [
                'tilt_start_deg' => $intent->number('tilt_end_deg') ?? 0.0, 'tilt_end_deg' => $intent->number('tilt_start_deg') ?? 0.0,
            ] : [],
        ], array_flip(Parameter::names($this->parameters())));
    }

    /** Tilt at the first picture, rad. */
    protected function firstTilt(Intent $intent): float
    {
        return ($intent->number('tilt_start_deg') ?? 0.0) * Angle::DEGREE;
    }

    /**
     * Moments at which a figure is measured.
     *
     * @return list<Mark>
     */
    protected function marks(Intent $intent): array
    {
        return [];
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $pace = $this->pace($intent);
        [$intent, $stance] = $this->staged($intent, $frame, $pace);
        $strokes = $this->strokes($intent, $pace);
        $onset = INF;
        $stop = 0.0;
        foreach ($strokes as $of) {
            foreach ($of as $stroke) {
                $onset = min($onset, $stroke->from);
                $stop = max($stop, $stroke->to);
            }
        }
        $onset = min($onset, $pace->onset());
        $stop = max($stop, $pace->stop());
        $count = (int) ceil(($stop + Pace::REST) / MovePlan::STEP);
        [$way, $turned] = self::way($strokes, $count);
        // The figure is laid so that it passes its stance, facing as the stance faces, at the pivot's share of the time.
        $passes = $this->passing($intent, $pace, $onset, $stop);
        $anchor = (int) round($passes / MovePlan::STEP);
        $first = $stance->heading - $turned[$anchor];
        $sin = sin($first);
        $cos = cos($first);
        [$ahead, $right, $risen] = $way[$anchor];
        $tilt = $this->firstTilt($intent);
        $flight = MovePlan::sample($stop + Pace::REST, static function (float $t) use (
            $stance, $way, $turned, $ahead, $right, $risen, $sin, $cos, $first, $tilt, $strokes,
        ): array {
            $k = (int) round($t / MovePlan::STEP);
            $f = $way[$k][0] - $ahead;
            $r = $way[$k][1] - $right;

            return [
                $stance->place->plus($f * $sin + $r * $cos, $f * $cos - $r * $sin, $way[$k][2] - $risen),
                $first + $turned[$k],
                $tilt + self::given($strokes['tilt'] ?? [], $t),
            ];
        });
        $spin = $strokes['turn'] ?? [];
        $middle = $flight->position($flight->indexAt(($pace->holdFrom() + $pace->holdTo()) / 2));

        return new MovePlan(
            $intent, $assumed, $flight, $onset, $pace->holdFrom(), $pace->holdTo(), $stop,
            $stance->subject, $stance->ground,
            $stance->subject === null
                ? max(15.0, 1.5 * $middle->up)
                : max(1.0, $middle->minus($stance->subject->at($pace->holdFrom()))->length()),
            $spin === [] ? 0.0 : max(array_map(static fn (Stroke $stroke): float => abs($stroke->rate), $spin)),
            0.0,
            $this->marks($intent),
        );
    }

    /**
     * The wheel's part: from the first tilt to the last, begun some seconds after the travel and the last to leave; its
     * fade is the longer, so that the stop can't be seen (field practice: translation leads, the wheel finger comes off last).
     */
    protected static function tilted(Intent $intent, Pace $pace): Stroke
    {
        $amount = (($intent->number('tilt_end_deg') ?? 0.0) - ($intent->number('tilt_start_deg') ?? 0.0)) * Angle::DEGREE;
        $from = min($pace->onset() + ($intent->number('tilt_after_s') ?? 1.0), $pace->stop() - 1.0);

        return new Stroke($amount, $from, $pace->stop() + self::WHEEL_LAST, $pace->ease, 1.25 * $pace->ease);
    }

    /** The turn's part: it follows the travel by a breath and ends with it. */
    protected static function turned(Intent $intent, Pace $pace, float $way = 1.0): Stroke
    {
        $amount = $way * ($intent->number('turn_deg') ?? 0.0) * Angle::DEGREE;
        $lead = RotationLead::seconds(abs($pace->stroke->of($amount)->rate), $intent->lens);

        return new Stroke($amount, $pace->onset() + $lead, $pace->stop(), $pace->ease);
    }

    /**
     * Metres ahead, to the right and up, and radians turned, each step since the start, by the heading of the start.
     *
     * @param  array<value-of<Finger>, list<Stroke>>  $strokes
     * @return array{list<array{float, float, float}>, list<float>}
     */
    private static function way(array $strokes, int $count): array
    {
        $way = $turned = [];
        $ahead = $right = 0.0;
        $curved = ($strokes['turn'] ?? []) !== [];
        for ($k = 0; $k <= $count + 1; $k++) {
            $t = $k * MovePlan::STEP;
            $turned[] = self::given($strokes['turn'] ?? [], $t);
            if (! $curved) {
                [$ahead, $right] = [self::given($strokes['run'] ?? [], $t), self::given($strokes['slide'] ?? [], $t)];
            }
            $way[] = [$ahead, $right, self::given($strokes['climb'] ?? [], $t)];
            if ($curved) {
                // Over one step the fingers draw a straight piece along the heading in its middle.
                $run = self::given($strokes['run'] ?? [], $t + MovePlan::STEP) - self::given($strokes['run'] ?? [], $t);
                $slide = self::given($strokes['slide'] ?? [], $t + MovePlan::STEP) - self::given($strokes['slide'] ?? [], $t);
                $heading = self::given($strokes['turn'] ?? [], $t + MovePlan::STEP / 2);
                $ahead += $run * cos($heading) - $slide * sin($heading);
                $right += $run * sin($heading) + $slide * cos($heading);
            }
        }

        return [$way, $turned];
    }

    /** @param  list<Stroke>  $strokes */
    private static function given(array $strokes, float $t): float
    {
        $sum = 0.0;
        foreach ($strokes as $stroke) {
            $sum += $stroke->at($t);
        }

        return $sum;
    }
}
