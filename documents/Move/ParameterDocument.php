<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Move\Parameter;

/** One thing that can be chosen about a move: a number with its range, or one of a few words. */
final readonly class ParameterDocument implements Document
{
    /**
     * @param  ?list<float>  $usual
     * @param  ?list<string>  $choices
     */
    public function __construct(
        public string $id,
        public Fact $label,
        public ?string $unit,
        public ?float $least,
        public ?float $most,
        public ?array $usual,
        public ?float $step,
        public ?array $choices,
    ) {
    }

    public static function of(Parameter $parameter): self
    {
        return $parameter->choices === []
            ? new self(
                $parameter->id, $parameter->label(), $parameter->unit, $parameter->least, $parameter->most, $parameter->usual,
                $parameter->step, null,
            )
            : new self($parameter->id, $parameter->label(), null, null, null, null, null, $parameter->choices);
    }
}
