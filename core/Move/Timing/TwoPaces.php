<?php

declare(strict_types=1);

namespace Larkspur\Move\Timing;

use Larkspur\Move\MovePlan;

/**
 * A way that is begun at one pace and ended at a quicker one: the slow pace throughout, and what the quicker one adds from some seconds
 * after first motion on, over an ease of its own. Metres, m/s and seconds.
 */
final readonly class TwoPaces
{
    /** Equal shares of the way at which the planned speed is stated. */
    private const SHARES = 200;

    /** The kernel through which a take's pace is measured, s (docs/scoring.md). */
    private const KERNEL = 1.8;

    /** The slow pace, over all of the time. */
    public Pace $pace;

    /** When the pace changes, as what is added: its amount is the rest of the way. */
    public Stroke $change;

    /** @param  float  $after  s from first motion to where the pace begins to change */
    public function __construct(private float $length, float $slow, float $fast, float $after, float $ease)
    {
        $fast = max($slow, $fast);
        $seconds = ($length + $slow * $ease + ($fast - $slow) * ($after + $ease)) / $fast;
        $this->pace = new Pace(max(0.5, $slow * ($seconds - $ease)), $slow, $ease);
        $from = $this->pace->onset() + $after;
        $this->change = new Stroke(
            max(0.0, $length - $this->pace->length), $from, max($from + 2 * $this->pace->ease, $this->pace->stop()), $this->pace->ease,
        );
    }

    /** @return list<Stroke> */
    public function strokes(): array
    {
        return $this->change->amount > 0.01 ? [$this->pace->stroke, $this->change] : [$this->pace->stroke];
    }

    /** @return list<float> speed at equal shares of the way, from its first metre to its last, as a take's pace is measured, m/s */
    public function profile(): array
    {
        $strokes = $this->strokes();
        $given = static fn (float $t): float => array_sum(array_map(static fn (Stroke $stroke): float => $stroke->at($t), $strokes));
        $profile = [0.0];
        for ($t = $this->pace->onset(); $t < $this->pace->stop(); $t += MovePlan::STEP) {
            $speed = ($given($t + self::KERNEL / 2) - $given($t - self::KERNEL / 2)) / self::KERNEL;
            for ($k = count($profile); $k <= self::SHARES && $given($t) >= $k * $this->length / self::SHARES; $k++) {
                $profile[] = $speed;
            }
        }

        return $profile;
    }
}
