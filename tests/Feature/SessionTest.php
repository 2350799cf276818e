<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Support\Facades\Notification;
use PHPUnit\Framework\Attributes\DataProvider;

final class SessionTest extends FeatureCase
{
    private const HEADERS = ['Origin' => 'http://localhost', 'Accept' => 'application/json'];

    public function test_signing_in_and_out_by_cookie(): void
    {
        $user = User::factory()->trainer()->createOne();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/session', ['email' => strtoupper($user->email), 'password' => 'moor-and-wind'])
            ->assertOk()->assertJsonPath('role', 'trainer')->assertJsonMissingPath('password');
        $this->assertAuthenticatedAs($user);
        $this->withHeaders(self::HEADERS)->deleteJson('/api/v1/session')->assertNoContent();
        $this->assertGuest('web');
    }

    public function test_a_wrong_password_is_told_without_telling_who_exists(): void
    {
        $user = User::factory()->createOne();
        $known = $this->withHeaders(self::HEADERS)->postJson(
            '/api/v1/session', ['email' => $user->email, 'password' => 'wrong'],
        )->assertUnprocessable();
        $unknown = $this->withHeaders(self::HEADERS)->postJson(
            '/api/v1/session', ['email' => 'nobody@skerrow.example', 'password' => 'wrong'],
        )->assertUnprocessable();

        self::assertSame($known->json('detail'), $unknown->json('detail'));
        $known->assertHeader('Content-Type', 'application/problem+json');
    }

    public function test_guessing_is_slowed_down(): void
    {
        $user = User::factory()->createOne();
        for ($i = 0; $i < config()->integer('larkspur.sign_in_tries'); $i++) {
            $this->withHeaders(self::HEADERS)->postJson(
                '/api/v1/session', ['email' => $user->email, 'password' => 'guess'.$i],
            )->assertUnprocessable();
        }
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'moor-and-wind'])
            ->assertTooManyRequests()->assertJsonPath('title', 'Too many tries');
    }

    public function test_coming_in_again_and_again_is_no_guessing(): void
    {
        $user = User::factory()->createOne();
        for ($i = 0; $i < 2 * config()->integer('larkspur.sign_in_tries'); $i++) {
            $this->withHeaders(self::HEADERS)->postJson(
                '/api/v1/session', ['email' => $user->email, 'password' => 'moor-and-wind'],
            )->assertOk();
        }
    }

    public function test_a_forgotten_password_is_replaced_by_mail(): void
    {
        Notification::fake();
        $user = User::factory()->createOne();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/password/forgot', ['email' => $user->email])->assertStatus(202);
        $token = '';
        Notification::assertSentTo($user, ResetPassword::class, function (ResetPassword $mail) use ($user, &$token): bool {
            $token = $mail->token;
            $html = (string) $mail->toMail($user)->render();
            self::assertStringContainsString('/reset-password/'.$token, $html);

            return true;
        });
        $this->withHeaders(self::HEADERS)->postJson(
            '/api/v1/password/reset', ['token' => $token, 'email' => $user->email, 'password' => 'short'],
        )->assertUnprocessable();
        $this->withHeaders(self::HEADERS)->postJson(
            '/api/v1/password/reset', ['token' => $token, 'email' => $user->email, 'password' => 'a-new-and-long-one'],
        )->assertNoContent();
        $this->withHeaders(self::HEADERS)->postJson(
            '/api/v1/session', ['email' => $user->email, 'password' => 'a-new-and-long-one'],
        )->assertOk();
        $this->withHeaders(self::HEADERS)->postJson(
            '/api/v1/password/reset', ['token' => $token, 'email' => $user->email, 'password' => 'a-second-and-long-one'],
        )->assertUnprocessable();
    }

    public function test_an_unknown_address_gets_the_same_answer(): void
    {
        Notification::fake();
        $this->withHeaders(self::HEADERS)->postJson('/api/v1/password/forgot', ['email' => 'nobody@skerrow.example'])->assertStatus(202);
        Notification::assertNothingSent();
    }

    /** @return iterable<string, array{string, string}> */
    public static function closed(): iterable
    {
        yield 'today' => ['get', 'today'];
        yield 'takes' => ['get', 'takes'];
        yield 'a plan' => ['post', 'plans'];
        yield 'an upload' => ['post', 'imports'];
        yield 'who am I' => ['get', 'me'];
        yield 'sites' => ['get', 'sites'];
    }

    #[DataProvider('closed')]
    public function test_nothing_is_told_to_strangers(string $method, string $path): void
    {
        $this->json($method, '/api/v1/'.$path)->assertUnauthorized()->assertJsonPath('type', 'urn:larkspur:problem:signed-out');
    }

    public function test_bearer_tokens_serve_scripts(): void
    {
        $user = User::factory()->createOne();
        $token = $this->actingAs($user)->postJson('/api/v1/tokens', ['name' => 'nightly', 'scope' => 'read', 'days' => 30])->assertCreated()
            ->json('secret');
        self::assertIsString($token);
        $this->app?->make('auth')->forgetGuards();
        $this->withToken($token)->getJson('/api/v1/me')->assertOk()->assertJsonPath('name', $user->name);
    }

    public function test_preferences_are_kept_and_checked(): void
    {
        $user = User::factory()->createOne();
        $this->actingAs($user)->patchJson(
            '/api/v1/me', ['units' => 'feet', 'stick_mode' => 3],
        )->assertOk()->assertJsonPath('units', 'feet');
        self::assertSame(3, $user->refresh()->stick_mode);
        $this->actingAs($user)->patchJson(
            '/api/v1/me', ['stick_mode' => 5],
        )->assertUnprocessable()->assertJsonPath('errors.0.place', 'stick_mode');
        $this->actingAs($user)->patchJson('/api/v1/me', ['role' => 'trainer'])->assertOk();
        self::assertSame(User::OPERATOR, $user->refresh()->role);
    }

    public function test_every_page_is_the_application_and_the_api_is_not(): void
    {
        $this->get('/debrief/12')->assertOk()->assertSee('id="root"', false);
        $this->getJson('/api/v1/nowhere')->assertNotFound()->assertHeader('Content-Type', 'application/problem+json');
    }
}
