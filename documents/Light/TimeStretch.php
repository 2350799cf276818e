<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Site\SunDay;

/** From one instant to another, ISO 8601 in UTC. */
final readonly class TimeStretch implements Document
{
    public function __construct(public string $from, public string $to)
    {
    }

    /** @param  array{float, float}  $stretch  s since 1970 */
    public static function of(array $stretch): self
    {
        return new self(SunDay::written($stretch[0]), SunDay::written($stretch[1]));
    }

    /**
     * @param  list<array{float, float}>  $stretches
     * @return list<self>
     */
    public static function each(array $stretches): array
    {
        return array_map(self::of(...), $stretches);
    }
}
