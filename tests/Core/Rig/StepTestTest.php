<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Documents\Rig\StepFitDocument;
use Larkspur\Fields;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\StepFlight;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;
use Larkspur\Rig\Rig;
use Larkspur\Telemetry\Analysis\StepFit;
use Larkspur\Telemetry\Analysis\StepTest;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** The fit of a step test against a craft whose numbers are known, because it is simulated. */
final class StepTestTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function modes(): iterable
    {
        foreach (['lapwing', 'curlew', 'wren'] as $craft) {
            foreach (Rig::MODES as $mode) {
                yield "$craft, $mode" => [$craft, $mode];
            }
        }
    }

    #[DataProvider('modes')]
    public function test_rates_come_out_within_2_percent_and_time_constants_within_5(string $craft, string $mode): void
    {
        // 10 Hz; places with 5 cm of noise on a walk of 20 cm, speeds with 2 cm/s, a compass held by its gyro.
        $rig = Rig::read(Fields::of(Rigs::all()[$craft]));
        $fits = StepTest::fit(self::recorded($rig, $mode, new Recorder(10.0, 0.05, 0.2, 0.03 * Angle::DEGREE, 0.02), 5));

        self::assertCount(5, $fits);
        foreach ($fits as $fit) {
            $true = $rig->mode($mode)->response($fit->finger);
            $back = $rig->mode($mode)->response($fit->finger, false);
            self::assertEqualsWithDelta($true->top, $fit->tops[1]['value'], 0.02 * $true->top, $fit->finger->value);
            self::assertEqualsWithDelta($back->top, $fit->tops[-1]['value'], 0.02 * $back->top, $fit->finger->value);
            self::assertEqualsWithDelta($true->lag, $fit->response->lag, 0.05 * $true->lag, $fit->finger->value);
            self::assertEqualsWithDelta($true->stopWay(), $fit->response->stopWay(), 0.05 * $true->stopWay(), $fit->finger->value);
        }
    }

    public function test_a_noisier_log_says_so_and_the_truth_lies_within(): void
    {
        $rig = Rig::read(Fields::of(Rigs::all()['lapwing']));
        foreach ([1, 2, 3] as $seed) {
            $clean = StepTest::fit(self::recorded($rig, 'standard', new Recorder(10.0, 0.05, 0.2, 0.03 * Angle::DEGREE, 0.02), $seed));
            foreach (StepTest::fit(self::recorded(
                $rig, 'standard', new Recorder(10.0, 0.16, 0.4, 0.3 * Angle::DEGREE, 0.08), $seed,
            )) as $i => $fit) {
                $true = $rig->mode('standard')->response($fit->finger);
                if ($fit->finger->value !== 'tilt') {
                    self::assertGreaterThan($clean[$i]->sd['lag'], $fit->sd['lag'], $fit->finger->value);
                    self::assertLessThan(4.0, abs($fit->response->lag - $true->lag) / $fit->sd['lag'], $fit->finger->value);
                }
            }
        }
    }

    public function test_positions_alone_are_enough_for_rates(): void
    {
        $rig = Rig::read(Fields::of(Rigs::all()['lapwing']));
        foreach (StepTest::fit(self::recorded($rig, 'standard', new Recorder(10.0, 0.05, 0.1, 0.0), 4)) as $fit) {
            $true = $rig->mode('standard')->response($fit->finger);
            self::assertEqualsWithDelta($true->top, $fit->tops[1]['value'], 0.02 * $true->top, $fit->finger->value);
            self::assertEqualsWithDelta($true->stopWay(), $fit->response->stopWay(), 0.1 * $true->stopWay(), $fit->finger->value);
        }
    }

    public function test_a_limit_that_was_never_felt_has_no_number(): void
    {
        $document = Rigs::all()['lapwing'];
        $document['modes']['slow']['accelerate_mps2'] = $document['modes']['slow']['brake_mps2'] = 40.0;
        $rig = Rig::read(Fields::of($document));
        $run = array_values(array_filter(
            StepTest::fit(self::recorded($rig, 'slow', new Recorder(10.0, 0.0, 0.0, 0.0, 0.005), 2)),
            static fn (StepFit $fit): bool => $fit->finger->value === 'run',
        ))[0];

        self::assertEqualsWithDelta(0.45, $run->response->lag, 0.05 * 0.45);
        self::assertNull(StepFitDocument::of($run)->accelerate);
        self::assertEqualsWithDelta(3.4 * 0.45, $run->response->stopWay(), 0.08 * 3.4 * 0.45);
    }

    public function test_a_log_without_a_step_is_refused_in_clear_words(): void
    {
        $rig = Rig::read(Fields::of(Rigs::all()['lapwing']));
        $log = self::recorded($rig, 'standard', Recorder::fair(), 1);
        $still = array_map(static fn (array $column): array => array_slice($column, 0, 15), $log->columns);
        $halfPressed = $log->columns;
        foreach (['climb', 'turn', 'run', 'slide', 'tilt'] as $finger) {
            $halfPressed['stick_'.$finger] = array_map(static fn (float $x): float => 0.6 * $x, $halfPressed['stick_'.$finger]);
        }
        $without = array_filter($log->columns, static fn (string $name): bool => ! str_starts_with($name, 'stick_'), ARRAY_FILTER_USE_KEY);
        foreach ([$still, $halfPressed, $without] as $columns) {
            try {
                StepTest::fit(new FlightLog($columns));
                self::fail('A step was found.');
            } catch (Refusal $refusal) {
                self::assertStringContainsString('no step', said($refusal->fact));
                self::assertStringContainsString('90 %', said($refusal->expected));
            }
        }
    }

    public function test_a_press_let_go_too_early_is_not_taken_for_a_top_rate(): void
    {
        $rig = Rig::read(Fields::of(Rigs::all()['curlew']));
        $log = Recorder::fair()->record(StepFlight::fly($rig, 'fast', 1, 1.6), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), 3, 'fast');

        foreach (StepTest::fit($log) as $fit) {
            self::assertNotContains($fit->finger->value, ['run', 'slide'], 'neither is at its full rate after 1.6 s');
        }
    }

    private static function recorded(Rig $rig, string $mode, Recorder $recorder, int $seed): FlightLog
    {
        return $recorder->record(StepFlight::fly($rig, $mode), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), $seed, $mode);
    }
}
