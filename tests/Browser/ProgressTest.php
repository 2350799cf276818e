<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The logbook: of the demo school, of nobody yet, and of five thousand takes. */
final class ProgressTest extends BrowserCase
{
    public function test_takes_stand_newest_first_and_open_their_debrief(): void
    {
        $chrome = $this->asOperator('/progress');
        $chrome->see('[data-list=takes] [data-take]');
        $shown = $chrome->script('return [...document.querySelectorAll("[data-take]")].map((row) => Number(row.dataset.take))');
        $takes = $chrome->api('/takes')['takes'];
        self::assertSame(array_column($takes, 'id'), $shown);
        $times = array_map(strtotime(...), array_column($takes, 'flown_at'));
        $sorted = $times;
        rsort($sorted);
        self::assertSame($sorted, $times);

        $chrome->see('[data-take="'.$shown[1].'"] a')->click();
        $chrome->see('[data-role=clock]');
        self::assertSame("/debrief/{$shown[1]}", $chrome->path());
    }

    public function test_the_trainer_sees_the_class_and_each_operator(): void
    {
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/progress');
        $chrome->seeText('The class’s logbook');
        $chrome->see('[data-take]');
        $operators = $chrome->script('return [...document.querySelectorAll("[data-take]")].map((row) => row.innerText)');
        self::assertNotSame([], preg_grep('/Tobias/', $operators));
        self::assertNotSame([], preg_grep('/Mairi|Juno|Anselm/', $operators));
    }

    public function test_an_operator_without_a_take_is_told_where_to_begin(): void
    {
        $chrome = $this->chrome()->signIn(self::operatorWith(0), self::PASSWORD);
        $chrome->seeText('Plan your first shot');
        $chrome->visit('/progress')->seeText('No take yet');
        $chrome->visit('/debrief')->seeText('Nothing to debrief yet');
        $chrome->visit('/fly')->seeText('There is no shot to fly yet');
        $chrome->visit('/plan')->see('[data-role=planned-path]');
    }

    public function test_five_thousand_takes_stay_quick_to_leaf_through(): void
    {
        $chrome = $this->chrome()->signIn(self::operatorWith(5000), self::PASSWORD)->visit('/progress');
        $chrome->see('[data-list=takes] [data-take]');
        $first = $chrome->count('[data-take]');
        self::assertLessThan(200, $first, 'A page of the logbook is a page.');
        $chrome->press('Older takes');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-take]') > $first, 'Older takes did not come.');
        self::assertSame($chrome->count('[data-take]'), count(array_unique($chrome->script('return [...document.querySelectorAll("[data-take]")].map((row) => row.dataset.take)'))));
        $chrome->visit('/')->see('h1');
    }
}
