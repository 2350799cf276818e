<?php

declare(strict_types=1);

namespace Tests\Core\Camera;

use Larkspur\Camera\Composition;
use Larkspur\Camera\Lens;
use Larkspur\Camera\View;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From a wanted picture to where the lens must be: what is solved for is projected back, and is the picture that was wanted. */
final class CompositionTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, float}> */
    public static function pictures(): iterable
    {
        yield 'a stack in the middle, horizon on the upper third' => [5.0, 0.35, 0.0, 1 / 6, 70.0];
        yield 'low in the frame' => [12.0, 0.5, -0.2, 0.2, 84.0];
        yield 'level' => [3.0, 0.2, 0.05, 0.0, 40.0];
        yield 'horizon out of the frame' => [8.0, 0.25, 0.1, 0.8, 60.0];
        yield 'seen from below' => [20.0, 0.6, 0.1, -0.3, 70.0];
    }

    #[DataProvider('pictures')]
    public function test_the_solved_picture_is_the_wanted_one(
        float $subject, float $fills, float $middle, float $horizon, float $field,
    ): void {
        $lens = new Lens($field * Angle::DEGREE);
        $found = Composition::withHorizon($lens, $subject, $fills, $middle, $horizon);
        $view = new View(new Position(0, -$found->distance, $found->height), 0.0, $found->tilt, $lens);
        $top = $view->project(new Position(0, 0, $subject));
        $foot = $view->project(new Position(0, 0, 0));

        self::assertNotNull($top);
        self::assertNotNull($foot);
        self::assertEqualsWithDelta($fills, $top->v - $foot->v, 1e-9);
        self::assertEqualsWithDelta($middle, ($top->v + $foot->v) / 2, 1e-9);
        self::assertEqualsWithDelta($horizon, $view->horizon(), 1e-9);
    }

    /** @return iterable<string, array{float, float, float, float}> */
    public static function heights(): iterable
    {
        yield 'eye level' => [5.0, 0.35, 0.0, 1.7];
        yield 'above its top' => [5.0, 0.35, 0.0, 9.0];
        yield 'far above' => [2.0, 0.1, 0.0, 10.0];
        yield 'off the middle' => [5.0, 0.3, -0.15, 6.0];
    }

    #[DataProvider('heights')]
    public function test_from_a_height_the_tilt_follows(float $subject, float $fills, float $middle, float $height): void
    {
        $lens = new Lens(72 * Angle::DEGREE);
        $found = Composition::fromHeight($lens, $subject, $fills, $middle, $height);
        $view = new View(new Position(0, -$found->distance, $found->height), 0.0, $found->tilt, $lens);

        self::assertEqualsWithDelta($height, $found->height, 1e-6);
        self::assertEqualsWithDelta(
            $fills, ($view->project(new Position(0, 0, $subject))->v ?? 0.0) - ($view->project(new Position(0, 0, 0))->v ?? 0.0), 1e-6,
        );
    }

    public function test_further_away_it_is_smaller(): void
    {
        $lens = new Lens(70 * Angle::DEGREE);
        $near = Composition::withHorizon($lens, 4.0, 0.6, 0.0, 0.1);
        $far = Composition::withHorizon($lens, 4.0, 0.15, 0.0, 0.1);

        self::assertGreaterThan($near->distance, $far->distance);
        self::assertSame($near->tilt, $far->tilt);
    }

    /** @return iterable<string, array{callable(Lens): Composition}> */
    public static function impossible(): iterable
    {
        yield 'no height' => [static fn (Lens $lens): Composition => Composition::withHorizon($lens, 0.0, 0.3, 0.0, 0.0)];
        yield 'all of the frame' => [static fn (Lens $lens): Composition => Composition::withHorizon($lens, 3.0, 1.0, 0.0, 0.0)];
        yield 'looking straight down' => [
            static fn (Lens $lens): Composition => Composition::seenAt($lens, 3.0, 0.4, 0.0, -80 * Angle::DEGREE),
        ];
        yield 'from too high' => [static fn (Lens $lens): Composition => Composition::fromHeight($lens, 3.0, 0.5, 0.0, 300.0)];
    }

    /** @param  callable(Lens): Composition  $solve */
    #[DataProvider('impossible')]
    public function test_a_picture_that_nobody_can_take_is_refused_with_what_would_do(callable $solve): void
    {
        try {
            $solve(new Lens(70 * Angle::DEGREE));
            self::fail('There is such a picture.');
        } catch (Refusal $refusal) {
            self::assertNotNull($refusal->expected);
            self::assertStringStartsWith('frame', $refusal->place);
        }
    }
}
