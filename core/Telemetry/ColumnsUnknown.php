<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Refusal;

/** A CSV whose columns have names of their own: refused until somebody says what they are. Carries what they probably are. */
final class ColumnsUnknown extends Refusal
{
    /** @param  list<string>  $headers */
    public function __construct(
        Fact $fact, string $place, Fact $expected, public readonly array $headers, public readonly ColumnGuess $guess,
    ) {
        parent::__construct($fact, $place, $expected);
    }
}
