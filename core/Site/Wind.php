<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;

/** Wind at 10 m over open ground: where it comes from, its mean and its gusts, m/s. */
final readonly class Wind
{
    /** Exponent of the power-law profile over open land (any boundary-layer text, such as R. B. Stull). */
    private const SHEAR = 1 / 7;

    /** A three-second gust is about three standard deviations above the mean (WMO-No. 8; from memory). */
    private const PEAK_FACTOR = 3.0;

    /** How long a gust lasts: time constant of its fluctuation, s (common practice, no published source). */
    private const GUST_TIME = 2.5;

    /** A draught of a room comes and goes over this time, s (common practice, no published source). */
    private const DRAUGHT_TIME = 12.0;

    /**
     * @param  float  $from  direction it comes from, rad clockwise from north
     * @param  bool  $indoors  a draught: the same at every height, coming and going slowly
     */
    public function __construct(public float $from = 0.0, public float $mean = 0.0, public float $gust = 0.0, public bool $indoors = false)
    {
    }

    public static function still(): self
    {
        return new self;
    }

    public static function read(?Fields $fields): self
    {
        if ($fields === null) {
            return self::still();
        }
        $mean = $fields->number('mean_mps', 0, 40, 'm/s');

        return new self(
            ($fields->numberOrNull('from_deg', -360, 360, 'degrees') ?? 0.0) * Angle::DEGREE,
            $mean,
            max($mean, $fields->numberOrNull('gust_mps', 0, 60, 'm/s') ?? $mean),
            $fields->choiceOrNull('kind', self::KINDS) === 'draught',
        );
    }

    public const KINDS = ['open', 'draught'];

    /** @return array{from_deg: float, mean_mps: float, gust_mps: float, kind?: 'draught'} */
    public function toArray(): array
    {
        return [
            'from_deg' => round(Angle::bearing($this->from), 3), 'mean_mps' => $this->mean, 'gust_mps' => $this->gust,
            ...$this->indoors ? ['kind' => 'draught'] : [],
        ];
    }

    /** Mean wind at a height above ground, m/s: u(z) = u10 (z / 10)^(1/7), held below 1 m. */
    public function meanAt(float $height): float
    {
        return $this->indoors ? $this->mean : $this->mean * (max(1.0, $height) / 10) ** self::SHEAR;
    }

    public function gustAt(float $height): float
    {
        return $this->indoors ? $this->gust : $this->gust * (max(1.0, $height) / 10) ** self::SHEAR;
    }

    /**
     * The fluctuation about the mean along and across the wind, m/s: two independent first-order Gauss-Markov series.
     *
     * @return array{list<float>, list<float>}
     */
    public function gusts(float $height, float $step, int $count, int $seed): array
    {
        $spread = max(0.0, $this->gustAt($height) - $this->meanAt($height)) / self::PEAK_FACTOR;
        $keep = exp(-$step / ($this->indoors ? self::DRAUGHT_TIME : self::GUST_TIME));
        $kick = $spread * sqrt(1 - $keep * $keep);
        $noise = SeededNoise::named($seed, 'gusts');
        $along = [];
        $across = [];
        $a = $spread * $noise->normal();
        $c = 0.6 * $spread * $noise->normal();
        for ($i = 0; $i < $count; $i++) {
            $along[] = $a;
            $across[] = $c;
            $a = $keep * $a + $kick * $noise->normal();
            $c = $keep * $c + 0.6 * $kick * $noise->normal();
        }

        return [$along, $across];
    }
}
