<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\Site;
use App\Models\User;
use Larkspur\Choreography\Shot;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\Route;
use Larkspur\Refusal;

/** Puts a shot together from what the page sends: a site, a rig, a subject by name or by place, and parameters. */
final readonly class DraftShot
{
    /**
     * @param array{
     *     mode: string, move: string, subject_id?: ?string,
     *     subject_at?: ?array{east_m: float, north_m: float, base_m?: float, aim_m?: float}, aim?: ?array{x: float, y: float},
     *     parameters?: ?array<string, mixed>, join?: ?string, parts?: ?list<array<string, mixed>>, wind?: ?array<string, mixed>,
     * } $draft
     * @return array{intent: array<string, mixed>, shot: Shot}
     */
    public function __invoke(Site $site, Rig $rig, User $operator, array $draft): array
    {
        $intent = array_filter([
            'schema' => Intent::SCHEMA,
            'move' => $draft['move'],
            'subject' => $this->subject($site, $draft),
            'aim' => $draft['aim'] ?? null,
            'parameters' => $draft['parameters'] ?? [],
            'join' => $draft['join'] ?? null,
            'parts' => $draft['parts'] ?? null,
        ], static fn (mixed $value): bool => $value !== null);

        $shot = Shot::read(Fields::of([
            'schema' => Shot::SCHEMA,
            'intent' => [...$intent, 'camera' => $rig->camera],
            'rig' => $rig->document,
            'mode' => $draft['mode'],
            'site' => ['name' => $site->name, ...$site->document],
            'wind' => $draft['wind'] ?? null,
            'operator' => ['stick_mode' => $operator->stick_mode, 'wheel_up' => $operator->wheel_up],
            'comfort' => $operator->school->house_style['comfort'],
            'layers' => $draft['brief']['layers'] ?? null,
        ]), kept: true);

        return ['intent' => $intent, 'shot' => $shot];
    }

    /**
     * @param  array<string, mixed>  $draft
     * @return ?array<string, mixed>
     */
    private function subject(Site $site, array $draft): ?array
    {
        $at = $draft['subject_at'] ?? null;
        if (is_array($at)) {
            $fields = Fields::of($at, 'subject_at');
            $base = $fields->numberOrNull('base_m', -500, 5000, 'm') ?? 0.0;
            $frame = new LocalFrame(GeoPoint::read(Fields::of($site->document, 'site')->group('home')));
            $point = $frame->geoPoint(new Position(
                $fields->number('east_m', -50000, 50000, 'm'), $fields->number('north_m', -50000, 50000, 'm'),
                $base + ($fields->numberOrNull('aim_m', 0, 500, 'm') ?? 1.0),
            ));

            return [...$point->toArray(), 'base_alt_m' => round($frame->origin->altitude + $base, 3)];
        }
        $id = $draft['subject_id'] ?? null;
        if ($id === null) {
            return null;
        }
        foreach ($site->subjects as $subject) {
            if ($subject['id'] === $id) {
                return [
                    ...array_intersect_key($subject, ['lat' => 1, 'lon' => 1, 'alt_m' => 1, 'base_alt_m' => 1]),
                    ...isset($subject['route']) && Catalogue::follows($draft['move']) ? self::onItsWay($site, $subject) : [],
                ];
            }
        }

        throw new Refusal(
            Fact::of('site.no-such-subject'), 'subject_id',
            Fact::of('expected.one-of', choices: array_values(array_map(strval(...), array_column($site->subjects, 'id')))),
        );
    }

    /**
     * Where a subject with a route is at which second, and what it sets off at.
     *
     * @param  array{lat: float, lon: float, alt_m: float, base_alt_m: float, route: array<string, mixed>, ...}  $subject
     * @return array{track: list<array<string, float>>, cue?: string}
     */
    private static function onItsWay(Site $site, array $subject): array
    {
        $sheet = $site->sheet();
        $frame = $sheet->frame();
        $place = $frame->position(new GeoPoint($subject['lat'], $subject['lon'], $subject['alt_m']));
        $foot = $subject['base_alt_m'] - $frame->origin->altitude;
        $above = $place->up - $foot;
        $route = Route::read(Fields::of($subject['route'], 'route'));
        // Its foot follows the ground, where somebody said how that lies.
        $lies = static fn (float $east, float $north): float => $sheet->ground === null
            ? $foot : $foot + $sheet->ground->at($east, $north) - $sheet->ground->at($place->east, $place->north);
        $track = array_map(
            static fn (array $point): array => [
                't' => $point[0], ...$frame->geoPoint($point[1]->plus(0.0, 0.0, $above))->toArray(),
            ],
            $route->track($place, $lies),
        );

        return ['track' => $track, ...$route->cue === '' ? [] : ['cue' => $route->cue]];
    }
}
