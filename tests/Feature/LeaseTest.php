<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\ImportLog;
use App\Actions\NameMove;
use App\Imports\Lease;
use App\Imports\LeaseLost;
use App\Imports\ResumeImports;
use App\Jobs\ReadUpload;
use App\Models\Import;
use App\Models\Take;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Larkspur\Refusal;
use Tests\Core\Shots;

/**
 * A log is worked on by one holder at a time, and by another when that one ends: none is on its way for ever, none is kept twice. What a
 * kill does is done here by hand: a lease that is left behind, a job that comes again.
 */
final class LeaseTest extends FeatureCase
{
    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = User::factory()->createOne();
        $this->actingAs($this->user);
        unset($_SERVER['LARKSPUR_WORKER']);
    }

    public function test_a_log_that_is_sent_waits_in_the_queue_and_says_how_long(): void
    {
        Queue::fake();
        $sent = $this->send('pass.csv', self::log())->assertStatus(202)->assertJsonPath('state', 'waiting')
            ->assertJsonPath('stalled', false);
        Queue::assertPushed(ReadUpload::class, 1);
        $this->travel(30)->seconds();
        self::assertEqualsWithDelta(30, $this->getJson('/api/v1/imports/'.$sent->json('id'))->json('age_s'), 1);
        $this->travel(60)->seconds();
        $this->getJson('/api/v1/imports/'.$sent->json('id'))->assertJsonPath('stalled', true);
    }

    public function test_one_holder_at_a_time(): void
    {
        $import = $this->waiting();
        $first = Lease::take($import);
        self::assertNotNull($first);
        self::assertNull(Lease::take($import->refresh()));
        $first->renew(['bytes_read' => 5]);
        self::assertSame(5, $import->refresh()->bytes_read);
        // A job that comes again meanwhile does nothing.
        app(ImportLog::class)($import->refresh());
        self::assertSame(0, Take::query()->count());
        self::assertSame(Import::READING, $import->refresh()->state);
    }

    public function test_what_an_ended_worker_held_goes_on_with_the_next_and_the_first_writes_nothing_more(): void
    {
        $_SERVER['LARKSPUR_WORKER'] = 'slate/worker-1';
        $import = $this->waiting();
        $lost = Lease::take($import);
        self::assertNotNull($lost);
        // Another worker that starts takes nothing from it.
        self::assertSame(0, app(ResumeImports::class)('slate/worker-11'));
        self::assertSame(1, app(ResumeImports::class)('slate/worker-1'));

        self::assertSame(Import::DONE, $import->refresh()->state);
        self::assertSame(1, Take::query()->count());
        $this->expectException(LeaseLost::class);
        $lost->end(static fn (): array => ['state' => Import::REFUSED]);
    }

    public function test_a_worker_that_never_comes_back_loses_what_it_held_when_its_time_is_over(): void
    {
        $import = $this->waiting();
        Lease::take($import);
        self::assertSame(0, app(ResumeImports::class)());
        $this->travel(Lease::SECONDS + 1)->seconds();
        self::assertSame(1, app(ResumeImports::class)());
        self::assertSame(Import::DONE, $import->refresh()->state);
    }

    public function test_a_log_that_ends_every_worker_says_so_and_is_tried_again_by_hand(): void
    {
        Queue::fake();
        $import = $this->waiting();
        for ($try = 1; $try <= Lease::TRIES; $try++) {
            self::assertNotNull(Lease::take($import), "try $try");
            $this->travel(Lease::SECONDS + 1)->seconds();
            app(ResumeImports::class)();
            $import->refresh();
        }
        $failed = $this->getJson("/api/v1/imports/$import->id")->assertJsonPath('state', 'failed');
        self::assertStringContainsString('3 times', $failed->json('message'));
        Storage::assertExists($import->path);
        $this->actingAs(User::factory()->createOne(['school_id' => $this->user->school_id]));
        $this->postJson("/api/v1/imports/$import->id/again")->assertForbidden();
        $this->actingAs($this->user)->postJson("/api/v1/imports/$import->id/again")->assertStatus(202)->assertJsonPath('state', 'waiting');
        self::assertSame(0, $import->refresh()->tries);
        $this->postJson("/api/v1/imports/$import->id/again")->assertUnprocessable();
    }

    public function test_work_that_takes_too_long_is_ended_with_its_reason(): void
    {
        $import = $this->waiting();
        Lease::take($import);
        (new ReadUpload($import->id))->failed();
        $failed = $this->getJson("/api/v1/imports/$import->id")->assertJsonPath('state', 'failed');
        self::assertStringContainsString('10 minutes', $failed->json('message'));
        $this->postJson("/api/v1/imports/$import->id/again")->assertStatus(202)->assertJsonPath('state', 'done');
        // Of one that was done nothing is changed by a late call.
        (new ReadUpload($import->id))->failed();
        self::assertSame(Import::DONE, $import->refresh()->state);
    }

    public function test_a_log_whose_call_was_lost_is_called_again(): void
    {
        $import = $this->waiting();
        self::assertSame(0, app(ResumeImports::class)());
        $this->travel(61)->seconds();
        self::assertSame(1, app(ResumeImports::class)());
        self::assertSame(Import::DONE, $import->refresh()->state);
    }

    public function test_a_cancelled_log_is_gone_and_whoever_was_at_it_keeps_nothing(): void
    {
        $import = $this->waiting();
        $lease = Lease::take($import);
        self::assertNotNull($lease);
        $this->deleteJson("/api/v1/imports/$import->id")->assertNoContent();
        Storage::assertMissing($import->path);
        $this->getJson("/api/v1/imports/$import->id")->assertNotFound();
        try {
            $lease->end(static fn (): array => self::fail('It would be kept.'));
        } catch (LeaseLost) {
            self::assertSame(0, Take::query()->count());
        }
        $done = $this->send('pass.csv', self::log())->assertJsonPath('state', 'done');
        $this->deleteJson('/api/v1/imports/'.$done->json('id'))->assertUnprocessable();
    }

    public function test_the_same_bytes_sent_twice_at_once_are_kept_once(): void
    {
        $import = $this->waiting();
        $bytes = Storage::get($import->path) ?? '';
        // The other is kept in the moment between the look and the write.
        $done = $this->send('pass.csv', $bytes)->assertJsonPath('state', 'done');
        app(ImportLog::class)($import);
        $import->refresh();
        self::assertSame(Import::REFUSED, $import->state);
        self::assertCount(1, $done->json('takes'));
        self::assertSame(1, Take::query()->count());
    }

    public function test_a_name_with_bytes_that_are_no_text_is_taken(): void
    {
        $this->send("p\xE4ss.csv", self::log())->assertStatus(202)->assertJsonPath('state', 'done')
            ->assertJsonPath('file_name', 'p?ss.csv');
    }

    public function test_dates_beyond_what_the_database_holds_are_refused_in_words(): void
    {
        foreach (['99999-01-01', '2040-01-01', '0000-00-00', '1901-12-13', 'yesteryear'] as $date) {
            $this->postJson('/api/v1/imports', [
                'log' => UploadedFile::fake()->createWithContent('pass.csv', self::log()), 'flown_at' => $date,
            ])->assertUnprocessable()->assertJsonPath('errors.0.place', 'flown_at');
        }
        self::assertSame(0, Import::query()->count());
    }

    public function test_two_who_name_a_move_at_once_get_one_take(): void
    {
        $named = $this->send('pass.csv', Shots::csv(ImportTest::log('sink-turn-tilt')))->assertJsonPath('unsure.0.number', 1);
        $stale = Import::query()->sole()->load('owner.school');
        $this->putJson("/api/v1/imports/$stale->id/takes/1", ['move' => 'sink-to-horizon'])->assertOk();
        // The second looked at it before the first had written.
        try {
            app(NameMove::class)($stale, 1, 'push-in');
            self::fail('It was named twice.');
        } catch (Refusal) {
            self::assertSame(['sink-to-horizon'], Take::query()->pluck('move')->all());
        }
    }

    /** A log that was taken in, and that nobody has begun with. */
    private function waiting(): Import
    {
        $path = 'uploads/'.uniqid().'.upload';
        Storage::put($path, self::log());

        return Import::factory()->createOne([
            'owner_id' => $this->user->id, 'school_id' => $this->user->school_id, 'path' => $path, 'state' => Import::WAITING,
            'file_name' => 'pass.csv', 'queued_at' => now(), 'seen_at' => now(),
        ]);
    }

    private static function log(): string
    {
        return Shots::csv(ImportTest::log('orbit'));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function send(string $name, string $bytes): TestResponse
    {
        return $this->post(
            '/api/v1/imports', ['log' => UploadedFile::fake()->createWithContent($name, $bytes)], ['Accept' => 'application/json'],
        );
    }
}
