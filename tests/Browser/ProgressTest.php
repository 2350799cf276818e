<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Progress: the ladder, standings, the class, lessons; the logbook of the demo school, of nobody yet, and of five thousand takes. */
final class ProgressTest extends BrowserCase
{
    public function test_takes_stand_newest_first_and_open_their_debrief(): void
    {
        $chrome = $this->asOperator('/progress?room=logbook');
        $chrome->see('[data-list=takes] [data-take]');
        $shown = $chrome->script('return [...document.querySelectorAll("[data-take]")].map((row) => Number(row.dataset.take))');
        $takes = $chrome->api('/takes')['takes'];
        self::assertSame(array_column($takes, 'id'), $shown);
        $times = array_map(strtotime(...), array_column($takes, 'flown_at'));
        $sorted = $times;
        rsort($sorted);
        self::assertSame($sorted, $times);

        $chrome->click('[data-take="'.$shown[1].'"] a');
        $chrome->see('[data-role=clock]');
        self::assertSame("/debrief/{$shown[1]}", $chrome->path());
    }

    public function test_the_class_tells_its_stories_and_leads_to_each(): void
    {
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/progress');
        $chrome->see('[data-picture=class] [data-operator]');
        self::assertSame(8, $chrome->count('[data-operator]'));
        $rows = $chrome->script('return [...document.querySelectorAll("[data-operator]")].map((row) => row.innerText)');
        $of = static fn (string $name): string => implode('', preg_grep("/^$name/", $rows) ?: []);
        self::assertStringContainsString('tilt, for', $of('Wick'), 'Stuck on the tilt.');
        self::assertStringContainsString('counterclockwise', $of('Nessa'), 'One way round.');
        self::assertStringContainsString('by automation', $of('Oran'), 'Leans on automation.');
        self::assertStringNotContainsString('Stuck', $of('Juno'), 'A natural.');
        $chrome->click('[data-operator] button[aria-label^="tilt"][aria-label*="stuck"]');
        $chrome->see('[data-picture=standing] circle');
        $chrome->seeText('Wick Adair');
        $chrome->seeText('Stuck: ');
    }

    public function test_an_operators_word_and_a_trainers_sign_off_open_what_builds_on_it(): void
    {
        $juno = $this->chrome()->signIn('juno@skerrow.example', self::PASSWORD)->visit('/progress?room=ladder');
        $juno->see('[data-picture=ladder] [data-state=signed]');
        $juno->click('[data-step=orbit]');
        self::assertSame('enough', $juno->attribute('[data-step=orbit]', 'data-state'));
        self::assertSame('closed', $juno->attribute('[data-step=finish]', 'data-state'));
        $juno->click('[data-word]');
        $juno->waitUntil(static fn (): bool => $juno->attribute('[data-step=orbit]', 'data-state') === 'settled', 'The word is not heard.');
        self::assertSame('open', $juno->attribute('[data-step=finish]', 'data-state'));
        $juno->click('[data-word]');
        $juno->waitUntil(static fn (): bool => $juno->attribute('[data-step=orbit]', 'data-state') === 'enough', 'It can’t be taken back.');
    }

    public function test_a_lesson_is_set_shows_up_first_and_is_answered(): void
    {
        $trainer = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/progress?room=lessons');
        $trainer->press('Set a lesson');
        $trainer->see('input[maxlength="400"]')->sendKeys('Turn without a jerk.');
        $trainer->see('input[maxlength="120"]')->sendKeys('Pans in the browser');
        $trainer->script('[...document.querySelectorAll("label")].find((one) => one.innerText.trim() === "Juno Varga").click()');
        $trainer->press('Give it');
        $trainer->seeText('Turn without a jerk.');

        $juno = $trainer->forget()->signIn('juno@skerrow.example', self::PASSWORD);
        $juno->see('[data-list=next] [data-kind=assigned]');
        $juno->visit('/progress?room=lessons')->see('textarea')->sendKeys('Done at home.');
        $juno->click('input[type=checkbox]');
        $juno->press('Keep');
        $juno->seeText('Kept.');
        self::assertSame('Done at home.', (string) self::ask('SELECT comment FROM lesson_members ORDER BY id DESC LIMIT 1'));

        // It comes back to the trainer, until it is seen.
        $trainer = $juno->forget()->signIn(self::TRAINER, self::PASSWORD);
        $trainer->seeText('Juno Varga on the lesson “Pans in the browser”: Done at home.');
        $trainer->press('Seen');
        $trainer->waitUntil(static fn (): bool => $trainer->count('[data-list=notices]') === 0, 'It is told for ever.');
        self::database()->exec('DELETE FROM lessons WHERE title = "Pans in the browser"');
        self::database()->exec('UPDATE users SET notices_seen_at = NULL');
    }

    public function test_a_change_of_the_ladder_shows_what_it_would_do_before_it_is_kept(): void
    {
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/progress?room=order');
        $chrome->see('[data-picture=ladder] [data-step=hover]');
        $chrome->press('One axis, two, three');
        $chrome->seeText('changed, not kept');
        $chrome->press('What would change');
        $chrome->see('[data-list=effects] li');
        $chrome->seeText('the sign-off stays on record');
        $chrome->press('Back to what is kept');
        $chrome->waitUntil(static fn (): bool => ! str_contains($chrome->text(), 'changed, not kept'), 'It stays changed.');
        self::assertSame('0', (string) self::ask('SELECT COUNT(*) FROM ladders'));
    }

    public function test_two_cohorts_stand_beside_each_other_and_one_is_seen_alone(): void
    {
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/progress?room=class');
        $chrome->see('[data-picture=cohorts] tbody tr');
        $compared = $chrome->api('/class/cohorts?one=Gorse&other=Heather');
        self::assertSame([4, 4], [$compared['people'], $compared['others']]);
        $chrome->seeText($compared['measures'][0]['said']);
        $chrome->click('[aria-label=Whom]');
        $chrome->script('[...document.querySelectorAll("[role=option]")].find((one) => one.innerText.includes("Heather")).dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }))');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-operator]') === 4, 'Everybody is shown.');
    }

    public function test_a_goal_and_what_is_looked_for_are_kept(): void
    {
        $chrome = $this->asOperator('/progress?room=logbook&mode=slow');
        $chrome->see('[data-picture=days] rect');
        $chrome->seeText('1 min reached on');
        $chrome->press('Keep what I look for');
        $chrome->see('[data-list=kept-filters] input')->sendKeys('Slow ones');
        $chrome->script('document.querySelector("[data-list=kept-filters] form").requestSubmit()');
        $chrome->see('[data-list=kept-filters] button[aria-pressed=true]');
        $chrome->click('[data-list=kept-filters] button[aria-pressed=true]');
        $chrome->waitUntil(
            static fn (): bool => ! str_contains($chrome->script('return location.search'), 'mode'), 'It is looked for still.',
        );
        $chrome->click('[data-list=kept-filters] button[aria-label^="Let go"]');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-list=kept-filters]') === 0, 'It is not let go.');
    }

    public function test_not_today_is_taken_for_an_answer(): void
    {
        $chrome = $this->chrome()->signIn('anselm@skerrow.example', self::PASSWORD);
        $first = $chrome->textSeen('[data-list=next] h2');
        $chrome->click('[data-not-today]');
        $chrome->waitUntil(
            static fn (): bool => $chrome->textSeen('[data-list=next] h2') !== $first, 'It is suggested all the same.',
        );
        self::database()->exec('DELETE FROM not_todays');
    }

    public function test_an_operator_without_a_take_is_told_where_to_begin(): void
    {
        $chrome = $this->chrome()->signIn(self::operatorWith(0), self::PASSWORD);
        $chrome->seeText('There is no take of yours yet');
        $chrome->visit('/progress')->see('[data-step=hover][data-state=open]');
        $chrome->visit('/progress?room=standing')->seeText('nothing can be said');
        $chrome->visit('/progress?room=logbook')->seeText('No take yet');
        $chrome->visit('/debrief')->seeText('Nothing to debrief yet');
        $chrome->visit('/fly?by=logs')->seeText('There is no shot to fly yet');
        $chrome->visit('/plan')->see('[data-role=planned-path]');
    }

    public function test_five_thousand_takes_stay_quick_to_leaf_through(): void
    {
        $chrome = $this->chrome()->signIn(self::operatorWith(5000), self::PASSWORD)->visit('/progress?room=logbook');
        $chrome->see('[data-list=takes] [data-take]');
        $first = $chrome->count('[data-take]');
        self::assertLessThan(200, $first, 'A page of the logbook is a page.');
        $chrome->press('Older takes');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-take]') > $first, 'Older takes did not come.');
        self::assertSame($chrome->count('[data-take]'), count(array_unique($chrome->script('return [...document.querySelectorAll("[data-take]")].map((row) => row.dataset.take)'))));
        $chrome->visit('/')->see('h1');
    }
}
