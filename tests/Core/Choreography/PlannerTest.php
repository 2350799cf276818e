<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Demo\Rigs;
use Documents\Plan\Frame;
use Larkspur\Choreography\ComfortRanges;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\ThumbSheet;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Refusal;
use Larkspur\Scoring\Expectation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\OrbitDraw;
use Tests\Core\Shots;
use Words\Speaker;

use function Tests\said;

final class PlannerTest extends TestCase
{
    /**
     * The claim that everything rests on: flying the thumb sheet of any feasible orbit in still air gives that orbit.
     */
    public function test_a_sweep_of_feasible_orbits_flies_as_planned_and_scores_full(): void
    {
        $flown = 0;
        foreach (OrbitDraw::feasible(2026) as $plan) {
            $radius = $plan->move->intent->number('radius_m') ?? 0.0;
            $flight = Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune());
            $worst = 0.0;
            foreach (range(0, $flight->count() - 1, 10) as $i) {
                $distance = $flight->position($i)->minus($plan->move->subject?->first() ?? $flight->position($i))->ground();
                $worst = max($worst, abs($distance / $radius - 1));
            }
            $score = Expectation::of($plan)->score;
            $words = json_encode($plan->move->intent->parameters).' '.$plan->shot->rig->craft.' '.$plan->shot->mode;
            self::assertLessThan(0.005, $worst, $words);
            self::assertNotNull($score, $words);
            self::assertGreaterThanOrEqual(97.0, $score->score, $words);
            if (++$flown >= 200) {
                break;
            }
        }
        self::assertSame(200, $flown);
    }

    public function test_a_rate_beyond_the_mode_names_another_mode_that_gives_it(): void
    {
        $broken = static fn (float $pace, string $mode): array => array_values(array_filter(
            Shots::plan(['radius_m' => 60, 'pace_mps' => $pace, 'arc_deg' => 90], ['mode' => $mode])->findings,
            static fn (Finding $finding): bool => $finding->id === 'rate-slide',
        ));
        $rig = Rigs::all()['lapwing'];
        [$slow, $fast] = [
            $rig['modes']['slow']['slide_mps'] ?? $rig['modes']['slow']['run_mps'],
            $rig['modes']['fast']['slide_mps'] ?? $rig['modes']['fast']['run_mps'],
        ];

        self::assertStringContainsString('mode gives it.', said($broken(1.3 * $slow, 'slow')[0]->text ?? null));
        self::assertStringNotContainsString('mode gives it.', said($broken(1.3 * $fast, 'fast')[0]->text ?? null));
        self::assertNotSame([], $broken(1.3 * $fast, 'fast'));
    }

    public function test_within_its_limits_the_sheet_is_the_exact_inverse_of_the_craft(): void
    {
        $plan = Shots::plan(['radius_m' => 18, 'pace_mps' => 1.9, 'arc_deg' => 120]);
        $flight = Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune());

        self::assertTrue($plan->sheet->withinLimits($plan->shot->tune()));
        self::assertEqualsWithDelta($plan->move->flight->east, $flight->east, 1e-5);
        self::assertEqualsWithDelta($plan->move->flight->north, $flight->north, 1e-5);
        self::assertEqualsWithDelta($plan->move->flight->heading, $flight->heading, 1e-5);
    }

    /** @return iterable<string, array{string}> */
    public static function lags(): iterable
    {
        yield 'ground speed' => ['travel'];
        yield 'turn' => ['turn'];
    }

    #[DataProvider('lags')]
    public function test_a_slower_craft_changes_the_sheet_and_not_the_path(string $lag): void
    {
        $slow = Rigs::all()['lapwing'];
        $slow['modes']['standard']['lag_s'][$lag] *= 2;
        $parameters = ['radius_m' => 18, 'pace_mps' => 1.9, 'arc_deg' => 120];
        $brisk = Shots::plan($parameters);
        $sluggish = Shots::plan($parameters, ['rig' => $slow]);
        $fly = static fn (Plan $plan) => Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune());

        self::assertNotEquals($brisk->sheet->travel, $sluggish->sheet->travel);
        self::assertEqualsWithDelta($fly($brisk)->east, $fly($sluggish)->east, 1e-5);
        self::assertEqualsWithDelta($fly($brisk)->heading, $fly($sluggish)->heading, 1e-5);
    }

    public function test_the_slide_leads_and_the_subject_stays_within_one_percent_of_its_mark(): void
    {
        $plan = Shots::plan(['radius_m' => 14, 'pace_mps' => 2.0, 'arc_deg' => 150]);
        $onsets = [];
        foreach ($plan->parts as $press) {
            $onsets[$press->finger->value] = $press->onset;
        }
        self::assertArrayHasKey('slide', $onsets);
        self::assertArrayHasKey('turn', $onsets);
        self::assertGreaterThan($onsets['slide'], $onsets['turn']);
        self::assertLessThanOrEqual(0.4, $plan->move->lead);
        $most = 0.0;
        foreach (range(0, $plan->move->flight->count() - 1, 5) as $i) {
            $seen = $plan->view($i)->project($plan->move->subject?->first() ?? self::fail('no subject'));
            $most = max($most, abs($seen->u ?? 1.0));
        }
        self::assertLessThan(0.01, $most);
    }

    public function test_on_a_circle_the_lag_is_led_by_a_touch_of_run(): void
    {
        $run = array_values(array_filter(
            Shots::plan(['radius_m' => 9, 'pace_mps' => 2.2])->parts, static fn ($press): bool => $press->finger === Finger::Run,
        ))[0];

        self::assertGreaterThan(0.0, $run->hold, 'toward the middle');
        self::assertTrue($run->isTouch());
    }

    public function test_every_mend_that_is_offered_mends(): void
    {
        $broken = [
            'rate-slide' => ['radius_m' => 60, 'pace_mps' => 11, 'arc_deg' => 300],
            'rate-turn' => ['radius_m' => 4, 'pace_mps' => 5, 'arc_deg' => 360, 'ease_s' => 6],
            'effort-accelerate' => ['radius_m' => 60, 'pace_mps' => 8, 'ease_s' => 2.3, 'arc_deg' => 300],
            'tilt-range' => ['radius_m' => 3, 'height_m' => 80, 'pace_mps' => 0.5],
            'phases' => ['radius_m' => 20, 'pace_mps' => 3, 'arc_deg' => 15, 'ease_s' => 4],
            'height' => ['radius_m' => 60, 'height_m' => 140],
        ];
        foreach ($broken as $id => $parameters) {
            $more = $id === 'tilt-range' ? ['rig' => Rigs::all()['wren'], 'mode' => 'slow'] : [];
            $plan = Shots::plan($parameters, $more);
            for ($tries = 0; $tries < 4; $tries++) {
                $finding = self::finding($plan, $id);
                if ($tries === 0) {
                    self::assertSame(Finding::BROKEN, $finding?->state, $id);
                    self::assertFalse($plan->feasible());
                }
                if ($finding === null || $finding->state !== Finding::BROKEN) {
                    continue 2;
                }
                self::assertNotSame([], $finding->mend, $id);
                $parameters = [...$parameters, ...$finding->mend];
                $plan = Shots::plan($parameters, $more);
            }
            self::fail("The mend of {$id} does not mend it.");
        }
    }

    public function test_a_broken_limit_shows_in_the_score_to_expect(): void
    {
        $expectation = Expectation::of(Shots::plan(['radius_m' => 30, 'pace_mps' => 9.5, 'arc_deg' => 300]));

        self::assertNotNull($expectation->score);
        self::assertLessThan(90.0, $expectation->score->score);
        self::assertNotNull($expectation->limitedBy());
    }

    public function test_a_path_through_something_solid_is_seen(): void
    {
        $plan = Shots::plan(['radius_m' => 21.5, 'height_m' => 3, 'start_bearing_deg' => 130], ['site' => [
            'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0],
            'solids' => [[
                'name' => 'the ropewalk shed', 'shape' => 'box', 'east_m' => 23.8, 'north_m' => 28.6, 'width_m' => 9, 'height_m' => 8,
            ]],
        ]]);
        $finding = self::finding($plan, 'clearance');

        self::assertSame(Finding::BROKEN, $finding?->state);
        self::assertStringContainsString('the ropewalk shed', said($finding->text));
    }

    public function test_wind_beyond_the_craft_is_refused_and_named(): void
    {
        $plan = Shots::plan(['radius_m' => 20], ['wind' => ['from_deg' => 200, 'mean_mps' => 8, 'gust_mps' => 13]]);

        self::assertSame(Finding::BROKEN, self::finding($plan, 'wind')?->state);
    }

    public function test_comfort_ranges_end_where_comfort_ends(): void
    {
        $parameters = ['radius_m' => 20.0, 'pace_mps' => 3.0, 'arc_deg' => 180.0];
        $plan = Shots::plan($parameters);
        [$slowest, $fastest] = ComfortRanges::of($plan)['pace_mps'];
        $state = static fn (float $pace): ?string => self::finding(Shots::plan([...$parameters, 'pace_mps' => $pace]), 'comfort')?->state;

        self::assertSame(Finding::OK, $state($slowest * 1.02));
        self::assertSame(Finding::NOTE, $state($slowest * 0.95));
        self::assertSame(Finding::OK, $state(min($fastest, 4.0) * 0.98));
    }

    public function test_cues_come_in_the_order_of_the_fingers(): void
    {
        $cues = Shots::plan(['radius_m' => 20, 'direction' => 'clockwise'])->cues();
        $fingers = array_values(array_filter(array_map(static fn ($cue): string => $cue->finger, $cues)));

        self::assertSame('slide', $fingers[0]);
        self::assertContains('turn', $fingers);
        self::assertStringStartsWith('Slide left to ', said($cues[1]->text));
        $times = array_map(static fn ($cue): float => $cue->t, $cues);
        $sorted = $times;
        sort($sorted);
        self::assertSame($sorted, $times);
    }

    public function test_frames_show_the_subject_on_its_mark(): void
    {
        $plan = Shots::plan(['radius_m' => 21.5], ['site' => Shots::stones()]);
        $frames = Frame::along($plan, $plan->move->flight);
        foreach ($frames as $frame) {
            self::assertNotNull($frame->mark);
            self::assertEqualsWithDelta([0.0, 0.0], $frame->mark, 0.01);
        }
        self::assertCount(6, $frames);
    }

    public function test_what_goes_round_or_past_is_unrolled_from_the_side_and_what_goes_straight_is_not(): void
    {
        $unrolled = static fn (string $move, array $own = []): bool => Planner::plan(Shot::read(Fields::of(Shots::document([], [
            'intent' => [
                'move' => $move, 'parameters' => $own, 'camera' => ['hfov_deg' => 70],
                'subject' => ['lat' => 57.6003, 'lon' => -0.4, 'alt_m' => 5.5, 'base_alt_m' => 4.0],
            ],
            'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]],
        ]))))->isUnrolled();
        foreach (['orbit', 'side-track', 'lateral-dolly', 'reveal-orbit'] as $move) {
            self::assertTrue($unrolled($move), $move);
        }
        self::assertTrue($unrolled('orbit', ['arc_deg' => 720.0]), 'twice round');
        foreach (['push-in', 'pull-away', 'rise', 'follow', 'fly-over', 'drop-and-tilt'] as $move) {
            self::assertFalse($unrolled($move), $move);
        }
    }

    public function test_left_open_parameters_suit_the_craft_and_are_told(): void
    {
        $plan = Shots::plan();
        $given = $plan->move->intent->parameters;

        self::assertSame(
            ['radius_m', 'height_m', 'arc_deg', 'direction', 'pace_mps', 'start_bearing_deg', 'bias_deg', 'ease_s'], $plan->move->assumed,
        );
        self::assertTrue($plan->feasible());
        self::assertGreaterThan(0.2, $given['pace_mps']);
        self::assertEqualsWithDelta(205.0, $given['start_bearing_deg'], 1.0, 'it begins on the side of the take-off point');
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badShots(): iterable
    {
        $with = static fn (array $parameters): array => Shots::document($parameters);
        yield 'radius of nothing' => [$with(['radius_m' => 0]), 'intent.parameters.radius_m', 'from 2 to 500 m'];
        yield 'negative radius' => [$with(['radius_m' => -12]), 'intent.parameters.radius_m', 'from 2 to 500 m'];
        yield 'arc of 4,000 degrees' => [$with(['arc_deg' => 4000]), 'intent.parameters.arc_deg', 'from 10 to 1080 deg'];
        yield 'pace as text' => [$with(['pace_mps' => 'quick']), 'intent.parameters.pace_mps', 'a number'];
        yield 'pace that never ends' => [
            $with(['radius_m' => 400, 'arc_deg' => 720, 'pace_mps' => 0.3]), 'intent.parameters.pace_mps', 'a pace of',
        ];
        yield 'unknown parameter' => [$with(['radius' => 12]), 'intent.parameters.radius', 'one of radius_m'];
        $far = Shots::document();
        $far['intent']['subject']['lat'] = 57.96;
        yield 'subject 40 km away' => [$far, 'intent.subject', 'within 5 km'];
        $nowhere = Shots::document();
        unset($nowhere['intent']['subject']);
        yield 'no subject' => [$nowhere, 'intent.subject', 'lat, lon'];
        $swapped = Shots::document();
        $swapped['intent']['subject']['lat'] = 157.6;
        yield 'latitude off the globe' => [$swapped, 'intent.subject.lat', '-89.9 to 89.9'];
        yield 'another move' => [
            array_replace_recursive(Shots::document(), ['intent' => ['move' => 'somersault']]), 'intent.move', 'orbit',
        ];
        yield 'another schema' => [array_replace(Shots::document(), ['schema' => 'larkspur/shot/9']), 'schema', 'larkspur/shot/1'];
        yield 'no rig' => [array_diff_key(Shots::document(), ['rig' => 1]), 'rig', 'a JSON object'];
    }

    /** @param  array<string, mixed>  $document */
    #[DataProvider('badShots')]
    public function test_bad_input_is_refused_at_its_place(array $document, string $place, string $expected): void
    {
        try {
            Planner::plan(\Larkspur\Choreography\Shot::read(Fields::of($document)));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
            self::assertStringContainsString($expected, said($refusal->expected));
            self::assertStringNotContainsString('#0', (new Speaker)->refusal($refusal));
        }
    }

    public function test_a_pace_beyond_the_mode_is_drawn_and_said(): void
    {
        $plan = Shots::plan(['radius_m' => 60, 'pace_mps' => 20, 'arc_deg' => 300]);
        $finding = self::finding($plan, 'rate-slide');

        self::assertStringContainsString('standard mode gives 8.3', said($finding->text ?? null));
        self::assertStringContainsString('Fly at', said($finding->mendText ?? null));
        foreach ($plan->sheet->travel as $travel) {
            self::assertLessThanOrEqual(1.0, max(0.0, ...array_map(abs(...), $travel)));
        }
    }

    public function test_a_shot_comes_back_as_it_was_written(): void
    {
        $shot = Shots::orbit(['radius_m' => 20.0], ['site' => Shots::stones()]);

        self::assertEqualsWithDelta($shot, \Larkspur\Choreography\Shot::read(Fields::of($shot->toArray())), 1e-4);
    }

    public function test_an_empty_sheet_rests(): void
    {
        $plan = Shots::plan(['radius_m' => 20]);
        $still = new \Larkspur\Flight(
            [0.0, 0.02, 0.04], [1.0, 1.0, 1.0], [2.0, 2.0, 2.0], [3.0, 3.0, 3.0], [0.1, 0.1, 0.1], [0.0, 0.0, 0.0],
        );
        foreach (ThumbSheet::write($still, $plan->shot->tune())->travel as $travel) {
            self::assertSame([0.0, 0.0, 0.0], $travel);
        }
    }

    private static function finding(Plan $plan, string $id): ?Finding
    {
        foreach ($plan->findings as $finding) {
            if ($finding->id === $id) {
                return $finding;
            }
        }

        return null;
    }
}
