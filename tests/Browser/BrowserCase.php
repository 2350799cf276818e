<?php

declare(strict_types=1);

namespace Tests\Browser;

use PDO;
use PHPUnit\Framework\TestCase;

/**
 * Ground of the browser tests: the served application with the demo school, in a Chromium that remembers nothing of the
 * test before. A test that fails leaves its screenshot and console log in tests/Browser/failures; a complaint on the
 * console fails it.
 */
abstract class BrowserCase extends TestCase
{
    protected const PASSWORD = 'kelp-and-stone';

    protected const OPERATOR = 'tobias@skerrow.example';

    protected const TRAINER = 'ines@skerrow.example';

    /** So many have one cause, and it has been told often enough: the rest would wait in turn for what does not come. */
    private const TOO_MANY = 12;

    private static int $failures = 0;

    /** Opened once a run; each test gets it as if it were new. */
    private static ?Chrome $browser = null;

    private ?Chrome $opened = null;

    /** @var list<string> parts of console messages that the test itself provokes */
    private array $expected = [];

    protected function chrome(): Chrome
    {
        if (self::$failures >= self::TOO_MANY) {
            self::fail('Not tried: '.self::TOO_MANY.' tests of the browser had failed before it.');
        }
        self::$browser ??= Chrome::open(self::setting('LARKSPUR_ADDRESS'));

        return $this->opened ??= self::$browser->forget();
    }

    protected function asOperator(string $path = '/'): Chrome
    {
        return $this->chrome()->signIn(self::OPERATOR, self::PASSWORD)->visit($path);
    }

    /** A refusal that the test provokes is told on the console too; it is no complaint about the page. */
    protected function expectOnConsole(string $part): void
    {
        $this->expected[] = $part;
    }

    protected function assertPostConditions(): void
    {
        $complaints = array_filter($this->opened?->complaints() ?? [], function (string $message): bool {
            foreach ($this->expected as $part) {
                if (str_contains($message, $part)) {
                    return false;
                }
            }

            return true;
        });
        self::assertSame([], array_values($complaints), 'The console complains.');
    }

    protected function tearDown(): void
    {
        if ($this->opened === null) {
            return;
        }
        if ($this->status()->isFailure() || $this->status()->isError()) {
            self::$failures++;
            $folder = __DIR__.'/failures';
            if (! is_dir($folder)) {
                mkdir($folder);
            }
            $name = $folder.'/'.(preg_replace('/[^a-z0-9]+/i', '-', static::class.'-'.$this->nameWithDataSet()) ?? 'failure');
            $this->opened->shoot($name.'.png');
            // Where only the output is kept, it tells what stood on the page.
            fwrite(STDERR, "\nThe page as it failed, {$this->opened->path()}:\n".mb_substr($this->opened->text(), 0, 1500)."\n");
            file_put_contents($name.'.log', $this->status()->message()."\n\n".implode("\n", $this->opened->complaints())."\n");
        }
        $this->opened = null;
    }

    /**
     * What axe-core's WCAG rules find wrong with the page as it is.
     *
     * @return list<string>
     */
    protected static function violations(Chrome $chrome): array
    {
        $axe = file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
        self::assertNotFalse($axe);
        $chrome->script($axe);

        return $chrome->driver->executeAsyncScript('axe.run(document, { resultTypes: ["violations"], runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"] }).then((r) => arguments[0](r.violations.map((v) => v.id + ": " + v.nodes.slice(0, 3).map((n) => n.target + " " + n.failureSummary).join(" | "))))');
    }

    protected static function database(): PDO
    {
        return new PDO(
            sprintf('mysql:host=%s;port=%s;dbname=%s', self::setting('DB_HOST'), self::setting('DB_PORT'), self::setting('DB_DATABASE')),
            self::setting('DB_USERNAME'), self::setting('DB_PASSWORD'), [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
    }

    /** The first column of the first row of an answer. */
    protected static function ask(string $query): string
    {
        $answer = self::database()->query($query);

        return $answer === false ? '' : (string) $answer->fetchColumn();
    }

    /** A new operator of the demo school, with as many takes as asked, copied in the database. */
    protected static function operatorWith(int $takes): string
    {
        $database = self::database();
        $email = sprintf('probe-%d-%s@skerrow.example', $takes, bin2hex(random_bytes(3)));
        $database->prepare('INSERT INTO users (school_id, name, email, password, role, created_at, updated_at) SELECT school_id, "Probe Rowan", ?, password, role, NOW(), NOW() FROM users WHERE email = ?')
            ->execute([$email, self::OPERATOR]);
        if ($takes > 0) {
            $own = (int) $database->lastInsertId();
            // One log and one judgement serve all of them; each is a day's fraction older than the one before.
            $database->prepare('INSERT INTO flight_logs (school_id, owner_id, sha256, file_name, bytes, source, samples, rate_hz, notes, created_at, updated_at) SELECT school_id, ?, SHA2(?, 256), file_name, bytes, source, samples, rate_hz, notes, NOW(), NOW() FROM flight_logs LIMIT 1')
                ->execute([$own, $email]);
            $log = (int) $database->lastInsertId();
            $database->prepare(sprintf(
                'INSERT INTO takes (school_id, operator_id, shot_id, rig_id, flight_log_id, number, move, mode, direction, from_s, to_s, 
                    flown_at, score, uncertainty, ease, flow, hold, line, frame, verdict, usable_s, created_at, updated_at)
                 SELECT t.school_id, ?, NULL, t.rig_id, ?, s.seq, t.move, t.mode, t.direction, t.from_s, t.to_s,
                    NOW() - INTERVAL 2000 + s.seq HOUR, 40 + MOD(s.seq * 7, 58), t.uncertainty, t.ease, t.flow, t.hold, t.line,
                    t.frame, t.verdict, t.usable_s, NOW(), NOW()
                 FROM (SELECT * FROM takes ORDER BY id LIMIT 1) t JOIN seq_1_to_%d s', $takes,
            ))->execute([$own, $log]);
        }

        return $email;
    }

    protected static function setting(string $name): string
    {
        $value = getenv($name);
        if ($value === false) {
            self::fail("$name is not set: run bin/test browser.");
        }

        return $value;
    }
}
