<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;
use Larkspur\Move\Axis;
use Larkspur\Rig\Finger;
use Larkspur\Telemetry\FlightLog;

/**
 * What the fingers did, where the log recorded it. The airframe softens a flicked stick into an ordinary-looking
 * stop, so a flick that positions can't show is read here.
 */
final readonly class Sticks
{
    /** A finger that covers the middle 60 % of its hold in less than this was flicked, s (derived: a spring return
     * takes 0.1 to 0.2 s, an ease of 2 s takes 0.6 s or more). */
    private const FLICK = 0.3;

    /** A finger held below this takes no part, travel. */
    private const TAKES_PART = 0.1;

    /**
     * @param  list<float>  $t
     * @param  array<value-of<Finger>, list<float>>  $travel
     */
    private function __construct(private array $t, private array $travel)
    {
    }

    /** @return ?self null where the log has no finger columns */
    public static function of(FlightLog $log): ?self
    {
        $travel = [];
        foreach (Finger::cases() as $finger) {
            if ($log->has('stick_'.$finger->value)) {
                $travel[$finger->value] = array_map(static fn (float $x): float => is_nan($x) ? 0.0 : $x, $log->column('stick_'.$finger->value));
            }
        }

        return $travel === [] ? null : new self($log->column('t'), $travel);
    }

    /**
     * Flicked starts and stops of the fingers that carry the move.
     *
     * @return list<array{finger: Finger, axis: Axis, end: 'start'|'stop', at: float, seconds: float}>
     */
    public function flicks(float $holdFrom, float $holdTo): array
    {
        $flicks = [];
        foreach ($this->travel as $name => $travel) {
            $finger = Finger::from($name);
            $held = [];
            foreach ($this->t as $i => $t) {
                if ($t >= $holdFrom && $t <= $holdTo) {
                    $held[] = $travel[$i];
                }
            }
            $hold = Statistics::median($held);
            if (abs($hold) < self::TAKES_PART) {
                continue;
            }
            $share = array_map(static fn (float $x): float => $x / $hold, $travel);
            $middle = ($holdFrom + $holdTo) / 2;
            $start = $this->crossing($share, $middle, -1);
            $stop = $this->crossing($share, $middle, 1);
            foreach (['start' => $start, 'stop' => $stop] as $end => $crossing) {
                if ($crossing !== null && $crossing[1] < self::FLICK) {
                    $flicks[] = ['finger' => $finger, 'axis' => self::axis($finger), 'end' => $end, 'at' => $crossing[0], 'seconds' => $crossing[1]];
                }
            }
        }

        return $flicks;
    }

    /**
     * Going out from the middle of the hold: when the finger is last at 80 % and first at 20 %.
     *
     * @param  list<float>  $share  of the held travel
     * @return ?array{float, float} middle and length of the passage, s
     */
    private function crossing(array $share, float $middle, int $way): ?array
    {
        $n = count($share);
        $i = 0;
        while ($i < $n - 1 && $this->t[$i] < $middle) {
            $i++;
        }
        $low = null;
        for ($k = $i; $k >= 0 && $k < $n; $k += $way) {
            if ($share[$k] <= 0.2) {
                $low = $k;
                break;
            }
        }
        if ($low === null) {
            return null;
        }
        for ($k = $low; $k !== $i; $k -= $way) {
            if ($share[$k] >= 0.8) {
                // Between samples the passage is as long as a straight line through them makes it.
                $seconds = abs($this->t[$low] - $this->t[$k]) * min(1.0, 0.6 / max(0.6, $share[$k] - $share[$low]));

                return [($this->t[$low] + $this->t[$k]) / 2, $seconds];
            }
        }

        return null;
    }

    private static function axis(Finger $finger): Axis
    {
        return match ($finger) {
            Finger::Climb => Axis::Climb,
            Finger::Turn => Axis::Turn,
            Finger::Tilt => Axis::Tilt,
            Finger::Run, Finger::Slide => Axis::Travel,
        };
    }
}
