<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Flight\Recorder;
use Larkspur\Geo\Position;
use Larkspur\Move\Intent;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Displaced;
use Tests\Core\MoveDraw;

use function Tests\said;

/** A subject whose foot or top leaves the frame while its middle stays in it. */
final class CutOffTest extends TestCase
{
    /** @return iterable<string, array{string}> moves that look at their subject, kept on its mark or not */
    public static function moves(): iterable
    {
        foreach (['orbit', 'push-in', 'straight-back', 'climbing-orbit'] as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('moves')]
    public function test_a_subject_as_tall_as_its_plan_leaves_room_for_is_whole_and_from_too_near_it_is_cut(string $move): void
    {
        $plan = self::plan($move);
        $intent = self::tall($plan, 0.8 * self::room($plan));
        $subject = $plan->shot->site->frame()->position($intent->subject ?? self::fail('It looks at nothing.'));
        $moved = static fn (float $share): callable => static fn (Position $place, float $t): Position => $place->plus(
            $share * ($subject->east - $place->east), $share * ($subject->north - $place->north), $share * ($subject->up - $place->up),
        );
        $nearer = static fn (float $share): Score => Displaced::scored($plan, $moved($share), intent: $intent);

        self::assertSame([], self::cut($nearer(0.0)));
        // By similar triangles: at half the distance what filled eight tenths of the room fills sixteen.
        $near = $nearer(0.5);
        $cut = self::cut($near);
        self::assertNotSame([], $cut);
        foreach ($cut as $fault) {
            [$side, $words] = $fault->wording === 'cut-off.foot' ? ['down', 'below the lower edge'] : ['up', 'above the upper edge'];
            self::assertSame($side, $fault->origin?->side);
            self::assertStringContainsString($words, said($fault->picture));
            self::assertGreaterThan($fault->t, $fault->until);
        }
        self::assertGreaterThan(0.5, $near->cost($cut[0]));
    }

    public function test_where_nobody_knows_how_tall_it_is_nothing_is_said(): void
    {
        $plan = self::plan('orbit');
        $log = (new Recorder(25.0))->record($plan->move->flight, $plan->shot->site->frame());
        foreach ([self::tall($plan, 0.0), self::tall($plan, null)] as $intent) {
            self::assertNull(Scorer::score($log, $intent)->measured->edge);
        }
        // What the plan itself cuts is no fault of the hand.
        self::assertNull(Scorer::score($log, self::tall($plan, 3 * self::room($plan)))->measured->edge?->foot);
    }

    private static function plan(string $move): Plan
    {
        foreach (MoveDraw::feasible($move, 3, 4, 0.4) as $plan) {
            return $plan;
        }
        self::fail("No plan of $move is feasible.");
    }

    /** Half the height that the frame shows at the subject where the plan comes nearest to it, less how far off the middle it stands, m. */
    private static function room(Plan $plan): float
    {
        $intent = $plan->move->intent;
        $subject = $plan->shot->site->frame()->position($intent->subject ?? self::fail('It looks at nothing.'));
        $flight = $plan->move->flight;
        $least = INF;
        for ($k = $flight->indexAt($plan->move->onset); $k <= $flight->indexAt($plan->move->stop); $k += 10) {
            $away = $subject->minus($flight->position($k));
            $off = abs(atan2($away->up, $away->ground()) - $flight->tilt[$k]);
            $least = min($least, $away->length() * (tan($intent->lens->vertical() / 2) - tan($off)));
        }

        return $least;
    }

    /** The plan's intent with a subject that reaches so far below its aimed-at point. */
    private static function tall(Plan $plan, ?float $half): Intent
    {
        $of = $plan->move->intent;

        return new Intent(
            $of->move, $of->subject, $half === null ? null : ($of->subject->altitude ?? 0.0) - $half, $of->aimX, $of->aimY, $of->lens,
            $of->home, $of->parameters, $of->track, $of->parts, $of->join,
        );
    }

    /** @return list<Fault> */
    private static function cut(Score $score): array
    {
        return array_values(array_filter($score->allFaults, static fn (Fault $fault): bool => $fault->id === 'cut-off'));
    }
}
