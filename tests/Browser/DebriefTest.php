<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A take taken apart: every picture on one clock, the figures behind the petals, what the trainer says. */
final class DebriefTest extends BrowserCase
{
    public function test_scrubbing_moves_every_picture_together(): void
    {
        $chrome = $this->asOperator('/debrief');
        $chrome->see('[data-role=clock]');
        $chrome->see('[data-role=flown-path]');
        $clock = static fn (): array => [
            $chrome->attribute('[data-picture=stave-lanes] [data-role=clock]', 'd'),
            $chrome->attribute('[data-picture=site-sheet] [data-role=craft]', 'cx'),
            $chrome->attribute('[data-picture=frame-trace] [data-role=now]', 'cx')
                .$chrome->attribute('[data-picture=frame-trace] [data-role=now]', 'cy'),
        ];
        $before = $clock();
        self::assertNotContains('', $before);
        $chrome->drag('[data-handle=clock]', 160, 0);
        $chrome->waitUntil(static fn (): bool => array_intersect_assoc($before, $clock()) === [], 'A picture stayed behind the clock.');

        $chrome->script('document.activeElement.blur()');
        $at = $chrome->attribute('[data-handle=clock]', 'aria-valuenow');
        $chrome->type(WebDriverKeys::ARROW_RIGHT);
        $chrome->waitUntil(
            static fn (): bool => abs((float) $chrome->attribute('[data-handle=clock]', 'aria-valuenow') - (float) $at - 0.2) < 1e-6,
            'An arrow key is a fifth of a second.',
        );
        $chrome->type(WebDriverKeys::SPACE);
        $chrome->waitUntil(
            static fn (): bool => (float) $chrome->attribute('[data-handle=clock]', 'aria-valuenow') > (float) $at + 0.6,
            'It does not play.',
        );
    }

    public function test_a_facet_opens_to_its_figures_and_their_anchors(): void
    {
        $chrome = $this->asOperator('/debrief');
        $chrome->see('[data-role=clock]');
        $take = $chrome->api('/takes/'.(int) basename($chrome->path()));
        foreach (['ease', 'flow', 'hold', 'line', 'frame'] as $facet) {
            $chrome->press($take['judgement']['facets'][$facet]['name']);
            foreach ($take['judgement']['facets'][$facet]['figures'] as $figure) {
                $chrome->see('[data-figure="'.$figure['id'].'"]');
            }
        }
        $chrome->seeText($take['judgement']['reason']);
    }

    public function test_what_the_trainer_says_stands_on_the_operator_s_staves(): void
    {
        $trainer = $this->chrome();
        $trainer->signIn(self::OPERATOR, self::PASSWORD);
        $id = $trainer->api('/takes')['takes'][0]['id'];
        $trainer->click('header button');
        $trainer->press('Sign out');
        $trainer->see('input[type=email]');

        $words = 'Let the turn start with the slide, not after it. '.bin2hex(random_bytes(3));
        $trainer->signIn(self::TRAINER, self::PASSWORD)->visit("/debrief/$id?at=9.4");
        $trainer->press('Comment on');
        $trainer->see('#comment')->sendKeys($words);
        $trainer->press('Say it');
        $trainer->see('[data-pin=comment]');
        $trainer->see('header button');
        $trainer->script('[...document.querySelectorAll("header button")].at(-1).click()');
        $trainer->press('Sign out');
        $trainer->see('input[type=email]');

        $operator = $trainer->signIn(self::OPERATOR, self::PASSWORD);
        $operator->visit('/')->seeText($words);
        $operator->visit("/debrief/$id")->see('[data-pin=comment]');
        $said = $operator->script('return [...document.querySelectorAll("[data-pin=comment]")].map((pin) => pin.getAttribute("aria-label"))');
        self::assertNotSame([], preg_grep('/^0:09\.4: .*'.preg_quote($words, '/').'$/', $said));
    }

    public function test_a_take_is_kept_or_dropped_and_stays_so(): void
    {
        $chrome = $this->asOperator('/debrief');
        $chrome->see('[data-role=clock]');
        $chrome->type('d');
        $chrome->seeText('Dropped');
        $chrome->driver->navigate()->refresh();
        $chrome->see('[data-role=clock]');
        $chrome->seeText('Dropped');
        $chrome->press('Dropped');
        $chrome->waitUntil(static fn (): bool => ! str_contains($chrome->text('main'), 'Dropped'), 'It can’t be undone.');
    }

    public function test_another_s_take_is_closed(): void
    {
        $chrome = $this->asOperator();
        $this->expectOnConsole('403');
        $this->expectOnConsole('404');
        $this->expectOnConsole('somebody else’s work');
        $this->expectOnConsole('no such record');
        $other = (int) self::ask('SELECT id FROM takes WHERE operator_id <> (SELECT id FROM users WHERE email = "'.self::OPERATOR.'") LIMIT 1');
        $chrome->visit("/debrief/$other")->seeText('This is not yours to do');
        $chrome->visit('/debrief/99999999')->seeText('Not found');
    }
}
