<?php

declare(strict_types=1);

namespace Tests\Core\Flight;

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Flight as FlightSeries;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** Faults made on purpose: each acts on its finger, at its time, as strongly as it is dosed; and the hands that make them by themselves. */
final class SlipTest extends TestCase
{
    /** @return iterable<string, array{Slip, float, float}> */
    public static function slips(): iterable
    {
        yield 'a kick' => [new Slip('kick', Finger::Turn, 12.0, 0.4, 0.5), 12.0, 12.5];
        yield 'a tremble' => [new Slip('tremble', Finger::Tilt, 10.0, 0.1, 4.0), 10.0, 14.0];
        yield 'a sag' => [new Slip('sag', Finger::Slide, 11.0, 0.6, 3.0), 11.0, 14.0];
        yield 'a leak' => [new Slip('leak', Finger::Slide, 11.0, 0.4, 3.0), 11.0, 14.0];
        yield 'a mismatch' => [new Slip('mismatch', Finger::Turn, 11.0, 0.4, 3.0), 11.0, 14.0];
        yield 'a bounce' => [new Slip('bounce', Finger::Climb, 10.0, 0.3, 4.0), 10.0, 14.0];
    }

    #[DataProvider('slips')]
    public function test_a_slip_acts_at_its_time_on_its_finger_and_nowhere_else(Slip $slip, float $from, float $to): void
    {
        $plan = self::plan();
        $clean = self::fly([]);
        $slipped = self::fly([$slip]);
        $onset = $plan->move->onset;
        $touched = [];
        foreach (Finger::cases() as $finger) {
            foreach ($clean->t as $k => $t) {
                $off = abs(($slipped->fingers[$finger->value][$k] ?? 0.0) - ($clean->fingers[$finger->value][$k] ?? 0.0));
                if ($off > 0.05) {
                    self::assertGreaterThanOrEqual($onset + $from - 0.05, $t, $finger->value);
                    self::assertLessThanOrEqual($onset + $to + 0.5, $t, $finger->value);
                    $touched[$finger->value] = true;
                }
            }
        }
        // A leak presses the other axis of the same thumb.
        self::assertSame([$slip->kind === 'leak' ? 'run' : $slip->finger->value], array_keys($touched));
    }

    #[DataProvider('slips')]
    public function test_half_the_dose_moves_it_half_as_far(Slip $slip, float $from, float $to): void
    {
        $most = static fn (Slip $slip): float => Statistics::greatest(array_map(
            static fn (float $a, float $b): float => abs($a - $b),
            self::fly([$slip])->fingers[$slip->kind === 'leak' ? 'run' : $slip->finger->value] ?? [0.0],
            self::fly([])->fingers[$slip->kind === 'leak' ? 'run' : $slip->finger->value] ?? [0.0],
        ));
        self::assertEqualsWithDelta(0.5, $most($slip->scaled(0.5)) / $most($slip), 0.12);
        self::assertEqualsWithDelta(0.0, $most($slip->scaled(0.0)), 1e-9);
    }

    public function test_springing_off_ends_the_press_at_once(): void
    {
        $plan = self::plan();
        $flight = self::fly([new Slip('spring', Finger::Slide, 12.0, 0.0, 8.0)]);
        $at = (int) round(($plan->move->onset + 12.0) / 0.02);

        self::assertGreaterThan(0.2, abs($flight->fingers['slide'][$at - 5] ?? 0.0));
        self::assertLessThan(0.03, abs($flight->fingers['slide'][$at + 25] ?? 1.0));
    }

    public function test_late_and_the_wrong_way(): void
    {
        $plan = self::plan();
        $onset = (int) round($plan->move->onset / 0.02);
        $late = self::fly([new Slip('late', Finger::Turn, 0.0, 1.5, 1.0)]);
        $wrong = self::fly([new Slip('wrong-way', Finger::Turn, 0.0, 1.0, 2.0)]);
        $clean = self::fly([]);
        $first = static function (FlightSeries $flight): float {
            foreach ($flight->fingers['turn'] ?? [] as $k => $x) {
                if (abs($x) > 0.03) {
                    return $flight->t[$k];
                }
            }

            return INF;
        };

        self::assertEqualsWithDelta($first($clean) + 1.5, $first($late), 0.35);
        self::assertSame(-1, ($wrong->fingers['turn'][$onset + 90] ?? 0.0) <=> 0.0);
        self::assertSame(1, ($clean->fingers['turn'][$onset + 90] ?? 0.0) <=> 0.0);
    }

    public function test_a_slip_of_a_stored_document_is_read_with_its_bounds(): void
    {
        $slip = Slip::read(Fields::of(['kind' => 'sag', 'finger' => 'run', 'at' => 4.5, 'size' => 0.7, 'length' => 2.0]));
        self::assertEquals(new Slip('sag', Finger::Run, 4.5, 0.7, 2.0), $slip);
        foreach ([
            ['kind' => 'sneeze', 'at' => 1], ['finger' => 'toe', 'at' => 1], ['at' => -1], ['at' => 1, 'size' => 99], ['kind' => 'kick'],
        ] as $document) {
            try {
                Slip::read(Fields::of($document));
                self::fail((string) json_encode($document));
            } catch (Refusal $refusal) {
                self::assertNotSame('', $refusal->place);
            }
        }
    }

    public function test_five_levels_score_in_their_order(): void
    {
        $plan = self::plan();
        $means = [];
        foreach (OperatorHabits::LEVELS as $level => $name) {
            $scores = [];
            foreach (range(1, 8) as $seed) {
                $flight = SimulatedOperator::fly($plan, OperatorHabits::named($name, $seed), new Wind(1.0, 2.0, 3.0), $seed);
                $scores[] = Scorer::scoreBetween(
                    Recorder::fair()->record($flight, $plan->shot->site->frame(), $seed), $plan->move->intent, $plan->move->onset - 0.5,
                    $plan->move->stop + 2.0,
                )->score;
            }
            $means[$level] = Statistics::mean($scores);
        }
        for ($level = 1; $level < 5; $level++) {
            self::assertGreaterThan($means[$level - 1] + 2.0, $means[$level], OperatorHabits::LEVELS[$level]);
        }
    }

    public function test_one_of_a_level_differs_from_the_next_and_is_the_same_again(): void
    {
        self::assertEquals(OperatorHabits::ofLevel(2, 5), OperatorHabits::ofLevel(2, 5));
        self::assertNotEquals(OperatorHabits::ofLevel(2, 5), OperatorHabits::ofLevel(2, 6));
    }

    public function test_without_positioning_the_craft_goes_with_the_wind(): void
    {
        $plan = self::plan();
        $still = SimulatedOperator::fly($plan, new OperatorHabits, new Wind(M_PI / 2, 2.0, 2.0), 3);
        $adrift = SimulatedOperator::fly($plan, new OperatorHabits, new Wind(M_PI / 2, 2.0, 2.0), 3, positioning: false);
        $last = $still->count() - 1;

        // The wind comes from the east, so it takes the craft to the west.
        self::assertLessThan($still->east[$last] - 8.0, $adrift->east[$last]);
    }

    public function test_a_draught_indoors_comes_and_goes_and_has_no_mean(): void
    {
        $draught = Wind::read(Fields::of(['kind' => 'draught', 'from_deg' => 40.0, 'mean_mps' => 0.0, 'gust_mps' => 0.8]));
        [$along, $across] = $draught->gusts(1.6, 0.05, 20000, 3);

        self::assertSame(0.0, $draught->meanAt(1.6));
        self::assertGreaterThan(0.02, sqrt(Statistics::variance($along)));
        self::assertLessThan(0.8, sqrt(Statistics::variance($along)));
        self::assertEqualsWithDelta(0.0, Statistics::mean($across), 0.1);
    }

    /** @param  list<Slip>  $slips */
    private static function fly(array $slips): FlightSeries
    {
        return SimulatedOperator::fly(self::plan(), new OperatorHabits(slips: $slips), Wind::still(), 1);
    }

    private static function plan(): Plan
    {
        static $plan = null;

        return $plan ??= Shots::plan(['radius_m' => 22, 'arc_deg' => 150, 'pace_mps' => 2.3]);
    }
}
