<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Fact;

/** What else could be flown from here. */
final readonly class Variant implements Document
{
    /**
     * @param  Map<float|string>  $parameters
     * @param  'sequence'|'together'|null  $join
     * @param  ?list<VariantPart>  $parts
     */
    public function __construct(
        public string $id,
        public Fact $title,
        public Fact $why,
        public string $move,
        public Map $parameters,
        public ?string $join,
        public ?array $parts,
        public bool $feasible,
    ) {
    }

    /**
     * @param  array{
     *     id: string, title: Fact, why: Fact, move: string, parameters: array<string, float|string>, join: 'sequence'|'together'|null,
     *     parts: ?list<array{move: string, parameters: array<string, float|string>}>, feasible: bool,
     * }  $one
     */
    public static function of(array $one): self
    {
        return new self(
            $one['id'], $one['title'], $one['why'], $one['move'], new Map($one['parameters']), $one['join'],
            $one['parts'] === null ? null : array_map(VariantPart::of(...), $one['parts']), $one['feasible'],
        );
    }
}
