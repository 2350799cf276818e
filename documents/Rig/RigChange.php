<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Difference;

/** A setting that one version states otherwise than another. */
final readonly class RigChange implements Document
{
    public function __construct(
        public string $place,
        public string $mode,
        public Fact $name,
        public string $unit,
        public string|float|bool|null $from,
        public string|float|bool|null $to,
    ) {
    }

    public static function of(Difference $change): self
    {
        return new self($change->place, $change->mode, $change->name, $change->unit, $change->from, $change->to);
    }

    /**
     * @param  list<Difference>  $changes
     * @return list<self>
     */
    public static function each(array $changes): array
    {
        return array_map(self::of(...), $changes);
    }
}
