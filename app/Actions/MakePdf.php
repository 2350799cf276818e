<?php

declare(strict_types=1);

namespace App\Actions;

use App\Spoken;
use Documents\Wire;
use Dompdf\Dompdf;
use Dompdf\Options;

/**
 * Turns a view into a PDF, its facts said to whoever asks. Nothing is fetched: the fonts come with the library, pictures are written into
 * the page.
 */
final readonly class MakePdf
{
    /** How much closer a page may be set than it was meant. */
    private const TIGHTEST = 3;

    /** @param  array<string, mixed>  $values */
    public function __invoke(string $view, array $values, string $paper): string
    {
        return (string) self::set($view, $values, $paper)->output();
    }

    /**
     * Whatever is on a card, it is one card: set closer, by the view's own `$tight` from 0 to 3, until it is.
     *
     * @param  array<string, mixed>  $values
     */
    public function onOnePage(string $view, array $values, string $paper): string
    {
        $tight = 0;
        do {
            $pdf = self::set($view, [...$values, 'tight' => $tight], $paper);
        } while ($pdf->getCanvas()->get_page_count() > 1 && $tight++ < self::TIGHTEST);

        return (string) $pdf->output();
    }

    /** @param  array<string, mixed>  $values */
    private static function set(string $view, array $values, string $paper): Dompdf
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $options->setFontCache(storage_path('framework/cache'));
        $options->setFontDir(storage_path('framework/cache'));
        $options->setTempDir(storage_path('framework/cache'));
        $pdf = new Dompdf($options);
        $pdf->setPaper($paper);
        $pdf->loadHtml(view($view, (array) Wire::write($values, Spoken::to()))->render());
        $pdf->render();

        return $pdf;
    }
}
