<?php

declare(strict_types=1);

namespace Tests\Browser;

use Demo\Rigs;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverKeys;
use Larkspur\Flight\Recorder;
use Larkspur\Training\Lesson;

/** The library on screen: found, played, flown wrong on purpose, planned from; and logs that ask something back. */
final class MovesTest extends BrowserCase
{
    /** @var list<string> */
    private array $made = [];

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), $this->made);
        $this->made = [];
    }

    public function test_a_move_is_found_played_and_planned_from(): void
    {
        $chrome = $this->asOperator('/plan');
        $chrome->press('Moves');
        $chrome->waitUntil(static fn (): bool => str_starts_with($chrome->path(), '/plan/moves'), 'The library did not open.');
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->see('input[type=search]')->sendKeys('pull-away');
        $chrome->press('Pull-away');
        $chrome->waitUntil(
            static fn (): bool => $chrome->path() === '/plan/moves/pull-away' && $chrome->text('h1') === 'Pull-away',
            'The move was not shown.',
        );
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->press('Plan one');
        $chrome->waitUntil(static fn (): bool => $chrome->script('return [...document.querySelectorAll("main input")].some((item) => /, pull-away( \\d+)?$/.test(item.placeholder))') === true, 'No plan of it began.');
    }

    public function test_what_the_craft_flies_by_itself_is_listed_and_leads_to_the_hand(): void
    {
        $chrome = $this->asOperator('/plan/moves');
        $chrome->see('[data-list=machine-moves]');
        $chrome->see('input[type=search]')->sendKeys('by itself');
        $chrome->press('Follows by itself, beside');
        $chrome->seeText('credits nobody’s hands');
        $chrome->seeText('Stop the recording');
        $chrome->press('By hand: Side track');
        $chrome->waitUntil(static fn (): bool => $chrome->path() === '/plan/moves/side-track', 'It does not lead to the hand.');
    }

    public function test_a_fault_put_in_stands_beside_the_plan_and_costs_points(): void
    {
        $chrome = $this->asOperator('/plan/moves/orbit');
        $chrome->see('[data-picture=frame-strip] svg');
        self::assertCount(1, $chrome->all('[data-picture=frame-strip]'));
        $chrome->click('[data-fault=off-mark]');
        $chrome->waitUntil(
            static fn (): bool => $chrome->count('[data-picture=frame-strip]') === 2, 'The flight with the fault did not come.',
        );
        $words = $chrome->text('[role=status]');
        self::assertMatchesRegularExpression('/So flown it scores (\d+)/', $words);
        preg_match('/scores (\d+)/', $words, $found);
        self::assertLessThan(85, (int) ($found[1] ?? 100));
        $chrome->see('[data-role=flown-path]');
        // Pressed again, the clean one is back.
        $chrome->click('[data-fault=off-mark]');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-picture=frame-strip]') === 1, 'The fault stayed.');
    }

    public function test_the_library_is_walked_by_keyboard_alone(): void
    {
        $chrome = $this->asOperator('/plan/moves/push-in');
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->script('document.querySelector("nav[aria-label=Moves] [aria-current=page]").focus()');
        $chrome->type(WebDriverKeys::TAB);
        $next = $chrome->script('return document.activeElement.textContent');
        $chrome->type(WebDriverKeys::ENTER);
        $chrome->waitUntil(static fn (): bool => $chrome->text('h1') === $next, 'Enter did not open the move.');
        self::assertNotSame('Push-in', $next);
    }

    public function test_words_and_axes_open_and_lead_on(): void
    {
        $chrome = $this->asOperator('/plan/moves/push-in');
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->press('Words');
        $chrome->seeText('Nothing here is flown upside down');
        $chrome->type(WebDriverKeys::ESCAPE);
        $chrome->press('Which axes make what');
        $chrome->seeText('242 ways to move');
        $chrome->waitUntil(static fn (): bool => $chrome->script('const named = [...document.querySelectorAll("[role=dialog] button")].find((item) => item.textContent === "Orbit"); named?.click(); return named !== undefined') === true, 'No move is named.');
        $chrome->waitUntil(static fn (): bool => $chrome->path() === '/plan/moves/orbit', 'The named move did not open.');
    }

    public function test_two_moves_are_joined_and_kept(): void
    {
        // As somebody of whom no other test expects a shot.
        $chrome = $this->chrome()->signIn('juno@skerrow.example', self::PASSWORD)->visit('/plan/new?move=combination');
        $chrome->seeText('Joined from');
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->press('At once');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, 'The plan stays busy.');
        $chrome->press('One after another');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, 'The plan stays busy.');
        $chrome->press('Keep');
        $chrome->waitUntil(static fn (): bool => preg_match('#^/plan/\d+$#', $chrome->path()) === 1, 'It was not kept.');
        $chrome->visit($chrome->path())->seeText('Joined from');
    }

    public function test_a_log_of_another_maker_asks_for_its_columns_once(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $mark = bin2hex(random_bytes(3));
        $one = $this->upload($chrome, "other-$mark.csv", self::foreign('orbit', $mark));
        $chrome->see("$one [data-columns]");
        $chrome->press('These are right');
        $chrome->waitUntil(
            static fn (): bool => $chrome->count("$one a[href^='/debrief/']") === 1, 'The log was not read by its columns.',
        );
        // The next one of the same maker is read without asking.
        $two = $this->upload($chrome, "again-$mark.csv", self::foreign('push-in', $mark));
        $chrome->waitUntil(static fn (): bool => $chrome->count("$two a[href^='/debrief/']") === 1, 'It asked again.');
    }

    public function test_a_take_that_nobody_recognises_is_named(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $chrome->see('input[type=file]');
        $chrome->press('The move they look like');
        $row = $this->upload($chrome, 'unsure-'.bin2hex(random_bytes(3)).'.csv', self::ours('sink-turn-tilt'));
        $chrome->see("$row [data-unsure]");
        $chrome->click("$row [data-unsure] button");
        $chrome->waitUntil(static fn (): bool => $chrome->count("$row a[href^='/debrief/']") === 1, 'The named take was not judged.');
    }

    /** @return string selector of its row */
    private function upload(Chrome $chrome, string $name, string $text): string
    {
        $file = sys_get_temp_dir().'/'.$name;
        file_put_contents($file, $text);
        $this->made[] = $file;
        $input = $chrome->see('input[type=file]');
        assert($input instanceof RemoteWebElement);
        $input->setFileDetector(new LocalFileDetector)->sendKeys($file);
        $chrome->waitUntil(static fn (): bool => $chrome->script(<<<'JS'
                const row = [...document.querySelectorAll('[data-import]')].find((item) => item.textContent.includes(arguments[0]));
                if (row) row.dataset.mine = arguments[0];
                return row !== undefined && ['done', 'columns'].includes(row.dataset.import);
                JS, [$name]) === true, "$name was not taken.");

        return "[data-mine='$name']";
    }

    private static function ours(string $move): string
    {
        // Flown by another seed each time: the same bytes are never imported twice.
        $plan = Lesson::planned($move, Rigs::all()['lapwing'], 'standard', Rigs::all()['lapwing']['camera']);
        $text = '';
        foreach ((new \Larkspur\Telemetry\FlightCsvWriter)->write((new Recorder(10.0, 0.01))->record(
            $plan->move->flight, $plan->shot->site->frame(), random_int(1, 1_000_000),
        )) as $piece) {
            $text .= $piece;
        }

        return $text;
    }

    /** The same as another maker would write it, with a column that no school has seen. */
    private static function foreign(string $move, string $mark): string
    {
        $lines = explode("\r\n", trim(self::ours($move)));
        $names = array_flip(explode(',', (string) array_shift($lines)));
        $text = "Timestamp (ms);Latitude;Longitude;Height [ft];Yaw (deg);Gimbal pitch (deg);Note $mark\n";
        foreach ($lines as $line) {
            $cells = explode(',', $line);
            $of = static fn (string $name): float => (float) $cells[$names[$name]];
            $text .= str_replace(
                '.', ',',
                sprintf(
                    "%d;%.8F;%.8F;%.4F;%.3F;%.3F;-\n", round(1000 * $of('t')), $of('lat'), $of('lon'), $of('alt_m') / 0.3048,
                    $of('heading_deg'), $of('gimbal_tilt_deg'),
                ),
            );
        }

        return $text;
    }
}
