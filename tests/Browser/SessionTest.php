<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Coming in, what is next today, and going out. */
final class SessionTest extends BrowserCase
{
    public function test_a_page_sends_one_to_sign_in_and_back(): void
    {
        $chrome = $this->chrome();
        $this->expectOnConsole('401');
        $this->expectOnConsole('422');
        $chrome->visit('/progress')->see('input[type=email]')->sendKeys(self::OPERATOR);
        $chrome->find('input[type=password]')->sendKeys('sea-lettuce');
        $chrome->press('Sign in');
        $chrome->seeText('don’t go together');
        $chrome->find('input[type=password]')->clear()->sendKeys(self::PASSWORD);
        $chrome->press('Sign in');
        $chrome->seeText('Your progress');
        self::assertSame('/progress', $chrome->path());
    }

    public function test_today_says_what_to_do_next_and_why(): void
    {
        $chrome = $this->asOperator();
        $today = $chrome->api('/today');
        $first = $today['next']['said'][0] ?? null;
        self::assertIsArray($first);
        $chrome->seeText((string) $first['title']);
        $chrome->seeText((string) $first['evidence'][0]);
        self::assertGreaterThan(0, $chrome->count('[data-take]'));
    }

    public function test_signing_out_closes_the_door(): void
    {
        $chrome = $this->asOperator();
        $this->expectOnConsole('401');
        $chrome->click('header button');
        $chrome->press('Sign out');
        $chrome->see('input[type=email]');
        $chrome->visit('/plan')->see('input[type=email]');
    }

    public function test_signing_out_asks_where_something_is_not_kept(): void
    {
        $chrome = $this->asOperator('/plan/new?move=orbit');
        $this->expectOnConsole('401');
        $chrome->see('[data-role=planned-path]');
        $chrome->find('main input')->sendKeys('Mine');
        $out = static function () use ($chrome): void {
            $chrome->script('[...document.querySelectorAll("header button")].at(-1).click()');
            $chrome->press('Sign out');
            $chrome->seeText('Leave without keeping it?');
        };
        $out();
        $chrome->press('Stay');
        self::assertSame('/plan/new', $chrome->path());
        self::assertSame(200, self::answered($chrome), 'Nobody was signed out.');
        $out();
        $chrome->press('Leave, and lose it');
        $chrome->see('input[type=email]');
        self::assertSame(401, self::answered($chrome));
    }

    private static function answered(Chrome $chrome): int
    {
        return (int) $chrome->driver->executeAsyncScript(
            'fetch("/api/v1/me", { headers: { Accept: "application/json" } }).then((answer) => arguments[0](answer.status))',
        );
    }

    public function test_every_station_is_reached_by_its_key(): void
    {
        $chrome = $this->asOperator();
        $chrome->see('h1');
        foreach (['1' => '/rig', '2' => '/plan', '3' => '/fly', '4' => '/debrief', '5' => '/progress', '0' => '/'] as $key => $path) {
            $chrome->type((string) $key);
            $chrome->waitUntil(
                static fn (): bool => $path === '/' ? $chrome->path() === '/' : str_starts_with($chrome->path(), $path),
                "Key $key did not lead to $path",
            );
            $chrome->see('main');
        }
        $chrome->type('?');
        $chrome->see('[role=dialog]');
        $chrome->seeText('Next and previous fault');
    }
}
