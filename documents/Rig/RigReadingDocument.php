<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Documents\Shape;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Rig\Difference;
use Larkspur\Rig\FingerEffect;
use Larkspur\Rig\Rig;
use Larkspur\Rig\SettingsEffect;

/** What the settings of a rig mean in one of its flight modes. */
final readonly class RigReadingDocument implements Document
{
    /**
     * @param  array<string, mixed>  $settings
     * @param  float  $distanceM  from how far off a plain move is looked at
     * @param  list<RigFinger>  $fingers  of a drag the dragged one alone
     * @param  list<Oddity>  $oddities
     * @param  list<RigChange>  $changes  what is not saved yet
     */
    public function __construct(
        public int $rigId,
        #[Shape('RigSettings')] public array $settings,
        public RigCamera $camera,
        public float $distanceM,
        public string $mode,
        public float $brakeM,
        public float $brakeS,
        public array $fingers,
        public HandsReading $hands,
        public array $oddities,
        public Fact $sharpest,
        public Fact $task,
        public array $changes,
        public ?DuctedReading $ducted,
    ) {
    }

    /**
     * @param  list<Difference>  $changes
     * @param  ?Finger  $only  where only one finger changed, the others are left out
     */
    public static function of(int $rig, Rig $sheet, RigCamera $camera, SettingsEffect $effect, array $changes, ?Finger $only = null): self
    {
        $run = $effect->mode->response(Finger::Run);

        return new self(
            $rig, $sheet->settings(), $camera, $effect->distance, $effect->mode->name, round($run->stopWay(), 2),
            round($run->stopSeconds(), 2),
            array_map(
                static fn (FingerEffect $one): RigFinger => RigFinger::of($one),
                $only === null ? $effect->fingers() : [$effect->finger($only)],
            ),
            HandsReading::of($effect->hands), Oddity::in($sheet, $effect->craft), $effect->sharpest(), $effect->mode->task(),
            RigChange::each($changes),
            $sheet->ducted === null ? null : DuctedReading::of($sheet->ducted, $effect->mode->run),
        );
    }
}
