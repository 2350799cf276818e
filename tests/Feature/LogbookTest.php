<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Jobs\RecountLogbooks;
use App\Models\LessonMember;
use App\Models\OwnEntry;
use App\Models\Take;
use App\Models\User;
use Database\Factories\TakeFactory;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** The logbook by days, taken along and read back in; what comes back to people, by the page, by mail and by a calendar; cohorts. */
final class LogbookTest extends FeatureCase
{
    private User $trainer;

    private User $pilot;

    protected function setUp(): void
    {
        parent::setUp();
        $this->trainer = User::factory()->createOne(['role' => User::TRAINER]);
        $this->pilot = User::factory()->createOne(['school_id' => $this->trainer->school_id, 'name' => 'Pip']);
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_days_are_those_of_the_schools_clock_and_follow_every_change(): void
    {
        $this->trainer->school->update(['zone' => 'Pacific/Auckland']);
        $this->pilot->unsetRelation('school');
        $late = $this->take('2026-06-10 11:30:00');
        $next = $this->take('2026-06-10 12:30:00', ['practised' => true]);
        $days = fn (): array => DB::table('logbook_days')->where('operator_id', $this->pilot->id)->orderBy('date')->pluck('takes', 'date')
            ->all();

        // Twelve hours ahead: half past eleven at night there, and half past midnight.
        self::assertSame(['2026-06-10' => 1, '2026-06-11' => 1], $days());
        $next->update(['flown_at' => Carbon::parse('2026-06-10 11:40:00')]);
        self::assertSame(['2026-06-10' => 2], $days());
        $late->delete();
        self::assertSame(['2026-06-10' => 1], $days());
        $late->restore();
        self::assertSame(['2026-06-10' => 2], $days());

        $this->trainer->school->update(['zone' => 'America/Anchorage']);
        (new RecountLogbooks($this->trainer->school_id))->handle();
        self::assertSame(['2026-06-10' => 2], $days());
        $this->trainer->school->update(['zone' => 'Pacific/Kiritimati']);
        (new RecountLogbooks($this->trainer->school_id))->handle();
        self::assertSame(['2026-06-11' => 2], $days());
    }

    public function test_a_step_counts_the_days_of_those_who_flew(): void
    {
        // Two evenings' passes either side of midnight in UTC are one day's in Auckland, and the other way round.
        $asked = fn (): string => implode(' ', array_column(
            $this->actingAs($this->pilot->refresh())->getJson('/api/v1/ladder')->json('steps'), 'missing', 'id',
        )['hover']);
        foreach (['2026-06-09 23:30:00', '2026-06-09 23:40:00', '2026-06-10 00:30:00'] as $at) {
            $this->take($at, ['move' => 'hover', 'score' => 95.0, 'direction' => '']);
        }
        Carbon::setTestNow('2026-06-11 12:00:00');
        self::assertStringNotContainsString('day', $asked());
        $this->trainer->school->update(['zone' => 'Pacific/Auckland']);
        self::assertStringContainsString('day', $asked());
    }

    public function test_it_is_taken_along_and_read_back_in_once(): void
    {
        $this->take('2026-06-10 11:30:00', ['to_s' => 12.4, 'from_s' => 0.0, 'move' => 'pan', 'score' => 81.3]);
        $this->actingAs($this->pilot)->postJson('/api/v1/own-entries', [
            'flown_at' => '2026-06-11T12:00:00Z', 'minutes' => 12.5, 'batteries' => 2, 'text' => '=1+1, "said" so',
        ])->assertCreated();
        $csv = $this->get('/api/v1/logbook/file')->assertOk()->streamedContent();
        $lines = array_values(array_filter(explode("\r\n", $csv)));
        self::assertCount(3, $lines);
        self::assertStringContainsString('"\'=1+1, ""said"" so"', $lines[2], 'Nothing that a spreadsheet would run.');

        // Here it all stands already; to somebody else it is new.
        $this->read($csv)->assertOk()->assertJson(['added' => 0, 'known' => 2, 'unread' => 0]);
        $other = User::factory()->createOne(['school_id' => $this->trainer->school_id]);
        $this->actingAs($other);
        $this->read($csv."yesterday,x\r\n2026-06-12T10:00:00Z,Pip,,,,,-5\r\n\r\n")->assertOk()
            ->assertJson(['added' => 2, 'known' => 0, 'unread' => 2, 'lines' => [4, 5]]);
        $kept = OwnEntry::query()->where('operator_id', $other->id)->orderBy('flown_at')->get();
        self::assertStringContainsString('score 81.3', (string) $kept[0]?->text);
        self::assertSame(['=1+1, "said" so', 2, 12.5], [$kept[1]?->text, $kept[1]?->batteries, $kept[1]?->minutes]);
        $this->read($csv)->assertJson(['added' => 0, 'known' => 2]);
        // Two flights alike, written down on one day, are two.
        $twice = "flown_at_utc,seconds\r\n2026-06-13T12:00:00Z,600\r\n2026-06-13T12:00:00Z,600\r\n";
        $this->read($twice)->assertJson(['added' => 2, 'known' => 0]);
        $this->read($twice)->assertJson(['added' => 0, 'known' => 2]);
        $this->read("a,b\r\n1,2\r\n")->assertStatus(422);
        $this->actingAs($this->viewer());
        $this->read($csv)->assertForbidden();
    }

    public function test_on_paper_and_for_a_calendar_it_has_its_days(): void
    {
        $this->take('2026-06-10 11:30:00');
        $this->actingAs($this->pilot);
        self::assertStringStartsWith('%PDF-', (string) $this->get('/api/v1/logbook/file?as=pdf')->assertOk()->getContent());
        $calendar = (string) $this->get('/api/v1/logbook/file?as=ics')->assertOk()->getContent();
        self::assertStringContainsString('DTSTART;VALUE=DATE:20260610', $calendar);
        self::assertStringContainsString('SUMMARY:Flying: 1 take', $calendar);
        $this->getJson('/api/v1/logbook/file?as=exe')->assertStatus(422);
    }

    public function test_a_goal_is_ones_own_and_its_days_are_added_up(): void
    {
        Carbon::setTestNow('2026-06-12 12:00:00');
        $this->take('2026-06-10 11:30:00', ['from_s' => 0.0, 'to_s' => 120.0]);
        $this->take('2026-06-10 11:40:00', ['from_s' => 0.0, 'to_s' => 60.0, 'practised' => true]);
        $this->actingAs($this->pilot)->patchJson('/api/v1/me', ['goal_min' => 3])->assertOk();
        $this->patchJson('/api/v1/me', ['goal_min' => 0])->assertStatus(422);
        $logbook = $this->getJson('/api/v1/logbook')->assertOk()->json();
        self::assertSame(3, $logbook['goal_min']);
        self::assertCount(28, $logbook['days']);
        self::assertSame([['date' => '2026-06-10', 'minutes' => 3]], array_values(
            array_filter($logbook['days'], static fn (array $day): bool => $day['minutes'] > 0),
        ));
    }

    public function test_filters_are_kept_under_a_name_and_are_nobody_elses(): void
    {
        $keep = fn (array $what) => $this->postJson('/api/v1/kept-filters', $what);
        $this->actingAs($this->pilot);
        $keep(['name' => 'Slow', 'filter' => ['mode' => 'slow', 'operator' => 99]])->assertCreated();
        $keep(['name' => 'Slow', 'filter' => ['mode' => 'slow', 'move' => 'pan']])->assertCreated();
        foreach (['0-3', '6-', 'unknown'] as $air) {
            $keep(['name' => 'Wind', 'filter' => ['air' => $air]])->assertCreated()->assertJsonPath('filter.air', $air);
        }
        $keep(['name' => 'Wind', 'filter' => ['air' => 'storm']])->assertStatus(422);
        $this->deleteJson('/api/v1/kept-filters/'.array_column($this->getJson('/api/v1/kept-filters')->json(), 'id', 'name')['Wind']);
        $keep(['name' => 'All', 'filter' => []])->assertStatus(422);
        $keep(['name' => 'Bad', 'filter' => ['mode' => 'warp']])->assertStatus(422);
        $kept = $this->getJson('/api/v1/kept-filters')->json();
        self::assertCount(1, $kept);
        self::assertEquals(['mode' => 'slow', 'move' => 'pan'], $kept[0]['filter']);
        $this->actingAs($this->trainer)->getJson('/api/v1/kept-filters')->assertJsonCount(0);
        $this->deleteJson('/api/v1/kept-filters/'.$kept[0]['id'])->assertNotFound();
        $this->actingAs($this->pilot)->deleteJson('/api/v1/kept-filters/'.$kept[0]['id'])->assertNoContent();
    }

    public function test_takes_are_found_by_the_wind_they_were_flown_in(): void
    {
        foreach ([null, 0.4, 2.99, 3.0, 6.0, 11.0] as $wind) {
            TakeFactory::new()->of($this->pilot)->createOne(['wind_mps' => $wind]);
        }
        $this->actingAs($this->pilot);
        foreach (['0-3' => 2, '3-6' => 1, '6-' => 2, 'unknown' => 1] as $air => $count) {
            $this->getJson("/api/v1/takes?air=$air")->assertOk()->assertJsonCount($count, 'takes');
        }
        foreach (['storm', '3', '-6', '3-6-9', '-'] as $none) {
            $this->getJson("/api/v1/takes?air=$none")->assertStatus(422);
        }
    }

    public function test_what_comes_back_stands_on_today_until_it_is_seen(): void
    {
        $lesson = $this->actingAs($this->trainer)->postJson('/api/v1/lessons', [
            'title' => 'Stops', 'purpose' => 'End softly.', 'minutes' => null, 'batteries' => null, 'wanted_on' => '2027-06-20',
            'steps' => [['kind' => 'read', 'move' => '', 'shot_id' => null, 'passes' => 1, 'note' => '']],
            'operators' => [$this->pilot->id],
        ])->assertCreated()->json();
        $said = fn (User $who): array => array_column($this->actingAs($who->refresh())->getJson('/api/v1/today')->json('notices'), 'said');

        self::assertSame(['A lesson for you: Stops. End softly.'], $said($this->pilot));
        self::assertSame([], $said($this->trainer));
        $this->actingAs($this->pilot)->putJson("/api/v1/lessons/$lesson[id]/mine", ['ticked' => [0], 'comment' => 'Done, with gloves.'])
            ->assertOk();
        self::assertSame(['Pip on the lesson “Stops”: Done, with gloves.'], $said($this->trainer));
        foreach ([1, 2, 3] as $days) {
            $this->take(now()->subDays($days)->toDateTimeString(), ['move' => 'hover', 'score' => 95.0, 'direction' => '']);
        }
        $this->actingAs($this->pilot)->postJson('/api/v1/ladder/steps/hover/sayings', ['operator' => $this->pilot->id, 'kind' => 'word'])
            ->assertOk();
        self::assertContains('Pip says that “Hold still” feels settled.', $said($this->trainer));
        $this->actingAs($this->trainer)->postJson('/api/v1/ladder/steps/hover/sayings', [
            'operator' => $this->pilot->id, 'kind' => 'sign-off', 'overrule' => true, 'text' => 'Seen.',
        ])->assertOk();
        self::assertContains("{$this->trainer->name} signed off “Hold still”.", $said($this->pilot));
        $stranger = User::factory()->createOne(['role' => User::TRAINER]);
        self::assertSame([], $said($stranger), 'Of another school nothing is told.');
        $this->travel(5)->seconds();
        $this->actingAs($this->trainer)->postJson('/api/v1/notices/seen')->assertNoContent();
        self::assertSame([], $said($this->trainer));
        $this->travel(5)->seconds();
        LessonMember::query()->firstOrFail()->update(['comment' => 'And without.']);
        self::assertCount(1, $said($this->trainer));
    }

    public function test_a_calendar_is_open_to_its_link_alone_until_that_is_closed(): void
    {
        $this->actingAs($this->pilot);
        $link = $this->postJson('/api/v1/account/calendar')->assertCreated()->json('link');
        $path = (string) parse_url((string) $link, PHP_URL_PATH);
        $kept = (string) json_encode(DB::table('users')->get());
        self::assertStringNotContainsString(basename($path, '.ics'), $kept, 'Only its hash is kept.');
        $this->app['auth']->forgetGuards();
        self::assertStringContainsString('BEGIN:VCALENDAR', (string) $this->get($path)->assertOk()->getContent());
        $this->get('/calendar/'.str_repeat('a', 48).'.ics')->assertNotFound();
        $again = $this->actingAs($this->pilot)->postJson('/api/v1/account/calendar')->json('link');
        $this->get($path)->assertNotFound();
        $this->deleteJson('/api/v1/account/calendar')->assertNoContent();
        $this->get((string) parse_url((string) $again, PHP_URL_PATH))->assertNotFound();
    }

    public function test_the_week_is_sent_on_monday_mornings_once_and_not_to_those_who_do_not_want_it(): void
    {
        config(['mail.default' => 'array']);
        $sent = static fn (): array => array_map(static fn ($mail): string => (string) $mail->getOriginalMessage()->getHtmlBody(), [
            ...app('mailer')->getSymfonyTransport()->messages(),
        ]);
        Carbon::setTestNow('2026-06-14 08:00:00');
        Artisan::call('larkspur:weekly');
        self::assertSame([], $sent(), 'It is Sunday.');
        Carbon::setTestNow('2026-06-15 08:00:00');
        Artisan::call('larkspur:weekly');
        self::assertCount(2, $sent());
        self::assertStringContainsString('Pip: no take this week', implode(' ', $sent()));
        self::assertStringContainsString('Nothing was flown', implode(' ', $sent()));
        Artisan::call('larkspur:weekly');
        self::assertCount(2, $sent(), 'Once.');
        $this->actingAs($this->pilot)->patchJson('/api/v1/me', ['weekly_mail' => false])->assertOk();
        Carbon::setTestNow('2026-06-22 08:00:00');
        Artisan::call('larkspur:weekly');
        self::assertCount(3, $sent());
    }

    public function test_cohorts_are_seen_alone_and_beside_each_other_with_what_may_be_said(): void
    {
        $place = fn (User $who, string $cohort) => $this->actingAs($this->trainer)
            ->putJson("/api/v1/people/$who->id", ['cohort' => $cohort]);
        $place($this->pilot, 'Gorse')->assertOk()->assertJsonPath('cohort', 'Gorse');
        foreach (['Gorse' => 92.0, 'Heather' => 61.0] as $cohort => $points) {
            for ($k = 0; $k < 3; $k++) {
                $one = User::factory()->createOne(['school_id' => $this->trainer->school_id]);
                $place($one, $cohort)->assertOk();
                for ($n = 0; $n < 6; $n++) {
                    TakeFactory::new()->of($one)->createOne([
                        'move' => 'pan', 'direction' => '', 'score' => $points + $k, 'flown_at' => now()->subDays(9 - $n),
                    ]);
                }
            }
        }
        $class = $this->actingAs($this->trainer)->getJson('/api/v1/class?cohort=Heather')->assertOk()->json();
        self::assertCount(3, $class['rows']);
        self::assertSame(['Gorse', 'Heather'], $class['cohorts']);
        $compared = $this->getJson('/api/v1/class/cohorts?one=Gorse&other=Heather')->assertOk()->json();
        $score = array_column($compared['measures'], null, 'id')['score'];
        self::assertSame([4, 3, 3, 3], [$compared['people'], $compared['others'], $score['counted'], $score['other_counted']]);
        self::assertGreaterThan(15, $score['low']);
        self::assertStringContainsString('The first is ahead, by ', $score['said']);
        self::assertStringContainsString((string) $score['low'], $score['said']);
        $this->getJson('/api/v1/class/cohorts?one=Gorse&other=Gorse')->assertStatus(422);
        $none = $this->getJson('/api/v1/class/cohorts?one=Gorse&other=Nobody')->json('measures.0');
        self::assertNull($none['difference']);
        self::assertStringContainsString('Too few to compare', $none['said']);
        $this->actingAs($this->pilot)->getJson('/api/v1/class/cohorts?one=Gorse&other=Heather')->assertForbidden();
        $this->putJson("/api/v1/people/{$this->pilot->id}", ['cohort' => 'Mine'])->assertForbidden();

        $this->actingAs($this->trainer)->putJson("/api/v1/people/{$this->pilot->id}", ['trainer_id' => $this->trainer->id])->assertOk();
        $mine = $this->getJson('/api/v1/class?trainer='.$this->trainer->id)->json('rows');
        self::assertSame([$this->pilot->id], array_column(array_column($mine, 'operator'), 'id'));
        $this->putJson("/api/v1/people/{$this->pilot->id}", ['trainer_id' => $this->pilot->id])->assertNotFound();
        $this->putJson("/api/v1/people/{$this->pilot->id}", ['trainer_id' => null])->assertOk()->assertJsonPath('trainer_id', null);
    }

    /** @param  array<string, mixed>  $more */
    private function take(string $at, array $more = []): Take
    {
        return TakeFactory::new()->of($this->pilot)->createOne(['flown_at' => Carbon::parse($at), ...$more]);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function read(string $csv): TestResponse
    {
        return $this->post('/api/v1/logbook/file', ['file' => UploadedFile::fake()->createWithContent('logbook.csv', $csv)], [
            'Accept' => 'application/json',
        ]);
    }

    private function viewer(): User
    {
        return User::factory()->createOne(['school_id' => $this->trainer->school_id, 'role' => User::VIEWER]);
    }
}
