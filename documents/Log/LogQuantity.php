<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Telemetry\ColumnMapping;

/** A quantity that a log may have, and the units that it is read in. */
final readonly class LogQuantity implements Document
{
    /** @param  list<string>  $units */
    public function __construct(public string $id, public Fact $name, public bool $needed, public array $units)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(
            static fn (array $one): self => new self($one['id'], $one['name'], $one['needed'], $one['units']), ColumnMapping::quantities(),
        );
    }
}
