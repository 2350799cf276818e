<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Choreography\Checks;
use Larkspur\Choreography\Notes\DepthNotes;
use Larkspur\Fact;

/** How deep a move looks, and how fast it feels. */
final readonly class DepthReading implements Document
{
    /**
     * @param  list<Fact>  $sentences
     */
    public function __construct(
        public ?Layer $near,
        public ?Layer $far,
        public ?float $ratio,
        public float $paceMps,
        public float $heightM,
        public float $feltPs,
        public ?float $crossingS,
        public float $crossingLeastS,
        public array $sentences,
    ) {
    }

    public static function of(DepthNotes $notes): self
    {
        $ratio = $notes->ratio();

        return new self(
            near: Layer::of($notes->near), far: Layer::of($notes->far), ratio: $ratio === null ? null : round(min(9999, $ratio), 2),
            paceMps: round($notes->pace, 2), heightM: round($notes->height, 2), feltPs: round($notes->felt, 4),
            crossingS: is_finite($notes->crossing) ? round($notes->crossing, 1) : null, crossingLeastS: Checks::CROSSING,
            sentences: $notes->sentences(),
        );
    }
}
