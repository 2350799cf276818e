<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Choreography\FingerPart;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;

/** What one finger does over a whole sheet. */
final readonly class Press implements Document
{
    /**
     * @param  array{Fact, Fact}  $ends  what its two ends are called
     * @param  'rests'|'touch'|'plays'  $kind
     */
    public function __construct(
        public string $finger,
        public Fact $thumb,
        public array $ends,
        public float $hold,
        public float $peak,
        public string $kind,
        public ?float $onsetS,
        public ?float $offS,
    ) {
    }

    public static function of(FingerPart $part, StickMode $sticks): self
    {
        return new self(
            $part->finger->value, $sticks->thumb($part->finger), $part->finger->ends(), round($part->hold, 4), round($part->peak, 4),
            $part->rests() ? 'rests' : ($part->isTouch() ? 'touch' : 'plays'),
            $part->onset === null ? null : round($part->onset, 2), $part->off === null ? null : round($part->off, 2),
        );
    }
}
