<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Band;
use Documents\Document;
use Documents\Shape;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Rig\Rig;
use Larkspur\Rig\SettingsAdvice;

/** Recommended settings of a flight mode for planned shots, in the house of thought that is followed. */
final readonly class RigAdviceDocument implements Document
{
    /**
     * @param  float  $nudge  finest dependable change of travel
     * @param  float  $seenWidths  what of a nudge is seen, picture widths a second
     * @param  array<string, mixed>  $settings
     * @param  list<AdviceFinger>  $fingers
     * @param  list<LeftOut>  $leftOut
     * @param  string  $filmsIn  the flight mode that the house films in
     */
    public function __construct(
        public string $mode,
        public string $house,
        public Fact $houseWords,
        public Fact $houseWhy,
        public float $nudge,
        public float $seenWidths,
        public Band $comfort,
        #[Shape('RigSettings')] public array $settings,
        public array $fingers,
        public array $leftOut,
        public string $filmsIn,
    ) {
    }

    /**
     * @param  Rig  $rig  whose mode it is about
     * @param  list<LeftOut>  $leftOut
     */
    public static function of(SettingsAdvice $advice, Rig $rig, array $leftOut): self
    {
        $wish = $advice->wish;

        return new self(
            $advice->now->name, $wish->house->value, $wish->house->words(), $wish->house->why(), round($wish->nudge, 4), $wish->seen,
            new Band($wish->least, $wish->most), $rig->withMode($advice->advised)->settings(),
            array_map(static fn (Finger $finger): AdviceFinger => AdviceFinger::of($advice, $finger), Finger::cases()), $leftOut,
            $wish->house->mode(),
        );
    }
}
