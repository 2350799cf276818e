<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Plan among five thousand records: the latest at hand, any other found by its name; and records removed again. */
final class PlanListsTest extends BrowserCase
{
    private const MANY = 5000;

    protected function tearDown(): void
    {
        parent::tearDown();
        foreach (['flight_days' => 'title', 'shots' => 'title', 'sites' => 'name'] as $table => $name) {
            self::database()->exec("DELETE FROM $table WHERE $name LIKE 'Ness %'");
        }
    }

    public function test_among_five_thousand_sites_shots_and_days_any_is_found(): void
    {
        self::fillUp();
        $chrome = $this->asOperator('/plan');
        $chrome->see('[data-picture=frame-strip] svg');
        self::assertSame(60, count($chrome->api('/shots')));
        $this->choose($chrome, 'Shot', 'Find another');
        $chrome->see('[role=dialog] input')->sendKeys('4321 ness');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[role=dialog] li button') === 1, 'More or fewer than one are found.');
        self::assertSame([], self::violations($chrome));
        $chrome->click('[role=dialog] li button');
        $chrome->waitUntil(
            static fn (): bool => $chrome->attribute('input[aria-label="Title of the shot"]', 'value') === 'Ness shot 4321',
            'It is not opened.',
        );

        $chrome->visit('/plan/sites')->see('[data-picture=draw-board] svg');
        $this->choose($chrome, 'Site', 'Find another');
        $chrome->see('[role=dialog] input')->sendKeys('Ness place 77');
        $chrome->seeText('Ness place 4877');
        $chrome->seeText('There are more: say more of the name.');
        $chrome->press('Ness place 4877');
        $chrome->waitUntil(
            static fn (): bool => $chrome->attribute('input[aria-label="Name of the site"]', 'value') === 'Ness place 4877',
            'It is not opened.',
        );

        $chrome->visit('/plan/days')->see('main h1, [data-slot]');
        $this->choose($chrome, 'Day', 'Find another');
        $chrome->see('[role=dialog] input')->sendKeys('no such day');
        $chrome->seeText('None has these words in its name.');
        $chrome->find('[role=dialog] input')->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $chrome->find('[role=dialog] input')->sendKeys([WebDriverKeys::NULL, 'day 2500']);
        $chrome->press('Ness day 2500');
        $chrome->waitUntil(
            static fn (): bool => $chrome->attribute('input[aria-label="Title of the day"]', 'value') === 'Ness day 2500',
            'It is not opened.',
        );
        self::assertLessThanOrEqual(1281, $chrome->script('return document.documentElement.scrollWidth'));
    }

    public function test_a_day_is_removed_after_it_was_asked_once_more(): void
    {
        self::fillUp(1);
        $id = (int) self::ask("SELECT id FROM flight_days WHERE title = 'Ness day 1'");
        $chrome = $this->asOperator("/plan/days/$id");
        $chrome->see('input[aria-label="Title of the day"]');
        $chrome->press('Remove this day');
        $chrome->press('Leave it');
        self::assertSame('', self::ask("SELECT deleted_at FROM flight_days WHERE id = $id"));
        $chrome->press('Remove this day');
        $chrome->see('[role=dialog]');
        $chrome->script('[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent === "Remove").click()');
        $chrome->waitUntil(
            static fn (): bool => self::ask("SELECT deleted_at FROM flight_days WHERE id = $id") !== '', 'It is still there.',
        );
        $chrome->waitUntil(static fn (): bool => $chrome->path() === '/plan/days', 'The page stays with it.');
    }

    public function test_a_site_that_is_used_says_why_it_stays(): void
    {
        $this->expectOnConsole('422');
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD)->visit('/plan/sites/1');
        $chrome->see('[data-picture=draw-board] svg');
        $chrome->press('Remove this site');
        $chrome->see('[role=dialog]');
        $chrome->script('[...document.querySelectorAll("[role=dialog] button")].find((one) => one.textContent === "Remove").click()');
        $chrome->seeText('It is used:');
        self::assertSame('', self::ask('SELECT deleted_at FROM sites WHERE id = 1'));
    }

    public function test_the_tabs_below_the_plan_are_walked_with_arrow_keys(): void
    {
        $chrome = $this->asOperator('/plan');
        $chrome->see('[data-picture=stave-lanes] svg');
        $chrome->script('document.querySelector("[role=tab][data-tab=sheet]").focus()');
        $chrome->type(WebDriverKeys::ARROW_RIGHT);
        $chrome->see('[data-picture=numbers]');
        $chrome->type(WebDriverKeys::ARROW_RIGHT);
        $chrome->see('[data-tab=lens][aria-selected=true]');
        $chrome->type(WebDriverKeys::ARROW_RIGHT);
        $chrome->see('[data-reading=reveal]');
        self::assertSame('reveal', $chrome->script('return document.activeElement.dataset.tab'));
        $chrome->type(WebDriverKeys::END);
        $chrome->see('[data-reading=variants]');
        $chrome->type(WebDriverKeys::ARROW_RIGHT);
        $chrome->see('[data-picture=stave-lanes] svg');
    }

    public function test_hours_are_those_of_the_sites_clock(): void
    {
        $chrome = $this->asOperator('/plan/days/1');
        $chrome->see('[data-slot]');
        $before = $chrome->text('main');
        preg_match('/home at (\d\d):(\d\d)/', $before, $utc);
        self::assertCount(3, $utc);
        $document = self::ask('SELECT document FROM sites WHERE id = 1');
        try {
            self::database()->prepare('UPDATE sites SET document = JSON_SET(document, "$.zone", "Asia/Kathmandu") WHERE id = 1')->execute();
            $chrome->visit('/plan/light?date=2026-06-03')->see('[data-picture=sun-day] svg');
            $chrome->seeText('Times in Asia/Kathmandu');
            $noon = $chrome->api('/light', ['site_id' => 1, 'date' => '2026-06-03'])['day']['noon'];
            // Five hours and three quarters ahead, all the year.
            $chrome->seeText(gmdate('H:i', (int) strtotime((string) $noon) + 20700).': sun ');
            $chrome->visit('/plan/days/1')->see('[data-picture=day-chart]');
            $chrome->seeText('Timetable, Asia/Kathmandu');
        } finally {
            self::database()->prepare('UPDATE sites SET document = ? WHERE id = 1')->execute([$document]);
        }
    }

    private function choose(Chrome $chrome, string $label, string $option): void
    {
        $chrome->see("[aria-label=$label][role=combobox]");
        $chrome->script('document.querySelector(arguments[0]).focus()', ["[aria-label=$label][role=combobox]"]);
        $chrome->type(WebDriverKeys::ENTER);
        $chrome->see('[role=option]');
        // What is typed goes to the entry that begins with it.
        $chrome->type(...str_split($option));
        $chrome->waitUntil(
            static fn (): bool => str_starts_with((string) $chrome->script('return document.activeElement?.textContent ?? ""'), $option),
            "$option is not reached.",
        );
        usleep(1_100_000);
        $chrome->type(WebDriverKeys::ENTER);
    }

    /** As many sites, shots and days of the operator, all older than what is there. */
    private static function fillUp(int $many = self::MANY): void
    {
        $database = self::database();
        $of = "FROM %s one JOIN seq_1_to_$many WHERE one.id = 1";
        $database->exec("INSERT INTO sites (school_id, name, about, document, subjects, version, created_at, updated_at) SELECT one.school_id, CONCAT('Ness place ', seq), '', one.document, one.subjects, 1, '2020-01-01' + INTERVAL seq MINUTE, '2020-01-01' + INTERVAL seq MINUTE ".sprintf($of, 'sites'));
        $database->exec("INSERT INTO shots (school_id, operator_id, site_id, rig_id, title, mode, move, intent, wind, brief, created_at, updated_at) SELECT one.school_id, one.operator_id, one.site_id, one.rig_id, CONCAT('Ness shot ', seq), one.mode, one.move, one.intent, one.wind, one.brief, '2020-01-01' + INTERVAL seq MINUTE, '2020-01-01' + INTERVAL seq MINUTE ".sprintf($of, 'shots'));
        $database->exec("INSERT INTO flight_days (school_id, operator_id, site_id, title, date, document, version, created_at, updated_at) SELECT one.school_id, one.operator_id, one.site_id, CONCAT('Ness day ', seq), '2006-01-01' + INTERVAL seq DAY, one.document, 1, NOW(), NOW() ".sprintf($of, 'flight_days'));
    }
}
