<?php

declare(strict_types=1);

namespace Larkspur\Telemetry\Analysis;

use Closure;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;

/** The share of full throttle at which a craft holds its height, from a hover log or from trials, with one standard deviation. */
final readonly class HoverPoint
{
    /** Slower than this it hovers, m/s; and so still must the stick be, travel a second. */
    private const STILL = 0.15;

    private const STEADY = 0.4;

    /** Seconds of hovering that tell anything. */
    private const LEAST = 3.0;

    private function __construct(public float $throttle, public float $sd, public Fact $from)
    {
    }

    /**
     * Where the craft neither rose nor sank and the stick stood still, the throttle was that of the hover.
     *
     * @param  ?Closure(float): float  $throttle  how it was set up as the log was flown: share of full, for the stick from its lower
     *     stop (0) to its upper one (1); a straight one to the full where null
     */
    public static function ofLog(FlightLog $log, ?Closure $throttle = null): self
    {
        $stick = $log->column('stick_climb');
        if ($stick === []) {
            throw new Refusal(Fact::of('hover-point.log-does-not-say'), 'log', Fact::of('hover-point.column-stick-climb'));
        }
        $t = $log->column('t');
        $climb = $log->column('climb_mps');
        $up = $log->column('alt_m');
        $held = [];
        $seconds = 0.0;
        // A second on either side: heights are noisy, and a hover lasts.
        for ($i = 0, $a = 0, $b = 0, $n = count($t); $i < $n; $i++) {
            while ($t[$i] - $t[$a] > 1.0) {
                $a++;
            }
            while ($b < $n - 1 && $t[$b] - $t[$i] < 1.0) {
                $b++;
            }
            if ($t[$b] - $t[$a] < 1.5) {
                continue;
            }
            $rate = ($up[$b] - $up[$a]) / ($t[$b] - $t[$a]);
            $own = $climb === [] || ! is_finite($climb[$i]) ? $rate : $climb[$i];
            $moved = abs($stick[$b] - $stick[$a]) / ($t[$b] - $t[$a]);
            if (abs($rate) < self::STILL && abs($own) < 2 * self::STILL && $moved < self::STEADY) {
                $pressed = ($stick[$i] + 1) / 2;
                $held[] = $throttle === null ? $pressed : $throttle($pressed);
                $seconds += $i > 0 ? $t[$i] - $t[$i - 1] : 0.0;
            }
        }
        if ($seconds < self::LEAST) {
            throw new Refusal(
                Fact::of('hover-point.craft-does-not-hover'), 'log',
                Fact::of('hover-point.more-one-height', least: Quantity::seconds(self::LEAST)),
            );
        }

        // Samples of one hover follow each other: a second of them is about one observation.
        return new self(
            Statistics::median($held), 1.2533 * sqrt(Statistics::variance($held) / max(1.0, $seconds)),
            Fact::of('hover-point.of-hovering', seconds: Quantity::seconds($seconds)),
        );
    }

    /**
     * From trials: each a throttle and how fast the craft rose (above 0) or sank. The hover is where the line through them crosses 0.
     *
     * @param  list<array{float, float}>  $trials  throttle, share of full; climb, m/s
     */
    public static function ofTrials(array $trials): self
    {
        $throttle = array_column($trials, 0);
        $climb = array_column($trials, 1);
        if (count($trials) < 2 || Statistics::span($throttle) < 0.02) {
            throw new Refusal(Fact::of('hover-point.two-trials-different-throttles'), 'trials', Fact::of('hover-point.two-more-least-2'));
        }
        $sank = Statistics::least($climb) <= 0;
        if (! $sank || Statistics::greatest($climb) < 0) {
            throw new Refusal(
                ! $sank ? Fact::of('hover-point.rose-every-trial') : Fact::of('hover-point.sank-every-trial'), 'trials',
                Fact::of('hover-point.one-trial-rises-one'),
            );
        }
        $slope = Statistics::slope($throttle, $climb);
        if ($slope <= 0) {
            throw new Refusal(Fact::of('hover-point.these-trials-more-throttle'), 'trials', Fact::of('hover-point.climbs-grow-throttle'));
        }
        $mean = Statistics::mean($throttle);
        $hover = $mean - Statistics::mean($climb) / $slope;
        $n = count($trials);
        $left = 0.0;
        foreach ($trials as [$x, $y]) {
            $left += ($y - $slope * ($x - $hover)) ** 2;
        }
        // Deviation of the crossing of a fitted line (N. R. Draper, H. Smith, Applied Regression Analysis, ch. 3).
        $sd = $n > 2
            ? sqrt($left / ($n - 2)) / $slope * sqrt(1 / $n + ($hover - $mean) ** 2 / max(1e-12, $n * Statistics::variance($throttle)))
            : 0.0;

        return new self($hover, $sd, Fact::of('hover-point.trials', count: $n));
    }
}
