<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;

/**
 * How the throttle of a small ducted craft is set up, and the angle of its fixed camera.
 *
 * The stick runs from its lower stop to its upper one; half of it is made to hover. On either side of that point the
 * curve is the cubic expo of CubicExpoCurve: soft about the hover, quicker toward the stops.
 */
final readonly class Ducted
{
    /** Standard gravity, m/s2 (3rd CGPM, 1901). */
    public const GRAVITY = 9.80665;

    /**
     * @param  float  $hover  share of full throttle that holds the height, 0.1 to 0.9
     * @param  float  $limit  greatest throttle, share; above the hover point
     * @param  float  $soft  0 straight, 1 softest about the hover point
     * @param  bool  $selfLevelling  whether it levels itself when the stick is let go
     * @param  float  $camera  fixed angle of the camera above the craft's own level, rad
     * @param  float  $coast  time in which drag alone takes its speed, s
     */
    public function __construct(
        public float $hover, public float $limit, public float $soft, public bool $selfLevelling, public float $camera, public float $coast,
    ) {
        if ($limit <= $hover) {
            throw new Refusal(
                Fact::of('ducted.limit-could-not-rise'), 'limit', Fact::of('ducted.more-hover-point', hover: Quantity::share($hover)),
            );
        }
    }

    /** How a ducted craft begins whose throttle nobody has set up: hovering at half of it. */
    public static function ordinary(): self
    {
        return new self(0.5, 1.0, 0.3, true, 10 * Angle::DEGREE, 2.2);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->number('hover', 0.1, 0.9), $fields->number('limit', 0.2, 1), $fields->number('soft', 0, 1),
            $fields->flag('self_levelling', true), $fields->number('camera_deg', 0, 60, 'degrees') * Angle::DEGREE,
            $fields->numberOrNull('coast_s', 0.3, 10, 's') ?? 2.2,
        );
    }

    /**
     * Throttle, share of full, for the stick from its lower stop (0) to its upper one (1).
     */
    public function throttle(float $stick): float
    {
        $x = 2 * max(0.0, min(1.0, $stick)) - 1;
        $y = (new CubicExpoCurve($this->soft))->output($x);

        return $this->hover + $y * ($y < 0 ? $this->hover : $this->limit - $this->hover);
    }

    /**
     * Lean of the craft that keeps a pace, rad: where drag takes the speed in `coast` seconds, holding v needs the
     * thrust's sideways share g tan(lean) = v / coast (elementary mechanics, drag in proportion to speed).
     */
    public function lean(float $pace): float
    {
        return atan($pace / (self::GRAVITY * $this->coast));
    }

    /** The pace, m/s, at which the camera as it is set looks level. */
    public function levelPace(): float
    {
        return self::GRAVITY * $this->coast * tan($this->camera);
    }

    /** @return array{hover: float, limit: float, soft: float, self_levelling: bool, camera_deg: float, coast_s: float} */
    public function toArray(): array
    {
        return [
            'hover' => $this->hover, 'limit' => $this->limit, 'soft' => $this->soft, 'self_levelling' => $this->selfLevelling,
            'camera_deg' => round($this->camera / Angle::DEGREE, 4), 'coast_s' => $this->coast,
        ];
    }
}
