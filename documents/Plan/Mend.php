<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Fact;

/** The nearest change that mends a finding. */
final readonly class Mend implements Document
{
    /**
     * @param  Map<float|string>  $parameters
     */
    public function __construct(
        public Fact $text,
        public Map $parameters,
    ) {
    }
}
