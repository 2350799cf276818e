<?php

declare(strict_types=1);

namespace Documents\Site;

use Documents\Document;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Refusal;
use Larkspur\Site\DrawnSite;

/** A site as it is being drawn, read. */
final readonly class SiteReadingDocument implements Document
{
    /**
     * @param  ?array<string, float>  $home  where take-off lies after it was put elsewhere; null where it stays
     * @param  float  $takeOffUpM  how high the ground lies there, above take-off as it was
     * @param  ?float  $footM  how high the ground lies at the place that was asked about, above take-off
     * @param  list<array{float, float, float}>  $ground  east, north and height of a grid; empty where nobody said how the ground lies
     */
    public function __construct(
        public ?DrawingFault $fault,
        #[Shape('GeoPoint')]
        public ?array $home,
        public float $takeOffUpM,
        public array $ground,
        public ?float $footM,
    ) {
    }

    public static function of(DrawnSite $drawn): self
    {
        return new self(
            $drawn->fault === null ? null : self::fault($drawn->fault, $drawn->repair), $drawn->home?->toArray(),
            round($drawn->takeOffUp, 2),
            array_map(static fn (Position $place): array => [$place->east, $place->north, round($place->up, 2)], $drawn->ground),
            $drawn->foot === null ? null : round($drawn->foot, 2),
        );
    }

    /** @param  ?list<Position>  $repair */
    private static function fault(Refusal $refusal, ?array $repair): DrawingFault
    {
        return new DrawingFault(
            $refusal->place, $refusal->fact, $refusal->expected ?? Fact::name(''),
            $repair === null ? null : array_map(static fn (Position $corner): array => [$corner->east, $corner->north], $repair),
        );
    }
}
