<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where the subject sits in the frame, what of a miss is forgiven, and what crop puts it right. */
final class FramingTest extends TestCase
{
    /** Frame offset of an aim error e: tan(e) / (2 tan(HFOV / 2)) of the width (plane geometry). */
    private static function offset(float $degrees): float
    {
        return tan(deg2rad($degrees)) / (2 * tan(deg2rad(35.0)));
    }

    /** @return iterable<string, array{float, float}> */
    public static function aimErrors(): iterable
    {
        // Derived, and agreed with the trade's own table: 1 degree at 70 degrees is 1.25 % of the width, 3.5 is 4.4, 5 is 6.3.
        yield '1 degree' => [1.0, 1.25];
        yield '3.5 degrees' => [3.5, 4.4];
        yield '5 degrees' => [5.0, 6.3];
    }

    #[DataProvider('aimErrors')]
    public function test_an_aim_error_moves_the_subject_as_geometry_says(float $degrees, float $percent): void
    {
        self::assertEqualsWithDelta($percent, 100 * self::offset($degrees), 0.06);
        $score = self::withHeading(static fn (float $t): float => $degrees * sin(2 * M_PI * 0.09 * $t));
        $most = Statistics::greatest(Series::sizes($score->measured->framing->u));

        // Swung to and fro a fitted pin explains none of it.
        self::assertEqualsWithDelta(self::offset($degrees), $most, 0.1 * self::offset($degrees));
    }

    public function test_a_pin_a_metre_off_is_forgiven(): void
    {
        $log = ClosedForm::log();
        $moved = ClosedForm::intent()->toArray();
        $moved['subject']['lat'] += 0.9 / 111_000;
        $clean = Scorer::score($log, ClosedForm::intent());
        $score = Scorer::score($log, \Larkspur\Move\Intent::read(\Larkspur\Fields::of($moved)));

        self::assertLessThan(0.2, $clean->measured->framing->offset);
        self::assertEqualsWithDelta(0.9, $score->measured->framing->offset, 0.25);
        self::assertGreaterThan($clean->score - 4.0, $score->score);
    }

    public function test_a_pin_five_metres_off_is_not(): void
    {
        $moved = ClosedForm::intent()->toArray();
        $moved['subject']['lat'] += 5.0 / 111_000;
        $score = Scorer::score(ClosedForm::log(), \Larkspur\Move\Intent::read(\Larkspur\Fields::of($moved)));

        self::assertGreaterThan(1.2, $score->measured->framing->offset);
        self::assertLessThan(80.0, $score->parts->scores['framing']);
    }

    public function test_the_rescue_crop_is_twice_the_stray(): void
    {
        $score = self::withHeading(static fn (float $t): float => 4.0 * sin(2 * M_PI * 0.09 * $t));

        self::assertEqualsWithDelta(2 * $score->measured->framing->stray, $score->crop->drift, 1e-9);
        self::assertEqualsWithDelta(2 * self::offset(4.0), $score->crop->drift, 0.02);
    }

    public function test_the_aim_of_the_shot_is_what_counts_and_not_the_middle(): void
    {
        // The lens looks to the left of the subject, so that it sits on the right third line.
        $left = -rad2deg(atan(2 * tan(deg2rad(35.0)) / 6));
        $log = ClosedForm::log(['heading' => static fn (): float => $left]);
        $thirds = \Larkspur\Move\Intent::read(\Larkspur\Fields::of([
            ...ClosedForm::intent()->toArray(), 'aim' => ['x' => 2 / 3, 'y' => 0.5],
        ]));
        $asPlanned = Scorer::score($log, $thirds);
        $asMiddle = Scorer::score($log, ClosedForm::intent());

        self::assertGreaterThan(95.0, $asPlanned->parts->scores['framing']);
        self::assertLessThan(30.0, $asMiddle->parts->scores['framing']);
    }

    public function test_a_subject_behind_the_lens_is_far_off_and_not_an_error(): void
    {
        $score = self::withHeading(static fn (float $t): float => $t > 14 ? 170.0 : 0.0);

        self::assertLessThan(25.0, $score->parts->scores['framing']);
        foreach ($score->measured->framing->u as $u) {
            self::assertTrue(is_finite($u));
        }
    }

    public function test_looking_too_low_by_a_degree_is_seen_in_height(): void
    {
        $swing = ClosedForm::score(['tilt' => static fn (float $t): float => 2.0 * sin(2 * M_PI * 0.08 * $t)]);
        $framing = $swing->measured->framing;

        self::assertGreaterThan(3 * Statistics::greatest(Series::sizes($framing->u)), Statistics::greatest(Series::sizes($framing->v)));
    }

    /** @param  callable(float): float  $heading */
    private static function withHeading(callable $heading): Score
    {
        return ClosedForm::score(['heading' => $heading]);
    }
}
