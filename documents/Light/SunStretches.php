<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Site\SunDay;

/** When the light of a day is of which kind. */
final readonly class SunStretches implements Document
{
    /**
     * @param  list<TimeStretch>  $night
     * @param  list<TimeStretch>  $blue
     * @param  list<TimeStretch>  $golden
     * @param  list<TimeStretch>  $day
     */
    public function __construct(public array $night, public array $blue, public array $golden, public array $day)
    {
    }

    public static function of(SunDay $day): self
    {
        $of = static fn (string $phase): array => TimeStretch::each($day->stretches($phase));

        return new self($of('night'), $of('blue'), $of('golden'), $of('day'));
    }
}
