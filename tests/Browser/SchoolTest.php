<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Accounts\Totp;
use Facebook\WebDriver\WebDriverBy;

/** Somebody is invited, comes in, sets up a second factor, signs in with it, changes a shot and is asked before it is lost, and leaves. */
final class SchoolTest extends BrowserCase
{
    public function test_somebody_comes_works_and_leaves(): void
    {
        $this->expectOnConsole('401');
        $this->expectOnConsole('422');
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/school');
        $chrome->see('[data-person="tobias@skerrow.example"]');
        $email = 'runa-'.bin2hex(random_bytes(3)).'@ternrock.example';
        $this->fill($chrome, 'Their mail address', $email);
        $chrome->press('Make a link');
        $link = (string) parse_url($chrome->textSeen('[data-link]'), PHP_URL_PATH);
        $chrome->seeText("invited $email, operator");

        // What is still on its way would bring its cookie back.
        usleep(800_000);
        $chrome->forget()->visit($link);
        $chrome->seeText("Ines Calloway invites $email as an operator.");
        $this->fill($chrome, 'Your name', 'Runa Lie');
        $this->fill($chrome, 'A password, twelve characters or more', 'skerrow-2026');
        $chrome->press('Come in');
        $chrome->seeText('little more than your own name');
        $this->fill($chrome, 'A password, twelve characters or more', 'gannets over the sound');
        $chrome->press('Come in');
        $chrome->seeText('Runa Lie');

        $chrome->visit('/account');
        $this->fill($chrome, 'Your password', 'gannets over the sound');
        $chrome->press('Set one up');
        $totp = Totp::fromBase32($chrome->attributeSeen('[data-key]', 'data-key'));
        $this->fill($chrome, 'The six digits that it shows', $totp->code(Totp::stepAt(time())));
        $chrome->press('Turn it on');
        $chrome->seeText('Write these down');

        usleep(800_000);
        $chrome->forget()->visit('/sign-in');
        $this->fill($chrome, 'Address', $email);
        $this->fill($chrome, 'Password', 'gannets over the sound');
        $chrome->press('Sign in');
        $chrome->seeText('Give the code that your device shows as well.');
        $this->fill($chrome, 'Code of your second factor', $totp->code(Totp::stepAt(time()) + 1));
        $chrome->press('Sign in');
        $chrome->seeText('Runa Lie');

        $chrome->visit('/plan/new')->see('[data-picture=frame-strip] svg');
        $chrome->find('input[aria-label="Title of the shot"]')->sendKeys('Round the light');
        $chrome->press('Fly');
        $chrome->seeText('Leave without keeping it?');
        $chrome->press('Stay');
        self::assertStringContainsString('/plan', $chrome->path());
        $chrome->press('Keep');
        $chrome->waitUntil(static fn (): bool => preg_match('~^/plan/\d+$~', $chrome->path()) === 1, 'It is not kept.');

        $chrome->visit('/account');
        $chrome->press('Remove me and all that is mine');
        $dialog = $chrome->see('[role=dialog]');
        $dialog->findElement(WebDriverBy::cssSelector('input[type=password]'))->sendKeys('gannets over the sound');
        $dialog->findElement(WebDriverBy::cssSelector('button[type=submit]'))->click();
        $chrome->waitUntil(static fn (): bool => $chrome->path() === '/sign-in', 'They are still in.');
    }

    private function fill(Chrome $chrome, string $label, string $text): void
    {
        $path = WebDriverBy::xpath("//label[starts-with(., '$label')]");
        $chrome->waitUntil(static fn (): bool => $chrome->driver->findElements($path) !== [], "There is no field “{$label}”.");
        $id = $chrome->driver->findElement($path)->getAttribute('for');
        $field = $chrome->see('#'.str_replace([':', '«', '»'], ['\\:', '\\«', '\\»'], (string) $id));
        $field->clear();
        $field->sendKeys($text);
    }
}
