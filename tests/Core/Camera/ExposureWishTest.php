<?php

declare(strict_types=1);

namespace Tests\Core\Camera;

use Demo\Rigs;
use Larkspur\Camera\CraftCamera;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Camera\ExposureWish;
use Larkspur\Camera\Scene;
use Larkspur\Choreography\Brief;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;
use Larkspur\Rig\Craft;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a camera is to be set for, as it is kept with a shot. */
final class ExposureWishTest extends TestCase
{
    /** Stops of filter are log2 of the metered over the wanted shutter: five from 1/1600 to 1/50, six from 1/3200, three from 1/400. */
    public function test_a_typed_meter_gives_its_stops(): void
    {
        foreach ([1600 => [5.0, 32.0], 3200 => [6.0, 64.0], 400 => [3.0, 8.0]] as $shutter => [$stops, $factor]) {
            $plan = self::plan(['fps' => 25, 'meter_shutter' => $shutter]);
            self::assertEqualsWithDelta($stops, $plan->stops, 1e-9);
            self::assertSame($factor, $plan->filter->factor);
        }
        // A meter that stood at ISO 400 and f/5.6 while the camera is at 100 and f/2.8: two stops and two stops less light than it says.
        $there = self::plan(['fps' => 25, 'aperture' => 2.8, 'meter_shutter' => 1600, 'meter_iso' => 400, 'meter_aperture' => 5.6]);
        self::assertEqualsWithDelta(5.0 + 2.0 - 2.0, $there->stops, 1e-9);
    }

    public function test_an_empty_bag_is_no_bag_that_nobody_spoke_of(): void
    {
        $none = self::plan(['fps' => 25, 'meter_shutter' => 1600, 'filters' => []]);
        self::assertSame(1.0, $none->filter->factor);
        self::assertContains('exposure-plan.no-filter-there', self::said($none));
        self::assertSame(32.0, self::plan(['fps' => 25, 'meter_shutter' => 1600])->filter->factor);
    }

    /** Civil twilight ends with the sun at -6 degrees, nautical at -12 (US Naval Observatory, definitions; from memory). */
    public function test_without_meter_or_word_the_light_follows_the_sun(): void
    {
        $skies = [[40.0, Scene::Sun], [3.0, Scene::Low], [-3.0, Scene::Dusk], [-9.0, Scene::Blue], [-30.0, Scene::Night]];
        foreach ($skies as [$deg, $scene]) {
            self::assertSame($scene, Scene::under($deg * Angle::DEGREE));
            $plan = self::plan([], $deg * Angle::DEGREE);
            self::assertSame([$scene->value(), $scene], [$plan->scene, $plan->estimate]);
            // Kept as it was estimated, it says the same where no hour is known.
            self::assertSame($plan->scene, self::plan(['scene' => $plan->estimate->value])->scene);
        }
        self::assertSame(Scene::Cloud->value(), self::plan(['scene' => 'cloud'], -0.5)->scene, 'What somebody said stands.');
    }

    public function test_both_edges_of_the_histogram_are_read_and_hints_have_their_reason(): void
    {
        self::assertContains('histogram.picture-white-ever-lower', self::said(self::plan(['clipped' => 3])));
        self::assertContains('histogram.picture-black-raise-exposure', self::said(self::plan(['crushed' => 30])));
        self::assertContains('exposure-plan.iso-higher-than-needed', self::said(self::plan(['iso' => 800])));
        self::assertNotContains('exposure-plan.iso-higher-than-needed', self::said(self::plan(['iso' => 100])));
    }

    public function test_it_is_kept_with_the_brief_and_comes_back_whole(): void
    {
        $said = [
            'fps' => 25.0, 'iso' => 200.0, 'meter_shutter' => 1600.0, 'filters' => [8.0, 64.0], 'kelvin' => 5600, 'automatic_white' => true,
        ];
        $brief = Brief::read(Fields::of(['exposure' => $said]));
        self::assertEquals($said, $brief->toArray()['exposure'] ?? null);
        self::assertEquals($brief, Brief::read(Fields::of($brief->toArray())));
        self::assertArrayNotHasKey('exposure', (new Brief)->toArray());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no light at all' => [['iso' => 0], 'iso'];
        yield 'an ISO of fancy' => [['iso' => 1e9], 'iso'];
        yield 'a candle of white' => [['kelvin' => 100], 'kelvin'];
        yield 'a filter of nothing' => [['filters' => [0]], 'filters.0'];
        yield 'a shutter of nothing' => [['meter_shutter' => 0], 'meter_shutter'];
        yield 'more than the picture' => [['clipped' => 60, 'crushed' => 60], 'clipped'];
    }

    /** @param  array<string, mixed>  $wish */
    #[DataProvider('refused')]
    public function test_what_means_nothing_is_refused_at_its_place(array $wish, string $place): void
    {
        try {
            self::plan($wish);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
        }
    }

    /** @return list<string> */
    private static function said(ExposurePlan $plan): array
    {
        return array_map(static fn (Fact $one): string => $one->code, $plan->warnings);
    }

    /** @param  array<string, mixed>  $wish */
    private static function plan(array $wish, ?float $sun = null): ExposurePlan
    {
        $camera = self::camera();

        return ExposureWish::read(Fields::of($wish))->plan($camera, $camera->focals[0], $sun);
    }

    private static function camera(): CraftCamera
    {
        return Craft::read(Fields::of(Rigs::crafts()['curlew']))->camera;
    }
}
