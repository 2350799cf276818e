<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Measure\Angle;

/** How one shot's demand on a finger reads under a set of numbers: where the finger holds, how fine it is, whether it reaches. */
final readonly class Reading
{
    /**
     * @param  ?float  $travel  held travel, 0 to 1; null where the finger holds nothing
     * @param  ?float  $nudge  what the finest dependable nudge does about the hold, picture widths a second
     * @param  float  $reach  greatest rate asked over the rate there is: above 1 it can't be flown
     * @param  float  $asked  that rate, m/s or rad/s
     * @param  float  $at  when it is asked, s
     */
    private function __construct(public Demand $demand, public ?float $travel, public ?float $nudge, public float $reach, public float $asked, public float $at)
    {
    }

    public static function of(Demand $demand, ModeTune $mode, float $nudge): self
    {
        $finger = $demand->finger;
        $lag = $mode->lag($finger);
        $reach = $asked = $at = 0.0;
        foreach ([true, false] as $positive) {
            [$peak, $time] = $demand->peak($lag, $positive);
            $share = $peak / $mode->top($finger, $positive);
            if ($share > $reach) {
                [$reach, $asked, $at] = [$share, $peak, $time];
            }
        }
        if (abs($demand->hold) < 1e-9) {
            return new self($demand, null, null, $reach, $asked, $at);
        }
        $top = $mode->top($finger, $demand->hold > 0);
        $curve = $mode->curve($finger);
        $travel = $curve->travel(min(1.0, abs($demand->hold) / $top));
        // Half a nudge to either side: the slope at a point alone would say nothing at the very centre of a soft curve.
        $moved = ($curve->output($travel + $nudge / 2) - $curve->output($travel - $nudge / 2)) * $top;

        return new self($demand, $travel, $moved * $demand->widths, $reach, $asked, $at);
    }

    /**
     * What about it is not well, in words; empty where all is.
     *
     * @return list<string>
     */
    public function troubles(AdviceWish $wish): array
    {
        $troubles = [];
        $scale = $this->demand->finger->rotates() ? 1 / Angle::DEGREE : 1.0;
        $unit = $this->demand->finger->rotates() ? 'deg/s' : 'm/s';
        if ($this->reach > 1 + 1e-9) {
            $troubles[] = sprintf('asks %.1f %s at %.1f s and gets %.1f', $this->asked * $scale, $unit, $this->at, $this->asked / $this->reach * $scale);
        }
        if ($this->travel !== null && $this->travel > $wish->most + 0.005) {
            $troubles[] = sprintf('held at %.0f %% of the travel, beyond the comfortable %.0f', 100 * $this->travel, 100 * $wish->most);
        }
        if ($this->travel !== null && $this->travel < $wish->least - 0.005) {
            $troubles[] = sprintf('held at %.0f %% of the travel, below the comfortable %.0f', 100 * $this->travel, 100 * $wish->least);
        }
        if ($this->nudge !== null && $this->nudge > $wish->seen * 1.005) {
            $troubles[] = sprintf('the finest nudge moves the picture by %.1f %% of its width a second, which is seen', 100 * $this->nudge);
        }

        return $troubles;
    }

    /** @return array<string, mixed> */
    public function toArray(AdviceWish $wish): array
    {
        return [
            'shot' => $this->demand->shot,
            'travel' => $this->travel === null ? null : round($this->travel, 3),
            'nudge_widths' => $this->nudge === null ? null : round($this->nudge, 4),
            'reach' => round($this->reach, 3),
            'troubles' => $this->troubles($wish),
        ];
    }
}
