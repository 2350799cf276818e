<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;
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

    /** A spring return takes 0.1 to 0.2 s (common practice, no published source). */
    private const SPRING = 0.2;

    /** A finger held below this takes no part, travel. */
    public const TAKES_PART = 0.1;

    /** Travel of a thumb's other axis that is a leak, as a share of full travel (derived: one twentieth). */
    public const LEAK = 0.05;

    /** A press of the throttle this far off its median, travel, and the least time between two, s. */
    private const BOUNCE = 0.15;

    private const BETWEEN_BOUNCES = 0.4;

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
                $travel[$finger->value] = array_map(
                    static fn (float $x): float => is_nan($x) ? 0.0 : $x, $log->column('stick_'.$finger->value),
                );
            }
        }

        return $travel === [] ? null : new self($log->column('t'), $travel);
    }

    /** The farthest that any finger was pressed, travel. */
    public function most(): float
    {
        $most = 0.0;
        foreach ($this->travel as $travel) {
            $most = max($most, ...array_map(abs(...), $travel));
        }

        return $most;
    }

    /** Median travel of a finger, as pressed either way; 0 where the log does not have it. */
    public function held(Finger $finger, float $from, float $to): float
    {
        $held = [];
        foreach ($this->travel[$finger->value] ?? [] as $i => $travel) {
            if ($this->t[$i] >= $from && $this->t[$i] <= $to) {
                $held[] = abs($travel);
            }
        }

        return $held === [] ? 0.0 : Statistics::median($held);
    }

    /**
     * Flicked starts and stops of the fingers that carry the move.
     *
     * @return list<array{finger: Finger, axis: Axis, end: 'start'|'stop', at: float, seconds: float}>
     */
    public function flicks(float $holdFrom, float $holdTo): array
    {
        return array_values(array_filter(
            $this->passages($holdFrom, $holdTo), static fn (array $passage): bool => $passage['seconds'] < self::FLICK,
        ));
    }

    /**
     * Seconds by which the fingers that carry the move set out, or came off, apart from each other.
     *
     * @param  'start'|'stop'  $end
     */
    public function apart(string $end, float $holdFrom, float $holdTo): float
    {
        $times = array_column(
            array_filter($this->passages($holdFrom, $holdTo), static fn (array $passage): bool => $passage['end'] === $end), 'at',
        );

        return $times === [] ? 0.0 : Statistics::span($times);
    }

    /**
     * How the fingers that carry the move were pressed and let go: the middle 60 % of their way.
     *
     * @return list<array{finger: Finger, axis: Axis, end: 'start'|'stop', at: float, seconds: float}>
     */
    private function passages(float $holdFrom, float $holdTo): array
    {
        $passages = [];
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
            foreach (['start' => -1, 'stop' => 1] as $end => $way) {
                $crossing = $this->crossing($share, $middle, $way);
                if ($crossing !== null) {
                    $passages[] = [
                        'finger' => $finger, 'axis' => $finger->axis(), 'end' => $end, 'at' => $crossing[0], 'seconds' => $crossing[1],
                    ];
                }
            }
        }

        return $passages;
    }

    /**
     * Every time that a finger falls from a real press to its rest in less than a flick, whatever the figure.
     *
     * @return list<array{finger: Finger, at: float, seconds: float}>
     */
    public function springs(float $from, float $to): array
    {
        $springs = [];
        foreach ($this->travel as $name => $travel) {
            $pressed = null;
            foreach ($this->t as $i => $t) {
                if ($t < $from || $t > $to + 2.0) {
                    continue;
                }
                $size = abs($travel[$i]);
                if ($size >= 2 * self::TAKES_PART) {
                    $pressed = ['at' => $t, 'size' => $size];
                } elseif ($size <= 0.2 * self::TAKES_PART && $pressed !== null) {
                    if ($t - $pressed['at'] < self::SPRING) {
                        $springs[] = ['finger' => Finger::from($name), 'at' => $t, 'seconds' => $t - $pressed['at']];
                    }
                    $pressed = null;
                }
            }
        }

        return $springs;
    }

    /**
     * Fingers that should rest and are pressed through the hold beside the other axis of their thumb.
     *
     * @return list<array{finger: Finger, share: float, at: float}> median size of the press, and when it is worst, s
     */
    public function leaks(float $holdFrom, float $holdTo): array
    {
        $leaks = [];
        foreach ([['climb', 'turn'], ['run', 'slide']] as $thumb) {
            foreach ([$thumb, array_reverse($thumb)] as [$leaking, $held]) {
                if (! isset($this->travel[$leaking], $this->travel[$held])) {
                    continue;
                }
                $sizes = $main = [];
                $at = $holdFrom;
                foreach ($this->t as $i => $t) {
                    if ($t >= $holdFrom && $t <= $holdTo) {
                        $sizes[] = abs($this->travel[$leaking][$i]);
                        $main[] = abs($this->travel[$held][$i]);
                        $at = abs($this->travel[$leaking][$i]) >= max($sizes) ? $t : $at;
                    }
                }
                $share = Statistics::median($sizes);
                if ($share > self::LEAK && Statistics::median($main) > self::TAKES_PART) {
                    $leaks[] = ['finger' => Finger::from($leaking), 'share' => $share, 'at' => $at];
                }
            }
        }

        return $leaks;
    }

    /**
     * The longest that a finger was pressed against its way before it was first pressed its own.
     *
     * @param  float  $way  +1 or -1
     * @return array{seconds: float, at: float} at: when it let go of it, s
     */
    public function against(Finger $finger, float $way, float $from, float $to): array
    {
        $most = ['seconds' => 0.0, 'at' => $from];
        $since = null;
        foreach ($this->t as $i => $t) {
            $against = -$way * ($this->travel[$finger->value][$i] ?? 0.0);
            if ($t > $to || ($t >= $from && $against < -self::LEAK)) {
                break;
            }
            if ($t < $from || $against <= self::LEAK) {
                $since = null;

                continue;
            }
            $since ??= $t;
            $most = $t - $since > $most['seconds'] ? ['seconds' => $t - $since, 'at' => $t] : $most;
        }

        return $most;
    }

    /**
     * Travel of a finger at times that rise; 0 where the log does not have it.
     *
     * @param  list<float>  $times  s
     * @return list<float>
     */
    public function at(Finger $finger, array $times): array
    {
        $travel = $this->travel[$finger->value] ?? [];
        $k = 0;
        $last = count($this->t) - 1;
        $at = [];
        foreach ($times as $time) {
            while ($k < $last && $this->t[$k + 1] <= $time + 1e-9) {
                $k++;
            }
            $at[] = $travel[$k] ?? 0.0;
        }

        return $at;
    }

    /**
     * The travel of the thumb that carries the craft over the ground, by its larger axis or both, at the nodes of a grid.
     *
     * @param  list<float>  $nodes
     * @return ?list<float>
     */
    public function travelAt(array $nodes): ?array
    {
        if (! isset($this->travel['run'], $this->travel['slide'])) {
            return null;
        }
        $k = 0;
        $last = count($this->t) - 1;
        $travel = [];
        foreach ($nodes as $node) {
            while ($k < $last && $this->t[$k + 1] <= $node + 1e-9) {
                $k++;
            }
            $travel[] = hypot($this->travel['run'][$k], $this->travel['slide'][$k]);
        }

        return $travel;
    }

    /**
     * Moments at which the throttle is pressed and let go in a hold in which it should rest.
     *
     * @return list<float> s
     */
    public function bounces(float $from, float $to): array
    {
        $bounces = [];
        $held = array_filter($this->t, static fn (float $t): bool => $t >= $from && $t <= $to);
        $throttle = array_intersect_key($this->travel['climb'] ?? [], $held);
        $rest = Statistics::median(array_values($throttle));
        foreach ($throttle as $i => $x) {
            if (abs($x - $rest) > self::BOUNCE && (
                $bounces === [] || $this->t[$i] - $bounces[count($bounces) - 1] > self::BETWEEN_BOUNCES
            )) {
                $bounces[] = $this->t[$i];
            }
        }

        return $bounces;
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
}
