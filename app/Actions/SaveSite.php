<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Site;
use App\Models\User;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Move\Route;
use Larkspur\Site\Site as SiteSheet;

/** Keeps a site as core/ reads it; what is filmed comes in the site's metres and is kept as positions. */
final readonly class SaveSite
{
    /**
     * @param  ?Site  $site  null for a new one
     * @param  array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>}  $drawn
     * @param  int  $version  that was worked on
     *
     * @throws SavedFirst where another version came between
     */
    public function __invoke(User $user, ?Site $site, array $drawn, int $version): Site
    {
        $sheet = SiteSheet::read(Fields::of(['name' => $drawn['name'], ...$drawn['document']], 'document'));
        $subjects = self::subjects($sheet, $drawn['subjects']);
        $filled = [
            'name' => $drawn['name'], 'about' => $drawn['about'], 'document' => array_diff_key($sheet->toArray(), ['name' => 1]),
            'subjects' => $subjects,
        ];
        if ($site === null) {
            return Site::query()->create([...$filled, 'school_id' => $user->school_id, 'author_id' => $user->id, 'version' => 1]);
        }

        return $site->saveOver($version, $filled);
    }

    /**
     * @param  list<array<string, mixed>>  $drawn  id, name, east, north, up (aimed at) and base, m
     * @return list<array<string, mixed>>
     */
    private static function subjects(SiteSheet $sheet, array $drawn): array
    {
        $frame = $sheet->frame();
        $out = [];
        foreach ($drawn as $k => $one) {
            $fields = Fields::of($one, "subjects.$k");
            $base = $fields->numberOrNull('base_m', -500, 5000, 'm') ?? 0.0;
            $place = new Position(
                $fields->number('east_m', -5000, 5000, 'm'), $fields->number('north_m', -5000, 5000, 'm'),
                $fields->numberOrNull('up_m', -500, 5000, 'm') ?? $base + 1.5,
            );
            $out[] = [
                'id' => $fields->text('id'), 'name' => $fields->text('name'), ...$frame->geoPoint($place)->toArray(),
                'base_alt_m' => round($frame->origin->altitude + $base, 3),
                ...$fields->groupOrNull('route') !== null ? ['route' => Route::read($fields->group('route'), $place)->toArray()] : [],
            ];
        }

        return $out;
    }
}
