<?php

declare(strict_types=1);

namespace Larkspur\Telemetry\Analysis;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Series;
use Larkspur\Telemetry\FlightLog;

/**
 * How long a flight turns faster than a cap, and how fast at most. A turn that is too quick for the picture is mended by a lower rate or by
 * a gentler hand (common practice, no published source); which cap suits is the operator's to say.
 */
final readonly class TurnsAbove
{
    /** Headings are looked at so often, Hz, and a rate is taken over so many of them: a compass's jitter is no turn. */
    private const RATE = 10.0;

    private const OVER = 4;

    /**
     * @param  float  $cap  rad/s
     * @param  ?float  $seconds  above it; null where the log has no heading to tell by
     * @param  float  $whole  of the flight, s
     * @param  float  $most  rad/s
     */
    private function __construct(public float $cap, public ?float $seconds, public float $whole, public float $most)
    {
    }

    /** @param  float  $cap  rad/s, above 0 */
    public static function of(FlightLog $log, float $cap): self
    {
        if (in_array('heading_deg', $log->lacks, true)) {
            return new self($cap, null, $log->to() - $log->from(), 0.0);
        }
        $headings = Angle::unwrap(array_map(static fn (float $degrees): float => $degrees * Angle::DEGREE, $log->column('heading_deg')));
        $even = Series::interpolate($log->column('t'), $headings, Series::even($log->from(), $log->to(), 1 / self::RATE));
        [$above, $most] = [0, 0.0];
        for ($k = self::OVER, $n = count($even); $k < $n; $k++) {
            $rate = abs($even[$k] - $even[$k - self::OVER]) * self::RATE / self::OVER;
            $above += $rate > $cap ? 1 : 0;
            $most = max($most, $rate);
        }

        return new self($cap, $above / self::RATE, $log->to() - $log->from(), $most);
    }

    public function words(): Fact
    {
        if ($this->seconds === null) {
            return Fact::of('turns-above.no-heading');
        }
        $told = ['cap' => Quantity::radiansPerSecond($this->cap), 'most' => Quantity::radiansPerSecond($this->most)];

        return $this->seconds < 1 / self::RATE
            ? Fact::of('turns-above.never', ...$told)
            : Fact::of('turns-above.seconds', ...$told, seconds: Quantity::seconds($this->seconds), whole: Quantity::seconds($this->whole));
    }
}
