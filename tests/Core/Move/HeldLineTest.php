<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Demo\Rigs;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Measure\SeededNoise;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Rig\Rig;
use Larkspur\Scoring\Expectation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** Lift and drop with tilt, pull-away and push-in from high: straight ways on which the tilt holds the subject. */
final class HeldLineTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function moves(): iterable
    {
        foreach (['lift-and-tilt', 'drop-and-tilt', 'pull-away', 'push-in-from-high'] as $seed => $move) {
            yield $move => [$move, $seed];
        }
    }

    #[DataProvider('moves')]
    public function test_fifty_feasible_ones_fly_as_planned_and_score_full(string $move, int $seed): void
    {
        $flown = 0;
        foreach (self::draw($move, 40 + $seed) as $plan) {
            $flight = Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune());
            $planned = $plan->move->flight;
            $size = $planned->position(0)->minus($planned->position($planned->count() - 1))->length();
            $worst = 0.0;
            foreach (range(0, $flight->count() - 1, 10) as $i) {
                $worst = max($worst, $flight->position($i)->minus($planned->position($i))->length() / $size);
            }
            $words = $move.' '.json_encode($plan->move->intent->parameters).' '.$plan->shot->rig->craft.' '.$plan->shot->mode;
            $score = Expectation::of($plan)->score;
            self::assertLessThan(0.005, $worst, $words);
            self::assertNotNull($score, $words);
            self::assertGreaterThanOrEqual(97.0, $score->score, $words);
            if (++$flown >= 50) {
                break;
            }
        }
        self::assertSame(50, $flown);
    }

    #[DataProvider('moves')]
    public function test_the_subject_keeps_its_place_from_the_first_picture_to_the_last(string $move): void
    {
        $document = Shots::document();
        $document['intent'] = [...$document['intent'], 'move' => $move, 'aim' => ['x' => 0.4, 'y' => 0.62]];
        $plan = Planner::plan(Shot::read(Fields::of($document)));
        $subject = $plan->move->subject?->first();
        self::assertNotNull($subject);
        foreach (range(0, $plan->move->flight->count() - 1, 25) as $i) {
            $seen = $plan->view($i)->project($subject);
            self::assertNotNull($seen);
            self::assertEqualsWithDelta(-0.1, $seen->u, 1e-6);
            self::assertEqualsWithDelta(-0.12, $seen->v, 1e-6);
        }
    }

    public function test_the_tilt_of_a_lift_follows_the_climb_by_its_formula(): void
    {
        // Derived: at a fixed distance D the tilt turns at vz D / (D^2 + h^2), fastest level with the subject.
        $plan = self::planned('lift-and-tilt', ['distance_m' => 18.0, 'height_m' => 2.0, 'climb_m' => 20.0, 'climb_mps' => 1.0]);
        $flight = $plan->move->flight;
        $subject = $plan->move->subject?->first();
        self::assertNotNull($subject);
        foreach (range($flight->indexAt($plan->move->holdFrom), $flight->indexAt($plan->move->holdTo), 50) as $i) {
            $h = $flight->up[$i] - $subject->up;
            $rate = -($flight->tilt[$i + 1] - $flight->tilt[$i - 1]) / 0.04;
            self::assertEqualsWithDelta(1.0 * 18.0 / (18.0 ** 2 + $h ** 2), $rate, 1e-4);
        }
    }

    public function test_the_tilt_of_a_pull_away_settles_at_the_slope_of_its_way(): void
    {
        // Derived: depression = atan((h0 + climb) / (d0 + way)), towards atan(climb / way).
        $plan = self::planned(
            'pull-away', ['distance_m' => 6.0, 'height_m' => 3.0, 'length_m' => 200.0, 'climb_m' => 100.0, 'pace_mps' => 3.0],
        );
        $flight = $plan->move->flight;
        $subject = $plan->move->subject?->first();
        self::assertNotNull($subject);
        foreach (range(0, $flight->count() - 1, 200) as $i) {
            $offset = $flight->position($i)->minus($subject);
            self::assertEqualsWithDelta(-atan2($offset->up, $offset->ground()), $flight->tilt[$i], 1e-9);
        }
        self::assertEqualsWithDelta(-26.6, rad2deg($flight->tilt[$flight->count() - 1]), 0.6);
    }

    public function test_a_drop_is_a_lift_played_backwards(): void
    {
        $lift = self::planned(
            'lift-and-tilt', ['height_m' => 4.0, 'climb_m' => 10.0, 'climb_mps' => 1.0, 'distance_m' => 15.0],
        )->move->flight;
        $drop = self::planned(
            'drop-and-tilt', ['height_m' => 14.0, 'climb_m' => -10.0, 'climb_mps' => 1.0, 'distance_m' => 15.0],
        )->move->flight;
        /** @param  list<float>  $ups */
        $at = static function (float $height, array $ups): int {
            $off = array_map(static fn (float $up): float => abs($up - $height), $ups);

            return (int) array_search(Statistics::least(array_values($off)), $off, true);
        };

        foreach ([4.5, 7.0, 11.0, 13.5] as $height) {
            $up = $at($height + 1.2, $lift->up);
            $down = $at($height + 1.2, $drop->up);
            self::assertEqualsWithDelta($lift->tilt[$up], $drop->tilt[$down], 2e-3);
            self::assertEqualsWithDelta($lift->east[$up], $drop->east[$down], 1e-9);
        }
    }

    #[DataProvider('moves')]
    public function test_a_move_that_is_over_too_soon_or_too_fast_is_mended_as_offered(string $move): void
    {
        $sign = in_array($move, ['drop-and-tilt', 'push-in-from-high'], true) ? -1.0 : 1.0;
        $upright = str_ends_with($move, 'tilt');
        $pace = static fn (float $rate): array => $upright ? ['climb_mps' => $rate] : ['pace_mps' => $rate, 'length_m' => 10.0];
        foreach ([2.0, 12.0] as $rate) {
            $given = ['climb_m' => $sign * 8.0, 'height_m' => 14.0, 'distance_m' => 30.0, ...$pace($rate)];
            $tried = 0;
            foreach (self::planned($move, $given)->findings as $finding) {
                if (
                    in_array($finding->state, [Finding::BROKEN, Finding::NOTE], true)
                    && $finding->mend !== []
                    && (str_starts_with($finding->id, 'phases') || str_starts_with($finding->id, 'rate'))
                ) {
                    $mended = array_values(array_filter(
                        self::planned($move, [...$given, ...$finding->mend])->findings,
                        static fn (Finding $one): bool => $one->id === $finding->id,
                    ));
                    self::assertSame(
                        [], array_filter($mended, static fn (Finding $one): bool => $one->state === Finding::BROKEN), said($finding->text),
                    );
                    self::assertStringNotContainsString('degrees', said($finding->mendText));
                    $tried++;
                }
            }
            self::assertGreaterThan(0, $tried, "$move at $rate");
        }
    }

    public function test_nobody_pushes_in_through_the_subject(): void
    {
        try {
            self::planned('push-in-from-high', ['distance_m' => 20.0, 'length_m' => 30.0]);
            self::fail('It went through.');
        } catch (Refusal $refusal) {
            self::assertSame('intent.parameters.length_m', $refusal->place);
            self::assertStringContainsString('19.0 m', said($refusal->expected));
        }
    }

    public function test_a_climb_of_the_wrong_sign_is_refused_at_its_place(): void
    {
        foreach (['lift-and-tilt' => -5.0, 'drop-and-tilt' => 5.0, 'pull-away' => -5.0, 'push-in-from-high' => 5.0] as $move => $climb) {
            try {
                self::planned($move, ['climb_m' => $climb]);
                self::fail("$move took a climb of $climb m.");
            } catch (Refusal $refusal) {
                self::assertSame('intent.parameters.climb_m', $refusal->place);
            }
        }
    }

    /** @param  array<string, float|string>  $parameters */
    private static function planned(string $move, array $parameters): Plan
    {
        $document = Shots::document($parameters);
        $document['intent']['move'] = $move;

        return Planner::plan(Shot::read(Fields::of($document)));
    }

    /** @return \Generator<int, Plan> feasible ones without end, over every craft and mode */
    private static function draw(string $move, int $seed): \Generator
    {
        $noise = new SeededNoise($seed);
        for ($case = 0; ; $case++) {
            $rig = Rigs::all()[['lapwing', 'curlew', 'wren'][$case % 3]];
            $ease = $noise->between(2.2, 5);
            $seconds = $ease + $noise->between(4.5, 20);
            $distance = exp($noise->between(log(6), log(80)));
            $climb = $noise->between(0.3, 1.6) * $seconds;
            $way = min($noise->between(0.5, 4) * $seconds, $move === 'push-in-from-high' ? $distance - 5 : 400);
            $sign = in_array($move, ['drop-and-tilt', 'push-in-from-high'], true) ? -1 : 1;
            $document = Shots::document([
                'distance_m' => $distance, 'height_m' => $noise->between(2, 12) + ($sign < 0 ? $climb : 0.0), 'climb_m' => $sign * $climb,
                'start_bearing_deg' => $noise->between(0, 359), 'ease_s' => $ease,
                ...(
                    str_ends_with($move, 'tilt')
                        ? ['climb_mps' => $climb / $seconds]
                        : ['length_m' => max(1.0, $way), 'pace_mps' => max(1.0, $way) / $seconds]
                ),
            ], ['rig' => $rig, 'mode' => Rig::MODES[intdiv($case, 3) % 3]]);
            $document['intent'] = [...$document['intent'], 'move' => $move, 'camera' => $rig['camera']];
            try {
                $plan = Planner::plan(Shot::read(Fields::of($document)));
            } catch (Refusal) {
                continue;
            }
            if ($plan->feasible()) {
                yield $plan;
            }
        }
    }
}
