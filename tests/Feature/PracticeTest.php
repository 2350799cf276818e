<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Recording;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Practice in Fly over HTTP: what is given out, what comes back, and what is made of it. */
final class PracticeTest extends FeatureCase
{
    private User $pilot;

    private Shot $shot;

    protected function setUp(): void
    {
        parent::setUp();
        $this->pilot = User::factory()->createOne();
        $this->shot = ShotFactory::whole($this->pilot);
    }

    public function test_a_sheet_played_as_it_is_written_becomes_a_take_that_says_it_was_practised(): void
    {
        $exercise = $this->exercise();

        $pass = $this->send($exercise, [...$this->written($exercise), 'purpose' => 'Softer stops'])->assertOk()->json();

        self::assertGreaterThan(85, $pass['take']['score']);
        self::assertSame(
            ['device' => 'gamepad', 'aids' => ['ghost'], 'broken_off' => false, 'seed' => 7, 'purpose' => 'Softer stops'],
            $pass['take']['practised'],
        );
        self::assertNull($pass['ended']);
        $take = Take::query()->whereKey($pass['take']['id'])->firstOrFail();
        self::assertTrue($take->practised);
        self::assertSame($this->shot->id, $take->shot_id);
        self::assertSame($this->shot->rig_id, $take->rig_id);
        self::assertSame('practised', $take->log->source);
    }

    public function test_the_same_recording_sent_twice_is_one_take(): void
    {
        $exercise = $this->exercise();
        $recording = $this->written($exercise);

        $first = $this->send($exercise, $recording)->assertOk()->json('take.id');
        $second = $this->send($exercise, $recording)->assertOk()->json('take.id');

        self::assertSame($first, $second);
        self::assertSame(1, Take::query()->count());
        self::assertSame(1, Recording::query()->count());
    }

    public function test_two_passes_flown_alike_to_the_byte_are_two_passes(): void
    {
        $exercise = $this->exercise();
        $first = $this->written($exercise);
        $second = ['id' => Str::uuid()->toString()] + $first;

        $this->send($exercise, $first)->assertOk();
        $passes = $this->send($exercise, $second)->assertOk()->json('passes');

        self::assertCount(2, $passes);
        self::assertSame([2, 1], [Take::query()->count(), Take::query()->with('log')->get()->pluck('log.sha256')->unique()->count()]);
    }

    public function test_work_that_broke_off_after_the_take_was_kept_finds_it_again(): void
    {
        $exercise = $this->exercise();
        $recording = $this->written($exercise);
        $take = $this->send($exercise, $recording)->assertOk()->json('take.id');
        Recording::query()->update(['outcome' => '[]', 'take_id' => null]);

        self::assertSame($take, $this->send($exercise, $recording)->assertOk()->json('take.id'));
        self::assertSame(1, Take::query()->count());
    }

    public function test_a_recording_of_another_exercise_is_refused_in_words(): void
    {
        $exercise = $this->exercise();
        $recording = $this->written($exercise);
        $recording['sheet'] = str_repeat('0', 64);

        $this->send($exercise, $recording)->assertStatus(422)->assertJsonPath('errors.0.place', 'sheet');
        $changed = ['envelope' => str_replace('"seed', '"Seed', $exercise['envelope'])] + $exercise;
        $this->send($changed, $this->written($exercise))->assertStatus(422)->assertJsonPath('errors.0.place', 'envelope');
        self::assertSame(0, Take::query()->count());
    }

    public function test_forged_travel_and_missing_steps_are_refused_where_they_are(): void
    {
        $exercise = $this->exercise();
        $forged = $this->written($exercise);
        $forged['fingers']['turn'][3] = 1400;
        $missing = $this->written($exercise);
        array_pop($missing['fingers']['tilt']);

        $this->send($exercise, $forged)->assertStatus(422)->assertJsonPath('errors.0.place', 'recording.fingers.turn.3');
        $this->send($exercise, $missing)->assertStatus(422)->assertJsonPath('errors.0.place', 'recording.fingers.tilt');
    }

    public function test_somebody_elses_exercise_is_not_found(): void
    {
        $exercise = $this->exercise();
        $other = User::factory()->createOne(['school_id' => $this->pilot->school_id]);

        $this->send($exercise, $this->written($exercise), $other)->assertNotFound();
    }

    public function test_a_shot_that_is_gone_meanwhile_takes_nothing_with_it(): void
    {
        $exercise = $this->exercise();
        $this->shot->delete();

        $pass = $this->send($exercise, $this->written($exercise))->assertOk()->json();

        self::assertGreaterThan(85, $pass['take']['score']);
        self::assertNull($pass['take']['shot_id']);
    }

    public function test_without_the_press_of_record_there_is_nothing_to_judge_and_it_is_said(): void
    {
        $exercise = $this->exercise();

        $pass = $this->send($exercise, ['recorded' => []] + $this->written($exercise))->assertOk()->json();

        self::assertFalse($pass['recorded']);
        self::assertNull($pass['take']);
        self::assertSame(1, Recording::query()->count());
    }

    public function test_after_three_passes_the_best_is_named(): void
    {
        $exercise = $this->exercise();
        $clean = $this->written($exercise);
        foreach ([0.8, 1.0, 0.7] as $share) {
            $pass = $this->send($exercise, [
                ...$clean, 'id' => Str::uuid()->toString(),
                'fingers' => [...$clean['fingers'], 'turn' => array_map(
                    static fn (int $x): int => (int) round($share * $x), $clean['fingers']['turn'],
                )],
            ])->assertOk()->json();
        }

        self::assertCount(3, $pass['passes']);
        self::assertSame($pass['passes'][1]['take'], $pass['best']);
        self::assertStringContainsString('of 3', $pass['best_reason']);
        self::assertSame('without-help', $pass['next']['kind']);
        self::assertEqualsWithDelta($pass['worst_s'] - 2, $pass['loop']['from_s'], 0.06);
    }

    public function test_a_dry_rehearsal_is_judged_by_finger_and_is_no_take(): void
    {
        $exercise = $this->exercise();
        $late = $this->written($exercise);
        $late['fingers']['turn'] = [...array_fill(0, 40, 0), ...array_slice($late['fingers']['turn'], 0, -40)];

        $judged = $this->actingAs($this->pilot)->postJson('/api/v1/rehearsals', [
            'envelope' => $exercise['envelope'], 'seal' => $exercise['seal'], 'recording' => $late, 'made_at' => now()->toIso8601String(),
        ])->assertOk()->json();

        $turn = array_column($judged['fingers'], null, 'finger')['turn'];
        self::assertEqualsWithDelta(0.8, $turn['late_s'], 0.11);
        self::assertStringContainsString('late', $turn['said']);
        self::assertFalse($judged['clean']);
        self::assertSame(0, Take::query()->count());
    }

    public function test_a_drill_and_the_site_as_it_is_need_no_shot(): void
    {
        $draft = [
            'site_id' => $this->shot->site_id, 'rig_id' => $this->shot->rig_id, 'mode' => 'standard', 'move' => 'square-fixed-heading',
        ];

        $drill = $this->exercise(['draft' => $draft]);
        $pass = $this->send($drill, $this->written($drill))->assertOk()->json();

        self::assertGreaterThan(80, $pass['take']['score']);
        self::assertNull($pass['take']['shot_id']);
        $free = $this->exercise(['draft' => [...$draft, 'move' => 'hover'], 'kind' => 'free']);
        self::assertFalse($free['judged']);
        // What is flown there is judged as what it looks like, and never counts as a craft's flight.
        $flown = $this->send($free, [...$this->written($drill), 'id' => Str::uuid()->toString(), 'sheet' => $free['world']['hash']])
            ->assertOk()->json();
        self::assertSame(0, Take::query()->where('practised', false)->count());
        self::assertSame(1, Recording::query()->where('uuid', $flown['uuid'])->count());
    }

    public function test_conditions_that_this_craft_or_move_does_not_have_are_refused_in_words(): void
    {
        $this->actingAs($this->pilot)->postJson('/api/v1/exercises', [
            'shot_id' => $this->shot->id, 'seed' => 7, 'conditions' => ['model' => 'levelling'],
        ])->assertStatus(422)->assertJsonPath('errors.0.place', 'conditions.model');
        $this->actingAs($this->pilot)->postJson('/api/v1/exercises', [
            'shot_id' => $this->shot->id, 'seed' => 7, 'conditions' => ['nose_in' => true],
        ])->assertStatus(422)->assertJsonPath('errors.0.place', 'conditions.nose_in');
    }

    public function test_a_round_of_spot_it_keeps_its_first_answer(): void
    {
        $round = $this->actingAs($this->pilot)->postJson('/api/v1/spottings', ['shot_id' => $this->shot->id])->assertOk()->json();
        self::assertArrayNotHasKey('fault', $round);

        $verdict = $this->putJson("/api/v1/spottings/{$round['id']}", ['at_s' => null])->assertOk()->json();
        $again = $this->putJson("/api/v1/spottings/{$round['id']}", ['at_s' => $verdict['from_s'] ?? 4.0])->assertOk()->json();

        self::assertSame($verdict['fault'] === null ? 'correct-rejection' : 'miss', $verdict['outcome']);
        self::assertSame($verdict['outcome'], $again['outcome']);
        self::assertSame(1, $again['record']['rounds']);
    }

    public function test_what_one_does_wrong_most_often_is_what_is_hidden(): void
    {
        foreach (['leak', 'leak', 'kick', 'kick', 'kick', 'drift'] as $fault) {
            Take::factory()->createOne([
                'school_id' => $this->pilot->school_id, 'operator_id' => $this->pilot->id, 'faults' => $fault,
                'flight_log_id' => \App\Models\FlightLog::factory()
                    ->createOne(['school_id' => $this->pilot->school_id, 'owner_id' => $this->pilot->id])->id,
            ]);
        }
        self::assertSame(['kick', 'leak', 'drift'], Take::commonestFaults($this->pilot->id));

        $this->actingAs($this->pilot)->postJson('/api/v1/spottings', ['shot_id' => $this->shot->id, 'own' => true])->assertOk();
        self::assertContains(\App\Models\Spotting::query()->value('fault'), [null, 'kick', 'leak', 'drift']);
    }

    public function test_good_stands_beside_bad(): void
    {
        $pair = $this->actingAs($this->pilot)->getJson("/api/v1/shots/{$this->shot->id}/pair")->assertOk()->json();

        self::assertNull($pair['good']['fault']);
        self::assertSame($pair['choices'][0]['id'], $pair['bad']['fault']);
        self::assertGreaterThan($pair['bad']['score'], $pair['good']['score']);
        $this->getJson("/api/v1/shots/{$this->shot->id}/pair?fault=nonsense")->assertStatus(422);
    }

    /**
     * @param  array<string, mixed>  $wanted
     * @return array<string, mixed>
     */
    private function exercise(array $wanted = []): array
    {
        return $this->actingAs($this->pilot)->postJson('/api/v1/exercises', [
            ...$wanted === [] ? ['shot_id' => $this->shot->id] : $wanted, 'seed' => 7, 'conditions' => [
                'wind' => ['from_deg' => 0, 'mean_mps' => 0, 'gust_mps' => 0],
            ],
        ])->assertOk()->json();
    }

    /**
     * The thumb sheet of an exercise, played as it is written.
     *
     * @param  array<string, mixed>  $exercise
     * @return array<string, mixed>
     */
    private function written(array $exercise): array
    {
        $plan = \Larkspur\Practice\Exercise::read(\Larkspur\Fields::of(
            json_decode(json_decode($exercise['envelope'], true)['exercise'], true),
        ))->plan;
        $fingers = array_map(
            static fn (array $travel): array => array_map(static fn (float $x): int => (int) round(1000 * $x), $travel),
            $plan->sheet->travel,
        );

        return [
            'schema' => 'larkspur/recording/1', 'id' => '0d9e2f64-0a2c-4c4e-9a55-1f6d1f0f2a01', 'sheet' => $exercise['world']['hash'],
            'step_s' => 0.02, 'fingers' => $fingers, 'recorded' => [[0, count($fingers['climb'])]], 'automated' => [],
            'aids' => ['ghost' => true], 'device' => ['kind' => 'gamepad', 'name' => 'two sticks'],
        ];
    }

    /**
     * @param  array<string, mixed>  $exercise
     * @param  array<string, mixed>  $recording
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function send(array $exercise, array $recording, ?User $who = null): TestResponse
    {
        return $this->actingAs($who ?? $this->pilot)->postJson('/api/v1/recordings', [
            'envelope' => $exercise['envelope'], 'seal' => $exercise['seal'], 'recording' => $recording,
            'made_at' => now()->toIso8601String(),
        ]);
    }
}
