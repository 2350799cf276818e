<?php

declare(strict_types=1);

namespace Larkspur\CommandLine;

use Documents\Move\MoveDocument;
use Documents\Plan\ExpectationDocument;
use Documents\Plan\PlanDocument;
use Documents\Practice\WorldDocument;
use Documents\Rig\RigCamera;
use Documents\Rig\StepFitDocument;
use Documents\Score\ScoreDocument;
use Documents\Wire;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\ShotNumbers;
use Larkspur\Choreography\SubjectBrief;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Flight\StepFlight;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\Move;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\Flown;
use Larkspur\Practice\Recording;
use Larkspur\Refusal;
use Larkspur\Rig\Rig;
use Larkspur\Rig\RigFile;
use Larkspur\Scoring\Expectation;
use Larkspur\Scoring\Facet;
use Larkspur\Scoring\Placement;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\Analysis\StepFit;
use Larkspur\Telemetry\Analysis\StepTest;
use Larkspur\Telemetry\ColumnGuess;
use Larkspur\Telemetry\ColumnMapping;
use Larkspur\Telemetry\ColumnsUnknown;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\LogReader;
use Larkspur\Telemetry\Reading;
use Larkspur\Training\FirstShot;
use Words\Measures;
use Words\Reader;
use Words\Speaker;

/** The command line: the same core classes as the application's, with files in place of a database. */
final class CommandLine
{
    public const DONE = 0;

    public const BAD_INPUT = 1;

    public const WRONG_USAGE = 2;

    /** Options that are followed by something. */
    private const WITH_A_VALUE = [
        'intent', 'take', 'operator', 'seed', 'out', 'slips', 'columns', 'reading', 'mode', 'site', 'rig', 'subject',
    ];

    private const USAGE = <<<'TEXT'
        larkspur plan SHOT.json [--json]
        larkspur draft MOVE --site SITE.json [--rig RIG.json] [--subject ID]
        larkspur fly SHOT.json [--operator WHO] [--slips SLIPS.json] [--adrift] [--seed N] --out FLIGHT
        larkspur score LOG [--intent INTENT.json|SHOT.json] [--columns COLUMNS.json|guess] [--reading HOW] [--take N] [--json]
        larkspur takes LOG [--intent INTENT.json|SHOT.json] [--columns COLUMNS.json|guess] [--reading HOW] [--json]
        larkspur convert IN OUT [--columns COLUMNS.json|guess]
        larkspur columns LOG.csv
        larkspur moves [--json]
        larkspur steps RIG.json [--mode slow|standard|fast] [--seed N] --out FLIGHT
        larkspur measure LOG [--columns COLUMNS.json|guess] [--json]
        larkspur refly RECORDING.json --out FLIGHT [--json]
        larkspur world RECORDING.json

        WHO is steady, hurried, flicker or drifter, or one of a level: novice, beginner, intermediate, advanced, expert.
        draft prints the shot file that a plan of a move begins with on a site: the site of a shot, or what /api/v1/sites/ID answers;
        without --rig the rig is that of docs/examples.

        Without --operator, fly flies the thumb sheet with nobody's faults. --slips puts faults in on purpose; --adrift
        flies without positioning. A CSV whose columns have other names is read by --columns; the command columns
        guesses them, and --columns guess reads by that. steps has the simulated craft fly a step test: each finger to
        full travel and let go; measure fits rates, time constants and braking to such a log. refly flies the fingers of a
        practice recording again, as the server does; world writes what the page steps it by (bin/step). Formats, of logs .csv, .gpx, .kml and .geojson: docs/formats.md.

        A log that lies elsewhere than its plan is asked about; --reading says how it is meant: as-written, swapped, radians,
        feet, from-take-off or above-sea.

        TEXT;

    /**
     * @param  resource  $out
     * @param  resource  $err
     */
    public function __construct(private mixed $out, private mixed $err, private Speaker $speaker = new Speaker)
    {
    }

    /**
     * @param  list<string>  $arguments
     * @return int exit code
     */
    public function run(array $arguments): int
    {
        $command = in_array('--help', $arguments, true) ? 'help' : array_shift($arguments);
        $arguments = $command === 'help' ? [] : $arguments;
        try {
            [$files, $options] = self::options($arguments);

            return match ($command) {
                'plan' => $this->plan(...self::exactly($files, 1), json: isset($options['json'])),
                'fly' => $this->fly(self::exactly($files, 1)[0], $options),
                'score' => $this->score(self::exactly($files, 1)[0], $options),
                'takes' => $this->takes(self::exactly($files, 1)[0], $options),
                'convert' => $this->convert(self::exactly($files, 2), $options),
                'columns' => $this->columns(self::exactly($files, 1)[0]),
                'moves' => $this->moves(self::exactly($files, 0), isset($options['json'])),
                'steps' => $this->steps(self::exactly($files, 1)[0], $options),
                'measure' => $this->measure(self::exactly($files, 1)[0], $options),
                'refly' => $this->refly(self::exactly($files, 1)[0], $options),
                'draft' => $this->draft(self::exactly($files, 1)[0], $options),
                'world' => $this->world(self::exactly($files, 1)[0]),
                '-h', 'help' => $this->say(self::USAGE),
                default => throw new \InvalidArgumentException($command === null ? 'Say what to do.' : "There is no command “{$command}”."),
            };
        } catch (\InvalidArgumentException $wrong) {
            fwrite($this->err, $wrong->getMessage()."\n\n".self::USAGE);

            return self::WRONG_USAGE;
        } catch (Refusal $refusal) {
            fwrite($this->err, $this->speaker->refusal($refusal)."\n");

            return self::BAD_INPUT;
        }
    }

    private function plan(string $file, bool $json): int
    {
        $shot = self::shot($file);
        $plan = Planner::plan($shot);
        $expectation = ExpectationDocument::of(Expectation::of($plan));
        $summary = Fact::all($plan->summary(), $expectation->sentence);
        $speaker = $this->speaker->to(new Reader(sticks: $shot->sticks));
        if ($json) {
            return $this->say(self::json([
                ...Wire::document(PlanDocument::of($plan), $speaker), 'summary' => $speaker->say($summary),
                'expected' => Wire::write($expectation->expected, $speaker),
            ]));
        }
        $lines = [$speaker->say($summary)];
        foreach ($plan->cues() as $cue) {
            $thumb = $cue->thumb();
            $lines[] = sprintf(
                '%8s  %s%s', Measures::clock($cue->t), $thumb === null ? '' : $speaker->say($thumb).': ', $speaker->say($cue->text),
            );
        }
        foreach (ShotNumbers::of($plan) as $number) {
            $lines[] = sprintf(
                '%8s  %s: %s', $number->at === null ? '' : Measures::clock($number->at), $speaker->say($number->name()),
                $speaker->say(Fact::of('number.value', value: $number->quantity)),
            );
        }
        foreach (SubjectBrief::of($plan) as $told) {
            $lines[] = sprintf('%8s  %s', 'tell it', $speaker->say($told));
        }
        $signs = [Finding::OK => 'ok', Finding::NOTE => 'note', Finding::BROKEN => 'BROKEN'];
        foreach ($plan->findings as $finding) {
            $lines[] = sprintf('%8s  %s', $signs[$finding->state], $speaker->say(Fact::all($finding->text, $finding->mendText)));
        }

        return $this->say(implode("\n", $lines)."\n");
    }

    /** @param  array<string, string>  $options */
    private function draft(string $move, array $options): int
    {
        $file = $options['site'] ?? throw new \InvalidArgumentException('Say where it is flown: --site SITE.json.');
        $site = self::decoded($file);
        $rigFile = $options['rig'] ?? dirname(__DIR__, 2).'/docs/examples/lapwing.rig.json';
        $rig = self::named($rigFile, static fn (): RigFile => RigFile::read(Fields::of(self::decoded($rigFile))));
        $shot = self::named($file, static fn (): Shot => FirstShot::of(Shot::read(Fields::of([
            'schema' => Shot::SCHEMA,
            'intent' => array_filter([
                'schema' => Intent::SCHEMA, 'move' => $move, 'subject' => self::subject($site, $options['subject'] ?? null),
                'camera' => $rig->craft->camera->lens($rig->focal)->toArray(),
            ], static fn (mixed $value): bool => $value !== null),
            'rig' => $rig->rig->toArray(), 'mode' => 'standard',
            'site' => ['name' => $site['name'] ?? 'site', ...is_array($site['document'] ?? null) ? $site['document'] : $site],
        ]))));

        return $this->say(self::json($shot->toArray()));
    }

    /**
     * @param  array<string, mixed>  $site
     * @return ?array<string, mixed> the one that is named, else the first; null where the site has none
     */
    private static function subject(array $site, ?string $id): ?array
    {
        $subjects = array_values(array_filter(is_array($site['subjects'] ?? null) ? $site['subjects'] : [], is_array(...)));
        foreach ($subjects as $subject) {
            if ($id === null || ($subject['id'] ?? null) === $id) {
                return array_intersect_key($subject, ['lat' => 1, 'lon' => 1, 'alt_m' => 1, 'base_alt_m' => 1]);
            }
        }
        if ($id !== null) {
            throw new Refusal(
                Fact::of('site.no-such-subject'), 'subject', Fact::of('expected.one-of', choices: array_column($subjects, 'id')),
            );
        }

        return null;
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
        $slips = isset($options['slips']) ? self::slips($options['slips']) : [];
        $simulated = $operator !== null || $slips !== [] || isset($options['adrift']);
        $habits = ($operator === null ? new OperatorHabits : OperatorHabits::named($operator, $seed))->slipping(...$slips);
        $flight = $simulated
            ? SimulatedOperator::fly($plan, $habits, $shot->wind, $seed, ! isset($options['adrift']))
            : Aircraft::flySheet($plan->sheet, $plan->move->flight, $shot->rig, $shot->tune());
        $recorder = $operator === null ? new Recorder : Recorder::fair();
        $this->write(
            $writer->write($recorder->record($flight, $shot->site->frame(), $seed, $shot->mode, subject: $plan->move->subject)), $out,
        );

        return self::DONE;
    }

    /** @param  array<string, string>  $options */
    private function score(string $file, array $options): int
    {
        $number = self::integer($options, 'take');
        $intent = self::intent($options);
        $score = Scorer::score($this->placed($this->log($file, $options), $intent, $options), $intent, $number);
        if (isset($options['json'])) {
            return $this->say(self::json(Wire::document(ScoreDocument::of($score), $this->speaker)));
        }

        return $this->say(implode("\n", $this->judgement($score))."\n");
    }

    /** @return list<string> */
    private function judgement(Score $score): array
    {
        $said = $this->speaker->say(...);
        $petals = array_filter($score->facets, static fn (Facet $facet): bool => $facet->score !== null);
        $lines = [sprintf(
            '%.0f (give or take %.0f%s): %s. %s', $score->score, $score->uncertainty,
            count($petals) === 5 ? '' : sprintf(', on %d of 5 petals', count($petals)), $said($score->verdict->headline),
            $said($score->verdict->reason),
        )];
        foreach ($score->facets as $facet) {
            $lines[] = sprintf(
                '  %-6s %3s  %s', $said(Fact::of("petal.$facet->id")), $facet->score === null ? '-' : round($facet->score),
                $said($facet->why),
            );
        }
        if ($score->plan !== null) {
            $lines[] = sprintf('  %-6s %3.0f  %s', 'Plan', $score->plan->match, strtr($score->plan->verdict, '-', ' '));
        }
        foreach ($score->faults as $fault) {
            $about = $said($fault->name()).(in_array($fault->axis, ['all', 'picture'], true) ? '' : ' on '.$fault->axis);
            $lines[] = sprintf(
                '  %8s  %s, %s. %s', Measures::clock($fault->worst), $about, $fault->grade(),
                $said(Fact::all($fault->picture, $score->cure($fault))),
            );
        }
        foreach ($score->remarks as $remark) {
            $lines[] = '  '.$said($remark);
        }

        return $lines;
    }

    /** @param  array<string, string>  $options */
    private function takes(string $file, array $options): int
    {
        $takes = [];
        $intent = self::intent($options);
        foreach (Scorer::takes($this->placed($this->log($file, $options), $intent, $options), $intent) as $i => $take) {
            $takes[] = [
                'number' => $i + 1,
                'take' => ['from_s' => round($take['window']->from, 1), 'to_s' => round($take['window']->to, 1)],
                'move' => [
                    'id' => $take['recognition']->move, 'confidence' => round($take['recognition']->confidence, 3), 'given' => false,
                ],
            ];
        }
        if (isset($options['json'])) {
            return $this->say(self::json($takes));
        }
        $lines = array_map(static fn (array $take): string => sprintf(
            'take %d  %s to %s  looks like %s (%.0f %% sure)', $take['number'], Measures::clock($take['take']['from_s']),
            Measures::clock($take['take']['to_s']), $take['move']['id'], 100 * $take['move']['confidence'],
        ), $takes);

        return $this->say(($lines === [] ? 'No take: nothing moves the picture for three seconds.' : implode("\n", $lines))."\n");
    }

    /**
     * @param  list<string>  $files
     * @param  array<string, string>  $options
     */
    private function convert(array $files, array $options): int
    {
        [$in, $out] = $files;
        $writer = Formats::writer($out);
        $log = $this->log($in, $options);
        $this->write($writer->write($log), $out);
        foreach ($log->notes as $note) {
            fwrite(
                $this->err,
                sprintf("%s: %s%s\n", $in, $note->line === null ? '' : "line {$note->line}: ", $this->speaker->say($note->text)),
            );
        }

        return self::DONE;
    }

    /** What the columns of a CSV seem to be, as a file for --columns. */
    private function columns(string $file): int
    {
        try {
            self::opened($file, Formats::reader($file));
        } catch (ColumnsUnknown $unknown) {
            $this->tell($unknown->guess);
            $mapping = $unknown->guess->mapping()->toArray();

            return $this->say(self::json([...$mapping, 'columns' => (object) $mapping['columns']]));
        }

        return $this->say("The columns are our own: nothing has to be said.\n");
    }

    /** @param  array<string, string>  $options */
    private function steps(string $file, array $options): int
    {
        $out = $options['out'] ?? throw new \InvalidArgumentException('Say where the log goes: --out FLIGHT.csv.');
        $writer = Formats::writer($out);
        $mode = $options['mode'] ?? 'standard';
        $rig = self::named($file, static fn (): Rig => RigFile::read(Fields::of(self::decoded($file)))->rig);
        $rig->mode($mode);
        $this->write(
            $writer->write(Recorder::fair()->record(
                StepFlight::fly($rig, $mode), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), self::integer($options, 'seed') ?? 1, $mode,
            )),
            $out,
        );

        return self::DONE;
    }

    /** @param  array<string, string>  $options */
    private function refly(string $file, array $options): int
    {
        $out = $options['out'] ?? throw new \InvalidArgumentException('Say where the log goes: --out FLIGHT.csv.');
        $writer = Formats::writer($out);
        $flown = self::named($file, static function () use ($file): Flown {
            $written = Fields::of(self::decoded($file));

            return Flown::of(Exercise::read($written->group('exercise')), Recording::read($written));
        });
        $this->write($writer->write($flown->log()), $out);

        $last = $flown->last;

        return ! isset($options['json']) ? self::DONE : $this->say(self::json([
            'steps' => $flown->flight->count() - 1, 'east_m' => $last->east, 'north_m' => $last->north, 'up_m' => $last->up,
            'heading_deg' => $last->heading / Angle::DEGREE, 'tilt_deg' => $last->tilt / Angle::DEGREE,
            'ended' => $flown->ending?->reason, 'said' => $flown->ending === null ? null : $this->speaker->say($flown->ending->said()),
        ]));
    }

    private function world(string $file): int
    {
        $exercise = self::named($file, static fn (): Exercise => Exercise::read(Fields::of(self::decoded($file))->group('exercise')));
        $lens = $exercise->shot->intent->lens;

        return $this->say(self::json(Wire::document(WorldDocument::of(
            $exercise->world(), new RigCamera($lens->horizontal / Angle::DEGREE, $lens->aspect, null),
        ), $this->speaker)));
    }

    /** @param  array<string, string>  $options */
    private function measure(string $file, array $options): int
    {
        $fits = self::named(
            $file,
            fn (): array => array_map(
                static fn (StepFit $fit): array => Wire::document(StepFitDocument::of($fit), null),
                StepTest::fit($this->log($file, $options)),
            ),
        );
        if (isset($options['json'])) {
            return $this->say(self::json($fits));
        }
        $said = static fn (?array $one, string $unit): string => $one === null ? 'not felt' : sprintf(
            '%.2f +/- %.2f %s', $one['value'], $one['sd'], $unit,
        );
        $lines = [];
        foreach ($fits as $fit) {
            $way = $fit['unit'] === 'm/s' ? 'm' : 'deg';
            $lines[] = sprintf(
                "%-6s %3d presses  top %s, %s  time constant %s  gain %s  braking %s  to rest %s\n", $fit['finger'], $fit['steps'], $said($fit['top'], $fit['unit']), $said($fit['top_back'], 'back'),
                $said($fit['lag_s'], 's'), $said($fit['accelerate'], $fit['unit'].'2'), $said($fit['brake'], $fit['unit'].'2'),
                $said($fit['stop_way'], $way),
            );
        }

        return $this->say(implode('', $lines));
    }

    /** @param  list<string>  $files  none */
    private function moves(array $files, bool $json): int
    {
        if ($json) {
            return $this->say(self::json(Wire::write(array_map(MoveDocument::of(...), Catalogue::all()), $this->speaker)));
        }

        return $this->say(implode('', array_map(
            fn (Move $move): string => sprintf(
                "%-26s level %d  %s\n", $move->about()->id, $move->about()->level, $this->speaker->say($move->about()->does()),
            ),
            Catalogue::all(),
        )));
    }

    /** @return list<Slip> */
    private static function slips(string $file): array
    {
        return self::named(
            $file, static fn (): array => array_map(Slip::read(...), Fields::of(['slips' => self::decoded($file)])->groups('slips')),
        );
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

    /** @param  array<string, string>  $options */
    private function log(string $file, array $options): FlightLog
    {
        $columns = $options['columns'] ?? null;
        if ($columns === 'guess') {
            return self::named($file, fn (): FlightLog => $this->guessed($file));
        }
        $mapping = $columns === null ? null : self::named(
            $columns, static fn (): ColumnMapping => ColumnMapping::read(Fields::of(self::decoded($columns))),
        );

        return self::named($file, static fn (): FlightLog => self::opened($file, Formats::reader($file, $mapping)));
    }

    /**
     * A log by the reading that was said, or as it is written where it lies at its plan.
     *
     * @param  array<string, string>  $options
     */
    private function placed(FlightLog $log, ?Intent $intent, array $options): FlightLog
    {
        $said = $options['reading'] ?? null;
        if ($said !== null) {
            $reading = Reading::tryFrom($said) ?? throw new \InvalidArgumentException(
                "“{$said}” is no reading: one of ".implode(', ', array_column(Reading::cases(), 'value')).'.',
            );

            return $reading->of($log, $intent->home->altitude ?? $intent->subjectBase ?? $intent->subject->altitude ?? 0.0);
        }
        if ($intent !== null) {
            Placement::check($log, $intent);
        }

        return $log;
    }

    /** A log read by what its columns seem to be, saying what was assumed. */
    private function guessed(string $file): FlightLog
    {
        try {
            return self::opened($file, Formats::reader($file));
        } catch (ColumnsUnknown $unknown) {
            $this->tell($unknown->guess);
            $missing = array_diff(ColumnMapping::NEEDED, array_keys($unknown->guess->columns));
            if ($missing !== []) {
                throw $unknown;
            }

            return self::opened($file, Formats::reader($file, $unknown->guess->mapping()));
        }
    }

    /** What columns seem to be, on the side. */
    private function tell(ColumnGuess $guess): void
    {
        foreach ($guess->columns as $name => $column) {
            fwrite($this->err, sprintf(
                "%s: “%s” in %s, %s%s; such as %s\n", $name, $column['column'], $column['unit'] === '' ? 'words' : $column['unit'],
                $this->speaker->say($column['why']), $column['sure'] ? '' : ' (please check)', implode(', ', $column['samples']),
            ));
        }
        foreach (array_diff(ColumnMapping::NEEDED, array_keys($guess->columns)) as $missing) {
            fwrite($this->err, "{$missing}: no column seems to state it\n");
        }
    }

    private static function opened(string $file, LogReader $reader): FlightLog
    {
        $stream = is_file($file) ? @fopen($file, 'rb') : false;
        if ($stream === false) {
            throw new Refusal(Fact::of('file.not-there'), '', Fact::of('expected.flight-log'));
        }
        try {
            return $reader->read($stream)->withSha256((string) hash_file('sha256', $file));
        } finally {
            fclose($stream);
        }
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
            $expected = $refusal->expected;
            throw new Refusal(
                $refusal->fact, trim($file.': '.$refusal->place, ': '),
                $refusal instanceof ColumnsUnknown && $expected !== null ? Fact::of('expected.or-columns', expected: $expected) : $expected,
            );
        }
    }

    private static function decoded(string $file): mixed
    {
        $text = is_file($file) ? @file_get_contents($file) : false;
        if ($text === false) {
            throw new Refusal(Fact::of('file.not-there'), '', Fact::of('expected.json-file'));
        }
        try {
            return json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new Refusal(Fact::of('file.not-json', why: lcfirst($error->getMessage())), '', Fact::of('expected.json-object'));
        }
    }

    /** @param  iterable<string>  $pieces */
    private function write(iterable $pieces, string $file): void
    {
        $stream = @fopen($file, 'wb');
        if ($stream === false) {
            throw new Refusal(Fact::of('file.not-writable'), $file, Fact::of('expected.folder-to-write-to'));
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
            if (in_array($name, ['json', 'adrift'], true)) {
                $options[$name] = '1';
            } elseif (in_array($name, self::WITH_A_VALUE, true)) {
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
        return count($files) === $count
            ? $files
            : throw new \InvalidArgumentException($count === 1 ? 'One file is needed.' : "{$count} files are needed.");
    }

    /** @param  array<string, string>  $options */
    private static function integer(array $options, string $name): ?int
    {
        $value = $options[$name] ?? null;
        if ($value === null) {
            return null;
        }

        return preg_match('/^\d{1,9}$/', $value) === 1
            ? (int) $value
            : throw new \InvalidArgumentException("--{$name} takes a whole number.");
    }
}
