<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Demo\Rigs;
use Documents\Practice\WorldDocument;
use Documents\Rig\RigCamera;
use Documents\Wire;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\CraftModel;
use Larkspur\Practice\Conditions;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\Flown;
use Larkspur\Practice\Recording;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/**
 * The page steps a flight live, the server flies the fingers again and judges that: both must end at the same place. Ten recordings of
 * 60 s to 300 s for each model go through bin/step (the page's own module) and through core/.
 */
final class AgreementTest extends TestCase
{
    private const PLACE = 1e-3;

    private const ANGLE = 1e-2;

    /** @return iterable<string, array{CraftModel, string}> */
    public static function models(): iterable
    {
        yield 'holding its place' => [CraftModel::Positioning, 'lapwing'];
        yield 'without positioning' => [CraftModel::Free, 'curlew'];
        yield 'ducted, levelling itself' => [CraftModel::Levelling, 'wren'];
        yield 'ducted, by rates' => [CraftModel::Rates, 'wren'];
    }

    #[DataProvider('models')]
    public function test_the_page_and_the_server_end_at_the_same_place(CraftModel $model, string $rig): void
    {
        $folder = sys_get_temp_dir().'/larkspur-agreement-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $flown = $arguments = [];
        foreach ([60, 80, 100, 120, 150, 180, 210, 240, 270, 300] as $k => $seconds) {
            $exercise = self::exercise($model, $rig, 100 + $k);
            $recording = self::recording($exercise, $seconds, 7 * $k + 1, $model);
            $world = Wire::document(WorldDocument::of($exercise->world(), new RigCamera(71.6, 1.78, null)), null);
            file_put_contents("$folder/r$k.json", json_encode($recording, JSON_THROW_ON_ERROR));
            file_put_contents("$folder/w$k.json", json_encode($world, JSON_THROW_ON_ERROR));
            array_push($arguments, "$folder/r$k.json", "$folder/w$k.json");
            $flown[] = Flown::of($exercise, Recording::read(Fields::of($recording)));
        }
        $root = dirname(__DIR__, 3);
        exec('node '.escapeshellarg("$root/bin/step").' '.implode(' ', array_map(escapeshellarg(...), $arguments)).' 2>&1', $said, $code);
        array_map(unlink(...), $arguments);
        rmdir($folder);
        self::assertSame(0, $code, implode("\n", $said));
        $pages = json_decode(implode("\n", $said), true);

        self::assertCount(count($flown), $pages);
        foreach ($flown as $k => $server) {
            $page = $pages[$k];
            self::assertSame($server->flight->count() - 1, $page['steps']);
            self::assertSame($server->ending?->reason, $page['ended']);
            self::assertEqualsWithDelta($server->last->east, $page['east_m'], self::PLACE);
            self::assertEqualsWithDelta($server->last->north, $page['north_m'], self::PLACE);
            self::assertEqualsWithDelta($server->last->up, $page['up_m'], self::PLACE);
            self::assertEqualsWithDelta(rad2deg($server->last->heading), $page['heading_deg'], self::ANGLE);
            self::assertEqualsWithDelta(rad2deg($server->last->tilt), $page['tilt_deg'], self::ANGLE);
        }
        if ($model !== CraftModel::Rates) {
            // Some of them must last, or nothing was compared; without levelling they may all come down.
            self::assertNotEmpty(array_filter($pages, static fn (array $page): bool => $page['steps'] > 2500));
        }
    }

    private static function exercise(CraftModel $model, string $rig, int $seed): Exercise
    {
        $shot = Shots::document(['radius_m' => 22.0, 'arc_deg' => 120.0, 'height_m' => 70.0], [
            'rig' => Rigs::all()[$rig], 'wind' => ['from_deg' => 200.0, 'mean_mps' => 3.0, 'gust_mps' => 6.0],
            'site' => [
                'name' => 'open moor', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0],
                'solids' => [
                    [
                        'id' => 'mast', 'name' => 'the mast', 'shape' => 'cylinder', 'east_m' => 30, 'north_m' => -40,
                        'width_m' => 1, 'height_m' => 90,
                    ],
                    [
                        'id' => 'wire', 'name' => 'the wire', 'shape' => 'wire', 'points' => [[-80, 160], [90, 170]],
                        'height_m' => 60, 'sag_m' => 4,
                    ],
                ],
                'ground' => ['spots' => [['east_m' => 60, 'north_m' => 40, 'up_m' => 6], ['east_m' => -50, 'north_m' => 80, 'up_m' => -4]]],
            ],
        ]);
        $exercise = Exercise::of(
            'free', 'agreement', Shot::read(Fields::of($shot)),
            Conditions::read(Fields::of([
                'model' => $model->value, 'battery_min' => 30,
                'draught' => ['east_m' => 20, 'north_m' => 20, 'radius_m' => 30, 'toward_deg' => 70, 'speed_mps' => 1.5],
            ])),
            $seed,
        );

        return Exercise::read(Fields::of(json_decode((string) json_encode($exercise->toArray()), true)));
    }

    /** @return array<string, mixed> fingers that swell, hold and let go at random, about a throttle that keeps a ducted craft up */
    private static function recording(Exercise $exercise, int $seconds, int $seed, CraftModel $model): array
    {
        mt_srand($seed);
        $fingers = [];
        foreach (
            ['climb' => $model->isDucted() ? 0.04 : 0.3, 'turn' => 0.6, 'run' => 0.7, 'slide' => 0.5, 'tilt' => 0.4] as $finger => $reach
        ) {
            $travel = $target = 0.0;
            for ($k = 0; $k < 50 * $seconds; $k++) {
                $target = $k % 67 === 0 ? mt_rand(-1000, 1000) / 1000 * $reach : $target;
                // Without levelling the lean stays: what is pressed is taken back.
                $leans = $model === CraftModel::Rates && $finger !== 'turn' && $finger !== 'climb';
                $asked = $leans ? ($k % 134 < 67 ? 1 : -1) * 0.1 : $target;
                $travel += 0.07 * ($asked - $travel);
                $fingers[$finger][] = (int) round(1000 * $travel);
            }
        }

        return [
            'schema' => 'larkspur/recording/1', 'id' => '123e4567-e89b-12d3-a456-426614174000', 'sheet' => $exercise->world()->hash(),
            'step_s' => 0.02, 'fingers' => $fingers, 'recorded' => [[0, 50 * $seconds]], 'device' => ['kind' => 'gamepad'],
        ];
    }
}
