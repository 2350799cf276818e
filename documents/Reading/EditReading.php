<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Choreography\Notes\EditNotes;
use Larkspur\Fact;

/** What an editor can make of a take as it is planned. */
final readonly class EditReading implements Document
{
    /**
     * @param  list<Fact>  $moving
     * @param  float  $safe  share of the frame that is delivered where nothing is rescued
     * @param  list<Fact>  $sentences
     */
    public function __construct(
        public float $holdS,
        public float $useS,
        public float $handleS,
        public float $spareS,
        public int $recordedPx,
        public int $deliveredPx,
        public float $scale,
        public float $levelScale,
        public float $strayPercent,
        public bool $speedUp,
        public array $moving,
        public float $safe,
        public array $sentences,
    ) {
    }

    public static function of(EditNotes $notes): self
    {
        return new self(
            holdS: round($notes->hold, 1), useS: $notes->use, handleS: EditNotes::HANDLE, spareS: round($notes->spare, 1),
            recordedPx: $notes->recorded, deliveredPx: $notes->delivered, scale: round($notes->scale, 3),
            levelScale: round($notes->level, 3),
            strayPercent: round(100 * $notes->stray, 1), speedUp: $notes->moving === [], moving: $notes->moving,
            safe: round(min(1.0, 1 / max(1.0, $notes->scale)), 4), sentences: $notes->sentences(),
        );
    }
}
