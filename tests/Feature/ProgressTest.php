<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\StepSaying;
use App\Models\Take;
use App\Models\User;
use Database\Factories\TakeFactory;
use Larkspur\Training\Ladder\Templates;

/** Progress over HTTP: standings, the ladder and what is said of it, what next, the class, lessons, the logbook. */
final class ProgressTest extends FeatureCase
{
    private User $trainer;

    private User $pilot;

    protected function setUp(): void
    {
        parent::setUp();
        $this->trainer = User::factory()->createOne(['role' => User::TRAINER]);
        $this->pilot = User::factory()->createOne(['school_id' => $this->trainer->school_id, 'name' => 'Pip']);
    }

    public function test_a_standing_comes_with_its_doubt_and_practice_is_left_out(): void
    {
        $this->flown('pan', 10, 80.0);
        $this->flown('pan', 3, 20.0, ['practised' => true]);
        $this->flown('pan', 3, 20.0, ['automated' => true]);

        $progress = $this->actingAs($this->pilot)->getJson('/api/v1/progress')->assertOk()->json();

        self::assertEqualsWithDelta(80, $progress['score']['mean'], 3);
        self::assertGreaterThan(1, $progress['score']['sure']);
        self::assertCount(10, $progress['score']['band']);
        self::assertCount(10, $progress['takes']);
        self::assertSame(['pan', 10], [$progress['moves'][0]['id'], $progress['moves'][0]['takes']]);
    }

    public function test_takes_sent_late_are_put_where_they_were_flown(): void
    {
        $this->flown('pan', 3, 90.0);
        $this->flown('pan', 1, 40.0, ['flown_at' => now()->subYears(3)]);

        $takes = $this->actingAs($this->pilot)->getJson('/api/v1/progress')->json('takes');

        self::assertLessThan(50, $takes[0]['marks']['score']);
        self::assertCount(4, $takes);
    }

    public function test_a_step_goes_from_open_to_signed_and_who_may_say_what(): void
    {
        $say = fn (User $who, string $step, array $what) => $this->actingAs($who)->postJson("/api/v1/ladder/steps/$step/sayings", [
            'operator' => $this->pilot->id, ...$what,
        ]);
        $state = fn (string $step): string => array_column(
            $this->actingAs($this->pilot)->getJson('/api/v1/ladder')->assertOk()->json('steps'), 'state', 'id',
        )[$step];

        self::assertSame(['open', 'closed'], [$state('hover'), $state('home')]);
        $this->flown('hover', 2, 95.0);
        $this->flown('hover', 1, 95.0, ['flown_at' => now()->subDays(5)]);
        self::assertSame('enough', $state('hover'));
        $say($this->trainer, 'hover', ['kind' => 'word'])->assertForbidden();
        $say($this->pilot, 'hover', ['kind' => 'sign-off'])->assertForbidden();
        $say($this->pilot, 'hover', ['kind' => 'word'])->assertOk();
        self::assertSame('settled', $state('hover'));

        $say($this->trainer, 'home', ['kind' => 'sign-off'])->assertStatus(422)->assertJsonPath('errors.0.place', 'overrule');
        $say($this->trainer, 'home', ['kind' => 'sign-off', 'overrule' => true])->assertStatus(422);
        $say($this->trainer, 'home', ['kind' => 'sign-off', 'overrule' => true, 'text' => 'Seen in the spring.'])->assertOk();
        self::assertSame('signed', $state('home'));
        $paper = $this->actingAs($this->pilot)->get('/api/v1/ladder/certificate')->assertOk();
        self::assertStringStartsWith('%PDF-', (string) $paper->getContent());
        $this->get('/api/v1/ladder/certificate?operator='.$this->trainer->id)->assertNotFound();
        self::assertTrue(StepSaying::query()->where('step', 'home')->firstOrFail()->overruled);
        $say($this->trainer, 'home', ['kind' => 'withdrawal', 'text' => 'It was another one.'])->assertOk();
        self::assertSame('closed', $state('home'));
        $say($this->trainer, 'no-such-step', ['kind' => 'sign-off'])->assertStatus(422);
    }

    public function test_a_viewer_sees_and_says_nothing_and_another_school_is_not_there(): void
    {
        $viewer = User::factory()->createOne(['school_id' => $this->trainer->school_id, 'role' => User::VIEWER]);
        $stranger = User::factory()->createOne(['role' => User::TRAINER]);
        $ladder = Templates::of(Templates::AXES)->toArray();
        $lesson = ['title' => 'x', 'purpose' => 'y', 'steps' => [['kind' => 'read', 'move' => '', 'shot_id' => null, 'passes' => 1,
            'note' => '']], 'minutes' => null, 'batteries' => null, 'wanted_on' => null, 'operators' => [$this->pilot->id]];

        $this->actingAs($viewer)->getJson('/api/v1/class')->assertOk();
        $this->getJson("/api/v1/ladder?operator={$this->pilot->id}")->assertOk();
        foreach (['sign-off', 'word', 'supervisor'] as $kind) {
            $this->postJson('/api/v1/ladder/steps/hover/sayings', ['operator' => $this->pilot->id, 'kind' => $kind, 'text' => 'x'])
                ->assertForbidden();
        }
        $this->putJson('/api/v1/school/ladder', ['document' => $ladder, 'version' => 0, 'reason' => 'x'])->assertForbidden();
        $this->postJson('/api/v1/school/ladder/effects', ['document' => $ladder, 'version' => 0, 'reason' => 'x'])->assertForbidden();
        $this->postJson('/api/v1/lessons', $lesson)->assertForbidden();
        $this->postJson('/api/v1/own-entries', ['flown_at' => '2026-01-01T00:00:00Z', 'minutes' => 1])->assertForbidden();

        $this->actingAs($stranger)->getJson("/api/v1/progress?operator={$this->pilot->id}")->assertNotFound();
        $this->getJson("/api/v1/next?operator={$this->pilot->id}")->assertNotFound();
        $this->postJson('/api/v1/lessons', $lesson)->assertStatus(422);
        $this->postJson('/api/v1/ladder/steps/hover/sayings', ['operator' => $this->pilot->id, 'kind' => 'sign-off'])->assertNotFound();
        $this->actingAs($this->pilot)->getJson("/api/v1/progress?operator={$this->trainer->id}")->assertNotFound();
        $this->getJson('/api/v1/class')->assertForbidden();
    }

    public function test_two_trainers_at_one_ladder_and_a_sign_off_that_outlives_it(): void
    {
        $other = User::factory()->createOne(['school_id' => $this->trainer->school_id, 'role' => User::TRAINER]);
        $this->actingAs($this->trainer)->postJson('/api/v1/ladder/steps/hover/sayings', [
            'operator' => $this->pilot->id, 'kind' => 'sign-off', 'overrule' => true, 'text' => 'Seen.',
        ])->assertOk();
        $ladder = $this->getJson('/api/v1/school/ladder')->assertOk()->json();
        $ladder['document']['steps'][0]['criterion']['score'] = 99;
        $body = ['document' => $ladder['document'], 'version' => 0, 'reason' => 'Hover harder'];

        $this->putJson('/api/v1/school/ladder', $body)->assertOk()->assertJsonPath('version', 1);
        $this->actingAs($other)->putJson('/api/v1/school/ladder', $body)->assertStatus(409)->assertJsonPath('version', 1);
        $this->putJson('/api/v1/school/ladder', ['version' => 1] + $body)->assertOk()->assertJsonPath('version', 2);
        $gone = $body;
        unset($gone['document']['steps'][0]);
        $gone['document']['steps'] = array_map(static function (array $step): array {
            $step['needs'] = array_values(array_diff($step['needs'], ['hover']));

            return $step;
        }, array_values($gone['document']['steps']));
        $effects = $this->postJson('/api/v1/school/ladder/effects', ['version' => 2] + $gone)->assertOk()->json();
        self::assertContains([true, null], array_map(static fn (array $one): array => [$one['signed'], $one['to']], $effects));
        $this->putJson('/api/v1/school/ladder', ['version' => 2] + $gone)->assertOk();
        self::assertSame(1, StepSaying::query()->where('step', 'hover')->where('kind', 'sign-off')->count());

        $circle = $body;
        $circle['document']['steps'][0]['needs'] = [$body['document']['steps'][1]['id']];
        $this->putJson('/api/v1/school/ladder', ['version' => 3] + $circle)->assertStatus(422)
            ->assertJsonPath('errors.0.place', 'document.steps.0.needs');
    }

    public function test_next_is_one_or_two_things_and_not_today_is_an_answer(): void
    {
        $this->flown('hover', 4, 60.0);
        $next = $this->actingAs($this->pilot)->getJson('/api/v1/next?place=desk')->assertOk()->json();
        self::assertNotEmpty($next['said']);
        self::assertLessThanOrEqual(2, count($next['said']));
        self::assertNotContains('fly', array_column($next['said'], 'activity'), 'Nobody flies at a desk.');
        $key = $next['said'][0]['key'];

        $this->postJson('/api/v1/next/declined', ['key' => $key])->assertNoContent();

        self::assertNotContains($key, array_column($this->getJson('/api/v1/next?place=desk')->json('said'), 'key'));
    }

    public function test_the_house_style_is_followed_and_an_operator_may_have_an_exception(): void
    {
        $this->flown('pan', 10, 95.0, ['automated' => true]);
        $this->flown('rise', 10, 95.0);
        $why = fn (): string => implode(' ', $this->actingAs($this->trainer)->getJson('/api/v1/class')->json('rows.0.why'));
        self::assertStringContainsString('by automation', $why());

        $this->putJson('/api/v1/house-style', ['automation' => 'welcome', 'most_gust_mps' => 0.5])->assertOk()
            ->assertJsonPath('school.automation', 'welcome');
        self::assertStringNotContainsString('by automation', $why());
        self::assertStringContainsString('Gusts', (string) $this->actingAs($this->pilot)->getJson('/api/v1/next?place=field&gust_mps=0.6')
            ->json('grounded'));
        $this->actingAs($this->trainer)->putJson("/api/v1/house-style?operator={$this->pilot->id}", ['automation' => 'hand'])->assertOk()
            ->assertJsonPath('operator.automation', 'hand')->assertJsonPath('school.automation', 'welcome')
            ->assertJsonPath('otherwise', true);
        self::assertStringContainsString('by automation', $why());
        $this->putJson("/api/v1/house-style?operator={$this->pilot->id}", ['as_school' => true])->assertOk()
            ->assertJsonPath('otherwise', false);

        $this->putJson('/api/v1/house-style', ['passes' => 0])->assertStatus(422)->assertJsonPath('errors.0.place', 'passes');
        $this->putJson('/api/v1/house-style', ['automation' => 'both'])->assertStatus(422);
        $this->actingAs($this->pilot)->putJson('/api/v1/house-style', ['passes' => 2])->assertForbidden();
        self::assertCount(31, $this->getJson('/api/v1/house-style')->assertOk()->json('disputes'));
    }

    public function test_a_lesson_is_counted_from_the_record_and_comes_first(): void
    {
        $lesson = $this->actingAs($this->trainer)->postJson('/api/v1/lessons', [
            'title' => 'Pans', 'purpose' => 'Stop on the mark.', 'minutes' => 30, 'batteries' => 1,
            'wanted_on' => now()->addDays(2)->format('Y-m-d'), 'operators' => [$this->pilot->id], 'steps' => [
                ['kind' => 'read', 'move' => 'pan', 'shot_id' => null, 'passes' => 1, 'note' => ''],
                ['kind' => 'fly', 'move' => 'pan', 'shot_id' => null, 'passes' => 2, 'note' => 'slowly'],
            ],
        ])->assertCreated()->json();
        $this->postJson('/api/v1/lessons', ['purpose' => ''] + $lesson)->assertStatus(422);

        $said = $this->actingAs($this->pilot)->getJson('/api/v1/next')->json('said.0');
        self::assertSame(['assigned', 'read'], [$said['kind'], $said['activity']]);
        $this->putJson("/api/v1/lessons/$lesson[id]/mine", ['ticked' => [0], 'comment' => 'Read.'])->assertOk();
        $this->putJson("/api/v1/lessons/$lesson[id]/mine", ['ticked' => [9], 'comment' => ''])->assertStatus(422);
        $this->flown('pan', 1, 80.0, ['flown_at' => now()->addMinute()]);
        $this->flown('pan', 1, 80.0, ['flown_at' => now()->addMinute(), 'practised' => true]);
        self::assertSame([1, 1], $this->getJson('/api/v1/lessons')->json('0.members.0.have'));
        $this->actingAs($this->trainer)->getJson('/api/v1/lessons')->assertJsonPath('0.members.0.comment', 'Read.');
        $stranger = User::factory()->createOne(['school_id' => $this->trainer->school_id]);
        $this->actingAs($stranger)->getJson('/api/v1/lessons')->assertJsonCount(0);
        $this->putJson("/api/v1/lessons/$lesson[id]/mine", ['ticked' => [], 'comment' => ''])->assertNotFound();
        $this->deleteJson("/api/v1/lessons/$lesson[id]")->assertForbidden();
    }

    public function test_the_logbook_adds_up_what_stands_in_it_and_is_written_out(): void
    {
        $this->flown('pan', 2, 80.0, ['direction' => 'left', 'mode' => 'slow']);
        $this->flown('orbit', 1, 80.0, ['practised' => true]);
        $this->flown('orbit', 1, 80.0, ['automated' => true, 'faults' => 'kick,leak']);
        $this->actingAs($this->pilot)->postJson('/api/v1/own-entries', [
            'flown_at' => now()->subDays(2)->toIso8601String(), 'minutes' => 12.5, 'batteries' => 1, 'text' => '=1+1',
        ])->assertCreated();

        $logbook = $this->getJson('/api/v1/logbook')->assertOk()->json();
        $totals = $logbook['totals'];
        self::assertSame([4, 2, 1, 1, 2, 12.5], [
            $totals['takes'], $totals['by_hand'], $totals['practised'], $totals['automated'], $totals['slow'], $totals['entered_min'],
        ]);
        self::assertSame(4, array_sum(array_column($logbook['months'], 'takes')));
        foreach (['move=pan' => 2, 'flown=practised' => 1, 'flown=hand' => 2, 'mode=slow' => 2, 'direction=left' => 2, 'fault=leak' => 1,
            'fault=lea' => 0, 'least=80' => 4, 'least=80.5' => 0, 'most=79' => 0, 'site=99999' => 0,
            'from='.now()->addDay()->format('Y-m-d') => 0] as $asked => $count) {
            self::assertCount($count, $this->getJson("/api/v1/takes?$asked")->assertOk()->json('takes'), $asked);
        }
        $csv = $this->get('/api/v1/logbook/file')->assertOk()->streamedContent();
        // Their names, four takes, the entry.
        self::assertCount(6, array_filter(explode("\r\n", $csv)));
        $this->deleteJson('/api/v1/own-entries/'.$logbook['entries'][0]['id'])->assertNoContent();
        $this->deleteJson('/api/v1/own-entries/'.$logbook['entries'][0]['id'])->assertNotFound();
    }

    public function test_the_class_stands_by_need_and_everyone_is_in_it(): void
    {
        $this->flown('pan', 12, 95.0);
        $never = User::factory()->createOne(['school_id' => $this->trainer->school_id, 'name' => 'Never']);
        $class = $this->actingAs($this->trainer)->getJson('/api/v1/class')->assertOk()->json();

        self::assertSame([$never->id, $this->pilot->id], array_column(array_column($class['rows'], 'operator'), 'id'));
        self::assertCount(count(Templates::of(Templates::FOUNDATION)->steps), $class['steps']);
        self::assertSame('open', $class['rows'][0]['states']['hover']);
    }

    public function test_the_class_follows_whatever_changes(): void
    {
        $row = fn (): array => $this->actingAs($this->trainer)->getJson('/api/v1/class')->assertOk()->json('rows.0');
        $this->flown('hover', 6, 95.0);
        $was = $row();
        self::assertEquals($was, $row(), 'Looked at again it is the same.');

        $this->flown('hover', 4, 55.0, ['flown_at' => now()->subHour()]);
        $worse = $row();
        self::assertLessThan($was['standings']['score']['mean'], $worse['standings']['score']['mean']);
        self::assertSame(10, $worse['standings']['score']['takes']);

        Take::query()->where('score', '<', 60)->get()->each->delete();
        self::assertEquals($was, $row(), 'Removed ones leave nothing behind.');

        $this->actingAs($this->trainer)->postJson('/api/v1/ladder/steps/hover/sayings', [
            'operator' => $this->pilot->id, 'kind' => 'sign-off', 'text' => 'Seen.', 'overruled' => true,
        ])->assertSuccessful();
        self::assertSame('signed', $row()['states']['hover']);

        $this->pilot->update(['name' => 'Pippa']);
        self::assertSame('Pippa', $row()['operator']['name']);
        $this->travel(400)->days();
        self::assertSame('stale', $row()['states']['hover']);
    }

    /** @param  array<string, mixed>  $more */
    private function flown(string $move, int $count, float $score, array $more = []): void
    {
        for ($k = 0; $k < $count; $k++) {
            TakeFactory::new()->of($this->pilot)->createOne([
                'move' => $move, 'score' => $score, 'direction' => '', 'flown_at' => now()->subDays($count - $k)->subHour(), ...$more,
            ]);
        }
        self::assertGreaterThanOrEqual($count, Take::query()->count());
    }
}
