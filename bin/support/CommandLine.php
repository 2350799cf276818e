<?php

declare(strict_types=1);

namespace Larkspur\CommandLine;

use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\Expectation;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\Verdict;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;

/** The command line: the same core classes as the application's, with files in place of a database. */
final class CommandLine
{
    public const DONE = 0;

    public const BAD_INPUT = 1;

    public const WRONG_USAGE = 2;

    private const USAGE = <<<'TEXT'
        larkspur plan SHOT.json [--json]
        larkspur fly SHOT.json [--operator steady|hurried|flicker|drifter] [--seed N] --out FLIGHT.csv
        larkspur score LOG [--intent INTENT.json|SHOT.json] [--take N] [--json]
        larkspur takes LOG [--intent INTENT.json|SHOT.json] [--json]
        larkspur convert IN OUT

        Without --operator, fly flies the thumb sheet with nobody's faults. Formats: docs/formats.md.

        TEXT;

    /**
     * @param  resource  $out
     * @param  resource  $err
     */
    public function __construct(private mixed $out, private mixed $err)
    {
    }

    /**
     * @param  list<string>  $arguments
     * @return int exit code
     */
    public function run(array $arguments): int
    {
        $command = array_shift($arguments);
        try {
            [$files, $options] = self::options($arguments);

            return match ($command) {
                'plan' => $this->plan(...self::exactly($files, 1), json: isset($options['json'])),
                'fly' => $this->fly(self::exactly($files, 1)[0], $options),
                'score' => $this->score(self::exactly($files, 1)[0], $options),
                'takes' => $this->takes(self::exactly($files, 1)[0], $options),
                'convert' => $this->convert(...self::exactly($files, 2)),
                '--help', '-h', 'help' => $this->say(self::USAGE),
                default => throw new \InvalidArgumentException($command === null ? 'Say what to do.' : "There is no command “{$command}”."),
            };
        } catch (\InvalidArgumentException $wrong) {
            fwrite($this->err, $wrong->getMessage()."\n\n".self::USAGE);

            return self::WRONG_USAGE;
        } catch (Refusal $refusal) {
            fwrite($this->err, $refusal->line()."\n");

            return self::BAD_INPUT;
        }
    }

    private function plan(string $file, bool $json): int
    {
        $plan = Planner::plan(self::shot($file));
        $expectation = Expectation::of($plan);
        if ($json) {
            return $this->say(self::json($expectation->toArray()));
        }
        $lines = [$plan->summary().' '.$expectation->sentence()];
        foreach ($plan->cues() as $cue) {
            $lines[] = sprintf('%8s  %s', Verdict::clock($cue->t), $cue->text);
        }
        $signs = [Finding::OK => 'ok', Finding::NOTE => 'note', Finding::BROKEN => 'BROKEN'];
        foreach ($plan->findings as $finding) {
            $lines[] = sprintf('%8s  %s%s', $signs[$finding->state], $finding->text, $finding->mendText === '' ? '' : ' '.$finding->mendText);
        }

        return $this->say(implode("\n", $lines)."\n");
    }

    /** @param  array<string, string>  $options */
    private function fly(string $file, array $options): int
    {
        $out = $options['out'] ?? throw new \InvalidArgumentException('Say where the log goes: --out FLIGHT.csv.');
        $writer = Formats::writer($out);
        $seed = self::integer($options, 'seed') ?? 1;
        $shot = self::shot($file);
        $plan = Planner::plan($shot);
        $operator = $options['operator'] ?? null;
        $flight = $operator === null
            ? Aircraft::flySheet($plan->sheet, $plan->move->flight, $shot->rig, $shot->tune())
            : SimulatedOperator::fly($plan, OperatorHabits::named($operator), $shot->wind, $seed);
        $recorder = $operator === null ? new Recorder : Recorder::fair();
        $this->write($writer->write($recorder->record($flight, $shot->site->frame(), $seed, $shot->mode)), $out);

        return self::DONE;
    }

    /** @param  array<string, string>  $options */
    private function score(string $file, array $options): int
    {
        $number = self::integer($options, 'take');
        $score = Scorer::score(self::log($file), self::intent($options), $number);
        if (isset($options['json'])) {
            return $this->say(self::json($score->toArray()));
        }
        $lines = [sprintf('%.0f (give or take %.0f): %s. %s', $score->score, $score->uncertainty, $score->verdict->headline, $score->verdict->reason)];
        foreach ($score->facets as $facet) {
            $lines[] = sprintf('  %-6s %3s  %s', $facet->name, $facet->score === null ? '-' : round($facet->score), $facet->why);
        }
        foreach ($score->toArray()['faults'] as $fault) {
            $lines[] = sprintf('  %8s  %s%s, %s. %s %s', Verdict::clock($fault['t_s']), $fault['name'], $fault['axis'] === 'all' ? '' : ' on '.$fault['axis'], $fault['severity'], $fault['picture'], $fault['try']);
        }
        foreach ($score->remarks as $remark) {
            $lines[] = '  '.$remark;
        }

        return $this->say(implode("\n", $lines)."\n");
    }

    /** @param  array<string, string>  $options */
    private function takes(string $file, array $options): int
    {
        $takes = [];
        foreach (Scorer::takes(self::log($file), self::intent($options)) as $i => $take) {
            $takes[] = [
                'number' => $i + 1,
                'take' => ['from_s' => round($take['from'], 1), 'to_s' => round($take['to'], 1)],
                'move' => ['id' => $take['recognition']->move, 'confidence' => round($take['recognition']->confidence, 3), 'given' => false],
            ];
        }
        if (isset($options['json'])) {
            return $this->say(self::json($takes));
        }
        $lines = array_map(static fn (array $take): string => sprintf(
            'take %d  %s to %s  looks like %s (%.0f %% sure)', $take['number'], Verdict::clock($take['take']['from_s']), Verdict::clock($take['take']['to_s']), $take['move']['id'], 100 * $take['move']['confidence'],
        ), $takes);

        return $this->say(($lines === [] ? 'No take: nothing moves the picture for three seconds.' : implode("\n", $lines))."\n");
    }

    private function convert(string $in, string $out): int
    {
        $writer = Formats::writer($out);
        $log = self::log($in);
        $this->write($writer->write($log), $out);
        foreach ($log->notes as $note) {
            fwrite($this->err, sprintf("%s: %s%s\n", $in, $note->line === null ? '' : "line {$note->line}: ", $note->text));
        }

        return self::DONE;
    }

    private static function shot(string $file): Shot
    {
        return self::named($file, static fn (): Shot => Shot::read(Fields::of(self::decoded($file))));
    }

    /** @param  array<string, string>  $options */
    private static function intent(array $options): ?Intent
    {
        $file = $options['intent'] ?? null;

        return $file === null ? null : self::named($file, static function () use ($file): Intent {
            $fields = Fields::of(self::decoded($file));

            // A whole shot states its intent as well.
            return Intent::read($fields->textOrNull('schema') === Shot::SCHEMA ? $fields->group('intent') : $fields);
        });
    }

    private static function log(string $file): FlightLog
    {
        return self::named($file, static function () use ($file): FlightLog {
            $reader = Formats::reader($file);
            $stream = is_file($file) ? @fopen($file, 'rb') : false;
            if ($stream === false) {
                throw new Refusal('There is no such file, or it can’t be opened.', '', 'a flight log');
            }
            try {
                return $reader->read($stream)->withSha256((string) hash_file('sha256', $file));
            } finally {
                fclose($stream);
            }
        });
    }

    /**
     * Runs something that reads a file; what it refuses is said with the file's name.
     *
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    private static function named(string $file, callable $read): mixed
    {
        try {
            return $read();
        } catch (Refusal $refusal) {
            throw new Refusal($refusal->getMessage(), trim($file.': '.$refusal->place, ': '), $refusal->expected);
        }
    }

    private static function decoded(string $file): mixed
    {
        $text = is_file($file) ? @file_get_contents($file) : false;
        if ($text === false) {
            throw new Refusal('There is no such file, or it can’t be opened.', '', 'a JSON file');
        }
        try {
            return json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new Refusal('This is not JSON: '.lcfirst($error->getMessage()).'.', '', 'a JSON object');
        }
    }

    /** @param  iterable<string>  $pieces */
    private function write(iterable $pieces, string $file): void
    {
        $stream = @fopen($file, 'wb');
        if ($stream === false) {
            throw new Refusal('This file can’t be written.', $file, 'a folder that exists and may be written to');
        }
        foreach ($pieces as $piece) {
            fwrite($stream, $piece);
        }
        fclose($stream);
    }

    private function say(string $text): int
    {
        fwrite($this->out, $text);

        return self::DONE;
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /**
     * @param  list<string>  $arguments
     * @return array{list<string>, array<string, string>} files, and options by name
     */
    private static function options(array $arguments): array
    {
        $files = $options = [];
        while ($arguments !== []) {
            $argument = array_shift($arguments);
            if (! str_starts_with($argument, '--')) {
                $files[] = $argument;

                continue;
            }
            [$name, $value] = explode('=', substr($argument, 2), 2) + [1 => null];
            if ($name === 'json') {
                $options[$name] = '1';
            } elseif (in_array($name, ['intent', 'take', 'operator', 'seed', 'out'], true)) {
                $options[$name] = $value ?? array_shift($arguments) ?? throw new \InvalidArgumentException("--{$name} needs a value.");
            } else {
                throw new \InvalidArgumentException("There is no option --{$name}.");
            }
        }

        return [$files, $options];
    }

    /**
     * @param  list<string>  $files
     * @return list<string>
     */
    private static function exactly(array $files, int $count): array
    {
        return count($files) === $count ? $files : throw new \InvalidArgumentException($count === 1 ? 'One file is needed.' : "{$count} files are needed.");
    }

    /** @param  array<string, string>  $options */
    private static function integer(array $options, string $name): ?int
    {
        $value = $options[$name] ?? null;
        if ($value === null) {
            return null;
        }

        return preg_match('/^\d{1,9}$/', $value) === 1 ? (int) $value : throw new \InvalidArgumentException("--{$name} takes a whole number.");
    }
}
