<?php

declare(strict_types=1);

namespace Tests\Core;

use Demo\Sites;
use Larkspur\CommandLine\CommandLine;
use Larkspur\Move\Catalogue;
use PHPUnit\Framework\TestCase;

/** bin/larkspur: no server, no database. Exit 0 done, 1 bad input with one clear line, 2 wrong usage. */
final class CommandLineTest extends TestCase
{
    private string $folder;

    public static function setUpBeforeClass(): void
    {
        require_once dirname(__DIR__, 2).'/bin/support/CommandLine.php';
    }

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/larkspur-cli-'.bin2hex(random_bytes(5));
        mkdir($this->folder);
        file_put_contents(
            $this->folder.'/shot.json',
            json_encode(Shots::document(
                ['radius_m' => 21.0, 'arc_deg' => 80.0, 'pace_mps' => 2.1], ['wind' => ['from_deg' => 200, 'mean_mps' => 2]],
            )),
        );
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
    }

    public function test_a_draft_is_a_shot_file_that_flies_and_a_plan_tells_its_numbers(): void
    {
        $site = $this->folder.'/site.json';
        file_put_contents($site, json_encode(Sites::all()[1]));
        [$code, $drafted] = $this->run_('draft', 'climbing-orbit', '--site', $site, '--subject', 'winch');
        self::assertSame(0, $code);
        file_put_contents($this->folder.'/drafted.json', $drafted);
        [, $json] = $this->run_('plan', $this->folder.'/drafted.json', '--json');
        $plan = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        self::assertTrue($plan['feasible']);
        $numbers = array_column($plan['numbers'], null, 'id');
        self::assertSame('deg/s', $numbers['turn_rate_dps']['unit']);
        self::assertEqualsWithDelta(360 / $numbers['turn_rate_dps']['value'], $numbers['lap_s']['value'], 0.5);
        self::assertArrayNotHasKey('slip_dps', $numbers);
        [, $text] = $this->run_('plan', $this->folder.'/drafted.json');
        self::assertStringContainsString('A full lap: ', $text);

        self::assertSame(1, $this->run_('draft', 'orbit', '--site', $site, '--subject', 'nobody')[0]);
        self::assertSame(1, $this->run_('draft', 'no-such-move', '--site', $site)[0]);
        self::assertSame(2, $this->run_('draft', 'orbit')[0]);
    }

    public function test_plan_fly_score_takes_and_convert_hang_together(): void
    {
        [$code, $plan] = $this->run_('plan', $this->folder.'/shot.json', '--json');
        self::assertSame(0, $code);
        $plan = json_decode($plan, true, flags: JSON_THROW_ON_ERROR);
        self::assertTrue($plan['feasible']);
        self::assertCount(6, $plan['frames']);

        self::assertSame(
            0, $this->run_('fly', $this->folder.'/shot.json', '--operator', 'steady', '--seed', '4', '--out', $this->folder.'/pass.csv')[0],
        );
        file_put_contents($this->folder.'/intent.json', json_encode($plan['intent']));
        [$code, $json] = $this->run_('score', $this->folder.'/pass.csv', '--intent', $this->folder.'/intent.json', '--json');
        $score = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        self::assertSame(0, $code);
        self::assertGreaterThan(85, $score['score']);
        self::assertSame(hash_file('sha256', $this->folder.'/pass.csv'), $score['log']['sha256']);

        [, $takes] = $this->run_('takes', $this->folder.'/pass.csv', '--json');
        self::assertSame('orbit', json_decode($takes, true, flags: JSON_THROW_ON_ERROR)[0]['move']['id']);
        self::assertSame(0, $this->run_('convert', $this->folder.'/pass.csv', $this->folder.'/pass.geojson')[0]);
        self::assertStringContainsString('LineString', (string) file_get_contents($this->folder.'/pass.geojson'));
        foreach ([
            'plan' => $this->folder.'/shot.json', 'score' => $this->folder.'/pass.csv', 'takes' => $this->folder.'/pass.csv',
        ] as $command => $file) {
            [$code, $text] = $this->run_($command, $file);
            self::assertSame(0, $code);
            self::assertNotSame('', $text);
        }
    }

    public function test_the_sheet_flown_without_an_operator_scores_full(): void
    {
        $this->run_('fly', $this->folder.'/shot.json', '--out', $this->folder.'/pass.csv');
        [, $text] = $this->run_('score', $this->folder.'/pass.csv');

        self::assertMatchesRegularExpression('/^(9[7-9]|100) /', $text);
    }

    public function test_the_same_seed_writes_the_same_bytes(): void
    {
        foreach (['a', 'b'] as $name) {
            $this->run_('fly', $this->folder.'/shot.json', '--operator=drifter', '--seed=9', '--out='.$this->folder."/{$name}.csv");
        }
        self::assertSame(hash_file('sha256', $this->folder.'/a.csv'), hash_file('sha256', $this->folder.'/b.csv'));
    }

    public function test_the_example_of_the_documents_is_what_comes_out(): void
    {
        $examples = dirname(__DIR__, 2).'/docs/examples/';
        $this->run_('fly', $examples.'lime-kiln.shot.json', '--operator', 'flicker', '--seed', '3', '--out', $this->folder.'/pass.csv');
        [$code, $json] = $this->run_('score', $this->folder.'/pass.csv', '--intent', $examples.'lime-kiln.shot.json', '--json');
        $score = json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        $shown = json_decode((string) file_get_contents($examples.'lime-kiln.flicker.score.json'), true, flags: JSON_THROW_ON_ERROR);

        self::assertSame(0, $code);
        self::assertSame(array_keys($shown), array_keys($score));
        self::assertEqualsWithDelta($shown['score'], $score['score'], 0.5);
        self::assertSame($shown['headline'], $score['headline']);
        self::assertSame(array_column($shown['faults'], 'id'), array_column($score['faults'], 'id'));
    }

    public function test_bad_input_is_one_clear_line(): void
    {
        file_put_contents($this->folder.'/broken.json', '{"intent": ');
        file_put_contents($this->folder.'/bad.csv', "t,lat,lon\n1,2,3\n");
        file_put_contents($this->folder.'/flat.json', json_encode(Shots::document(['radius_m' => 0])));
        $cases = [
            [['plan', $this->folder.'/missing.json'], 'no such file'],
            [['plan', $this->folder.'/broken.json'], 'not JSON'],
            [['plan', $this->folder.'/flat.json'], 'intent.parameters.radius_m: 0 is out of range. Expected a number from 2 to 500 m.'],
            [['score', $this->folder.'/bad.csv'], 'bad.csv: line 1, column alt_m: There is no column'],
            [['fly', $this->folder.'/shot.json', '--operator', 'reckless', '--out', $this->folder.'/x.csv'], 'one of steady'],
            [['convert', $this->folder.'/bad.csv', $this->folder.'/x.mov'], 'ending in .csv, .gpx, .kml or .geojson'],
        ];
        foreach ($cases as [$arguments, $words]) {
            [$code, $out, $err] = $this->run_(...$arguments);
            self::assertSame(1, $code, $words);
            self::assertSame('', $out);
            self::assertSame(1, substr_count($err, "\n"), $err);
            self::assertStringContainsString($words, $err);
        }
    }

    public function test_a_log_of_another_maker_is_guessed_and_read(): void
    {
        $this->run_('fly', $this->folder.'/shot.json', '--out', $this->folder.'/pass.csv');
        $lines = file($this->folder.'/pass.csv', FILE_IGNORE_NEW_LINES) ?: [];
        $lines[0] = str_replace(
            ['t,lat,lon,alt_m', 'heading_deg', 'gimbal_tilt_deg'],
            ['Elapsed (s),Latitude,Longitude,Height (m)', 'Yaw (deg)', 'Gimbal pitch (deg)'], trim($lines[0]),
        );
        file_put_contents($this->folder.'/other.csv', implode("\n", $lines)."\n");

        [$code, , $err] = $this->run_('takes', $this->folder.'/other.csv');
        self::assertSame(1, $code);
        self::assertStringContainsString('larkspur columns', $err);
        [$code, $mapping, $err] = $this->run_('columns', $this->folder.'/other.csv');
        self::assertSame(0, $code);
        self::assertStringContainsString('alt_m: “Height (m)” in m', $err);
        file_put_contents($this->folder.'/columns.json', $mapping);
        [$code, $text] = $this->run_(
            'score', $this->folder.'/other.csv', '--columns', $this->folder.'/columns.json', '--intent', $this->folder.'/shot.json',
        );
        self::assertSame(0, $code);
        self::assertMatchesRegularExpression('/^(9[5-9]|100) /', $text);
        self::assertMatchesRegularExpression('/^  Plan +\d+  as planned$/m', $text);
        // Without tilt it is a judgement of part of the petals, and says nothing of a frame that nobody measured.
        file_put_contents($this->folder.'/part.csv', implode("\n", array_map(
            static fn (string $line): string => implode(',', array_slice(explode(',', $line), 0, 5)), $lines,
        ))."\n");
        $text = $this->run_('score', $this->folder.'/part.csv', '--columns', 'guess')[1];
        self::assertMatchesRegularExpression('/^\d+ \(give or take \d+, on [1-4] of 5 petals\): /', $text);
        self::assertStringContainsString('Frame    -', $text);
        self::assertStringNotContainsString('of the frame', $text);
        self::assertSame(
            0,
            $this->run_('convert', $this->folder.'/other.csv', $this->folder.'/other.gpx', '--columns', $this->folder.'/columns.json')[0],
        );
        self::assertStringContainsString('<trkpt', (string) file_get_contents($this->folder.'/other.gpx'));
        self::assertStringContainsString('our own', $this->run_('columns', $this->folder.'/pass.csv')[1]);
    }

    public function test_faults_on_purpose_levels_and_a_craft_adrift(): void
    {
        file_put_contents(
            $this->folder.'/slips.json', json_encode([['kind' => 'kick', 'finger' => 'turn', 'at' => 9.0, 'size' => 0.5, 'length' => 0.4]]),
        );
        $score = function (string ...$options): float {
            self::assertSame(
                0, $this->run_('fly', $this->folder.'/shot.json', '--seed', '5', '--out', $this->folder.'/pass.csv', ...$options)[0],
            );

            return (float) json_decode(
                $this->run_('score', $this->folder.'/pass.csv', '--intent', $this->folder.'/shot.json', '--json')[1], true,
            )['score'];
        };
        $clean = $score();
        self::assertLessThan($clean - 3, $score('--slips', $this->folder.'/slips.json'));
        self::assertLessThan($clean - 3, $score('--adrift'));
        self::assertLessThan($score('--operator', 'expert'), $score('--operator', 'novice'));
        file_put_contents($this->folder.'/slips.json', json_encode([['kind' => 'sneeze', 'at' => 1]]));
        [$code, , $err] = $this->run_(
            'fly', $this->folder.'/shot.json', '--slips', $this->folder.'/slips.json', '--out', $this->folder.'/pass.csv',
        );
        self::assertSame(1, $code);
        self::assertStringContainsString('slips.json', $err);
    }

    public function test_the_moves_are_listed(): void
    {
        [$code, $text] = $this->run_('moves');
        self::assertSame(0, $code);
        self::assertSame(count(Catalogue::ids()), substr_count($text, "\n"));
        self::assertSame(
            Catalogue::ids(), array_column(json_decode($this->run_('moves', '--json')[1], true, flags: JSON_THROW_ON_ERROR), 'id'),
        );
    }

    public function test_a_step_test_is_flown_and_measured(): void
    {
        $rig = dirname(__DIR__, 2).'/docs/examples/lapwing.rig.json';
        self::assertSame(0, $this->run_('steps', $rig, '--mode', 'slow', '--seed', '4', '--out', $this->folder.'/steps.csv')[0]);
        [$code, $json] = $this->run_('measure', $this->folder.'/steps.csv', '--json');
        self::assertSame(0, $code);
        $fits = array_column(json_decode($json, true), null, 'finger');
        self::assertEqualsWithDelta(3.4, $fits['run']['top']['value'], 0.07);
        self::assertEqualsWithDelta(24.0, $fits['turn']['top']['value'], 0.5);
        self::assertStringContainsString('time constant', $this->run_('measure', $this->folder.'/steps.csv')[1]);

        $this->run_('fly', $this->folder.'/shot.json', '--out', $this->folder.'/pass.csv');
        [$code, , $err] = $this->run_('measure', $this->folder.'/pass.csv');
        self::assertSame(1, $code);
        self::assertStringContainsString('There is no step in this log', $err);
        [$code, , $err] = $this->run_('steps', $this->folder.'/shot.json', '--out', $this->folder.'/x.csv');
        self::assertSame(1, $code);
        self::assertStringContainsString('no rig file', $err);
    }

    public function test_wrong_usage_shows_how(): void
    {
        foreach ([
            [], ['paint'], ['score'], ['plan', 'a', 'b'], ['score', 'a.csv', '--fast'], ['fly', 'a.json', '--out'],
            ['score', 'a.csv', '--take', 'two'],
        ] as $arguments) {
            [$code, , $err] = $this->run_(...$arguments);
            self::assertSame(2, $code, implode(' ', $arguments));
            self::assertStringContainsString('larkspur plan SHOT.json', $err);
        }
    }

    public function test_the_program_itself_runs_without_a_framework(): void
    {
        exec(
            escapeshellarg(dirname(__DIR__, 2).'/bin/larkspur').' plan '.escapeshellarg($this->folder.'/shot.json').' 2>&1', $lines, $code,
        );

        self::assertSame(0, $code, implode("\n", $lines));
        self::assertStringContainsString('would score', $lines[0]);
    }

    /** @return array{int, string, string} exit code, output, errors */
    private function run_(string ...$arguments): array
    {
        $out = fopen('php://memory', 'w+b');
        $err = fopen('php://memory', 'w+b');
        assert($out !== false && $err !== false);
        $code = (new CommandLine($out, $err))->run(array_values($arguments));
        rewind($out);
        rewind($err);

        return [$code, (string) stream_get_contents($out), (string) stream_get_contents($err)];
    }
}
