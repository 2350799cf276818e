<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** The advisor's answer for one flight mode: what to set, why, what it does to every shot, and what other numbers would buy and cost. */
final readonly class SettingsAdvice
{
    /** Variants shown beside each recommendation, as factors of the number. */
    private const LOWER = 0.8;

    private const HIGHER = 1.25;

    private function __construct(
        public ModeTune $now, public ModeTune $advised, public AdviceWish $wish, private SettingsAdvisor $advisor, private Craft $craft,
    ) {
    }

    /** @param  list<Demand>  $demands */
    public static function of(Craft $craft, ModeTune $mode, array $demands, AdviceWish $wish): self
    {
        $advisor = new SettingsAdvisor($craft, $mode, $demands, $wish);

        return new self($mode, $advisor->recommended(), $wish, $advisor, $craft);
    }

    /**
     * What the shots ask of a finger; empty where none moves it.
     *
     * @return list<Demand>
     */
    public function demands(Finger $finger): array
    {
        return $this->advisor->of($finger);
    }

    /** What numbers cost for these shots, without unit: less is better. */
    public function cost(ModeTune $mode, Finger $finger): float
    {
        return $this->advisor->cost($mode, $finger);
    }

    /** Why a finger's numbers are what they are. */
    public function why(Finger $finger): Fact
    {
        $demands = $this->demands($finger);
        if ($demands === []) {
            return Fact::of('settings-advice.shot-list-moves-finger');
        }
        $most = null;
        $held = [];
        foreach ($demands as $demand) {
            $reading = DemandFit::of($demand, $this->advised, $this->wish->nudge);
            if ($most === null || $reading->reach > $most->reach) {
                $most = $reading;
            }
            if ($reading->travel !== null) {
                $held[] = $reading->travel;
            }
        }
        $same = $held !== [] && max($held) - min($held) < 0.005;

        return Fact::all(
            Fact::of(
                'settings-advice.asks-most', house: $this->wish->house->words(), shot: $most->demand->shot,
                most: $finger->rate($most->asked), at: Quantity::moment($most->at),
            ),
            match (true) {
                $held === [] => null,
                $same => Fact::of('settings-advice.held-at', travel: Quantity::share(min($held))),
                default => Fact::of('settings-advice.holds-between', least: Quantity::share(min($held)), most: Quantity::share(max($held))),
            },
            $most->reach > 1 + 1e-9 ? Fact::of(
                'settings-advice.more-than-there-is', craft: $this->craft->name, mode: Fact::of("mode.{$this->now->name}"),
            ) : null,
        );
    }

    /**
     * What each number, loosened or tightened, buys and costs; empty where no shot moves the finger.
     *
     * @return list<Trade>
     */
    public function trades(Finger $finger): array
    {
        $demands = $this->demands($finger);
        if ($demands === []) {
            return [];
        }
        $top = $this->advised->top($finger);
        $half = $this->advised->curve($finger)->output(0.5);
        $cushion = $finger->rotates() ? $this->advised->cushion($finger) : null;
        $ceiling = $this->craft->ceiling($this->advised->name, $finger);
        $variants = [
            [Fact::of('settings-advice.top', top: $finger->rate(self::LOWER * $top)), self::LOWER * $top, $half, $cushion],
            [
                Fact::of('settings-advice.top', top: $finger->rate(min($ceiling, self::HIGHER * $top))), min($ceiling, self::HIGHER * $top),
                $half, $cushion,
            ],
            [Fact::of('settings-advice.softer-curve'), $top, max(0.15, $half - 0.08), $cushion],
            [Fact::of('settings-advice.straighter-curve'), $top, min(0.55, $half + 0.08), $cushion],
        ];
        if ($cushion !== null) {
            $variants[] = [Fact::of('settings-advice.a-cushion-of', cushion: Quantity::seconds($cushion / 2)), $top, $half, $cushion / 2];
            $variants[] = [
                Fact::of('settings-advice.a-cushion-of', cushion: Quantity::seconds($cushion * 1.6)), $top, $half, $cushion * 1.6,
            ];
        }
        $trades = [];
        foreach ($variants as [$change, $otherTop, $otherHalf, $otherCushion]) {
            if ($otherTop === $top && $otherHalf === $half && $otherCushion === $cushion) {
                continue;
            }
            $other = $this->advisor->candidate($this->advised, $finger, $otherTop, $otherHalf, $otherCushion);
            $buys = $costs = [];
            foreach ($demands as $demand) {
                $here = DemandFit::of($demand, $this->advised, $this->wish->nudge);
                $there = DemandFit::of($demand, $other, $this->wish->nudge);
                foreach ($there->troubles($this->wish) as $trouble) {
                    if (! $trouble->isAmong($here->troubles($this->wish))) {
                        $costs[] = Fact::of('settings-advice.of-shot', shot: $demand->shot, trouble: $trouble);
                    }
                }
                if ($there->nudge !== null && $here->nudge !== null && $there->nudge < 0.97 * $here->nudge) {
                    $buys[] = Fact::of(
                        'settings-advice.nudge-shows-less', shot: $demand->shot, nudge: Quantity::share(1 - $there->nudge / $here->nudge),
                    );
                }
                if (
                    $there->nudge !== null
                    && $here->nudge !== null
                    && $there->nudge > 1.03 * $here->nudge
                    && $there->troubles($this->wish) === []
                ) {
                    $costs[] = Fact::of(
                        'settings-advice.nudge-shows-more', shot: $demand->shot, nudge: Quantity::share($there->nudge / $here->nudge - 1),
                    );
                }
                if ($there->reach < 0.97 * $here->reach) {
                    $buys[] = Fact::of(
                        'settings-advice.rate-reserve-instead', shot: $demand->shot, reserve: Quantity::share(max(0.0, 1 - $there->reach)),
                        instead: Quantity::share(max(0.0, 1 - $here->reach)),
                    );
                }
            }
            $was = $this->advised->response($finger)->stopSeconds();
            $is = $other->response($finger)->stopSeconds();
            if (abs($is - $was) > 0.04) {
                $stops = Fact::of(
                    $is > $was ? 'settings-advice.softer-stops' : 'settings-advice.harder-stops', is: Quantity::seconds($is),
                    was: Quantity::seconds($was),
                );
                $is > $was ? $buys[] = $stops : $costs[] = $stops;
            }
            $trades[] = new Trade($change, $buys, $costs);
        }

        return $trades;
    }
}
