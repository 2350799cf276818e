<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;
use Documents\Map;

/** What has to be confirmed before a log can be read. */
final readonly class ColumnQuestion implements Document
{
    /**
     * @param  list<string>  $headers
     * @param  Map<GuessedColumn>  $guess  by quantity
     * @param  list<LogQuantity>  $quantities
     */
    public function __construct(public array $headers, public Map $guess, public array $quantities)
    {
    }
}
