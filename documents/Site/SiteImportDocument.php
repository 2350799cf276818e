<?php

declare(strict_types=1);

namespace Documents\Site;

use Documents\Document;
use Documents\Map;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Route;
use Larkspur\Site\SiteImport;

/** What a file of places would put on a site; nothing is kept yet. */
final readonly class SiteImportDocument implements Document
{
    /**
     * @param  array<string, mixed>  $home
     * @param  list<array<string, mixed>>  $solids
     * @param  list<array<string, mixed>>  $areas
     * @param  list<array<string, mixed>>  $observers
     * @param  list<Spot>  $spots
     * @param  list<ImportedSubject>  $subjects
     * @param  Map<mixed>  $own  what the file’s site says of itself: name, limits, clock, ground; empty of others
     * @param  list<Fact>  $notes
     */
    public function __construct(
        public int $found,
        #[Shape('GeoPoint')]
        public array $home,
        #[Shape('Solid', each: true)]
        public array $solids,
        #[Shape('Area', each: true)]
        public array $areas,
        #[Shape('Observer', each: true)]
        public array $observers,
        public array $spots,
        public array $subjects,
        #[Shape('SiteOwn')]
        public Map $own,
        public array $notes,
    ) {
    }

    public static function of(SiteImport $import): self
    {
        return new self(
            $import->found, $import->home, $import->solids, $import->areas, $import->observers,
            array_map(static fn (array $spot): Spot => new Spot($spot['east_m'], $spot['north_m'], $spot['up_m']), $import->spots),
            array_map(
                static fn (array $one): ImportedSubject => new ImportedSubject(
                    $one['id'], $one['name'], $one['east_m'], $one['north_m'], $one['base_m'], $one['aim_m'],
                    $one['route'] === null ? null : Route::read(Fields::of($one['route'], 'route'))->toArray(),
                ),
                $import->subjects,
            ),
            new Map($import->own), Fact::unique($import->notes),
        );
    }
}
