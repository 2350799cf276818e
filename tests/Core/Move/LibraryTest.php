<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Demo\Rigs;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Recognition;
use Larkspur\Training\Lesson;
use Larkspur\Training\ToldOtherwise;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\MoveDraw;
use Tests\Core\Sweep;
use Words\Glossary;
use Words\TradeWords;

use function Tests\said;

/** What holds of every move and drill of the library, one by one. */
final class LibraryTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (Catalogue::ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('moves')]
    public function test_it_says_what_it_is(string $id): void
    {
        $about = Catalogue::move($id)->about();

        self::assertSame($id, $about->id);
        self::assertNotSame("move.$id", said($about->name()));
        self::assertStringEndsWith('.', said($about->does()));
        self::assertStringEndsWith('.', said($about->clean()));
        self::assertThat($about->level, self::logicalAnd(self::greaterThanOrEqual(1), self::lessThanOrEqual(5)));
        self::assertTrue($about->family === '' || in_array($about->family, Recognition::FAMILIES, true), $about->family);
        foreach ($about->faults as $fault) {
            self::assertContains($fault, FaultKinds::ids());
            self::assertStringEndsWith('.', said($about->cueAgainst($fault)));
        }
    }

    #[DataProvider('moves')]
    public function test_what_it_needs_is_no_harder_and_leads_back_to_a_beginning(string $id): void
    {
        $about = Catalogue::move($id)->about();
        self::assertTrue($about->needs !== [] || $about->level <= 2 || $id === Combination::ID, 'a hard move that needs nothing');
        foreach ($about->needs as $needed) {
            self::assertLessThanOrEqual($about->level, Catalogue::move($needed)->about()->level, $needed);
        }
        $seen = [];
        $open = $about->needs;
        while ($open !== []) {
            $next = array_shift($open);
            self::assertNotSame($id, $next, 'it needs itself');
            if (! isset($seen[$next])) {
                $seen[$next] = true;
                array_push($open, ...Catalogue::move($next)->about()->needs);
            }
        }
    }

    #[DataProvider('moves')]
    public function test_its_parameters_have_ranges_units_and_defaults_within_them(string $id): void
    {
        $move = Catalogue::move($id);
        $plan = self::plan($id);
        $ids = array_map(static fn ($parameter): string => $parameter->id, $move->parameters());
        self::assertSame($ids, array_values(array_unique($ids)));
        foreach ($move->parameters() as $parameter) {
            $usual = $plan->move->intent->parameters[$parameter->id] ?? null;
            if ($parameter->choices !== []) {
                self::assertTrue($usual === null || in_array($usual, $parameter->choices, true), $parameter->id);

                continue;
            }
            self::assertLessThan($parameter->most, $parameter->least, $parameter->id);
            if (is_float($usual)) {
                self::assertThat(
                    $usual, self::logicalAnd(self::greaterThanOrEqual($parameter->least), self::lessThanOrEqual($parameter->most)),
                    $parameter->id,
                );
            }
        }
    }

    #[DataProvider('moves')]
    public function test_by_default_it_can_be_flown_and_flies_as_planned(string $id): void
    {
        $plan = self::plan($id);
        $broken = array_filter($plan->findings, static fn (Finding $finding): bool => $finding->state === Finding::BROKEN);
        self::assertSame([], array_map(static fn (Finding $finding): string => said($finding->text), $broken));
        self::assertTrue($plan->feasible());

        $flown = Sweep::fly($plan);
        self::assertLessThan(0.005, $flown['error'], $flown['words']);
        self::assertGreaterThanOrEqual(97.0, $flown['score'], $flown['words']);
    }

    #[DataProvider('moves')]
    public function test_it_starts_and_ends_at_rest_and_is_sampled_evenly(string $id): void
    {
        $move = self::plan($id)->move;
        $flight = $move->flight;
        $last = $flight->count() - 1;
        foreach ([[0, 1], [$last - 1, $last]] as [$a, $b]) {
            self::assertEqualsWithDelta(0.0, $flight->position($b)->minus($flight->position($a))->length() / 0.02, 1e-3);
            self::assertEqualsWithDelta(0.0, ($flight->heading[$b] - $flight->heading[$a]) / 0.02, 1e-3);
        }
        self::assertSame(0.0, $flight->t[0]);
        self::assertEqualsWithDelta(0.02 * $last, $flight->t[$last], 1e-6);
        self::assertGreaterThanOrEqual($move->onset, $move->holdFrom);
        self::assertGreaterThanOrEqual($move->holdFrom, $move->holdTo);
        self::assertGreaterThanOrEqual($move->holdTo, $move->stop);
    }

    #[DataProvider('moves')]
    public function test_completed_kept_and_planned_again_it_is_the_same(string $id): void
    {
        $plan = self::plan($id);
        // What is kept is the intent as it was asked, with all its parameters stated.
        $kept = json_decode(
            (string) json_encode([...$plan->shot->intent->toArray(), 'parameters' => $plan->move->intent->parameters]), true,
        );
        $again = Planner::plan($plan->shot->withIntent(Intent::read(Fields::of($kept))));

        self::assertEqualsWithDelta($plan->move->flight->east, $again->move->flight->east, 1e-3);
        self::assertEqualsWithDelta($plan->move->flight->up, $again->move->flight->up, 1e-3);
        self::assertEqualsWithDelta($plan->move->flight->heading, $again->move->flight->heading, 1e-3);
    }

    #[DataProvider('moves')]
    public function test_fingers_leave_their_rest_in_the_order_of_the_move(string $id): void
    {
        $about = Catalogue::move($id)->about();
        if ($about->group === Group::Drill || $about->group === Group::Combined) {
            self::assertSame($about->group === Group::Combined, $id === Combination::ID);

            return; // a figure of several legs has no one order
        }
        $onsets = [];
        $presses = self::plan($id)->parts;
        self::assertCount(5, $presses);
        foreach ($presses as $press) {
            $group = $about->fingering->group($press->finger);
            if ($press->onset !== null && ! $press->isTouch()) {
                self::assertNotNull($group, "{$press->finger->value} is pressed and the move does not name it");
            }
            if ($press->onset !== null && $group !== null) {
                $onsets[$group][] = $press->onset;
            }
            if (! $about->fingering->isOptional($press->finger) && $group !== null) {
                self::assertNotNull($press->onset, "{$press->finger->value} should be pressed");
            }
        }
        ksort($onsets);
        $before = -INF;
        foreach ($onsets as $group) {
            // What follows may start with what leads (a tilt that must not lag at once), never before it.
            self::assertGreaterThanOrEqual($before - 0.15, min($group));
            $before = min($group);
        }
    }

    #[DataProvider('moves')]
    public function test_every_fault_put_in_on_purpose_is_named_or_is_known_to_be_told_otherwise(string $id): void
    {
        $plan = self::plan($id);
        $clean = Lesson::flown($plan, null)->score->score;
        self::assertGreaterThan(80.0, $clean);
        foreach (Catalogue::move($id)->about()->faults as $fault) {
            $lesson = Lesson::flown($plan, $fault);
            self::assertSame($fault, $lesson->fault);
            $named = array_map(static fn (Fault $one): string => $one->id, $lesson->score->faults);
            self::assertSame(
                ToldOtherwise::reason($id, $fault) === null, in_array($fault, $named, true), "$fault: named are ".implode(', ', $named),
            );
            self::assertSame(in_array($fault, $named, true), $lesson->toldOtherwise() === null);
            self::assertTrue($lesson->score->score < $clean || in_array($fault, $named, true), $fault);
        }
    }

    public function test_a_fault_that_is_none_of_a_move_is_refused(): void
    {
        $this->expectException(Refusal::class);
        Lesson::flown(self::plan('push-in'), 'corner-cut');
    }

    /** Two hundred feasible plans over every move, each parameter drawn from its strata, and more of the same in bin/bench --sweep. */
    public function test_a_sweep_of_every_move_flies_as_planned_and_scores_full(): void
    {
        $flown = 0;
        foreach (array_values(array_diff(Catalogue::ids(), [Combination::ID])) as $k => $id) {
            $left = $k < 40 ? 3 : 2;
            foreach (MoveDraw::feasible($id, 41) as $plan) {
                $result = Sweep::fly($plan);
                self::assertLessThan(0.005, $result['error'], $result['words']);
                self::assertGreaterThanOrEqual(97.0, $result['score'], $result['words']);
                $flown++;
                if (--$left === 0) {
                    break;
                }
            }
        }
        self::assertSame(200, $flown);
    }

    public function test_every_word_of_the_glossary_has_several_meanings_and_ours(): void
    {
        foreach (Glossary::all() as $word) {
            self::assertGreaterThanOrEqual(2, count($word['meanings']), $word['word']);
            self::assertNotSame('', $word['ours']);
        }
    }

    public function test_the_trades_words_lead_to_moves_that_there_are(): void
    {
        foreach (TradeWords::all() as $word => $moves) {
            self::assertSame([], array_diff($moves, Catalogue::ids()), $word);
        }
        // Common practice, no published source.
        $called = static fn (string $word): array => array_values(array_filter(
            Catalogue::ids(), static fn (string $id): bool => str_contains(implode(' ', TradeWords::of($id)), $word),
        ));
        foreach (['jib', 'crane', 'truck', 'parallax', 'boom', 'counter-tilt', 'arc', 'selfie pull-away'] as $word) {
            self::assertNotSame([], $called($word), $word);
        }
        self::assertSame(['pull-away'], $called('selfie'));
    }

    public function test_an_unknown_move_is_refused_with_those_there_are(): void
    {
        try {
            Catalogue::move('barrel-roll', 'intent.move');
            self::fail('There is no such move.');
        } catch (Refusal $refusal) {
            self::assertSame('intent.move', $refusal->place);
            self::assertStringContainsString('push-in', said($refusal->expected));
        }
    }

    private static function plan(string $id): Plan
    {
        static $plans = [];

        return $plans[$id] ??= Lesson::planned($id, Rigs::all()['lapwing'], 'standard', Rigs::all()['lapwing']['camera']);
    }
}
