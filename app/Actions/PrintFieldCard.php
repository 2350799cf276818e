<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\User;
use Dompdf\Dompdf;
use Dompdf\Options;

/** Prints the numbers of a rig on one A5 sheet: to be read at arm's length, with gloves on. */
final readonly class PrintFieldCard
{
    public function __construct(private ReadRig $read)
    {
    }

    public function __invoke(Rig $rig, User $reader): string
    {
        $modes = array_map(fn (string $mode): array => ($this->read)($rig, $rig->model, $mode, null, null, null, \Larkspur\Rig\Meaning::LOOKED_AT), \Larkspur\Rig\Rig::MODES);
        $options = new Options;
        // Nothing is fetched: the fonts come with the library, and there are no pictures.
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setFontCache(storage_path('framework/cache'));
        $options->setFontDir(storage_path('framework/cache'));
        $options->setTempDir(storage_path('framework/cache'));
        $pdf = new Dompdf($options);
        $pdf->setPaper('A5');
        $pdf->loadHtml(view('print.field-card', ['rig' => $rig, 'modes' => $modes, 'feet' => $reader->units === 'feet', 'date' => now()->format('j M Y')])->render());
        $pdf->render();

        return (string) $pdf->output();
    }
}
