<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** How one shot's demand on a finger reads under a set of numbers: where the finger holds, how fine it is, whether it reaches. */
final readonly class DemandFit
{
    /**
     * @param  ?float  $travel  held travel, 0 to 1; null where the finger holds nothing
     * @param  ?float  $nudge  what the finest dependable nudge does about the hold, picture widths a second
     * @param  float  $reach  greatest rate asked over the rate there is: above 1 it can't be flown
     * @param  float  $asked  that rate, m/s or rad/s
     * @param  float  $at  when it is asked, s
     */
    private function __construct(
        public Demand $demand, public ?float $travel, public ?float $nudge, public float $reach, public float $asked, public float $at,
    ) {
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
     * What about it is not well, empty where all is.
     *
     * @return list<Fact>
     */
    public function troubles(AdviceWish $wish): array
    {
        $troubles = [];
        $finger = $this->demand->finger;
        if ($this->reach > 1 + 1e-9) {
            $troubles[] = Fact::of(
                'demand.asks-gets', asked: $finger->rate($this->asked), at: Quantity::moment($this->at),
                gets: $finger->rate($this->asked / $this->reach),
            );
        }
        if ($this->travel !== null && $this->travel > $wish->most + 0.005) {
            $troubles[] = Fact::of(
                'demand.held-travel-beyond-comfortable', travel: Quantity::share($this->travel), most: Quantity::share($wish->most),
            );
        }
        if ($this->travel !== null && $this->travel < $wish->least - 0.005) {
            $troubles[] = Fact::of(
                'demand.held-travel-below-comfortable', travel: Quantity::share($this->travel), least: Quantity::share($wish->least),
            );
        }
        if ($this->nudge !== null && $this->nudge > $wish->seen * 1.005) {
            $troubles[] = Fact::of('demand.finest-nudge-moves-picture', nudge: Quantity::percentPerSecond(100 * $this->nudge));
        }

        return $troubles;
    }
}
