<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Models\Comment;
use App\Models\FlightDay;
use App\Models\FlightLog;
use App\Models\Lesson;
use App\Models\NotToday;
use App\Models\OwnEntry;
use App\Models\PersonalCopy;
use App\Models\School;
use App\Models\Shot;
use App\Models\StepSaying;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Site\Wind;
use ZipArchive;

/** A school of one's own: set up once, its people come and go, and what is theirs goes with them or is gone. */
final class SchoolTest extends FeatureCase
{
    private const HEADERS = ['Origin' => 'http://localhost', 'Accept' => 'application/json'];

    private const PASSWORD = 'moor-and-wind';

    private const SCHOOL = [
        'code' => 'lantern', 'school' => 'Tern Rock Flyers', 'zone' => 'Europe/Oslo', 'units' => 'feet', 'name' => 'Wilma Strand',
        'email' => 'Wilma@ternrock.example', 'password' => 'gannets over the sound',
    ];

    public function test_the_first_start_sets_up_a_school_once_and_only_with_the_code(): void
    {
        config(['larkspur.set_up_code' => 'lantern']);
        $this->getJson('/api/v1/first-start')->assertOk()->assertJsonPath('empty', true);
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/school', [...self::SCHOOL, 'code' => 'wrong'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.place', 'code');
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/school', [...self::SCHOOL, 'zone' => 'Middle/Earth'])
            ->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/school', [...self::SCHOOL, 'password' => 'ternrockflyers'])
            ->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/school', self::SCHOOL)->assertCreated()
            ->assertJsonPath('role', 'trainer')->assertJsonPath('units', 'feet')->assertJsonPath('school', 'Tern Rock Flyers');
        $this->withHeaders(self::HEADERS)->getJson('/api/v1/me')->assertOk()->assertJsonPath('email', 'wilma@ternrock.example');

        $this->getJson('/api/v1/first-start')->assertJsonPath('empty', false);
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/school', [...self::SCHOOL, 'email' => 'other@ternrock.example'])
            ->assertUnprocessable();
        self::assertSame(1, School::query()->count());
    }

    public function test_without_a_code_nobody_sets_up_anything_on_screen(): void
    {
        config(['larkspur.set_up_code' => '']);
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/school', [...self::SCHOOL, 'code' => ''])->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/first-start/demo', ['code' => 'x'])->assertUnprocessable();
        self::assertSame(0, School::query()->count());
    }

    public function test_an_invitation_is_good_once_and_for_two_weeks(): void
    {
        $trainer = User::factory()->trainer()->createOne();
        $trainer->school->update(['units' => 'feet']);
        $made = $this->actingAs($trainer)->postJson('/api/v1/invitations', ['email' => 'Runa@ternrock.example', 'role' => 'operator'])
            ->assertCreated();
        $token = basename((string) parse_url($made->json('link'), PHP_URL_PATH));
        // What stands in the database opens nothing.
        self::assertStringNotContainsString($token, (string) json_encode(DB::table('invitations')->get()));
        $this->getJson('/api/v1/invitations')->assertJsonPath('0.email', 'runa@ternrock.example')->assertJsonPath('0.link', null);

        $this->stranger();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/links/invitation', ['token' => 'nothing'])->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/links/invitation', ['token' => $token])->assertOk()
            ->assertJsonPath('school', $trainer->school->name)->assertJsonPath('known', false);
        $come = ['token' => $token, 'name' => 'Runa Lie', 'password' => 'gannets over the sound'];
        $this->withHeaders(self::HEADERS)->putJson('/api/v1/links/invitation', [...$come, 'password' => 'short'])->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->putJson('/api/v1/links/invitation', $come)->assertCreated()->assertJsonPath('role', 'operator')
            ->assertJsonPath('units', 'feet');
        $this->withHeaders(self::HEADERS)->getJson('/api/v1/me')->assertJsonPath('name', 'Runa Lie');
        $this->withHeaders(self::HEADERS)->putJson('/api/v1/links/invitation', $come)->assertUnprocessable();

        $late = $this->actingAs($trainer)->postJson('/api/v1/invitations', ['email' => 'late@ternrock.example', 'role' => 'viewer'])
            ->json('link');
        $back = $this->postJson('/api/v1/invitations', ['email' => 'back@ternrock.example', 'role' => 'viewer']);
        $this->deleteJson('/api/v1/invitations/'.$back->json('id'))->assertNoContent();
        $this->stranger();
        $this->travel(15)->days();
        foreach ([$late, $back->json('link')] as $link) {
            $this->postJson('/api/v1/links/invitation', ['token' => basename((string) $link)])->assertUnprocessable();
        }
    }

    public function test_somebody_runs_the_school_always(): void
    {
        $trainer = User::factory()->trainer()->createOne();
        $this->actingAs($trainer)->putJson("/api/v1/people/$trainer->id", ['role' => 'viewer'])->assertUnprocessable();
        $this->putJson("/api/v1/people/$trainer->id", ['disabled' => true])->assertUnprocessable();
        $this->deleteJson("/api/v1/people/$trainer->id")->assertUnprocessable();
        $this->deleteJson('/api/v1/account', ['password' => self::PASSWORD])->assertUnprocessable();
        $second = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $this->putJson("/api/v1/people/$second->id", ['role' => 'trainer'])->assertOk();
        $this->putJson("/api/v1/people/$trainer->id", ['role' => 'viewer'])->assertOk();
        $this->actingAs($trainer->refresh())->getJson('/api/v1/people')->assertForbidden();
    }

    public function test_what_somebody_worked_out_is_handed_over_and_what_they_flew_stays_theirs(): void
    {
        [$from, $take] = $this->flyer();
        $open = ShotFactory::whole($from);
        $day = FlightDay::query()->create([
            'school_id' => $from->school_id, 'operator_id' => $from->id, 'site_id' => $open->site_id, 'version' => 1, 'title' => 'To come',
            'date' => now()->addWeek()->toDateString(), 'document' => [],
        ]);
        $trainer = User::factory()->trainer()->createOne(['school_id' => $from->school_id]);
        $to = User::factory()->createOne(['school_id' => $from->school_id]);
        $this->actingAs($trainer)->postJson("/api/v1/people/$from->id/hand-over", ['to' => $to->id])->assertOk()
            ->assertJsonPath('shots', 1)->assertJsonPath('days', 1);
        self::assertSame($to->id, $open->refresh()->operator_id);
        self::assertSame($to->id, $day->refresh()->operator_id);
        self::assertSame($from->id, $take->refresh()->operator_id);
        self::assertSame($from->id, $take->shot?->operator_id);
        $this->postJson("/api/v1/people/$from->id/hand-over", ['to' => User::factory()->createOne()->id])->assertNotFound();
    }

    public function test_a_copy_of_everything_about_a_person_is_made_and_theirs_alone(): void
    {
        [$user, $take] = $this->flyer();
        $asked = $this->actingAs($user)->postJson('/api/v1/account/copies')->assertStatus(202);
        $this->getJson('/api/v1/account/copies')->assertJsonPath('0.state', 'ready')->assertJsonPath('0.total', 2);
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $this->get('/api/v1/account/copies/'.$asked->json('id'))->assertOk()->streamedContent());
        $zip = new ZipArchive;
        self::assertTrue($zip->open($path));
        $account = (string) $zip->getFromName('account.json');
        self::assertStringContainsString($user->email, $account);
        self::assertStringNotContainsString('password', $account);
        self::assertStringNotContainsString('totp_secret', $account);
        self::assertSame('Seen.', json_decode((string) $zip->getFromName('steps.json'), true)[0]['text']);
        self::assertSame('No log.', json_decode((string) $zip->getFromName('own-entries.json'), true)[0]['text']);
        self::assertCount(1, json_decode((string) $zip->getFromName('lessons.json'), true));
        $line = json_decode((string) $zip->getFromName('takes.jsonl'), true);
        self::assertSame($take->id, $line['id']);
        self::assertNotEmpty($line['judgements'][0]['document']['facets'] ?? $line['judgements'][0]['document']);
        self::assertSame('Softer.', $line['said'][0]['text']);
        self::assertSame(Storage::get($take->log->path()), $zip->getFromName("logs/{$take->log->id}-{$take->log->file_name}"));
        unlink($path);

        $this->actingAs(User::factory()->createOne(['school_id' => $user->school_id]))->get('/api/v1/account/copies/'.$asked->json('id'))
            ->assertNotFound();
        $this->travel(PersonalCopy::DAYS + 1)->days();
        $this->artisan('larkspur:forget');
        self::assertSame([$take->log->path()], Storage::allFiles());
        self::assertSame(0, PersonalCopy::query()->count());
    }

    public function test_a_person_is_removed_for_good_and_nobody_elses_work_with_them(): void
    {
        [$user, $take] = $this->flyer();
        [$other, $theirs] = $this->flyer($user->school_id);
        // The same bytes in two logbooks: they stay while one names them.
        DB::table('flight_logs')->where('id', $theirs->flight_log_id)->update(['sha256' => $take->log->sha256]);
        $name = $user->name;
        $this->actingAs($user)->deleteJson('/api/v1/account', ['password' => 'wrong'])->assertUnprocessable();
        $this->deleteJson('/api/v1/account', ['password' => self::PASSWORD])->assertNoContent();

        self::assertFalse(User::query()->withoutGlobalScopes()->whereKey($user->id)->exists());
        foreach (
            [
                'takes' => 'operator_id', 'shots' => 'operator_id', 'flight_logs' => 'owner_id', 'imports' => 'owner_id',
                'comments' => 'author_id', 'sign_ins' => 'user_id', 'step_sayings' => 'operator_id', 'own_entries' => 'operator_id',
                'not_todays' => 'operator_id', 'lesson_members' => 'operator_id',
            ] as $table => $column
        ) {
            self::assertSame(0, DB::table($table)->where($column, $user->id)->count(), $table);
        }
        self::assertSame(0, DB::table('scores')->where('take_id', $take->id)->count());
        self::assertStringNotContainsString($name, (string) json_encode(DB::table('trail')->get()->where('did', '<>', 'account-removed')));
        self::assertTrue(Storage::exists(FlightLog::query()->withoutGlobalScopes()->findOrFail($theirs->flight_log_id)->path()));
        $this->stranger();
        $this->actingAs($other)->getJson('/api/v1/takes')->assertOk()->assertJsonCount(1, 'takes');
        $trainer = User::factory()->trainer()->createOne(['school_id' => $other->school_id]);
        // A trainer who leaves: what they said of others' takes stays, as said by somebody who left.
        Comment::query()->create(
            ['school_id' => $other->school_id, 'take_id' => $theirs->id, 'author_id' => $trainer->id, 'at_s' => 1.0, 'text' => 'Good.'],
        );
        $last = User::factory()->trainer()->createOne(['school_id' => $other->school_id]);
        StepSaying::query()->create([
            'school_id' => $other->school_id, 'operator_id' => $other->id, 'author_id' => $trainer->id, 'author' => $trainer->name,
            'step' => 'orbit', 'kind' => StepSaying::SIGN_OFF, 'ladder_version' => 0, 'rests_on' => [],
        ]);
        $this->actingAs($last)->deleteJson("/api/v1/people/$trainer->id")->assertNoContent();
        self::assertSame('Somebody who left', DB::table('step_sayings')->where('step', 'orbit')->value('author'), 'The sign-off stands.');
        $said = $this->actingAs($other)->getJson("/api/v1/takes/$theirs->id")->assertOk()->json('said');
        self::assertContains('Somebody who left', array_column($said, 'author'));
        $this->actingAs($last)->getJson('/api/v1/people')->assertJsonCount(2);
    }

    public function test_somebody_goes_to_another_school_with_their_record(): void
    {
        [$user, $take] = $this->flyer();
        [$stays, $kept] = $this->flyer($user->school_id);
        $trainer = User::factory()->trainer()->createOne();
        $link = $this->actingAs($trainer)->postJson('/api/v1/invitations', ['email' => $user->email, 'role' => 'operator'])->json('link');
        $token = basename((string) $link);
        $this->stranger();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/links/invitation', ['token' => $token])->assertJsonPath('known', true);
        $this->withHeaders(self::HEADERS)
            ->putJson(
                '/api/v1/links/invitation', ['token' => $token, 'name' => 'X', 'password' => 'gannets over the sound'],
            )->assertUnprocessable();
        $this->stranger();
        $this->actingAs($user)->postJson('/api/v1/account/school', ['token' => $token, 'password' => self::PASSWORD])->assertOk()
            ->assertJsonPath('school', $trainer->school->name);

        $user = User::query()->withoutGlobalScopes()->findOrFail($user->id);
        $this->actingAs($user)->getJson('/api/v1/takes')->assertOk()->assertJsonCount(1, 'takes');
        $this->getJson("/api/v1/takes/$take->id")->assertOk()->assertJsonPath('said.0.text', 'Softer.');
        $this->getJson("/api/v1/takes/$take->id/replay")->assertOk();
        $shot = $this->getJson('/api/v1/shots')->assertOk()->assertJsonCount(1)->assertJsonPath('0.damaged', false);
        $this->getJson('/api/v1/sites/'.$shot->json('0.site_id'))->assertOk();
        $this->getJson('/api/v1/rigs/'.$shot->json('0.rig_id'))->assertOk();
        $this->actingAs($trainer)->getJson("/api/v1/takes/$take->id")->assertOk();
        // What was signed off goes along; a lesson is the school's that gave it, and so is what was held otherwise for them.
        $steps = array_column($this->getJson("/api/v1/ladder?operator=$user->id")->assertOk()->json('steps'), 'state', 'id');
        self::assertSame('signed', $steps['hover']);
        $this->actingAs($user)->getJson('/api/v1/logbook')->assertOk()->assertJsonPath('entries.0.text', 'No log.');
        $this->getJson('/api/v1/lessons')->assertOk()->assertJsonCount(0);
        self::assertNull($user->training);
        // Where they were, their work is not found any more, and everybody else's is as it was.
        $this->actingAs(User::factory()->trainer()->createOne(['school_id' => $stays->school_id]))->getJson("/api/v1/takes/$take->id")
            ->assertNotFound();
        $this->actingAs($stays)->getJson("/api/v1/takes/$kept->id/replay")->assertOk();
        $this->getJson('/api/v1/shots')->assertJsonCount(1)->assertJsonPath('0.damaged', false);
    }

    public function test_the_demo_school_is_put_beside_and_removed_without_a_trace(): void
    {
        Queue::fake();
        [$user] = $this->flyer();
        $trainer = User::factory()->trainer()->createOne(['school_id' => $user->school_id]);
        $this->actingAs($user)->postJson('/api/v1/demo-school')->assertForbidden();
        $this->actingAs($trainer)->postJson('/api/v1/demo-school')->assertStatus(202);
        $this->postJson('/api/v1/demo-school')->assertUnprocessable();

        $this->stranger();
        $demo = School::factory()->createOne(['demo' => true]);
        [$there] = $this->flyer($demo->id);
        User::factory()->trainer()->createOne(['school_id' => $demo->id]);
        $this->actingAs($trainer)->getJson('/api/v1/school')->assertJsonPath('demo_beside', true);
        $before = DB::table('takes')->where('school_id', $user->school_id)->count();
        $this->deleteJson('/api/v1/demo-school')->assertNoContent();
        foreach (
            ['users', 'takes', 'shots', 'sites', 'rigs', 'crafts', 'flight_logs', 'imports', 'scores', 'comments', 'trail',
                'step_sayings', 'own_entries', 'not_todays', 'lessons', 'ladders'] as $table
        ) {
            self::assertSame(0, DB::table($table)->where('school_id', $demo->id)->count(), $table);
        }
        self::assertFalse(School::query()->whereKey($demo->id)->exists());
        self::assertSame($before, DB::table('takes')->where('school_id', $user->school_id)->count());
        $this->deleteJson('/api/v1/demo-school')->assertUnprocessable();
        self::assertNotNull($there->id);
    }

    private function stranger(): void
    {
        $this->app?->make('auth')->forgetGuards();
        $this->flushSession();
        $this->flushHeaders();
    }

    /** @return array{User, Take} somebody with a flown shot, of whose take something was said */
    private function flyer(?int $school = null): array
    {
        $user = User::factory()->createOne($school === null ? [] : ['school_id' => $school]);
        $shot = ShotFactory::whole($user);
        app(FlyShot::class)($shot, OperatorHabits::named('steady', 5), 'steady', new Wind(0.0, 0.0, 0.0), random_int(1, 1_000_000), $user);
        $take = Take::query()->withoutGlobalScopes()->where('operator_id', $user->id)->sole();
        Comment::query()->create(
            ['school_id' => $user->school_id, 'take_id' => $take->id, 'author_id' => $user->id, 'at_s' => 2.0, 'text' => 'Softer.'],
        );

        StepSaying::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'author_id' => $user->id, 'author' => 'A trainer',
            'step' => 'hover', 'kind' => StepSaying::SIGN_OFF, 'text' => 'Seen.', 'ladder_version' => 0, 'rests_on' => [$take->id],
        ]);
        OwnEntry::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'flown_at' => now()->subDay(), 'minutes' => 9.0,
            'text' => 'No log.',
        ]);
        NotToday::query()->create(['school_id' => $user->school_id, 'operator_id' => $user->id, 'suggestion' => 'step pan']);
        Lesson::query()->create([
            'school_id' => $user->school_id, 'author_id' => null, 'title' => 'Pans', 'purpose' => 'Stop on the mark.', 'steps' => [],
        ])->members()->create(['operator_id' => $user->id]);
        $user->update(['training' => ['passes' => 1]]);

        return [$user, $take];
    }
}
