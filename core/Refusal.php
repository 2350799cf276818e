<?php

declare(strict_types=1);

namespace Larkspur;

/**
 * Thrown where core/ is handed something that can't be planned, read or scored.
 *
 * It says as facts what is wrong and what was expected; `place` names where the fault sits (a field such as "parameters.radius_m", or
 * "line 12, column alt_m"), so that a form, a command line or an API can point at it. The message of the exception is the code of the
 * fact, for the log of a server; people are told by the phrase book.
 */
class Refusal extends \DomainException
{
    /** @param  list<self>  $others  what else is wrong with the same thing, where it was looked at as a whole */
    public function __construct(
        public readonly Fact $fact,
        public readonly string $place = '',
        public readonly ?Fact $expected = null,
        public readonly array $others = [],
    ) {
        parent::__construct($fact->code);
    }

    /** @param  non-empty-list<self>  $all  the first leads */
    public static function ofAll(array $all): self
    {
        $first = $all[0];

        return new self($first->fact, $first->place, $first->expected, array_slice($all, 1));
    }

    public function at(string $prefix): self
    {
        return new self(
            $this->fact, $this->place === '' ? $prefix : $prefix.'.'.$this->place, $this->expected,
            array_map(static fn (self $one): self => $one->at($prefix), $this->others),
        );
    }
}
