<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Documents\Rig\RigCamera;
use Documents\Rig\RigReadingDocument;
use Documents\Wire;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Rig\Craft;
use Larkspur\Rig\CurveKinds;
use Larkspur\Rig\HalfStickCurve;
use Larkspur\Rig\Hands;
use Larkspur\Rig\Rig;
use Larkspur\Rig\SettingsEffect;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Words\Speaker;

use function Tests\said;

final class RigTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function rigs(): iterable
    {
        foreach (Rigs::all() as $name => $rig) {
            yield $name => [$rig];
        }
    }

    /** @param  array<string, mixed>  $document */
    #[DataProvider('rigs')]
    public function test_a_rig_comes_back_as_it_was_read(array $document): void
    {
        $rig = Rig::read(Fields::of($document));

        self::assertEqualsWithDelta($rig, Rig::read(Fields::of($rig->toArray())), 1e-9);
        self::assertSame(['slow', 'standard', 'fast'], array_keys($rig->modes));
    }

    /** @param  array<string, mixed>  $document */
    #[DataProvider('rigs')]
    public function test_travel_and_rate_are_inverse_in_every_mode(array $document): void
    {
        foreach (Rig::read(Fields::of($document))->modes as $mode) {
            foreach (Finger::cases() as $finger) {
                foreach ([-1.0, -0.4, -0.05, 0.0, 0.2, 0.65, 1.0] as $travel) {
                    self::assertEqualsWithDelta($travel, $mode->travelFor($finger, $mode->asked($finger, $travel)), 1e-9);
                }
                self::assertEqualsWithDelta($mode->top($finger), $mode->asked($finger, 1.0), 1e-9, 'a curve never lowers the top rate');
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badCurves(): iterable
    {
        yield 'a half-stick number of one' => [['kind' => 'half-stick', 'value' => 1.0], 'value'];
        yield 'a percent read as a share' => [['kind' => 'half-stick-percent', 'value' => 0.4], 'value'];
        yield 'an expo that falls on the way' => [['kind' => 'soft-expo', 'value' => 1.2], 'value'];
        yield 'an end rate below the centre' => [['kind' => 'rates', 'centre' => 90, 'end' => 40], 'end'];
        yield 'an unknown convention' => [['kind' => 'bent', 'value' => 0.5], 'kind'];
        yield 'no number' => [['kind' => 'half-stick', 'value' => 'soft'], 'value'];
    }

    /**
     * @param  array<string, mixed>  $curve
     * @param  non-empty-string  $place
     */
    #[DataProvider('badCurves')]
    public function test_numbers_without_meaning_in_their_convention_are_refused(array $curve, string $place): void
    {
        try {
            CurveKinds::read(Fields::of($curve));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertStringEndsWith($place, $refusal->place);
            self::assertNotNull($refusal->expected);
        }
    }

    public function test_a_rig_names_the_very_place_of_a_fault(): void
    {
        $document = Rigs::all()['curlew'];
        $document['modes']['slow']['lag_s']['turn'] = -1;
        try {
            Rig::read(Fields::of($document));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('modes.slow.lag_s.turn', $refusal->place);
            self::assertSame('a number from 0 to 5 s', said($refusal->expected));
        }
    }

    public function test_thumbs_follow_the_stick_mode_and_axes_do_not(): void
    {
        // Modes 1 to 4 as transmitters number them (common practice, no published source).
        $left = static fn (StickMode $mode): array => array_values(array_map(
            static fn (Finger $finger): string => $finger->value,
            array_filter(Finger::cases(), static fn (Finger $finger): bool => str_starts_with(said($mode->thumb($finger)), 'Left')),
        ));
        self::assertSame(['turn', 'run'], $left(StickMode::Mode1));
        self::assertSame(['climb', 'turn'], $left(StickMode::Mode2));
        self::assertSame(['run', 'slide'], $left(StickMode::Mode3));
        self::assertSame(['climb', 'slide'], $left(StickMode::Mode4));
        self::assertSame(['left' => [Finger::Turn, Finger::Run], 'right' => [Finger::Slide, Finger::Climb]], StickMode::Mode1->pads());
        self::assertSame(['left' => [Finger::Slide, Finger::Climb], 'right' => [Finger::Turn, Finger::Run]], StickMode::Mode4->pads());
        self::assertSame('Index finger', said(StickMode::Mode3->thumb(Finger::Tilt)));
    }

    public function test_the_meaning_of_a_rig_is_in_the_units_of_the_field(): void
    {
        $craft = Craft::read(Fields::of(Rigs::crafts()['lapwing']));
        $camera = new RigCamera(71.6, 1.78, null);
        $effect = new SettingsEffect($craft, $craft->stock->mode('standard'), $craft->camera->lens(), new Hands);
        $meaning = Wire::document(RigReadingDocument::of(1, $craft->stock, $camera, $effect, []), new Speaker);
        $turn = $meaning['fingers'][1];
        $slide = $meaning['fingers'][3];

        self::assertSame('standard', $meaning['mode']);
        self::assertSame('deg/s', $turn['unit']);
        self::assertEqualsWithDelta(58.0, $turn['top'], 0.01);
        self::assertEqualsWithDelta(58 * 0.33, $turn['half_stick'], 0.01);
        // Braking from v at b covers v^2 / 2b, and the tail of the lag b tau^2 / 2 more (elementary mechanics).
        self::assertEqualsWithDelta(9.2 ** 2 / 7.6 + 3.8 * 0.38 ** 2 / 2, $meaning['brake_m'], 0.01);
        // A turn of the whole field of view is one picture width; at 20 m a lens of 71.6 degrees sees 28.8 m.
        self::assertEqualsWithDelta(58 / 71.6, $turn['top_widths'], 0.001);
        self::assertEqualsWithDelta(8.3 / (2 * 20 * tan(deg2rad(35.8))), $slide['top_widths'], 0.001);
        self::assertEquals(
            ['rate' => 81.2, 'cushion' => 11.3, 'rate_per_dps' => 1.4, 'cushion_per_s' => 21], $turn['own'], 'the craft’s own numbers',
        );
        self::assertNull($slide['own']);
        self::assertSame(110.0, $turn['ceiling']);
        $percent = array_column($turn['says'], null, 'kind')['half-stick-percent'];
        self::assertSame(['same', 33.0], [$percent['closeness'], $percent['curve']['value']]);
        // The finest dependable nudge about half stick: twice the tremble, through the slope k x^(k-1) of the curve there.
        $k = log(0.33) / log(0.5);
        self::assertEqualsWithDelta(58 * $k * 0.5 ** ($k - 1) * (new Hands)->nudge(), $turn['nudge'], 0.01);
    }

    public function test_one_curve_in_two_conventions_is_one_curve(): void
    {
        self::assertSame(['kind' => 'half-stick-percent', 'value' => 42.0], (new HalfStickCurve(0.42, true))->toArray());
        self::assertSame((new HalfStickCurve(0.42))->output(0.3), (new HalfStickCurve(0.42, true))->output(0.3));
    }
}
