<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Models\Import;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Move\Catalogue;
use Larkspur\Site\Wind;
use Words\Glossary;

/** The library over the API: every move is shown, planned, flown with faults, judged and compared. */
final class MoveTest extends FeatureCase
{
    public function test_the_library_says_of_each_move_what_it_is(): void
    {
        $user = User::factory()->createOne();
        $moves = $this->actingAs($user)->getJson('/api/v1/moves')->assertOk()->json();

        self::assertSame(Catalogue::ids(), array_column($moves, 'id'));
        foreach ($moves as $move) {
            self::assertNotSame([], $move['faults'], $move['id']);
            self::assertNotSame('', $move['clean'], $move['id']);
        }
        self::assertCount(count(Glossary::all()), $this->actingAs($user)->getJson('/api/v1/glossary')->assertOk()->json());
    }

    public function test_the_explorer_counts_every_way_of_pressing_the_fingers(): void
    {
        $answer = $this->actingAs(User::factory()->createOne())->getJson('/api/v1/combinations')->assertOk();

        self::assertSame(728, array_sum(array_column($answer->json('with_zoom'), 'count')));
        self::assertSame(242, array_sum(array_column($answer->json('without_zoom'), 'count')));
        self::assertCount(242, $answer->json('all'));
    }

    public function test_a_lesson_lays_a_fault_beside_the_plan(): void
    {
        $user = User::factory()->createOne();
        $rig = Rig::factory()->createOne(['school_id' => $user->school_id]);
        $clean = $this->actingAs($user)->getJson("/api/v1/moves/pull-away/lesson?rig_id={$rig->id}")->assertOk();
        $fault = $clean->json('plan.move.id') === 'pull-away' ? Catalogue::move('pull-away')->about()->faults[0] : '';
        $wrong = $this->actingAs($user)->getJson("/api/v1/moves/pull-away/lesson?rig_id={$rig->id}&fault={$fault}")->assertOk()
            ->assertJsonPath('flown.fault', $fault);

        self::assertLessThan($clean->json('flown.score'), $wrong->json('flown.score'));
        self::assertSame($clean->json('plan.samples.t'), $wrong->json('plan.samples.t'));
        self::assertCount(6, $wrong->json('flown.frames'));
        self::assertCount(count($wrong->json('flown.samples.t')), $wrong->json('flown.fingers.turn'));
        $this->actingAs($user)->getJson("/api/v1/moves/pull-away/lesson?rig_id={$rig->id}&fault=hiccup")->assertUnprocessable()
            ->assertJsonPath('errors.0.place', 'fault');
        $this->actingAs($user)->getJson("/api/v1/moves/somersault/lesson?rig_id={$rig->id}")->assertUnprocessable();
        $this->actingAs($user)->getJson('/api/v1/moves/pull-away/lesson?rig_id='.Rig::factory()->createOne()->id)->assertNotFound();
        $this->actingAs($user)->getJson('/api/v1/moves/pull-away/lesson')->assertUnprocessable();
    }

    public function test_a_lesson_is_in_the_hands_of_whoever_looks(): void
    {
        $thumbs = function (int $mode): array {
            $user = User::factory()->createOne(['stick_mode' => $mode]);
            $rig = Rig::factory()->createOne(['school_id' => $user->school_id]);
            $lesson = $this->actingAs($user)->getJson("/api/v1/moves/lateral-dolly/lesson?rig_id={$rig->id}")->assertOk();

            return array_values(array_filter(array_column($lesson->json('plan.cues'), 'thumb')));
        };

        self::assertSame(['right thumb'], $thumbs(2));
        self::assertSame(['left thumb'], $thumbs(4));
    }

    public function test_every_move_is_planned_kept_flown_and_judged(): void
    {
        $user = User::factory()->createOne();
        $site = Site::factory()->createOne(['school_id' => $user->school_id]);
        $rig = Rig::factory()->createOne(['school_id' => $user->school_id]);
        foreach ([
            'pan', 'rise', 'side-track', 'reveal-orbit', 'figure-of-eight', 'pad-to-pad', 'top-down-helix', 'sink-turn-tilt', 'combination',
        ] as $move) {
            $draft = [
                'site_id' => $site->id, 'rig_id' => $rig->id, 'mode' => 'standard', 'move' => $move, 'subject_id' => 'stones',
                'parameters' => (object) [],
            ];
            if ($move === 'combination') {
                $draft['parts'] = [['move' => 'push-in'], ['move' => 'rise']];
                $draft['join'] = 'sequence';
            }
            $this->actingAs($user)->postJson('/api/v1/plans', $draft)->assertOk()->assertJsonPath('move.id', $move);
            $kept = $this->actingAs($user)->postJson('/api/v1/shots', [...$draft, 'title' => "A $move"]);
            self::assertSame(201, $kept->getStatusCode(), $move.' '.$kept->getContent());
            $shot = $kept->json('id');
            $flown = $this->actingAs($user)->postJson("/api/v1/shots/{$shot}/flights", ['operator' => 'steady', 'seed' => 4]);
            self::assertSame(201, $flown->getStatusCode(), $move.' '.$flown->getContent());
            $flown->assertJsonPath('state', 'done')->assertJsonCount(1, 'takes');
            $take = $this->actingAs($user)->getJson('/api/v1/takes/'.$flown->json('takes.0'))->assertOk()->assertJsonPath('move', $move);
            self::assertGreaterThan(70, $take->json('score'), $move);
            $replay = $this->actingAs($user)->getJson('/api/v1/takes/'.$flown->json('takes.0').'/replay')->assertOk();
            // Of a figure, where its marks were planned and flown, within a metre of each other in still air.
            $marks = ['pad-to-pad' => 2, 'figure-of-eight' => 2][$move] ?? null;
            $marks === null || self::assertCount($marks, $replay->json('marks'), $move);
            foreach ($marks === null ? [] : $replay->json('marks') as $mark) {
                $off = hypot($mark['east_m'] - $mark['planned_east_m'], $mark['north_m'] - $mark['planned_north_m']);
                self::assertLessThan(1.5, $off, $move.' '.$mark['kind']);
            }
        }
    }

    public function test_faults_on_purpose_levels_and_a_craft_that_does_not_hold_its_place(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $fly = fn (array $with): float => (float) Take::query()->where(
            'id',
            $this->actingAs($user)->postJson(
                "/api/v1/shots/{$shot->id}/flights", ['operator' => 'expert', 'seed' => 5, ...$with],
            )->assertCreated()->json('takes.0'),
        )->sole()->score;
        $clean = $fly([]);
        $kicked = $fly(['slips' => [['kind' => 'kick', 'finger' => 'turn', 'at' => 7.0, 'size' => 0.5, 'length' => 0.5]]]);
        $adrift = $fly(['positioning' => false, 'wind' => ['mean_mps' => 1.5, 'from_deg' => 90]]);

        self::assertLessThan($clean - 3, $kicked);
        self::assertLessThan($clean, $adrift);
        foreach ([
            ['slips' => [['kind' => 'sneeze', 'at' => 1]]], ['slips' => array_fill(0, 13, ['kind' => 'kick', 'at' => 1])],
            ['operator' => 'virtuoso'], ['slips' => 'many'],
        ] as $wrong) {
            $this->actingAs($user)->postJson(
                "/api/v1/shots/{$shot->id}/flights", ['operator' => 'expert', 'seed' => 5, ...$wrong],
            )->assertUnprocessable();
        }
    }

    public function test_takes_of_one_shot_are_compared(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $this->actingAs($user)->getJson(
            "/api/v1/shots/{$shot->id}/comparison",
        )->assertOk()->assertJsonPath('best', null)->assertJsonPath('takes', []);
        foreach (['steady' => 3, 'flicker' => 4] as $operator => $seed) {
            $this->app?->make(FlyShot::class)($shot, OperatorHabits::named($operator), $operator, Wind::still(), $seed, $user);
        }
        $takes = Take::query()->where('shot_id', $shot->id)->orderByDesc('score')->get();
        $answer = $this->actingAs($user)->getJson(
            "/api/v1/shots/{$shot->id}/comparison",
        )->assertOk()->assertJsonCount(2, 'takes')->assertJsonPath('best', $takes->first()?->id);

        self::assertStringContainsString('Take 1', $answer->json('reason'));
        $this->actingAs(User::factory()->createOne([
            'school_id' => $user->school_id,
        ]))->getJson("/api/v1/shots/{$shot->id}/comparison")->assertForbidden();
    }

    public function test_a_picture_is_solved_for(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $draft = [
            'site_id' => $shot->site_id, 'rig_id' => $shot->rig_id, 'mode' => 'standard', 'move' => 'push-in',
            'subject_id' => $shot->site->subjects[0]['id'], 'parameters' => ['distance_m' => 40.0],
        ];
        $ask = fn (array $picture) => $this->actingAs($user)->postJson(
            '/api/v1/compositions', [...$draft, 'picture' => ['subject_m' => 4.0, 'fills' => 0.4, ...$picture]],
        );
        $horizon = $ask(['horizon_y' => 0.33])->assertOk();
        $height = $ask(['height_m' => 1.7])->assertOk();

        self::assertLessThan(0, $horizon->json('tilt_deg'));
        self::assertEqualsWithDelta(1.7, $height->json('height_m'), 0.01);
        self::assertEqualsWithDelta($horizon->json('distance_m'), $horizon->json('reached.distance_m'), 0.1);
        $ask(['height_m' => 400.0])->assertUnprocessable();
        $ask(['fills' => 2])->assertUnprocessable()->assertJsonPath('errors.0.place', 'picture.fills');
        $this->actingAs($user)->postJson(
            '/api/v1/compositions', [...$draft, 'subject_id' => null, 'picture' => ['subject_m' => 4.0, 'fills' => 0.4]],
        )->assertStatus(422);
    }

    public function test_a_combination_of_nothing_is_refused_where_it_is_wrong(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $draft = [
            'site_id' => $shot->site_id, 'rig_id' => $shot->rig_id, 'mode' => 'standard', 'move' => 'combination', 'subject_id' => 'stones',
            'parameters' => (object) [],
        ];

        $this->actingAs($user)->postJson('/api/v1/plans', $draft)->assertUnprocessable();
        $this->actingAs($user)->postJson('/api/v1/plans', [...$draft, 'parts' => [['move' => 'rise']]])->assertUnprocessable();
        self::assertSame(0, Import::query()->count() + Shot::query()->where('title', 'like', 'A %')->count());
    }
}
