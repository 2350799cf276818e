<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Rig\Demand;
use Larkspur\Rig\DemandFit;
use Larkspur\Rig\SettingsAdvice;

/** What is advised for one finger, why, and what it does to every shot. */
final readonly class AdviceFinger implements Document
{
    /**
     * @param  bool  $asked  whether any shot of the list moves it
     * @param  list<AdviceShot>  $shots
     * @param  list<AdviceTrade>  $trades
     */
    public function __construct(
        public string $finger,
        public string $unit,
        public bool $asked,
        public AdviceNumbers $now,
        public AdviceNumbers $advised,
        public Fact $why,
        public float $costNow,
        public float $costAdvised,
        public array $shots,
        public array $trades,
    ) {
    }

    public static function of(SettingsAdvice $advice, Finger $finger): self
    {
        $demands = $advice->demands($finger);
        $read = static fn (Demand $demand, bool $advised): AdviceReading => AdviceReading::of(
            DemandFit::of($demand, $advised ? $advice->advised : $advice->now, $advice->wish->nudge), $advice->wish,
        );

        return new self(
            $finger->value, $finger->rotates() ? 'deg/s' : 'm/s', $demands !== [], AdviceNumbers::of($advice->now, $finger),
            AdviceNumbers::of($advice->advised, $finger), $advice->why($finger), round($advice->cost($advice->now, $finger), 4),
            round($advice->cost($advice->advised, $finger), 4),
            array_map(
                static fn (Demand $demand): AdviceShot => new AdviceShot($demand->shot, $read($demand, false), $read($demand, true)),
                $demands,
            ),
            array_map(AdviceTrade::of(...), $advice->trades($finger)),
        );
    }
}
