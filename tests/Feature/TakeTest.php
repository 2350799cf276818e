<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Actions\ImportLog;
use App\Models\Comment;
use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Score;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Demo\Sites;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\Shots;

final class TakeTest extends FeatureCase
{
    public function test_a_simulated_flight_becomes_a_take_like_any_other(): void
    {
        [$operator, $take] = $this->flown();

        self::assertSame('orbit', $take->move);
        self::assertSame('clockwise', $take->direction);
        self::assertGreaterThan(80, $take->score);
        self::assertSame(FlightLog::SIMULATED, $take->log->source);
        Storage::assertExists($take->log->path());
        self::assertSame($take->log->sha256, hash('sha256', (string) Storage::get($take->log->path())));
        self::assertSame([], Storage::files('uploads'));
        self::assertSame(\Larkspur\Scoring\Score::METHOD, Score::query()->where('take_id', $take->id)->sole()->method);

        $detail = $this->actingAs($operator)->getJson('/api/v1/takes/'.$take->id)->assertOk();
        $detail->assertJsonPath('judgement.verdict', $take->verdict)->assertJsonPath('log.source', 'simulated');
        $replay = $this->actingAs($operator)->getJson("/api/v1/takes/{$take->id}/replay")->assertOk();
        self::assertSame(count($replay->json('t')), count($replay->json('u')));
        $replay->assertJsonPath('fingers_inferred', false);
        self::assertNotNull($replay->json('planned.hold_from_s'));
    }

    public function test_how_long_a_take_turned_faster_than_a_cap_is_told_where_it_is_asked(): void
    {
        [$operator, $take] = $this->flown();
        $this->actingAs($operator)->getJson("/api/v1/takes/$take->id/bob")->assertOk()->assertJsonPath('turns', null);
        self::assertStringContainsString(
            'It turns faster than 1', $this->getJson("/api/v1/takes/$take->id/bob?turn_cap_dps=1")->assertOk()->json('turns'),
        );
        self::assertStringContainsString(
            'never turns faster than 900', $this->getJson("/api/v1/takes/$take->id/bob?turn_cap_dps=900")->json('turns'),
        );
        $this->getJson("/api/v1/takes/$take->id/bob?turn_cap_dps=0")->assertUnprocessable();
    }

    public function test_flying_over_the_api(): void
    {
        $operator = User::factory()->createOne();
        $shot = ShotFactory::whole($operator);
        $done = $this->actingAs($operator)->postJson(
            "/api/v1/shots/{$shot->id}/flights", ['operator' => 'flicker', 'seed' => 3, 'wind' => ['mean_mps' => 2, 'from_deg' => 90]],
        )->assertCreated();

        $done->assertJsonPath('state', 'done')->assertJsonCount(1, 'takes');
        $this->actingAs($operator)->postJson(
            "/api/v1/shots/{$shot->id}/flights", ['operator' => 'reckless', 'seed' => 3],
        )->assertUnprocessable();
        $this->actingAs(User::factory()->createOne(['school_id' => $operator->school_id]))->postJson(
            "/api/v1/shots/{$shot->id}/flights", ['operator' => 'steady', 'seed' => 3],
        )->assertForbidden();
        // The same seed flies the same bytes, and the same bytes are in the logbook already.
        $this->actingAs($operator)->postJson(
            "/api/v1/shots/{$shot->id}/flights", ['operator' => 'flicker', 'seed' => 3, 'wind' => ['mean_mps' => 2, 'from_deg' => 90]],
        )
            ->assertCreated()->assertJsonPath('state', 'refused')->assertJsonPath('takes', []);
    }

    public function test_an_upload_is_read_in_the_background_and_judged_against_its_shot(): void
    {
        $operator = User::factory()->createOne();
        $shot = ShotFactory::whole($operator);
        $import = $this->actingAs($operator)->postJson(
            '/api/v1/imports', ['log' => UploadedFile::fake()->createWithContent('pass 3.csv', $this->csv()), 'shot_id' => $shot->id],
        )->assertStatus(202);
        $done = $this->actingAs($operator)->getJson('/api/v1/imports/'.$import->json('id'))->assertOk();

        $done->assertJsonPath('state', 'done')->assertJsonCount(1, 'takes')->assertJsonPath('file_name', 'pass 3.csv');
        $take = Take::query()->sole();
        self::assertSame($shot->id, $take->shot_id);
        self::assertSame(FlightLog::IMPORTED, $take->load('log')->log->source);
        self::assertSame($this->csv(), Storage::get($take->log->path()));
        $this->actingAs($operator)->get("/api/v1/takes/{$take->id}/log")->assertOk()->assertDownload('pass 3.csv');
    }

    public function test_an_upload_waits_for_the_worker(): void
    {
        Queue::fake();
        $operator = User::factory()->createOne();
        $this->actingAs($operator)->postJson(
            '/api/v1/imports', ['log' => UploadedFile::fake()->createWithContent('a.csv', $this->csv())],
        )->assertStatus(202)->assertJsonPath('state', 'waiting');
        Queue::assertCount(1);
        self::assertCount(1, Storage::files('uploads'));
    }

    public function test_a_log_of_three_passes_becomes_three_takes_without_a_shot(): void
    {
        $operator = User::factory()->createOne();
        $one = explode("\r\n", trim($this->csv()));
        $text = $one[0]."\r\n";
        for ($pass = 0; $pass < 3; $pass++) {
            foreach (array_slice($one, 1) as $line) {
                [$t, $rest] = explode(',', $line, 2);
                $text .= sprintf("%.3f,%s\r\n", (float) $t + $pass * 40, $rest);
            }
        }
        $this->actingAs($operator)->postJson(
            '/api/v1/imports', ['log' => UploadedFile::fake()->createWithContent('three.csv', $text)],
        )->assertStatus(202);
        $takes = Take::query()->orderBy('number')->get();

        self::assertSame([1, 2, 3], $takes->pluck('number')->all());
        self::assertNull($takes->first()->shot_id ?? null);
        self::assertFalse(Score::query()->firstOrFail()->document['move']['given']);
        $this->actingAs($operator)->getJson('/api/v1/takes/'.$takes->last()?->id.'/replay')->assertOk()->assertJsonPath('planned', null);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function badLogs(): iterable
    {
        yield 'nothing' => ['', 'line 1', 'empty'];
        yield 'a picture' => ["\x89PNG\r\n\x1A\n\0\0\0\rIHDR\0\0\5\0\0\0\3 \x08\2\0\0\0", 'line 1', 'not a text file'];
        yield 'packed' => [(string) gzencode(str_repeat("t,lat,lon\n1,2,3\n", 50)), 'line 1', 'not a text file'];
        yield 'wrong columns' => ["time,x,y\n1,2,3\n", 'line 1, column t', 'There is no column'];
        yield 'nothing moves' => [self::stillLog(), 'log', 'no take in it'];
    }

    #[DataProvider('badLogs')]
    public function test_bad_logs_are_refused_and_leave_nothing_behind(string $content, string $place, string $words): void
    {
        $operator = User::factory()->createOne();
        $import = Import::factory()->createOne([
            'school_id' => $operator->school_id, 'owner_id' => $operator->id, 'bytes' => strlen($content),
        ]);
        Storage::put($import->path, $content);
        $this->app?->make(ImportLog::class)($import);
        $told = $this->actingAs($operator)->getJson(
            '/api/v1/imports/'.$import->id,
        )->assertOk()->assertJsonPath('state', 'refused')->assertJsonPath('place', $place);

        self::assertStringContainsString($words, (string) $told->json('message'));
        self::assertSame(0, Take::query()->count() + FlightLog::query()->count());
        self::assertSame([], Storage::allFiles());
    }

    public function test_too_large_and_missing_uploads_are_refused_at_the_door(): void
    {
        $operator = User::factory()->createOne();
        $this->actingAs($operator)->postJson('/api/v1/imports', [])->assertUnprocessable()->assertJsonPath('errors.0.place', 'log');
        $this->actingAs($operator)->postJson(
            '/api/v1/imports', ['log' => UploadedFile::fake()->create('huge.csv', 270_000)],
        )->assertUnprocessable();
        $this->actingAs($operator)->postJson(
            '/api/v1/imports', ['log' => UploadedFile::fake()->createWithContent('a.csv', 'x'), 'shot_id' => 99999],
        )->assertNotFound();
    }

    public function test_another_schools_take_is_not_found_and_anothers_is_forbidden(): void
    {
        [$operator, $take] = $this->flown();
        $classmate = User::factory()->createOne(['school_id' => $operator->school_id]);
        $stranger = User::factory()->trainer()->createOne();
        foreach (['', '/replay', '/log'] as $part) {
            $this->actingAs($stranger)->getJson("/api/v1/takes/{$take->id}{$part}")->assertNotFound();
            $this->actingAs($classmate)->getJson("/api/v1/takes/{$take->id}{$part}")->assertForbidden();
        }
        $this->actingAs($stranger)->patchJson("/api/v1/takes/{$take->id}", ['decision' => 'keep'])->assertNotFound();
        $this->actingAs($classmate)->patchJson("/api/v1/takes/{$take->id}", ['decision' => 'keep'])->assertForbidden();
        self::assertNull($take->refresh()->decision);
    }

    public function test_deciding_and_changing_ones_mind(): void
    {
        [$operator, $take] = $this->flown();
        $this->actingAs($operator)->patchJson(
            "/api/v1/takes/{$take->id}", ['decision' => 'keep'],
        )->assertOk()->assertJsonPath('decision', 'keep');
        $this->actingAs($operator)->patchJson(
            "/api/v1/takes/{$take->id}", ['decision' => null],
        )->assertOk()->assertJsonPath('decision', null);
        $this->actingAs($operator)->patchJson("/api/v1/takes/{$take->id}", ['decision' => 'burn'])->assertUnprocessable();
    }

    public function test_trainers_comment_and_operators_read(): void
    {
        [$operator, $take] = $this->flown();
        $trainer = User::factory()->trainer()->createOne(['school_id' => $operator->school_id]);
        $this->actingAs($trainer)->postJson(
            "/api/v1/takes/{$take->id}/comments", ['at_s' => 9.4, 'text' => '  Turn in more softly. '],
        )->assertCreated()->assertJsonPath('text', 'Turn in more softly.');
        $this->actingAs($operator)->postJson("/api/v1/takes/{$take->id}/comments", ['at_s' => 9.4, 'text' => 'No.'])->assertForbidden();
        $this->actingAs($trainer)->postJson("/api/v1/takes/{$take->id}/comments", ['at_s' => 'late', 'text' => ''])->assertUnprocessable();

        $this->actingAs($operator)->getJson('/api/v1/takes/'.$take->id)->assertJsonPath('said.0.at_s', 9.4)->assertJsonPath(
            'said.0.author', $trainer->name,
        );
        $this->actingAs($operator)->getJson('/api/v1/today')->assertOk()->assertJsonPath('comment.text', 'Turn in more softly.');
        self::assertSame(1, Comment::query()->count());
    }

    public function test_the_logbook_is_newest_first_paged_and_scoped(): void
    {
        $operator = User::factory()->createOne();
        $trainer = User::factory()->trainer()->createOne(['school_id' => $operator->school_id]);
        $classmate = User::factory()->createOne(['school_id' => $operator->school_id]);
        foreach (range(1, 70) as $i) {
            Take::factory()->of($operator)->createOne(['flown_at' => now()->subMinutes($i)]);
        }
        Take::factory()->of($classmate)->createOne();
        Take::factory()->of(User::factory()->createOne())->createOne();

        $seen = [];
        $cursor = '';
        do {
            $page = $this->actingAs($operator)->getJson('/api/v1/takes?cursor='.$cursor)->assertOk();
            foreach ($page->json('takes') as $take) {
                $seen[] = $take['flown_at'];
            }
            $cursor = $page->json('next');
        } while ($cursor !== null);
        $sorted = $seen;
        rsort($sorted);
        self::assertCount(70, $seen);
        self::assertSame($sorted, $seen);
        $this->actingAs($trainer)->getJson('/api/v1/takes?operator='.$classmate->id)->assertJsonCount(1, 'takes');
        $this->actingAs($operator)->getJson(
            '/api/v1/takes?operator='.$classmate->id,
        )->assertOk()->assertJsonPath('takes.0.operator.id', $operator->id);
    }

    public function test_the_class_is_the_trainers_to_see(): void
    {
        $operator = User::factory()->createOne();
        $trainer = User::factory()->trainer()->createOne(['school_id' => $operator->school_id]);
        $this->actingAs($trainer)->getJson('/api/v1/operators')->assertOk()->assertJsonCount(1)->assertJsonPath('0.name', $operator->name);
        $this->actingAs($operator)->getJson('/api/v1/operators')->assertForbidden();
        $this->actingAs($trainer)->getJson('/api/v1/today')->assertOk()->assertJsonPath('class.0.why.0', 'No take yet.');
        $this->actingAs($operator)->getJson('/api/v1/today')->assertOk()->assertJsonPath('next.said.0.kind', 'first')
            ->assertJsonPath('class', []);
    }

    public function test_a_take_is_shown_by_the_window_it_was_judged_in(): void
    {
        [$operator, $take] = $this->flown();
        $shown = fn (): mixed => $this->actingAs($operator)->getJson("/api/v1/takes/{$take->id}/replay")->assertOk()->json('t');
        $before = $shown();
        // Another finder would call it the third take of its log, or none: its seconds are its own.
        $take->update(['number' => 3]);
        self::assertSame($before, $shown());
        // A take from before windows were kept is shown within its whole log.
        $take->update(['cut_from_s' => null, 'cut_to_s' => null]);
        self::assertGreaterThanOrEqual(count($before), count($shown()));
    }

    public function test_a_judgement_is_said_to_whoever_reads_it(): void
    {
        [$operator, $take] = $this->flown('hurried');
        $told = fn (): string => json_encode(
            $this->actingAs($operator->refresh())->getJson('/api/v1/takes/'.$take->id)->assertOk()->json('judgement'),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
        );
        self::assertStringNotContainsString('"say"', $told());
        $two = $told();
        $operator->update(['stick_mode' => 1]);
        $one = $told();
        $operator->update(['stick_mode' => 2, 'units' => 'feet']);
        $feet = $told();

        // What is measured stays; the words follow the reader.
        self::assertSame(
            array_map(static fn (array $facet): mixed => $facet['score'], json_decode($two, true)['facets']),
            array_map(static fn (array $facet): mixed => $facet['score'], json_decode($feet, true)['facets']),
        );
        self::assertDoesNotMatchRegularExpression(
            '/\d m(\/s)?\b/u', implode(' ', array_column(json_decode($feet, true)['faults'], 'picture')),
        );
        self::assertSame(array_column(json_decode($two, true)['faults'], 't_s'), array_column(json_decode($one, true)['faults'], 't_s'));
    }

    public function test_a_take_tells_the_hands_that_it_was_flown_with(): void
    {
        [$operator, $take] = $this->flown('hurried');
        $told = fn (): array => $this->actingAs($operator->refresh())->getJson('/api/v1/takes/'.$take->id)->assertOk()->json();
        $before = $told();
        $operator->update(['stick_mode' => 4, 'wheel_up' => 'pull']);
        self::assertSame([$before['hands'], $before['judgement']], [$told()['hands'], $told()['judgement']]);
        self::assertNotSame(4, $before['hands']['stick_mode']);
    }

    public function test_judging_again_keeps_the_old_judgement(): void
    {
        [, $take] = $this->flown();
        $take->scores()->create([
            'school_id' => $take->school_id, 'method' => 'larkspur/score/3', 'intent' => [], 'document' => ['score' => 1],
        ]);

        self::assertSame(2, Score::query()->where('take_id', $take->id)->count());
        self::assertSame('larkspur/score/3', $take->load('judgement')->judgement?->method);
    }

    /** @return array{User, Take} */
    private function flown(string $hand = 'steady'): array
    {
        $operator = User::factory()->createOne();
        $import = $this->app?->make(FlyShot::class)(
            ShotFactory::whole($operator), OperatorHabits::named($hand), $hand, Wind::still(), 7, $operator,
        );
        self::assertSame(Import::DONE, $import?->state, json_encode($import?->outcome) ?: '');

        return [$operator, Take::query()->with('log')->latest('id')->firstOrFail()];
    }

    private function csv(): string
    {
        static $csv = null;
        if ($csv === null) {
            // The very shot that ShotFactory keeps, flown as planned.
            $site = Sites::all()[0];
            $document = Shots::document(ShotFactory::PARAMETERS, ['site' => $site['document']]);
            $document['intent']['subject'] = array_intersect_key(
                $site['subjects'][0], ['lat' => 1, 'lon' => 1, 'alt_m' => 1, 'base_alt_m' => 1],
            );
            $shot = Shot::read(Fields::of($document));
            $csv = Shots::csv((new Recorder)->record(Planner::plan($shot)->move->flight, $shot->site->frame()));
        }

        return $csv;
    }

    private static function stillLog(): string
    {
        $text = "t,lat,lon,alt_m,heading_deg,gimbal_tilt_deg\n";
        for ($i = 0; $i < 100; $i++) {
            $text .= sprintf("%.1f,57.6,-0.4,12,90,-10\n", $i / 10);
        }

        return $text;
    }
}
