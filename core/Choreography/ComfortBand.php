<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/** The part of the travel in which a finger holds steadily. Common practice, no published source; editable. */
final readonly class ComfortBand
{
    public function __construct(public float $least = 0.25, public float $most = 0.65)
    {
        if ($least >= $most) {
            throw new Refusal(Fact::of('comfort-band.comfort-band-must-begin'), 'comfort', Fact::of('comfort-band.least-most'));
        }
    }

    public static function read(?Fields $fields): self
    {
        return $fields === null ? new self : new self($fields->number('least', 0, 1), $fields->number('most', 0, 1));
    }

    /** @return array{least: float, most: float} */
    public function toArray(): array
    {
        return ['least' => $this->least, 'most' => $this->most];
    }
}
