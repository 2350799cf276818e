<?php

declare(strict_types=1);

namespace Larkspur\Telemetry\Analysis;

use Larkspur\Fact;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;

/**
 * Whether speed is being made with throttle: how much of the quick work of the hands goes into the throttle, and whether
 * the craft hops with it. Speed belongs to the lean of the craft; what is made with throttle bobs, and no crop takes
 * a bob out (common practice, no published source; the index is our own).
 *
 *     index = 100 * quick throttle / (quick throttle + quick run) * correlation of throttle and hop
 *
 * Quick is what departs from a second's mean; the hop is the vertical speed's, a few tenths of a second later.
 */
final readonly class BobIndex
{
    /** Above this the throttle makes the speed; below half of it the lean does (our judgement). */
    public const THROTTLE = 40.0;

    /** Hands quieter than this make no speed at all, travel. */
    private const QUIET = 0.012;

    /** A hop below this may be the noise of the log’s heights, m. */
    private const HOP = 0.08;

    private const RATE = 20.0;

    private function __construct(
        public float $index, public float $throttle, public float $run, public float $correlation, public float $hop,
    ) {
    }

    public static function of(FlightLog $log): self
    {
        if (! $log->has('stick_climb') || ! $log->has('stick_run')) {
            throw new Refusal(Fact::of('bob-index.log-does-not-say'), 'log', Fact::of('bob-index.columns-stick-climb-stick'));
        }
        $t = $log->column('t');
        $times = Series::even($log->from(), $log->to(), 1 / self::RATE);
        if (count($times) < 5 * self::RATE) {
            throw new Refusal(Fact::of('bob-index.log-too-short-tell'), 'log', Fact::of('bob-index.5-s-flying-more'));
        }
        $even = static fn (string $column): array => Series::interpolate($t, $log->column($column), $times);
        $throttle = self::quick($even('stick_climb'));
        $run = self::quick($even('stick_run'));
        $up = $even('alt_m');
        $speed = [];
        for ($i = 0, $n = count($up); $i < $n; $i++) {
            $a = max(0, $i - 2);
            $b = min($n - 1, $i + 2);
            $speed[] = ($up[$b] - $up[$a]) * self::RATE / ($b - $a);
        }
        $vertical = self::quick($speed);
        $best = 0.0;
        for ($late = 0; $late <= 10; $late++) {
            $best = max($best, self::correlation(array_slice($throttle, 0, count($throttle) - $late), array_slice($vertical, $late)));
        }
        $work = sqrt(Statistics::meanSquare($throttle));
        $lean = sqrt(Statistics::meanSquare($run));
        $share = $work < self::QUIET ? 0.0 : $work / ($work + $lean);

        return new self(100 * $share * $best, $work, $lean, $best, sqrt(Statistics::meanSquare(self::quick($up))));
    }

    public function words(): Fact
    {
        return match (true) {
            $this->index >= self::THROTTLE => Fact::of('bob-index.speed-being-made-throttle'),
            $this->index >= self::THROTTLE / 2 => Fact::of('bob-index.some-speed-made-throttle'),
            $this->hop > self::HOP => Fact::of('bob-index.hops-but-not-your'),
            default => Fact::of('bob-index.speed-made-lean-throttle'),
        };
    }

    /**
     * What departs from the mean of a second.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function quick(array $values): array
    {
        $mean = Statistics::movingAverage($values, (int) self::RATE + 1);

        return array_map(static fn (float $a, float $b): float => $a - $b, $values, $mean);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function correlation(array $a, array $b): float
    {
        $ma = Statistics::mean($a);
        $mb = Statistics::mean($b);
        $ab = 0.0;
        foreach ($a as $i => $x) {
            $ab += ($x - $ma) * ($b[$i] - $mb);
        }
        $size = sqrt(Statistics::variance($a) * Statistics::variance($b)) * count($a);

        return $size > 1e-12 ? $ab / $size : 0.0;
    }
}
