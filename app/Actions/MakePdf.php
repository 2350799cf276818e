<?php

declare(strict_types=1);

namespace App\Actions;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Turns a view into a PDF. Nothing is fetched: the fonts come with the library, pictures are written into the page. */
final readonly class MakePdf
{
    /** @param  array<string, mixed>  $values */
    public function __invoke(string $view, array $values, string $paper): string
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setFontCache(storage_path('framework/cache'));
        $options->setFontDir(storage_path('framework/cache'));
        $options->setTempDir(storage_path('framework/cache'));
        $pdf = new Dompdf($options);
        $pdf->setPaper($paper);
        $pdf->loadHtml(view($view, $values)->render());
        $pdf->render();

        return (string) $pdf->output();
    }
}
