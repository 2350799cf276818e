<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;

/**
 * What one planned shot asks of one finger's axis, whatever the settings: the rate that it holds, every rate with its
 * change along the way, and how much picture a rate moves. Rates in m/s or rad/s, positive as the finger's own.
 */
final readonly class Demand
{
    /**
     * @param  string  $shot  its title
     * @param  float  $hold  rate during the hold, signed; 0 where the finger holds nothing
     * @param  list<array{float, float, float}>  $way  time, rate, and change of rate per second, along the flight
     * @param  float  $widths  picture widths a second for one unit of rate
     */
    public function __construct(public string $shot, public Finger $finger, public float $hold, public array $way, public float $widths)
    {
    }

    /**
     * The greatest rate that must be asked for in a direction when the axis lags: v + lag v', which the finger has to
     * lead, and when.
     *
     * @return array{float, float} rate, 0 or more, and the time, s
     */
    public function peak(float $lag, bool $positive): array
    {
        $peak = $at = 0.0;
        foreach ($this->way as [$t, $rate, $change]) {
            $asked = ($rate + $lag * $change) * ($positive ? 1 : -1);
            if ($asked > $peak) {
                [$peak, $at] = [$asked, $t];
            }
        }

        return [$peak, $at];
    }
}
