<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Rigs;
use Documents\Light\ExposureDocument;
use Documents\Wire;
use Larkspur\Camera\Exposure;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Camera\Histogram;
use Larkspur\Camera\NdFilter;
use Larkspur\Camera\Scene;
use Larkspur\Camera\Sharpness;
use Larkspur\Camera\Shutter;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Rig\Craft;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/**
 * Exposure against tables by ISO 2720, APEX (ANSI PH2.12), ISO 516 and ANSI PH2.7-1986 (all from memory, recomputed by two routes), and
 * against any optics handbook (S. F. Ray, Applied Photographic Optics) for diffraction and depth of field.
 */
final class ExposureTest extends TestCase
{
    public function test_the_shutter_that_a_frame_rate_wants(): void
    {
        foreach (Reference::table('shutter') as [$fps, $half, , $nearest, $off, $angle]) {
            $rate = eval('return '.explode(' ', (string) $fps)[0].';');
            $wanted = Shutter::wanted((float) $rate);
            self::assertEqualsWithDelta(1 / (float) substr((string) $half, 2), $wanted->seconds, 1e-7);
            self::assertSame($nearest, $wanted->nearest()->words());
            self::assertEqualsWithDelta(Reference::number($off), $wanted->nearest()->stopsOver($wanted), 1e-4);
            self::assertEqualsWithDelta((float) $angle, $wanted->nearest()->angle((float) $rate), 1e-3);
        }
        // Common practice, no published source: 30 wants 1/60, 24 and 25 want 1/50.
        self::assertSame(
            ['1/60', '1/50', '1/50'],
            array_map(static fn (float $fps): string => Shutter::wanted($fps)->nearest()->words(), [30.0, 24.0, 25.0]),
        );
    }

    public function test_exposure_values(): void
    {
        foreach (Reference::table('ev') as [$aperture, $shutter, $iso, $value, $scene]) {
            $exposure = new Exposure((float) $aperture, Shutter::ofPart((float) substr((string) $shutter, 2)), (float) $iso);
            self::assertEqualsWithDelta((float) $value, $exposure->value(), 1e-4);
            self::assertEqualsWithDelta((float) $scene, $exposure->scene(), 1e-4);
        }
    }

    public function test_filters(): void
    {
        foreach (Reference::table('nd') as [$name, $stops, $density]) {
            $filter = new NdFilter((float) substr((string) $name, 2));
            self::assertEqualsWithDelta((float) $stops, $filter->stops(), 1e-4);
            self::assertEqualsWithDelta((float) $density, $filter->density(), 1e-4);
            self::assertSame($name, said($filter->words()));
        }
        foreach (Reference::table('nd-choice') as [$scene, $iso, $aperture, $target, , $stops, $nearest, $left]) {
            $exposure = new Exposure((float) $aperture, Shutter::ofPart((float) substr((string) $target, 2)), (float) $iso);
            $needed = $exposure->filterFor((float) $scene);
            self::assertEqualsWithDelta(Reference::number($stops), $needed, 1e-3);
            $filter = NdFilter::nearest($needed, NdFilter::COMMON);
            self::assertSame($nearest === 'none' ? 'no filter' : $nearest, said($filter->words()));
            self::assertEqualsWithDelta(Reference::number($left), $needed - $filter->stops(), 1e-3);
        }
    }

    public function test_a_meter_at_1_1600_wants_five_stops_at_1_50(): void
    {
        // The field guide's derived value: 1/1600 metered, 1/50 wanted, 5 stops.
        $metered = new Exposure(2.8, Shutter::ofPart(1600), 200);

        self::assertEqualsWithDelta(5.0, (new Exposure(2.8, Shutter::ofPart(50), 200))->filterFor($metered->scene()), 1e-9);
    }

    public function test_diffraction_and_depth_of_field(): void
    {
        foreach (Reference::table('diffraction') as [$sensor, , $strict, $half, $lenient]) {
            self::assertSame(1, preg_match('/([\d.]+) mm \/ (\d+) px/', (string) $sensor, $m));
            foreach ([[2.0, $strict], [2.5, $half], [3.0, $lenient]] as [$across, $limit]) {
                self::assertEqualsWithDelta((float) $limit, Sharpness::diffractionLimit((float) $m[1], (float) $m[2], $across), 1e-3);
            }
        }
        foreach (Reference::table('hyperfocal') as [$lens, $aperture, $circle, $distance, , $near, $far]) {
            self::assertSame(1, preg_match('/, ([\d.]+) mm/', (string) $lens, $m));
            self::assertEqualsWithDelta((float) $distance, Sharpness::hyperfocal((float) $m[1], (float) $aperture, (float) $circle), 1e-3);
            [$from, $to] = Sharpness::field((float) $m[1], (float) $aperture, (float) $circle, 10.0);
            self::assertEqualsWithDelta((float) $near, $from, 1e-3);
            self::assertSame($far === '∞', $to === null);
            if ($to !== null) {
                self::assertEqualsWithDelta((float) $far, $to, 1e-3);
            }
        }
    }

    public function test_estimates_of_a_scene_lie_in_the_table(): void
    {
        // ANSI PH2.7-1986, from memory, good to one stop.
        self::assertSame(
            [16.0, 15.0, 14.0, 13.0, 12.0],
            array_map(
                static fn (Scene $scene): float => $scene->value(), [Scene::Bright, Scene::Sun, Scene::Haze, Scene::Cloud, Scene::Overcast],
            ),
        );
        self::assertGreaterThanOrEqual(9.0, Scene::Dusk->value());
        self::assertLessThanOrEqual(11.0, Scene::Dusk->value());
        foreach (Scene::cases() as $scene) {
            self::assertGreaterThan(2500, $scene->kelvin());
            self::assertLessThan(10000, $scene->kelvin());
        }
    }

    public function test_a_histogram_is_read_by_its_right_edge(): void
    {
        // Common practice, no published source: -0.7, -1, -1.3.
        self::assertSame([0.0, 0.0, -0.7, -1.0, -1.3, 0.7], array_map(static fn (Histogram $h): float => $h->change(), [
            new Histogram(0), new Histogram(0.3), new Histogram(1.2), new Histogram(4), new Histogram(15), new Histogram(0, 34),
        ]));
        self::assertStringContainsString('white for ever', said((new Histogram(4))->words()));
        $this->expectException(Refusal::class);
        new Histogram(80, 40);
    }

    public function test_a_plan_of_exposure_says_what_is_wrong_with_it(): void
    {
        $plan = self::plan(2.8, 100, Scene::Sun);
        self::assertSame('1/50', $plan['shutter']['set']);
        self::assertSame('ND64', said($plan['filter']['use']));
        self::assertSame([], $plan['warnings']);

        self::assertStringContainsString('automatic', said(self::plan(2.8, 100, Scene::Sun, automatic: true)['warnings'][0]));
        self::assertStringContainsString('Too dark by', said(self::plan(2.8, 100, Scene::Night)['warnings'][0]));
        self::assertStringContainsString(
            'take it off', implode(' ', array_map(said(...), self::plan(2.8, 6400, Scene::Night)['warnings'])),
        );
        self::assertStringContainsString('diffraction', implode(' ', array_map(said(...), self::plan(8.0, 100, Scene::Sun)['warnings'])));
        self::assertStringContainsString(
            'white for ever', implode(' ', array_map(said(...), self::plan(2.8, 100, Scene::Sun, clipped: 3.0)['warnings'])),
        );
        self::assertStringContainsString(
            'too bright', implode(' ', array_map(said(...), self::plan(2.8, 100, Scene::Sun, bag: [4])['warnings'])),
        );
        self::assertSame('no filter', said(self::plan(2.8, 100, Scene::Sun, bag: [])['filter']['use']));
    }

    /** @return iterable<string, array{callable(): mixed}> */
    public static function refused(): iterable
    {
        yield 'no frame rate' => [static fn (): Shutter => Shutter::wanted(0.0)];
        yield 'no time' => [static fn (): Shutter => Shutter::ofPart(0.0)];
        yield 'not a number' => [static fn (): Shutter => Shutter::wanted(NAN)];
        yield 'no aperture' => [static fn (): Exposure => new Exposure(0.0, Shutter::ofPart(50), 100)];
        yield 'no ISO' => [static fn (): Exposure => new Exposure(2.8, Shutter::ofPart(50), -100)];
        yield 'half a filter' => [static fn (): NdFilter => new NdFilter(0.5)];
        yield 'an aperture that the lens has not' => [static fn (): array => self::plan(22.0, 100, Scene::Sun)];
    }

    /** @param  callable(): mixed  $ask */
    #[DataProvider('refused')]
    public function test_nonsense_is_refused(callable $ask): void
    {
        $this->expectException(Refusal::class);
        $ask();
    }

    /**
     * @param  list<int>  $bag
     * @return array<string, mixed>
     */
    private static function plan(
        float $aperture, float $iso, Scene $scene, bool $automatic = false, float $clipped = 0.0, array $bag = NdFilter::COMMON,
    ): array {
        $camera = Craft::read(Fields::of(Rigs::crafts()['curlew']))->camera;
        $plan = ExposurePlan::of(
            $camera, $camera->focals[0], 25.0, $iso, $aperture, $scene, null, $bag, null, $automatic, histogram: new Histogram($clipped),
        );

        return Wire::document(ExposureDocument::of($plan, $camera), null);
    }
}
