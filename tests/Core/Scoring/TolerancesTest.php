<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Fields;
use Larkspur\Flight\Recorder;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\AsPlanned\Tolerances;
use Larkspur\Scoring\JudgingStyle;
use Larkspur\Scoring\Scorer;
use PHPUnit\Framework\TestCase;
use Tests\Core\Displaced;
use Tests\Core\MoveDraw;

/** A school's own tolerances: read and written, held to their limits, and judged by. */
final class TolerancesTest extends TestCase
{
    public function test_what_is_written_is_read_again_and_what_is_left_out_is_ordinary(): void
    {
        $own = JudgingStyle::read(Fields::of(['crop_budget_percent' => 40, 'tolerances' => ['heading_deg' => 3, 'pace_percent' => 10]]));

        self::assertEqualsWithDelta(3 * Angle::DEGREE, $own->tolerances->heading, 1e-9);
        self::assertEqualsWithDelta(0.1, $own->tolerances->pace, 1e-9);
        self::assertEqualsWithDelta((new Tolerances)->tilt, $own->tolerances->tilt, 1e-9);
        self::assertEqualsWithDelta(0.4, $own->cropBudget, 1e-9);
        self::assertEquals($own, JudgingStyle::read(Fields::of($own->toArray())));
        self::assertEquals(new JudgingStyle, JudgingStyle::read(Fields::of([])));
        self::assertSame(array_keys($own->tolerances->toArray()), array_keys(Tolerances::limits()));
    }

    public function test_one_that_lets_nothing_or_everything_pass_is_refused(): void
    {
        foreach (Tolerances::limits() as $name => [$least, $most]) {
            foreach ([$least - 1, $most + 1] as $beyond) {
                try {
                    Tolerances::read(Fields::of([$name => $beyond]));
                    self::fail("$name of $beyond was taken.");
                } catch (Refusal $refusal) {
                    self::assertSame($name, $refusal->place);
                }
            }
        }
    }

    public function test_the_same_take_is_nearer_to_a_lenient_school(): void
    {
        $plan = null;
        foreach (MoveDraw::feasible('orbit', 3, 4, 0.4) as $plan) {
            break;
        }
        self::assertNotNull($plan);
        $subject = $plan->move->subject?->first() ?? self::fail('An orbit has a subject.');
        // A fifth more of the radius.
        $wide = Displaced::flown($plan, static fn (Position $place, float $t): Position => $place->plus(
            0.2 * ($place->east - $subject->east), 0.2 * ($place->north - $subject->north), 0.0,
        ));
        $log = (new Recorder(25.0))->record($wide, $plan->shot->site->frame());
        $judged = static fn (float $length): ?PlanMatch => Scorer::score($log, $plan->move->intent, style: new JudgingStyle(
            tolerances: new Tolerances(place: 0.5, length: $length),
        ))->plan;
        $radius = static fn (?PlanMatch $match): float => array_column($match->figures ?? [], 'off', 'id')['radius']
            ?? self::fail('No radius.');

        self::assertGreaterThan(2 * $radius($judged(0.4)), $radius($judged(0.08)));
        self::assertNotSame($judged(0.4)?->verdict, $judged(0.03)?->verdict);
    }
}
