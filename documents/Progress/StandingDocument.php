<?php

declare(strict_types=1);

namespace Documents\Progress;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Training\Standing\Standing;

/** How somebody stands in one thing, how sure that is, and where it is going. */
final readonly class StandingDocument implements Document
{
    /**
     * @param  string  $id  score, a petal, a finger, or a move
     * @param  float  $mean  0 to 100
     * @param  float  $sure  half the width of the interval of 90 %, points
     * @param  'coming'|'slipping'|'still'|'unsure'  $heading
     * @param  ?float  $change  points over that many days; null with too few takes
     * @param  ?float  $changeSure  half the width of its interval of 90 %
     * @param  list<BandPoint>  $band  at each take, oldest first
     */
    public function __construct(
        public string $id, public string|Fact $name, public float $mean, public float $sure, public int $takes, public string $heading,
        public string|Fact $going, public bool $stuck, public ?float $change, public ?float $changeSure, public float $overDays,
        public array $band,
    ) {
    }

    /** @param  bool  $whole  with the band; a class would be full of them */
    public static function of(string $id, Fact $name, Standing $standing, bool $whole): self
    {
        $sure = static fn (float $deviation): float => round(Standing::SURE * $deviation, 1);

        return new self(
            $id, $name, round($standing->onScale(), 1), $sure($standing->deviation), $standing->takes,
            $standing->heading->value,
            $standing->heading->words(), $standing->stuck, $standing->change === null ? null : round($standing->change, 1),
            $standing->change === null ? null : $sure($standing->changeDeviation), round($standing->over, 1),
            $whole ? array_map(static fn (array $at): BandPoint => new BandPoint(
                gmdate('Y-m-d\TH:i:s\Z', (int) round(86400 * $at[0])), round($at[1], 1), $sure($at[2]),
            ), $standing->band) : [],
        );
    }
}
