<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\User;
use Documents\Rig\RigReadingDocument;
use Larkspur\Rig\Rig as RigSheet;
use Larkspur\Rig\SettingsEffect;

/** Prints the numbers of a rig on one A5 sheet: to be read at arm's length, with gloves on. */
final readonly class PrintFieldCard
{
    public function __construct(private ReadRig $read, private MakePdf $pdf)
    {
    }

    public function __invoke(Rig $rig, User $reader): string
    {
        $modes = array_map(
            fn (string $mode): RigReadingDocument => ($this->read)($rig, $rig->model, $mode, null, null, null, SettingsEffect::LOOKED_AT),
            RigSheet::MODES,
        );

        return ($this->pdf)(
            'print.field-card', ['rig' => $rig, 'modes' => $modes, 'feet' => $reader->units === 'feet', 'date' => now()->format('j M Y')],
            'A5',
        );
    }
}
