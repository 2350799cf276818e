<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Demo\Rigs;
use Demo\Sites;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Notes\RevealNotes;
use Larkspur\Choreography\Opening;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Intent;
use Larkspur\Scoring\Expectation;
use Larkspur\Training\FirstShot;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a plan begins with: every move and drill, on every site of the demo and on a bare one, with no hand laid on it. */
final class FirstShotTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function sites(): iterable
    {
        foreach (Sites::all() as $site) {
            yield $site['name'] => [$site];
        }
        yield 'a bare one' => [self::bare()];
    }

    /** @param  array<string, mixed>  $site */
    #[DataProvider('sites')]
    public function test_every_move_flies_untouched(array $site): void
    {
        foreach (array_diff(Catalogue::ids(), [Combination::ID]) as $move) {
            $plan = Planner::plan(FirstShot::of(self::asked($site, $move)));
            self::assertTrue($plan->feasible(), "$move can’t be flown at $site[name].");
            self::assertGreaterThanOrEqual(97.0, Expectation::of($plan)->score->score ?? 0.0, "$move at $site[name]");
        }
    }

    /**
     * What each is flown for (common practice, no published source): what it reveals is hidden or outside the frame at first where it can
     * be, and seen in the end; a summit stands on the lower third; a horizon on the upper one.
     *
     * @param  array<string, mixed>  $site
     */
    #[DataProvider('sites')]
    public function test_it_shows_what_the_move_is_flown_for(array $site): void
    {
        $plan = static fn (string $move): Plan => Planner::plan(FirstShot::of(self::asked($site, $move)));
        foreach (['reverse-tilt-down', 'over-the-edge', 'low-tilt-up', 'ascent-late-tilt', 'fly-over', 'lift-and-tilt'] as $move) {
            self::assertSame('reveal.seen', RevealNotes::of($plan($move))->last->code, "$move at $site[name]");
        }
        self::assertSame('reveal.outside-frame', RevealNotes::of($plan('reverse-tilt-down'))->first->code);
        $over = $plan('fly-over')->move->flight->tilt;
        self::assertLessThan(-70 * Angle::DEGREE, $over[count($over) - 1], 'It lies below in the end.');
        $drop = $plan('drop-and-tilt')->move->flight;
        $waits = $drop->tilt[(int) (0.35 * $drop->count())] - $drop->tilt[0];
        self::assertEqualsWithDelta(0.0, $waits, 0.001, 'It rests at first.');
        self::assertGreaterThan(5 * Angle::DEGREE, $drop->tilt[$drop->count() - 1] - $drop->tilt[0], 'And comes up in the end.');
        $late = $plan('ascent-late-tilt');
        $mark = $late->view($late->move->flight->count() - 1)->project($late->move->subject?->first() ?? self::fail('None.'));
        self::assertEqualsWithDelta(-1 / 6, $mark?->v, 0.03);
        foreach (['ground-to-horizon', 'reverse-tilt-up', 'sink-to-horizon', 'back-rise-tilt'] as $move) {
            self::assertEqualsWithDelta(1 / 3, RevealNotes::of($plan($move))->horizon, 0.02, "$move at $site[name]");
        }
        self::assertEqualsWithDelta(-M_PI_2, $plan('ground-to-horizon')->move->flight->tilt[0], 0.01, 'It begins straight down.');
    }

    /** The trade: what a reveal hides is really hidden at first, behind what stands there (common practice, no published source). */
    public function test_a_reveal_chooses_what_hides_its_subject_and_a_way_its_gap(): void
    {
        [$stones, , , $arch] = Sites::all();
        $first = static fn (array $site, string $move): Plan => Planner::plan(FirstShot::of(self::asked($site, $move)));
        foreach ([[$arch, 'over-the-edge'], [$arch, 'round-the-side'], [$stones, 'round-the-side']] as [$site, $move]) {
            $plan = $first($site, $move);
            $notes = RevealNotes::of($plan);
            self::assertTrue($notes->isScreenedFirst() && $notes->isSeenLast(), "$move at $site[name]");
            self::assertContains('site-check.comes-out-behind', self::said($plan));
        }
        $through = $first($arch, 'gap');
        $opening = Opening::on($through->shot, $through->move) ?? self::fail('No gap.');
        self::assertTrue($opening->drawn && $opening->fits());
        self::assertLessThan(18.0, $opening->width, 'Between the piers.');
        // Where nothing could: it is said, and the frame alone hides it.
        self::assertSame('reveal.outside-frame', RevealNotes::of($first(self::bare(), 'over-the-edge'))->first->code);
        foreach (['over-the-edge', 'round-the-side'] as $move) {
            self::assertContains('site-check.no-foreground', self::said($first(self::bare(), $move)));
        }
        self::assertContains('site-check.gap-said', self::said($first(self::bare(), 'gap')));
    }

    /** @return list<string> */
    private static function said(Plan $plan): array
    {
        return array_map(static fn (Finding $one): string => $one->text->code, $plan->findings);
    }

    public function test_what_flies_as_it_usually_is_stays_so(): void
    {
        $asked = self::asked(self::bare(), 'orbit');
        self::assertEquals($asked->toArray(), FirstShot::of($asked)->toArray());
    }

    public function test_what_the_site_is_filmed_for_stays_the_subject_where_it_can(): void
    {
        $asked = self::asked(Sites::all()[1], 'push-in');
        $first = FirstShot::of($asked);
        self::assertEquals($asked->intent->subject, $first->intent->subject);
        // A kiln does not walk: who is followed crosses free ground.
        foreach (array_filter(Catalogue::ids(), Catalogue::follows(...)) as $move) {
            $asked = self::asked(Sites::all()[1], $move);
            self::assertNotEquals($asked->intent->subject, FirstShot::of($asked)->intent->subject, $move);
            $ids = array_map(static fn (Finding $one): string => $one->id, Planner::plan($asked)->findings);
            self::assertContains('built', $ids, 'Whoever asks for it all the same is told.');
        }
    }

    /**
     * @param  array<string, mixed>  $site
     */
    private static function asked(array $site, string $move): Shot
    {
        $rig = Rigs::all()['lapwing'];

        return Shot::read(Fields::of([
            'schema' => Shot::SCHEMA,
            'intent' => [
                'schema' => Intent::SCHEMA, 'move' => $move, 'camera' => $rig['camera'],
                'subject' => array_intersect_key($site['subjects'][0], ['lat' => 1, 'lon' => 1, 'alt_m' => 1, 'base_alt_m' => 1]),
            ],
            'rig' => $rig, 'mode' => 'standard', 'site' => ['name' => $site['name'], ...$site['document']],
        ]), kept: true);
    }

    /** @return array<string, mixed> nothing but a place to take off and a person to look at */
    private static function bare(): array
    {
        return [
            'name' => 'bare', 'document' => ['home' => ['lat' => 57.61, 'lon' => -0.41, 'alt_m' => 12.0]],
            'subjects' => [['id' => 'somebody', 'lat' => 57.6104, 'lon' => -0.41, 'alt_m' => 13.0, 'base_alt_m' => 12.0]],
        ];
    }
}
