<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Larkspur\Camera\Lens;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\RotationLead;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Recognition;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** What every move shares: pace with its eases, the lead of translation, intents, and the registry. */
final class MoveTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> */
    public static function paces(): iterable
    {
        yield 'an orbit' => [60.0, 2.4, 2.6];
        yield 'a long slow one' => [30.0, 0.2, 4.0];
        yield 'one too short for its eases' => [3.0, 2.0, 4.0];
        yield 'hardly any ease' => [20.0, 5.0, 0.001];
    }

    #[DataProvider('paces')]
    public function test_a_pace_covers_its_length_and_rests_at_both_ends(float $length, float $rate, float $ease): void
    {
        $pace = new Pace($length, $rate, $ease);

        self::assertSame(0.0, $pace->travelled(0.0));
        self::assertSame(0.0, $pace->travelled($pace->onset()));
        self::assertEqualsWithDelta($length, $pace->travelled($pace->stop()), 1e-9);
        self::assertEqualsWithDelta($length, $pace->travelled($pace->duration()), 1e-9);
        self::assertLessThanOrEqual($pace->holdTo() + 1e-9, $pace->holdFrom());
    }

    #[DataProvider('paces')]
    public function test_it_never_goes_back_nor_faster_than_asked(float $length, float $rate, float $ease): void
    {
        $pace = new Pace($length, $rate, $ease);
        for ($t = 0.0, $last = 0.0; $t <= $pace->duration(); $t += 0.01) {
            $now = $pace->travelled($t);
            self::assertGreaterThanOrEqual($last - 1e-9, $now);
            self::assertLessThanOrEqual($rate * 0.01 + 1e-9, $now - $last);
            $last = $now;
        }
    }

    public function test_the_hold_is_at_the_pace(): void
    {
        $pace = new Pace(60.0, 2.4, 2.6);
        $middle = ($pace->holdFrom() + $pace->holdTo()) / 2;

        self::assertEqualsWithDelta(2.4, $pace->travelled($middle + 0.5) - $pace->travelled($middle - 0.5), 1e-9);
        self::assertEqualsWithDelta(2.6, $pace->holdFrom() - $pace->onset(), 1e-9);
    }

    public function test_a_pass_of_more_than_five_minutes_is_refused_with_a_pace_that_would_do(): void
    {
        try {
            new Pace(100.0, 0.2, 2.0);
            self::fail('Nobody holds a stick for so long.');
        } catch (Refusal $refusal) {
            self::assertSame('intent.parameters.pace_mps', $refusal->place);
            self::assertStringContainsString('0.4 m/s', said($refusal->expected));
            new Pace(100.0, 0.4, 2.0);
        }
    }

    public function test_what_follows_starts_later_and_has_caught_up_when_the_hold_begins(): void
    {
        $pace = new Pace(60.0, 2.4, 2.6);

        self::assertEqualsWithDelta($pace->onset() - 0.4, $pace->behind($pace->onset(), 0.4), 1e-9);
        self::assertEqualsWithDelta($pace->holdFrom(), $pace->behind($pace->holdFrom(), 0.4), 1e-9);
        self::assertSame(20.0, $pace->behind(20.0, 0.4));
        for ($t = 0.0, $last = -INF; $t < 10.0; $t += 0.02) {
            self::assertGreaterThan($last, $last = $pace->behind($t, 0.4));
        }
    }

    public function test_the_lead_shrinks_where_the_picture_turns_fast(): void
    {
        $lens = new Lens(deg2rad(70.0));

        self::assertSame(0.4, RotationLead::seconds(deg2rad(2.0), $lens));
        self::assertLessThan(0.4, RotationLead::seconds(deg2rad(12.0), $lens));
        self::assertSame(RotationLead::seconds(0.2, $lens), RotationLead::seconds(-0.2, $lens));
        // By at most rate x lead / 4 the subject strays: under 1 % of the width.
        foreach ([2.0, 5.0, 12.0, 30.0] as $rate) {
            $stray = deg2rad($rate) * RotationLead::seconds(deg2rad($rate), $lens) / 4 / (2 * tan(deg2rad(35.0)));
            self::assertLessThan(0.01, $stray);
        }
    }

    public function test_every_move_of_the_registry_says_what_it_is(): void
    {
        self::assertContains('orbit', Catalogue::ids());
        foreach (Catalogue::ids() as $id) {
            $move = Catalogue::move($id);
            $about = $move->about();
            self::assertSame($id, $about->id);
            foreach ([$about->name(), $about->does(), $about->clean()] as $words) {
                self::assertNotSame($words->code, said($words), 'it is not in the phrase book');
            }
            foreach ($about->needs as $needed) {
                self::assertContains($needed, Catalogue::ids(), $id);
                self::assertLessThanOrEqual($about->level, Catalogue::move($needed)->about()->level, "{$id} needs {$needed}");
            }
            foreach ($about->faults as $fault) {
                self::assertContains($fault, FaultKinds::ids(), $id);
            }
            self::assertContains($about->family, ['', ...Recognition::FAMILIES], $id);
            $judging = $move->judging(Intent::read(Fields::of(['move' => $id])));
            self::assertEqualsWithDelta(1.0, array_sum($judging->weights), 1e-9, $id);
            if ($judging->primary() !== null) {
                self::assertContains($judging->role($judging->primary()), [Role::Steady, Role::Profile], $id);
            }
            foreach ($move->parameters() as $parameter) {
                self::assertNotSame($parameter->label()->code, said($parameter->label()), 'it is not in the phrase book');
            }
        }
    }

    public function test_the_other_way_round_is_the_same_stretch_from_its_other_end(): void
    {
        $other = self::opposite('orbit', ['radius_m' => 20, 'arc_deg' => 150.4, 'start_bearing_deg' => 300, 'direction' => 'clockwise']);

        self::assertSame(['direction' => 'counterclockwise', 'start_bearing_deg' => 90.4], $other);
        // Turned round twice it is what it was.
        self::assertSame(
            ['direction' => 'clockwise', 'start_bearing_deg' => 300.0],
            self::opposite('orbit', ['radius_m' => 20, 'arc_deg' => 150.4, ...$other]),
        );
        self::assertSame(['side' => 'left'], self::opposite('side-track', ['side' => 'right']));
        self::assertSame(['direction' => 'counterclockwise'], self::opposite('figure-of-eight', ['direction' => 'clockwise']));
        self::assertSame([], self::opposite('rise'));
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @return array<string, float|string>
     */
    private static function opposite(string $move, array $parameters = []): array
    {
        $intent = Intent::read(Fields::of([
            'move' => $move, 'subject' => ['lat' => 57.6002, 'lon' => -0.4, 'alt_m' => 3.0], 'parameters' => $parameters,
        ]));

        return Catalogue::move($move)->opposite(Catalogue::plan(
            $intent, new LocalFrame(new GeoPoint(57.6, -0.4, 0.0)), ModeTune::ordinary(),
        ));
    }

    public function test_an_unknown_move_is_refused_with_the_known_ones(): void
    {
        try {
            Catalogue::move('loop', 'intent.move');
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('intent.move', $refusal->place);
            self::assertSame('“loop” is not a move that can be planned.', said($refusal->fact));
            self::assertSame('one of '.implode(', ', Catalogue::ids()), said($refusal->expected));
        }
    }

    public function test_an_intent_comes_back_as_it_was_written(): void
    {
        $document = [
            'schema' => 'larkspur/intent/1', 'move' => 'orbit',
            'subject' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 6.0, 'base_alt_m' => 4.5],
            'aim' => ['x' => 0.3333, 'y' => 0.5], 'camera' => ['hfov_deg' => 66.0, 'aspect' => 1.5],
            'home' => ['lat' => 57.601, 'lon' => -0.401, 'alt_m' => 3.0],
            'parameters' => ['radius_m' => 12.0, 'direction' => 'clockwise'],
        ];
        $intent = Intent::read(Fields::of($document));

        self::assertEquals($document, $intent->toArray());
        self::assertEqualsWithDelta(-0.1667, $intent->u(), 1e-9);
        self::assertSame(0.0, $intent->v());
        self::assertSame(12.0, $intent->number('radius_m'));
        self::assertNull($intent->number('direction'));
        self::assertSame('clockwise', $intent->choice('direction'));
        self::assertNull($intent->choice('radius_m'));
    }

    public function test_a_lens_that_nobody_stated_is_assumed_and_stays_unwritten(): void
    {
        $intent = Intent::read(Fields::of(['move' => 'orbit']));

        self::assertTrue($intent->lens->assumed);
        self::assertEqualsWithDelta(deg2rad(70.0), $intent->lens->horizontal, 1e-12);
        self::assertArrayNotHasKey('camera', $intent->toArray());
    }

    public function test_parameters_that_are_put_in_leave_the_rest(): void
    {
        $intent = Intent::read(Fields::of(['move' => 'orbit', 'parameters' => ['radius_m' => 12.0, 'arc_deg' => 90.0]]));
        $wider = $intent->with(['radius_m' => 20.0]);

        self::assertSame(20.0, $wider->number('radius_m'));
        self::assertSame(90.0, $wider->number('arc_deg'));
        self::assertSame(12.0, $intent->number('radius_m'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badIntents(): iterable
    {
        yield 'another schema' => [['schema' => 'larkspur/shot/1', 'move' => 'orbit'], 'schema'];
        yield 'no move' => [[], 'move'];
        yield 'aim beyond the frame' => [['move' => 'orbit', 'aim' => ['x' => 1.4]], 'aim.x'];
        yield 'a lens that sees behind itself' => [['move' => 'orbit', 'camera' => ['hfov_deg' => 200]], 'camera.hfov_deg'];
        yield 'words for a number' => [['move' => 'orbit', 'parameters' => ['radius_m' => 'wide']], 'parameters.radius_m'];
        yield 'a way that is none' => [['move' => 'orbit', 'parameters' => ['direction' => 'left']], 'parameters.direction'];
        yield 'a parameter of another move' => [['move' => 'push-in', 'parameters' => ['radius_m' => 20]], 'parameters.radius_m'];
        yield 'a parameter of no move' => [['move' => 'orbit', 'parameters' => ['radius' => 20]], 'parameters.radius'];
        yield 'a subject without a place' => [['move' => 'orbit', 'subject' => ['lat' => 57.6]], 'subject.lon'];
    }

    /** @param  array<string, mixed>  $document */
    #[DataProvider('badIntents')]
    public function test_bad_intents_are_refused_at_their_place(array $document, string $place): void
    {
        try {
            Intent::read(Fields::of($document));
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
            self::assertNotNull($refusal->expected);
        }
    }
}
