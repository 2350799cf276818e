<?php

declare(strict_types=1);

namespace Tests\House;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Catalogue;
use Larkspur\Rig\CurveKinds;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKind;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Telemetry\Formats;
use PhpToken;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionClass;
use SplFileInfo;
use Words\PhraseBook;

/** What keeps the house as it is described in docs/development.md: where sentences may stand, and that each table of it is true. */
final class HouseTest extends TestCase
{
    /**
     * Texts that are no sentences for anyone: titles of published schemas, notes inside files in open formats, names on the practice stage.
     */
    private const NO_ONE_IS_TOLD = [
        'core/Choreography/ShotSchema.php', 'core/Rig/RigSchema.php', 'core/Practice/RecordingSchema.php',
        'core/Telemetry/GpxWriter.php', 'core/Telemetry/KmlWriter.php',
        'core/Telemetry/GeoJsonWriter.php',
    ];

    public function test_no_sentence_stands_in_core(): void
    {
        foreach (self::files('core') as $path => $name) {
            if (in_array($name, self::NO_ONE_IS_TOLD, true)) {
                continue;
            }
            $logic = false;
            foreach (PhpToken::tokenize((string) file_get_contents($path)) as $token) {
                // What only a programmer can meet may be said to a programmer.
                $logic = $token->text === ';' ? false : $logic || in_array($token->text, ['LogicException', '\\LogicException'], true);
                if (! $logic && $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE])) {
                    self::assertDoesNotMatchRegularExpression('/[a-z’]+ [a-z’]+ [a-z’]+ [a-z’]+ [a-z’]+|\w \w+\. *[\'"]$/u', $token->text, "$name:$token->line says something; say it in words/");
                }
            }
        }
    }

    public function test_no_line_is_longer_than_140(): void
    {
        $root = dirname(__DIR__, 2);
        $long = [];
        foreach (['app', 'bin', 'core', 'database', 'demo', 'documents', 'routes', 'tests', 'web', 'words'] as $room) {
            foreach (self::written($room) as $path) {
                $text = (string) file_get_contents($path);
                // What is quoted whole (a file, a query, a phrase) is as long as it is.
                $plain = (string) preg_replace_callback(
                    '/<<<[\'"]?(\w+)[\'"]?\n.*?\n\s*\1|'
                        .'\'(?:[^\'\\\\\n]|\\\\.)*\'|"(?:[^"\\\\\n]|\\\\.)*"|`[^`\n]*`/s',
                    static fn (array $quoted): string => mb_strlen($quoted[0]) <= 60
                        ? $quoted[0]
                        : str_repeat("\n", substr_count($quoted[0], "\n")),
                    $text,
                );
                foreach (explode("\n", $plain) as $k => $line) {
                    if (mb_strlen($line) > 140) {
                        $long[] = substr($path, strlen($root) + 1).':'.($k + 1);
                    }
                }
            }
        }
        self::assertSame([], $long);
    }

    /** @return iterable<string> paths of what somebody wrote by hand in a room */
    private static function written(string $room): iterable
    {
        $root = dirname(__DIR__, 2);
        $folders = new RecursiveDirectoryIterator("$root/$room", RecursiveDirectoryIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($folders) as $file) {
            $name = $file instanceof SplFileInfo ? $file->getPathname() : '';
            $byHand = preg_match('/\.(php|ts|tsx|css|sh|mjs|py)$|\/bin\/\w+$/', $name) === 1;
            if ($byHand && ! str_contains($name, '/fixtures/') && ! str_ends_with($name, 'web/api/schema.ts')) {
                yield $name;
            }
        }
    }

    public function test_words_of_a_language_are_written_once(): void
    {
        $seen = [];
        foreach (glob(dirname(__DIR__, 2).'/words/en/*.php') ?: [] as $file) {
            preg_match_all("/^    '([a-z0-9._-]+)' =>/m", (string) file_get_contents($file), $found);
            foreach ($found[1] as $code) {
                self::assertArrayNotHasKey($code, $seen, "“{$code}” stands in ".basename($file).' and in '.($seen[$code] ?? ''));
                $seen[$code] = basename($file);
            }
        }
        self::assertSame(count((new PhraseBook)->all()), count($seen));
    }

    /** Called by tests alone, and kept for what they check against the outside: the sun of the almanacs, and the drawn ground of spots. */
    private const CHECKED_ONLY = [
        'field', 'refracted', 'shadow', 'fromView', 'ofPart', 'ofSpots', 'movesOf', 'isOptional', 'knows', 'jsonSerialize',
    ];

    public function test_nothing_stands_in_core_that_nobody_calls(): void
    {
        $code = '';
        foreach (['core', 'words', 'documents', 'app', 'bin', 'demo', 'database', 'routes', 'resources'] as $room) {
            foreach (self::files($room) as $path => $_) {
                $code .= file_get_contents($path);
            }
        }
        preg_match_all('/(?:->|::)(\w+)/', $code, $found);
        $called = array_flip([...$found[1], ...self::CHECKED_ONLY]);
        foreach (['core', 'words', 'documents'] as $room) {
            foreach (self::files($room) as $path => $name) {
                preg_match_all('/ function ([a-z]\w*)\(/', (string) file_get_contents($path), $declared);
                foreach ($declared[1] as $method) {
                    self::assertArrayHasKey($method, $called, "$name: nobody calls $method");
                }
            }
        }
    }

    /** docs/development.md: a new fault is a class in core/Scoring/Fault, its row in FaultKinds and its phrases. */
    public function test_a_fault_is_one_class_one_row_and_its_phrases(): void
    {
        $classes = array_filter(array_map(
            static fn (string $file): string => 'Larkspur\\Scoring\\Fault\\'.basename($file, '.php'),
            glob(dirname(__DIR__, 2).'/core/Scoring/Fault/*.php') ?: [],
        ), static function (string $class): bool {
            assert(class_exists($class) || interface_exists($class));

            return is_a($class, FaultKind::class, true)
                && ! (new ReflectionClass($class))->isAbstract()
                && ! (new ReflectionClass($class))->isInterface();
        });
        self::assertSame(count($classes), count(FaultKinds::ids()), 'every kind has its row');
        foreach (FaultKinds::all() as $kind) {
            self::assertSame($kind::class, FaultKinds::of($kind->id())::class);
            self::assertTrue((new PhraseBook)->knows('fault.'.$kind->id()) && (new PhraseBook)->knows("fault.{$kind->id()}.try"));
            // What a kind costs and does is asked of the kind alone.
            $fault = new Fault($kind, 'turn', 5.0, 6.0, 'hold', 2.0, Quantity::number(1.0));
            self::assertSame($kind->cost($fault), $fault->deduction());
            self::assertGreaterThanOrEqual(0.0, $fault->deduction());
            self::assertGreaterThanOrEqual(0.0, $kind->disturbs($fault, 5.5));
        }
        foreach ([
            'core/Scoring/Verdict.php', 'core/Scoring/UsableStretches.php', 'core/Training/Lesson.php', 'core/Scoring/Fault/Fault.php',
        ] as $file) {
            foreach (FaultKinds::ids() as $id) {
                self::assertStringNotContainsString(
                    "'$id'", (string) file_get_contents(dirname(__DIR__, 2).'/'.$file), "$file knows a kind by name",
                );
            }
        }
    }

    /** docs/development.md: a new move is a class in core/Move and its phrases; the catalogue finds it by its row. */
    public function test_a_move_is_one_class_one_row_and_its_phrases(): void
    {
        $book = new PhraseBook;
        foreach (Catalogue::all() as $move) {
            $id = $move->about()->id;
            foreach (["move.$id", "move.$id.does", "move.$id.clean"] as $code) {
                self::assertTrue($book->knows($code), $code);
            }
        }
        foreach (array_keys($book->all()) as $code) {
            if (preg_match('/^move\.([a-z-]+)$/', $code, $m) === 1) {
                self::assertContains($m[1], Catalogue::ids(), 'words for a move that is gone');
            }
        }
    }

    /** docs/development.md: a new curve is a class, its row in CurveKinds and its phrase. */
    public function test_a_curve_is_one_class_one_row_and_its_phrase(): void
    {
        foreach (CurveKinds::KINDS as $kind) {
            self::assertTrue((new PhraseBook)->knows(CurveKinds::meaning($kind)->code), $kind);
        }
    }

    /** docs/development.md: a new log format is a reader, a writer and their rows in Formats. */
    public function test_a_log_format_has_a_reader_a_writer_and_a_media_type(): void
    {
        foreach (['csv', 'gpx', 'kml', 'geojson'] as $ending) {
            self::assertSame(
                str_replace('Reader', '', Formats::reader("a.$ending")::class),
                str_replace('Writer', '', Formats::writer("a.$ending")::class),
            );
            self::assertStringContainsString('/', Formats::mediaType("a.$ending"));
        }
        self::assertSame(['gpx', 'geojson'], [Formats::ending('Flight.GPX'), Formats::ending('a.b.geojson')]);
    }

    public function test_a_fact_keeps_its_values_through_json(): void
    {
        $fact = Fact::of('cue.to-over', order: Fact::of('axis.turn'), hold: Quantity::share(0.4), fingers: [Finger::Run->value, 3]);
        $kept = Fact::read(json_decode(json_encode($fact, JSON_THROW_ON_ERROR), true));

        self::assertEquals($fact, $kept);
        self::assertNull(Fact::read(['with' => []]));
        self::assertNull(Fact::read('cue.to-over'));
        self::assertTrue($fact->isAmong([Fact::name('x'), $fact]));
        self::assertCount(1, Fact::unique([$fact, $fact]));
        self::assertSame([], Fields::of([])->names());
    }

    /** @return iterable<string, string> */
    private static function files(string $room): iterable
    {
        $root = dirname(__DIR__, 2);
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            "$root/$room", RecursiveDirectoryIterator::SKIP_DOTS,
        )) as $file) {
            yield $file->getPathname() => substr($file->getPathname(), strlen($root) + 1);
        }
    }
}
