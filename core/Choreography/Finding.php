<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;

/** One thing that was checked about a plan: met, worth knowing, or broken, with the nearest change that mends it. */
final readonly class Finding
{
    public const OK = 'ok';

    public const NOTE = 'note';

    public const BROKEN = 'broken';

    /**
     * @param  string  $id  stable name of the check
     * @param  self::OK|self::NOTE|self::BROKEN  $state
     * @param  Fact  $text  what was found
     * @param  ?float  $value  what the plan asks, in $unit
     * @param  ?float  $limit  what is allowed, in $unit
     * @param  array<string, float|string>  $mend  parameter values of the nearest plan that passes
     */
    public function __construct(
        public string $id,
        public string $state,
        public Fact $text,
        public ?float $value = null,
        public ?float $limit = null,
        public string $unit = '',
        public ?Fact $mendText = null,
        public array $mend = [],
    ) {
    }
}
