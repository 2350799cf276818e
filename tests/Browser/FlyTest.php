<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\Remote\RemoteWebElement;

/** Two ways to a take: a simulated flight, and logs brought in through the page. */
final class FlyTest extends BrowserCase
{
    /** @var list<string> */
    private array $made = [];

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), $this->made);
        $this->made = [];
    }

    public function test_a_simulated_flight_ends_in_its_debrief(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $chrome->seeText('Simulated: no craft moves');
        $chrome->press('Fly “');
        $chrome->waitUntil(static fn (): bool => str_starts_with($chrome->path(), '/debrief/'), 'No debrief followed.');
        $chrome->see('[data-role=flown-path]');
        $chrome->see('[data-role=planned-path]');
        $chrome->seeText(', simulated');
    }

    public function test_a_log_is_brought_in_judged_and_opened(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $log = $this->logOf($chrome, $this->aTake($chrome));
        $name = 'pass-'.bin2hex(random_bytes(3)).'.csv';
        $this->choose($chrome, $this->file($name, self::again($log)));
        $links = $this->takesOf($chrome, $name);
        self::assertCount(1, $links);
        $chrome->visit($links[0])->see('[data-role=flown-path]');
        $chrome->see('[data-role=flown-path]');
    }

    public function test_several_logs_at_once_each_get_their_own_answer(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $log = $this->logOf($chrome, $this->aTake($chrome));
        $broken = explode("\n", trim(self::again($log)));
        $broken[60] = preg_replace('/^[^,]*/', 'noon', $broken[60]) ?? '';
        $takes = (int) self::ask('SELECT COUNT(*) FROM takes');
        $mark = bin2hex(random_bytes(3));
        $this->choose($chrome,
            $this->file("one-bad-line-$mark.csv", implode("\n", $broken)."\n"),
            $this->file("empty-$mark.csv", ''),
            $this->file("shopping-$mark.csv", "item,count\nrope,3\nbuoy,2\n"),
        );
        $answers = [];
        $chrome->waitUntil(static function () use ($chrome, $mark, &$answers): bool {
            $answers = $chrome->script('return [...document.querySelectorAll("[data-import=done], [data-import=refused]")].map((row) => row.textContent).filter((text) => text.includes(arguments[0]))', [$mark]);

            return count($answers) === 3;
        }, 'Not every log was answered.', 60);
        self::assertNotSame([], preg_grep('/empty-.*empty/i', $answers), 'The empty file is called empty.');
        self::assertNotSame([], preg_grep('/shopping-.*Nothing was saved/', $answers));
        self::assertNotSame([], preg_grep('/one-bad-line-.*Line 61/', $answers), 'The bad row is named by its line.');
        self::assertSame($takes + 1, (int) self::ask('SELECT COUNT(*) FROM takes'), 'Refused logs left takes behind.');
    }

    public function test_a_log_of_several_passes_is_cut_into_takes(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $lines = explode("\n", trim($this->logOf($chrome, $this->aTake($chrome))));
        $header = array_filter($lines, static fn (string $line): bool => preg_match('/^\d/', $line) !== 1);
        $rows = array_values(array_diff_key($lines, $header));
        $length = (float) explode(',', $rows[count($rows) - 1])[0] + 20.0;
        $all = array_values($header);
        foreach ([0, 1] as $pass) {
            foreach ($rows as $row) {
                [$t, $rest] = explode(',', $row, 2);
                $all[] = sprintf('%.3f,%s', (float) $t + $pass * $length, $rest);
            }
        }
        $name = 'two-passes-'.bin2hex(random_bytes(3)).'.csv';
        $this->choose($chrome, $this->file($name, implode("\n", $all)."\n"));
        self::assertCount(2, $this->takesOf($chrome, $name));
    }

    public function test_a_file_that_is_too_large_is_refused_before_it_is_sent(): void
    {
        $chrome = $this->asOperator('/fly?by=logs');
        $chrome->see('input[type=file]');
        // A file of 257 MB that exists in the page alone.
        $chrome->script(<<<'JS'
            const part = new Uint8Array(1024 * 1024);
            const file = new File(Array(257).fill(part), 'far-too-long.csv');
            const transfer = new DataTransfer();
            transfer.items.add(file);
            const input = document.querySelector('input[type=file]');
            input.files = transfer.files;
            input.dispatchEvent(new Event('change', { bubbles: true }));
            JS);
        $chrome->seeText('257 MB; logs of up to 256 MB are taken. It was not sent.');
    }

    /** @return array<string, mixed> the operator's newest take */
    private function aTake(Chrome $chrome): array
    {
        $chrome->see('input[type=file]');

        return $chrome->api('/takes')['takes'][0];
    }

    /** @param  array<string, mixed>  $take */
    private function logOf(Chrome $chrome, array $take): string
    {
        $log = (string) $chrome->driver->executeAsyncScript('fetch(arguments[0]).then((response) => response.text()).then(arguments[1])', ["/api/v1/takes/{$take['id']}/log"]);
        self::assertStringStartsWith('t,lat,lon', $log);

        return $log;
    }

    /** The same flight in another file: every moment is written with one digit more. */
    private static function again(string $log): string
    {
        return (string) preg_replace('/^(\d+\.\d+),/m', '${1}'.random_int(1, 4).',', $log);
    }

    private function file(string $name, string $content): string
    {
        // The web driver sends files by name: each gets a folder of its own.
        $folder = sys_get_temp_dir().'/larkspur-log-'.bin2hex(random_bytes(5));
        mkdir($folder);
        $this->made[] = "$folder/$name";
        file_put_contents("$folder/$name", $content);

        return "$folder/$name";
    }

    /**
     * Waits until a log has been judged.
     *
     * @return list<string> the links to its takes
     */
    private function takesOf(Chrome $chrome, string $name): array
    {
        $links = [];
        $chrome->waitUntil(static function () use ($chrome, $name, &$links): bool {
            $links = $chrome->script('const row = [...document.querySelectorAll("[data-import=done]")].find((li) => li.textContent.includes(arguments[0])); return [...row?.querySelectorAll("a") ?? []].map((a) => a.getAttribute("href"))', [$name]);

            return $links !== [];
        }, "$name was not judged.", 60);

        return $links;
    }

    private function choose(Chrome $chrome, string ...$files): void
    {
        $input = $chrome->see('input[type=file]');
        assert($input instanceof RemoteWebElement);
        $input->setFileDetector(new LocalFileDetector);
        $chrome->script('arguments[0].classList.remove("sr-only")', [$input]);
        $input->sendKeys(implode("\n", $files));
    }
}
