<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\GoodPassword;
use App\Accounts\Totp;
use App\Models\SignIn;
use App\Models\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use PHPUnit\Framework\Attributes\DataProvider;

/** Accounts as OWASP ASVS 4.0 wants them at level 2: V2 (passwords, second factor), V3 (sessions), V4 (who may what), V7 (a trail). */
final class AccountTest extends FeatureCase
{
    private const HEADERS = ['Origin' => 'http://localhost', 'Accept' => 'application/json'];

    private const PASSWORD = 'moor-and-wind';

    private const NEW = 'gannets over the sound';

    /** @return iterable<array{int, string}> RFC 6238, appendix B, the rows of SHA-1: the last six of their eight digits */
    public static function codes(): iterable
    {
        yield [59, '287082'];
        yield [1111111109, '081804'];
        yield [1111111111, '050471'];
        yield [1234567890, '005924'];
        yield [2000000000, '279037'];
        yield [20000000000, '353130'];
    }

    #[DataProvider('codes')]
    public function test_codes_are_those_of_the_standard(int $time, string $code): void
    {
        self::assertSame($code, (new Totp('12345678901234567890'))->code(Totp::stepAt($time)));
    }

    public function test_a_code_is_good_once_and_a_step_early_or_late(): void
    {
        $totp = Totp::fresh();
        self::assertSame($totp->toBase32(), Totp::fromBase32($totp->toBase32())->toBase32());
        $step = Totp::stepAt(1_700_000_000);
        foreach ([-2 => false, -1 => true, 0 => true, 1 => true, 2 => false] as $off => $taken) {
            self::assertSame($taken ? $step + $off : null, $totp->accepts($totp->code($step + $off), 1_700_000_000, 0), "$off");
        }
        self::assertNull($totp->accepts($totp->code($step), 1_700_000_000, $step));
    }

    public function test_a_second_factor_is_set_up_asked_for_and_taken_off(): void
    {
        $user = User::factory()->createOne();
        $this->actingAs($user)->postJson('/api/v1/account/second-factor', ['password' => 'wrong'])->assertUnprocessable();
        $key = $this->postJson('/api/v1/account/second-factor', ['password' => self::PASSWORD])->assertCreated();
        $totp = Totp::fromBase32($key->json('key'));
        self::assertStringContainsString('secret='.$key->json('key'), $key->json('uri'));
        // It stands nowhere in the clear.
        self::assertStringNotContainsString($key->json('key'), (string) json_encode(DB::table('users')->where('id', $user->id)->first()));
        // Until a code was given it does not count.
        self::assertFalse($user->refresh()->hasSecondFactor());
        $this->putJson('/api/v1/account/second-factor', ['code' => '000000'])->assertUnprocessable();
        $now = fn (): string => $totp->code(Totp::stepAt(now()->getTimestamp()));
        $spare = $this->putJson('/api/v1/account/second-factor', ['code' => $now()])->assertOk()->json('codes');
        self::assertCount(8, $spare);

        $this->stranger();
        $this->signIn($user)->assertUnprocessable()->assertJsonPath('errors.0.place', 'code');
        $this->signIn($user, ['code' => '123456'])->assertUnprocessable();
        // The code of the set-up was used; the next is taken, once.
        $this->signIn($user, ['code' => $now()])->assertUnprocessable();
        Carbon::setTestNow(now()->addSeconds(31));
        $this->signIn($user, ['code' => $now()])->assertOk();
        $this->stranger();
        $this->signIn($user, ['code' => $now()])->assertUnprocessable();
        $this->signIn($user, ['code' => $spare[3]])->assertOk();
        $this->stranger();
        Carbon::setTestNow(now()->addMinutes(2));
        $this->signIn($user, ['code' => $spare[3]])->assertUnprocessable();
        Carbon::setTestNow();

        $this->actingAs($user->refresh())->getJson('/api/v1/account')->assertJsonPath('second_factor', true)
            ->assertJsonPath('spare_codes', 7);
        $this->deleteJson('/api/v1/account/second-factor', ['password' => self::PASSWORD])->assertNoContent();
        $this->stranger();
        $this->signIn($user)->assertOk();
    }

    public function test_a_school_that_wants_a_second_factor_lets_nobody_work_without(): void
    {
        $trainer = User::factory()->trainer()->createOne();
        $operator = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $settings = ['name' => 'Field school', 'zone' => 'Europe/Oslo', 'units' => 'feet', 'second_factor' => true];
        $this->actingAs($trainer)->putJson('/api/v1/school', $settings)->assertUnprocessable();
        $trainer->forceFill(['totp_secret' => Totp::fresh()->toBase32(), 'totp_since' => now()])->save();
        $this->putJson('/api/v1/school', $settings)->assertOk()->assertJsonPath('second_factor', true);
        $this->getJson('/api/v1/takes')->assertOk();

        $this->actingAs($operator->load('school'))->getJson('/api/v1/takes')->assertForbidden()
            ->assertJsonPath('type', 'urn:larkspur:problem:second-factor');
        $this->getJson('/api/v1/me')->assertOk()->assertJsonPath('second_factor_due', true);
        $this->postJson('/api/v1/account/second-factor', ['password' => self::PASSWORD])->assertCreated();
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        yield 'eleven characters' => ['kelp-on-sto', false];
        yield 'a few words' => ['kelp and cold stone', true];
        yield 'on the list, with a year' => ['sunshine2026', false];
        yield 'with signs for letters' => ['P@ssw0rd1234', false];
        yield 'said twice' => ['dragondragon', false];
        yield 'a row' => ['abcdefghijklm', false];
        yield 'one character' => ['aaaaaaaaaaaaaaaa', false];
        yield 'their name and little else' => ['tobiasrenn26', false];
        yield 'their school' => ['skerrow-2026', false];
        yield 'other letters' => ['ветер над морем', true];
        yield 'too long' => [str_repeat('kelp and stone ', 10), false];
    }

    #[DataProvider('passwords')]
    public function test_what_a_password_must_be(string $password, bool $good): void
    {
        $why = null;
        (new GoodPassword(GoodPassword::wordsOf('Tobias Renn', 'tobias@skerrow.example', 'Skerrow Field School')))
            ->validate('password', $password, static function (string $words) use (&$why) {
                $why = $words;

                return new \Illuminate\Translation\PotentiallyTranslatedString($words, app('translator'));
            });
        self::assertSame($good, $why === null, $why ?? 'taken');
    }

    public function test_a_changed_password_ends_every_other_session_and_is_asked_for(): void
    {
        $user = User::factory()->createOne();
        $this->signIn($user)->assertOk();
        $other = SignIn::query()->create(['user_id' => $user->id, 'address' => '10.0.0.9', 'agent' => 'a tablet', 'seen_at' => now()]);
        $this->withHeaders(self::HEADERS)->putJson('/api/v1/account/password', ['current' => 'wrong', 'password' => self::NEW])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.place', 'current');
        $this->withHeaders(self::HEADERS)->putJson('/api/v1/account/password', ['current' => self::PASSWORD, 'password' => 'sunshine2026'])
            ->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->putJson('/api/v1/account/password', ['current' => self::PASSWORD, 'password' => self::NEW])
            ->assertNoContent();

        self::assertTrue(Hash::check(self::NEW, $user->refresh()->password));
        self::assertNotNull($other->refresh()->ended_at);
        // This one goes on.
        $this->withHeaders(self::HEADERS)->getJson('/api/v1/me')->assertOk();
    }

    public function test_a_session_that_is_ended_elsewhere_is_over_with_its_next_request(): void
    {
        $user = User::factory()->createOne();
        $this->signIn($user)->assertOk();
        $places = $this->withHeaders(self::HEADERS)->getJson('/api/v1/account/sign-ins')->assertOk()->assertJsonCount(1)
            ->assertJsonPath('0.current', true);
        $classmate = User::factory()->createOne(['school_id' => $user->school_id]);
        $theirs = SignIn::query()->create(['user_id' => $classmate->id, 'address' => '10.0.0.9', 'agent' => 'x', 'seen_at' => now()]);
        $this->withHeaders(self::HEADERS)->deleteJson("/api/v1/account/sign-ins/$theirs->id")->assertNotFound();
        self::assertNull($theirs->refresh()->ended_at);
        $this->withHeaders(self::HEADERS)->deleteJson('/api/v1/account/sign-ins/'.$places->json('0.id'))->assertNoContent();
        $this->app?->make('auth')->forgetGuards();
        $this->withHeaders(self::HEADERS)->getJson('/api/v1/me')->assertUnauthorized();
    }

    public function test_whoever_is_shut_out_is_out_at_once_and_gets_no_more_in(): void
    {
        $trainer = User::factory()->trainer()->createOne();
        $user = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $token = $user->createToken('nightly', ['read'])->plainTextToken;
        $this->actingAs($trainer)->putJson("/api/v1/people/$user->id", ['disabled' => true])->assertOk()->assertJsonPath('disabled', true);
        $this->stranger();
        $this->withToken($token)->getJson('/api/v1/me')->assertUnauthorized();
        $this->stranger();
        $known = $this->signIn($user)->assertUnprocessable()->json('detail');
        self::assertSame($known, $this->signIn($user, ['password' => 'wrong'])->json('detail'));
        $this->actingAs($trainer)->putJson("/api/v1/people/$user->id", ['disabled' => false])->assertOk();
        $this->stranger();
        $this->signIn($user)->assertOk();
    }

    public function test_tokens_have_a_name_a_scope_and_an_end_and_none_makes_another(): void
    {
        $user = User::factory()->createOne();
        $this->actingAs($user)->postJson('/api/v1/tokens', ['name' => 'x'])->assertUnprocessable();
        $this->postJson('/api/v1/tokens', ['name' => 'x', 'scope' => 'all', 'days' => 5])->assertUnprocessable();
        $this->postJson('/api/v1/tokens', ['name' => 'x', 'scope' => 'read', 'days' => 4000])->assertUnprocessable();
        $read = $this->postJson('/api/v1/tokens', ['name' => 'look', 'scope' => 'read', 'days' => 30])->assertCreated()->json('secret');
        $write = $this->postJson('/api/v1/tokens', ['name' => 'change', 'scope' => 'write', 'days' => 1])->assertCreated();
        $this->getJson('/api/v1/tokens')->assertOk()->assertJsonCount(2)->assertJsonPath('1.scope', 'read')
            ->assertJsonMissingPath('0.secret');

        $as = function (string $token): void {
            $this->stranger();
            $this->withToken($token);
        };
        $as($read);
        $this->getJson('/api/v1/takes')->assertOk();
        $this->patchJson('/api/v1/me', ['theme' => 'dark'])->assertForbidden()->assertJsonPath('type', 'urn:larkspur:problem:token-scope');
        $as($write->json('secret'));
        $this->patchJson('/api/v1/me', ['theme' => 'dark'])->assertOk();
        foreach (
            [
                ['post', 'tokens'], ['put', 'account/password'], ['delete', 'account'], ['get', 'people'], ['post', 'invitations'],
                ['put', 'school'],
            ] as [$method, $path]
        ) {
            $this->json($method, '/api/v1/'.$path)->assertForbidden();
        }
        Carbon::setTestNow(now()->addDays(2));
        $as($write->json('secret'));
        $this->getJson('/api/v1/takes')->assertUnauthorized();
        Carbon::setTestNow();
        $this->stranger();
        $this->actingAs($user)->deleteJson('/api/v1/tokens/'.$write->json('token.id'))->assertNoContent();
        $this->deleteJson('/api/v1/tokens/'.$write->json('token.id'))->assertNotFound();
    }

    public function test_links_in_mails_lead_to_the_address_that_was_set_up(): void
    {
        Notification::fake();
        config(['app.url' => 'https://field.school.example']);
        $user = User::factory()->createOne();
        $this->withHeaders(['Accept' => 'application/json'])
            ->postJson(
                'http://localhost/api/v1/password/forgot', ['email' => $user->email], ['X-Forwarded-Host' => 'evil.example'],
            )->assertStatus(202);
        Notification::assertSentTo($user, ResetPassword::class, static function (ResetPassword $mail) use ($user): bool {
            $html = (string) $mail->toMail($user)->render();
            self::assertStringContainsString('https://field.school.example/reset-password/', $html);
            self::assertStringNotContainsString('evil', $html);

            return true;
        });
    }

    public function test_it_answers_to_its_own_names_only(): void
    {
        $this->getJson('http://evil.example/api/v1/me')->assertStatus(421);
        $this->getJson('http://127.0.0.1:8710/api/v1/me')->assertUnauthorized();
        config(['larkspur.hosts' => 'tablet.lan 192.168.7.2']);
        $this->getJson('http://192.168.7.2/api/v1/me')->assertUnauthorized();
    }

    public function test_many_accounts_from_one_address_are_too_many(): void
    {
        for ($i = 0; $i < 30; $i++) {
            $this->withHeaders(self::HEADERS)->postJson('/api/v1/session', ['email' => "guess$i@skerrow.example", 'password' => 'wrong'])
                ->assertUnprocessable();
        }
        $late = $this->withHeaders(self::HEADERS)
            ->postJson('/api/v1/session', ['email' => 'guess60@skerrow.example', 'password' => 'wrong'])->assertTooManyRequests();
        self::assertGreaterThan(60, (int) $late->headers->get('Retry-After'));
        self::assertMatchesRegularExpression('/^Try again in \d+ minutes\.$/', $late->json('detail'));
    }

    public function test_one_account_from_many_addresses_is_slowed_down_too(): void
    {
        $user = User::factory()->createOne();
        for ($i = 0; $i < 20; $i++) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.0.$i"])->withHeaders(self::HEADERS)
                ->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'wrong'])->assertUnprocessable();
        }
        $this->withServerVariables(['REMOTE_ADDR' => '10.0.1.1'])->withHeaders(self::HEADERS)
            ->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'wrong'])->assertTooManyRequests();
    }

    public function test_what_is_done_to_accounts_stands_in_the_trail_for_trainers(): void
    {
        $trainer = User::factory()->trainer()->createOne();
        $user = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $this->signIn($user, ['password' => 'wrong']);
        $this->signIn($user)->assertOk();
        $this->stranger();
        $this->actingAs($trainer)->putJson("/api/v1/people/$user->id", ['role' => 'viewer'])->assertOk();
        $steps = $this->getJson('/api/v1/trail')->assertOk()->json('steps');
        self::assertSame(
            ["changed a role: $user->name, viewer", 'signed in', 'could not sign in'], array_map(trim(...), array_column($steps, 'did')),
        );
        self::assertSame([$trainer->name, $user->name, $user->name], array_column($steps, 'who'));
        // Another school's trail is another's, and operators see none.
        $this->actingAs(User::factory()->trainer()->createOne())->getJson('/api/v1/trail')->assertJsonCount(0, 'steps');
        $this->actingAs(User::factory()->createOne(['school_id' => $trainer->school_id]))->getJson('/api/v1/trail')->assertForbidden();
    }

    public function test_what_is_taken_along_changed_and_removed_stands_there_too(): void
    {
        $trainer = User::factory()->trainer()->createOne();
        $user = User::factory()->createOne(['school_id' => $trainer->school_id]);
        $shot = \Database\Factories\ShotFactory::whole($user);
        $this->actingAs($user)->get("/api/v1/shots/$shot->id/files/gpx")->assertOk();
        $this->get("/api/v1/sites/$shot->site_id/file")->assertOk();
        $this->get("/api/v1/rigs/$shot->rig_id/file")->assertOk();
        $settings = $this->getJson("/api/v1/rigs/$shot->rig_id")->json('settings');
        $settings['modes']['slow']['turn_dps'] = 19;
        $this->postJson("/api/v1/rigs/$shot->rig_id/versions", ['settings' => $settings, 'reason' => 'calmer', 'operator_id' => $user->id])
            ->assertCreated();
        $this->deleteJson("/api/v1/shots/$shot->id")->assertNoContent();
        $did = array_column($this->actingAs($trainer)->getJson('/api/v1/trail')->json('steps'), 'did');
        self::assertSame(["removed the shot $shot->title", 'saved a rig', 'took along', 'took along', 'took along'], [
            $did[0], substr($did[1], 0, 11), ...array_map(static fn (string $one): string => substr($one, 0, 10), array_slice($did, 2)),
        ]);
    }

    private function stranger(): void
    {
        $this->app?->make('auth')->forgetGuards();
        $this->flushSession();
        $this->flushHeaders();
    }

    /**
     * @param  array<string, string>  $more
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function signIn(User $user, array $more = []): \Illuminate\Testing\TestResponse
    {
        return $this->withHeaders(self::HEADERS)
            ->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::PASSWORD, ...$more]);
    }
}
