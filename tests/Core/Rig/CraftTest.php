<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Rig\Craft;
use Larkspur\Rig\Difference;
use Larkspur\Rig\Rig;
use Larkspur\Rig\RigFile;
use Larkspur\Rig\RigSchema;
use Larkspur\Rig\SettingsWarning;
use Larkspur\Rig\ThreeWay;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** Craft, what may be set on them, and the file that carries both. */
final class CraftTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (array_keys(Rigs::crafts()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('names')]
    public function test_a_rig_file_comes_back_whole_and_keeps_its_schema(string $name): void
    {
        $craft = self::craft($name);
        $file = new RigFile(
            $craft, $craft->setUp(['hands' => ['grip' => 'pinch', 'stick_mm' => 26.0]]), $craft->camera->focals[0], 'As it left the box',
        );
        $written = json_decode((string) json_encode($file->toArray()), true);

        self::assertEquals($file->toArray(), RigFile::read(Fields::of($written))->toArray());
        $result = (new Validator)->validate(Helper::toJSON($written), Helper::toJSON(RigSchema::file()));
        self::assertTrue($result->isValid(), (string) $result->error());
        self::assertTrue((new Validator)->validate(Helper::toJSON($written['craft']), Helper::toJSON(RigSchema::craft()))->isValid());
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string, string}> */
    public static function badFiles(): iterable
    {
        yield 'a later version' => [static fn (array $file): array => [...$file, 'schema' => 'larkspur/rig/2'], 'schema', 'version 2'];
        yield 'another schema' => [static fn (array $file): array => [...$file, 'schema' => 'larkspur/shot/1'], 'schema', 'no rig file'];
        yield 'none' => [static fn (array $file): array => array_diff_key($file, ['schema' => 1]), 'schema', 'missing'];
        yield 'quicker than its craft' => [
            static fn (array $file): array => array_replace_recursive($file, ['rig' => ['modes' => ['slow' => ['run_mps' => 30]]]]),
            'rig.modes.slow.run_mps', 'no more than',
        ];
        yield 'a limit of nothing' => [
            static fn (array $file): array => array_replace_recursive($file, ['rig' => ['modes' => ['fast' => ['turn_dps' => 0]]]]),
            'rig.modes.fast.turn_dps', 'out of range',
        ];
        yield 'a cushion out of range' => [
            static fn (array $file): array => array_replace_recursive(
                $file, ['rig' => ['modes' => ['fast' => ['gimbal' => ['cushion_s' => 25]]]]],
            ),
            'rig.modes.fast.gimbal.cushion_s', 'out of range',
        ];
        yield 'a curve that falls' => [
            static fn (array $file): array => array_replace_recursive(
                $file, ['rig' => ['modes' => ['slow' => ['curves' => ['tilt' => ['kind' => 'soft-expo', 'value' => 1.4]]]]]],
            ),
            'rig.modes.slow.curves.tilt.value', 'out of range',
        ];
        yield 'a lens that it does not carry' => [
            static fn (array $file): array => [...$file, 'focal_mm' => 300], 'focal_mm', 'no such lens',
        ];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $spoil */
    #[DataProvider('badFiles')]
    public function test_a_bad_file_is_refused_with_its_place(callable $spoil, string $place, string $words): void
    {
        $craft = self::craft('lapwing');
        try {
            RigFile::read(Fields::of($spoil((new RigFile($craft, $craft->stock, 6.7))->toArray())));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
            self::assertStringContainsString($words, said($refusal->fact));
        }
    }

    public function test_a_craft_to_begin_with_is_whole_and_unremarkable(): void
    {
        $craft = Craft::ordinary('Ruff 7');

        self::assertSame('Ruff 7', $craft->name);
        self::assertSame([], SettingsWarning::of($craft->stock));
        self::assertEquals($craft->toArray(), Craft::read(Fields::of($craft->toArray()))->inItsConvention()->toArray());
    }

    public function test_a_ducted_craft_without_a_throttle_set_up_begins_hovering_at_half(): void
    {
        $craft = Craft::read(Fields::of([...Rigs::crafts()['lapwing'], 'kind' => 'ducted']));

        self::assertSame(['ducted', 0.5], [$craft->kind, $craft->stock->ducted?->hover]);
        self::assertSame(0.5, $craft->stock->ducted?->throttle(0.5));
    }

    public function test_a_change_of_convention_says_every_curve_anew_or_refuses(): void
    {
        $document = Rigs::crafts()['lapwing'];
        $document['convention'] = 'soft-expo';
        $said = Craft::read(Fields::of($document))->inItsConvention()->stock->mode('standard');
        foreach ($said->curves as $finger => $curve) {
            self::assertSame('soft-expo', $curve->toArray()['kind'], $finger);
        }
        $document['stock']['modes']['fast']['curves']['run'] = ['kind' => 'half-stick', 'value' => 0.9];
        try {
            Craft::read(Fields::of($document))->inItsConvention();
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('The curve of run has no number in that convention.', said($refusal->fact));
        }
    }

    public function test_turn_and_tilt_may_be_quicker_in_a_slower_mode(): void
    {
        $settings = Rigs::all()['lapwing'];
        $settings['modes']['slow']['gimbal'] = ['top_rate_dps' => 44.0, 'cushion_s' => 0.3];
        $settings['modes']['slow']['turn_dps'] = 100.0;
        $rig = self::craft('lapwing')->setUp($settings);

        self::assertEqualsWithDelta(44.0, rad2deg($rig->mode('slow')->tilt), 1e-9);
        $told = array_map(static fn (SettingsWarning $oddity): string => said($oddity->text), SettingsWarning::of($rig));
        self::assertNotEmpty(array_filter($told, static fn (string $text): bool => str_contains($text, 'Tilt is quicker in slow mode')));
        self::assertNotEmpty(array_filter(
            $told, static fn (string $text): bool => str_contains($text, 'Tilt starts and stops harder in slow mode'),
        ));
        self::assertNotEmpty(array_filter($told, static fn (string $text): bool => str_contains($text, 'Turn is quicker in slow mode')));
    }

    /** A step test that finds a hair less than a rig was kept with does not make it unreadable; nothing may be set higher than either. */
    public function test_a_rig_keeps_what_it_was_kept_with_when_its_craft_is_measured_anew(): void
    {
        $kept = self::craft('lapwing')->setUp(Rigs::all()['lapwing']);
        $document = Rigs::crafts()['lapwing'];
        foreach (['run_mps', 'slide_mps', 'accelerate_mps2', 'brake_mps2'] as $name) {
            $document['stock']['modes']['standard'][$name] *= 0.98;
        }
        $slower = Craft::read(Fields::of($document));
        $settings = $kept->toArray();

        self::assertEqualsWithDelta($kept->mode('standard')->run, $slower->setUp($settings, $kept)->mode('standard')->run, 1e-9);
        $settings['modes']['standard']['run_mps'] = 1.01 * $kept->mode('standard')->run;
        foreach ([[$settings, $kept], [$kept->toArray(), null]] as [$asked, $own]) {
            try {
                $slower->setUp($asked, $own);
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertSame('modes.standard.run_mps', $refusal->place);
            }
        }
    }

    public function test_an_ordinary_set_has_nothing_odd_about_its_rates(): void
    {
        foreach (SettingsWarning::of(self::craft('lapwing')->stock) as $oddity) {
            self::assertStringNotContainsString('quicker', said($oddity->text));
        }
    }

    public function test_the_airframe_is_the_crafts_whatever_the_settings_say(): void
    {
        $rig = self::craft('curlew')->setUp(['width_m' => 3.0, 'battery_min' => 99, 'craft' => 'Another']);

        self::assertSame(['Curlew 900', 0.62, 34.0], [$rig->craft, $rig->width, $rig->batteryMinutes]);
    }

    public function test_the_lens_follows_from_sensor_and_focal_length(): void
    {
        $camera = self::craft('curlew')->camera;

        // HFOV = 2 atan(w / 2f) (any optics handbook).
        self::assertEqualsWithDelta(2 * rad2deg(atan(17.42 / 44)), rad2deg($camera->lens(22.0)->horizontal), 1e-9);
        self::assertGreaterThan($camera->lens(34.0)->horizontal, $camera->lens(22.0)->horizontal);
    }

    public function test_what_changed_between_two_versions_is_named(): void
    {
        $old = self::craft('lapwing')->stock->toArray();
        $new = array_replace_recursive(
            $old,
            ['modes' => ['standard' => ['turn_dps' => 41.0, 'curves' => ['tilt' => ['value' => 0.39]]]], 'hands' => ['grip' => 'pinch']],
        );
        $changes = Difference::between($old, $new);

        self::assertSame(
            [['standard', 'top turn', 'deg/s', 58.0, 41.0], ['standard', 'curve of tilt', '', 0.44, 0.39], ['', 'grip', '', null, 'pinch']],
            array_map(
                static fn (Difference $change): array => [$change->mode, said($change->name), $change->unit, $change->from, $change->to],
                $changes,
            ),
        );
        self::assertSame([], Difference::between($old, $old));
        self::assertCount(3, Difference::between($new, $old));
    }

    public function test_of_two_savers_only_what_both_changed_differently_is_in_dispute(): void
    {
        $base = self::craft('lapwing')->stock->toArray();
        $change = static fn (array $of): array => array_replace_recursive($base, ['modes' => ['standard' => $of]]);
        $way = ThreeWay::between(
            $base, $change(['turn_dps' => 41.0, 'slide_mps' => 6.0, 'run_mps' => 8.0]),
            $change(['turn_dps' => 35.0, 'climb_mps' => 3.0, 'run_mps' => 8.0]),
        );

        self::assertSame(['modes.standard.turn_dps'], $way->both);
        self::assertCount(3, $way->theirs);
        self::assertCount(3, $way->mine);
    }

    public function test_a_rig_of_todays_form_without_hands_is_still_read(): void
    {
        self::assertNull(Rig::read(Fields::of(Rigs::all()['lapwing']))->hands);
    }

    private static function craft(string $name): Craft
    {
        return Craft::read(Fields::of(Rigs::crafts()[$name]));
    }
}
