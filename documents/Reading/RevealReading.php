<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Choreography\Notes\RevealNotes;
use Larkspur\Fact;

/** When a subject is seen, and how much of the picture is sky. */
final readonly class RevealReading implements Document
{
    /**
     * @param  list<Fact>  $sentences
     */
    public function __construct(
        public Fact $first,
        public Fact $last,
        public bool $hiddenFirst,
        public bool $readable,
        public ?float $fills,
        public ?float $appearsS,
        public ?string $kind,
        public float $horizon,
        public float $sky,
        public ?float $tiltBeginsS,
        public ?float $tiltLatestS,
        public ?float $neededHeightM,
        public array $sentences,
    ) {
    }

    public static function of(RevealNotes $notes): self
    {
        $rounded = static fn (?float $value, int $places): ?float => $value === null ? null : round($value, $places);

        return new self(
            first: $notes->first, last: $notes->last, hiddenFirst: $notes->isHiddenFirst(), readable: $notes->readable(),
            fills: $rounded($notes->fills, 4), appearsS: $rounded($notes->appears, 2),
            kind: $notes->kind,
            // A picture that looks far up or down has its horizon far outside the frame.
            horizon: round(max(-20.0, min(20.0, $notes->horizon)), 4), sky: round(max(0.0, min(1.0, $notes->horizon)), 4),
            tiltBeginsS: $rounded($notes->tiltBegins, 2), tiltLatestS: $rounded($notes->tiltLatest, 2),
            neededHeightM: $rounded($notes->needed, 1), sentences: $notes->sentences(),
        );
    }
}
