<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Camera\Lens;
use Larkspur\Controls\Axis;
use Larkspur\Fields;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Timing\RotationLead;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\MetricScale;
use Larkspur\Scoring\Points;
use Larkspur\Scoring\Recognition;
use Larkspur\Scoring\Samples;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\Take;
use Larkspur\Scoring\TakeFinder;
use Larkspur\Scoring\UsableStretches;
use Larkspur\Telemetry\FlightCsvReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The scoring method's reference flights: what an independent implementation (NumPy, SciPy) makes of orbits that are
 * given in closed form, to the method's own tolerances (docs/scoring.md, "Reference values").
 */
final class ScoringReferenceTest extends TestCase
{
    /** @return iterable<string, array{string, int, bool, bool}> */
    public static function flights(): iterable
    {
        yield 'clean, 10 Hz' => ['F1_orbit_10', 10, false, false];
        yield 'clean, 50 Hz' => ['F1_orbit_50', 50, false, false];
        yield 'wobbling, 10 Hz' => ['F2_orbit_wobble_10', 10, true, false];
        yield 'wobbling, 50 Hz' => ['F2_orbit_wobble_50', 50, true, false];
        yield 'noisy, 10 Hz' => ['F3_orbit_noise_10', 10, false, true];
        yield 'noisy, 50 Hz' => ['F3_orbit_noise_50', 50, false, true];
        yield 'wobbling and noisy, 10 Hz' => ['F2n_orbit_wobble_noise_10', 10, true, true];
        yield 'wobbling and noisy, 50 Hz' => ['F2n_orbit_wobble_noise_50', 50, true, true];
    }

    #[DataProvider('flights')]
    public function test_score_and_parts(string $name, int $rate, bool $wobble, bool $noise): void
    {
        $expected = Reference::json('scoring-references.json')['flights'][$name];
        $measured = self::measure(ReferenceFlights::orbit($rate, $wobble, $noise));
        $parts = $measured->judged()->scores();
        $points = Points::of($parts, Judging::orbit()->weights, FaultKinds::findAll($measured));

        [$overall, $part] = $noise ? [2.0, 4.0] : [1.0, 2.0];
        self::assertEqualsWithDelta($expected['score'], $points->score, $overall);
        self::assertEqualsWithDelta($expected['pen'], $points->deduction, $overall);
        $names = [
            'path' => 'path', 'framing' => 'framing', 'steady' => 'steady', 'smooth' => 'smooth', 'clean' => 'clean', 'pace' => 'pace',
            'completion' => 'complete',
        ];
        foreach ($names as $ours => $theirs) {
            self::assertEqualsWithDelta($expected['sub_'.$theirs], $parts->scores[$ours], $part, $ours);
        }
        // The ease of a swaying pan is ill-conditioned; and we take the planned lead off before judging togetherness.
        self::assertEqualsWithDelta($expected['sub_ease'], $parts->scores['ease'], $wobble ? 8.0 : $part, 'ease');
    }

    #[DataProvider('flights')]
    public function test_figures_behind_the_parts(string $name, int $rate, bool $wobble, bool $noise): void
    {
        $expected = Reference::json('scoring-references.json')['flights'][$name];
        $measured = self::measure(ReferenceFlights::orbit($rate, $wobble, $noise));
        $t = $measured->take->grid->t;
        $main = $measured->take->main;
        foreach (['t_on' => $main->from, 't_h0' => $main->holdFrom, 't_h1' => $main->holdTo, 't_off' => $main->to] as $key => $node) {
            self::assertEqualsWithDelta($expected[$key], $t[$node], 0.101, $key);
        }
        $figures = [
            'hold_rate' => $main->rate, 'path_pct' => $measured->path->value, 'drift_pct' => $measured->drift,
            'alt_pct' => $measured->altitude->value ?? -1.0,
            'R_mean' => $measured->radius, 'arc' => rad2deg($measured->extent), 'frame_rms' => $measured->framing->rms->value,
            'frame_max' => $measured->framing->most,
            'crop_pct' => 200 * $measured->framing->stray, 'crop_recompose_pct' => $measured->framing->recompose,
            'imgj' => $measured->shake->image->value, 'shake_yaw' => $measured->shake->pan->value,
            'shake_tilt' => $measured->shake->tilt->value,
            'bob' => $measured->shake->bob->value, 'cross_rms' => $measured->cross->total->value, 'pace' => $measured->pace,
            'pos_offset' => $measured->framing->offset,
            'cv_s' => $measured->evenness['travel']->value, 'cv_y' => $measured->evenness['turn']->value,
        ];
        foreach ($figures as $key => $value) {
            self::assertEqualsWithDelta($expected[$key], $value, max(0.02, 0.02 * abs($expected[$key])), $key);
        }
        foreach ([
            'pos' => $measured->take->grid->x->sigma, 'z' => $measured->take->grid->z->sigma,
            'yaw' => rad2deg($measured->take->grid->heading->sigma), 'tilt' => rad2deg($measured->take->grid->tilt->sigma),
        ] as $key => $sigma) {
            self::assertEqualsWithDelta($expected['sigma'][$key], $sigma, 0.002, 'noise of '.$key);
        }
        if (! $wobble) {
            foreach (['travel' => 's', 'turn' => 'y'] as $axis => $letter) {
                $fit = $measured->eases->fits[$axis]['start'];
                self::assertNotNull($fit);
                self::assertEqualsWithDelta($expected['T_in_'.$letter], $fit->duration, 0.02 * $expected['T_in_'.$letter] + 0.005);
                self::assertEqualsWithDelta($expected['sdlog_in_'.$letter], $fit->spread, 0.01);
            }
        }
    }

    #[DataProvider('flights')]
    public function test_faults_takes_recognition_and_windows(string $name, int $rate, bool $wobble, bool $noise): void
    {
        $expected = Reference::json('scoring-references.json')['flights'][$name];
        $samples = ReferenceFlights::orbit($rate, $wobble, $noise);
        $measured = self::measure($samples);
        $faults = FaultKinds::findAll($measured);

        $kinds = ['kick' => 'kick', 'flick' => 'flick-stop', 'shaky' => 'shaky', 'bobbing' => 'bobbing'];
        $axes = ['y' => 'turn', 'heading' => 'turn', 'u' => 'climb', 's' => 'travel', 'g' => 'tilt'];
        foreach ($expected['faults'] as [$label, , , $severity]) {
            if ($severity < 1.2) {
                continue; // May or may not appear, by the method's own word.
            }
            $words = explode(' ', $label);
            $found = array_filter(
                $faults,
                static fn ($fault): bool => $fault->id === $kinds[$words[0]] && $fault->axis === $axes[$words[1]] && abs(
                    $fault->severity - $severity,
                ) < 0.08 * $severity,
            );
            self::assertNotEmpty($found, $label);
        }
        $loud = count(array_filter($expected['faults'], static fn (array $fault): bool => $fault[3] >= 1.2));
        self::assertCount($loud, array_filter($faults, static fn ($fault): bool => $fault->severity >= 1.2));

        $takes = TakeFinder::find($samples);
        self::assertCount(count($expected['segments']), $takes);
        self::assertEqualsWithDelta($expected['segments'][0], $takes[0], 0.101);

        $recognised = Recognition::of($measured->take->grid, ...$takes[0]);
        self::assertSame($expected['recognised'][0], $recognised->move);
        self::assertEqualsWithDelta($expected['recognised'][1], $recognised->confidence, 0.01);

        $usable = UsableStretches::of($measured, $faults);
        foreach (['best_3_6' => $usable->cut, 'best_10_15' => $usable->longCut] as $key => $window) {
            self::assertNotNull($window);
            // Unlike the reference, no window holds a fault that is more than slight: it may have to be shorter.
            [$length, $from] = $expected[$key];
            $crossed = array_filter(
                $faults,
                static fn ($fault): bool => $fault->isGrave() && $fault->t > $from - 0.5 && $fault->t < $from + $length + 0.5,
            );
            self::assertEqualsWithDelta(
                $crossed === [] ? $length : min($length, $window['to'] - $window['from']), $window['to'] - $window['from'], 1e-6, $key,
            );
            self::assertEqualsWithDelta($expected[$key][2], $window['cost'], 0.02, $key);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function examples(): iterable
    {
        yield 'a textbook orbit' => ['ex01_orbit_textbook'];
        yield 'a novice’s orbit' => ['ex02_orbit_novice'];
    }

    #[DataProvider('examples')]
    public function test_example_logs_score_within_five_points_of_their_noise_free_truth(string $name): void
    {
        $truth = Reference::json($name.'.json')['truth_measured'];
        $stream = fopen(Reference::path($name.'.csv'), 'rb');
        self::assertNotFalse($stream);
        $score = Scorer::score((new FlightCsvReader)->read($stream), Intent::read(Fields::of(Reference::json($name.'.intent.json'))));

        self::assertEqualsWithDelta($truth['score'], $score->score, 5.0);
        self::assertEqualsWithDelta($truth['hold_start'], $score->hold()[0], 1.0);
        self::assertEqualsWithDelta($truth['arc'], rad2deg($score->measured->extent), 4.0);
        $named = array_map(static fn ($fault): string => $fault->id, $score->faults);
        foreach ([
            'uneven speed' => 'uneven', 'stall' => 'stall', 'axes not together' => 'out-of-step', 'shaky heading' => 'shaky',
        ] as $theirs => $ours) {
            $expected = array_filter(
                $truth['named_faults'], static fn (array $fault): bool => $fault['kind'] === $theirs && $fault['severity'] >= 1.5,
            );
            // Shaking that a kick of the same axis explains is named as the kick alone.
            if ($expected !== [] && $ours !== 'shaky') {
                self::assertContains($ours, $named);
            }
        }
    }

    public function test_weights_and_anchors_are_those_of_the_method(): void
    {
        $references = Reference::json('scoring-references.json');
        $weights = Judging::orbit()->weights;
        foreach ($references['weights']['orbit'] as $part => $weight) {
            self::assertSame($weight, $weights[$part === 'complete' ? 'completion' : $part]);
        }
        $names = [
            'path' => MetricScale::Path, 'drift' => MetricScale::Drift, 'frame' => MetricScale::FrameRms,
            'framemax' => MetricScale::FrameMax, 'endframe' => MetricScale::RevealError,
            'cv' => MetricScale::Evenness, 'imgj' => MetricScale::Shake, 'cross' => MetricScale::Cross, 'teq_l' => MetricScale::EaseTravel,
            'teq_a' => MetricScale::EaseAngle,
            'sync' => MetricScale::Sync, 'pace' => MetricScale::Pace, 'complete' => MetricScale::Completion,
        ];
        self::assertSame(array_keys($references['anchors']), array_keys($names));
        foreach ($references['anchors'] as $name => $points) {
            foreach ($points as [$value, $score]) {
                self::assertEqualsWithDelta($score, $names[$name]->score($value), 1e-9, $name.' at '.$value);
            }
        }
        self::assertEqualsWithDelta($references['unit']['anchor_cv_0.04'], MetricScale::Evenness->score(0.04), 0.05);
        self::assertEqualsWithDelta($references['unit']['anchor_frame_3'], MetricScale::FrameRms->score(3), 0.05);
        self::assertEqualsWithDelta($references['unit']['anchor_teq_l_1.3'], MetricScale::EaseTravel->score(1.3), 0.05);
    }

    private static function measure(Samples $samples): Measurements
    {
        $lens = Lens::assumed();
        $take = Take::of(Grid::of($samples), Judging::orbit(), $lens, MovingPoint::still(new Position(0, 0, 3)), 1.0);
        self::assertNotNull($take);

        return Measurements::of($take, new TakeTarget(lead: RotationLead::seconds($take->held(Axis::Turn), $lens), extent: M_PI));
    }
}
