<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fields;
use Larkspur\Geo\Position;

/** Someone who watches the craft for the one who flies it: where they stand, eyes 1.6 m up. */
final readonly class Observer
{
    public const EYES = 1.6;

    public function __construct(public string $id, public string $name, public Position $eyes)
    {
    }

    public static function read(Fields $fields, ?Ground $ground): self
    {
        $east = $fields->number('east_m', -20000, 20000, 'm');
        $north = $fields->number('north_m', -20000, 20000, 'm');

        return new self(
            $fields->textOrNull('id') ?? '', $fields->textOrNull('name') ?? 'observer',
            new Position($east, $north, ($ground?->at($east, $north) ?? 0.0) + self::EYES),
        );
    }

    /** @return array<string, string|float> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'east_m' => round($this->eyes->east, 3), 'north_m' => round($this->eyes->north, 3),
        ];
    }
}
