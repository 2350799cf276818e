<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Measure\Angle;
use Larkspur\Rig\Ducted;

/** The throttle and the camera of a small ducted craft, with what they come to. */
final readonly class DuctedReading implements Document
{
    /** Points of the throttle card. */
    private const POINTS = 21;

    /**
     * @param  list<array{float, float}>  $points  throttle by stick, shares
     * @param  list<array{float, float}>  $leans  lean in degrees by pace in m/s
     */
    public function __construct(
        public float $hover,
        public float $limit,
        public float $soft,
        public bool $selfLevelling,
        public float $cameraDeg,
        public float $coastS,
        public array $points,
        public array $leans,
        public float $levelPaceMps,
        public float $topLeanDeg,
    ) {
    }

    /** @param  float  $top  top speed of the mode, m/s */
    public static function of(Ducted $ducted, float $top): self
    {
        $points = $leans = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $share = $i / (self::POINTS - 1);
            $points[] = [round($share, 3), round($ducted->throttle($share), 4)];
            $leans[] = [round($top * $share, 3), round($ducted->lean($top * $share) / Angle::DEGREE, 2)];
        }

        return new self(
            $ducted->hover, $ducted->limit, $ducted->soft, $ducted->selfLevelling, round($ducted->camera / Angle::DEGREE, 4),
            $ducted->coast, $points, $leans, round($ducted->levelPace(), 2), round($ducted->lean($top) / Angle::DEGREE, 1),
        );
    }
}
