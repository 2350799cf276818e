<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Camera\Lens;
use Larkspur\Controls\Axis;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Points;
use Larkspur\Scoring\Recognition;
use Larkspur\Scoring\Samples;
use Larkspur\Scoring\Take;
use Larkspur\Scoring\TakeFinder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The scoring method's reference flights of straight, upright and revealing moves: what an independent implementation
 * (NumPy, SciPy) makes of them, to the method's own tolerances.
 */
final class MoveReferenceTest extends TestCase
{
    /** @return iterable<string, array{string, string, Samples, TakeTarget, ?Position, ?float}> */
    public static function flights(): iterable
    {
        $way = new TakeTarget(extent: 36.0);
        yield 'push-in, clean' => ['F4_dolly_clean_10', 'dolly', ReferenceFlights::pushIn(10), $way, null, 20.0];
        yield 'push-in with a kick' => ['F4k_dolly_kick_10', 'dolly', ReferenceFlights::pushIn(10, 'kick'), $way, null, 20.0];
        yield 'push-in with a kick, 50 Hz' => ['F4k_dolly_kick_50', 'dolly', ReferenceFlights::pushIn(50, 'kick'), $way, null, 20.0];
        yield 'push-in with noise' => ['F4n_dolly_noise_10', 'dolly', ReferenceFlights::pushIn(10, 'noise'), $way, null, 20.0];
        yield 'push-in with wobble' => ['F4w_dolly_wobble_10', 'dolly', ReferenceFlights::pushIn(10, 'wobble'), $way, null, 20.0];
        yield 'lift with tilt, off its mark' => [
            'F5_jib_offset_10', 'jib', ReferenceFlights::lift(1.5), new TakeTarget(extent: 15.0), new Position(0, 0, 2), null,
        ];
        yield 'lift with tilt' => [
            'F5_jib_exact_10', 'jib', ReferenceFlights::lift(0.0), new TakeTarget(extent: 15.0), new Position(0, 0, 2), null,
        ];
        yield 'reveal with flicked tilt' => [
            'F6_reveal_flick_10', 'reveal_fwd', ReferenceFlights::reveal(false),
            new TakeTarget(extent: 36.0, tiltStart: deg2rad(-60.0), tiltEnd: deg2rad(-5.0)), null, null,
        ];
        yield 'reveal, eased' => [
            'F6_reveal_eased_10', 'reveal_fwd', ReferenceFlights::reveal(true),
            new TakeTarget(extent: 36.0, tiltStart: deg2rad(-60.0), tiltEnd: deg2rad(-5.0)), null, null,
        ];
        yield 'pull-away' => [
            'F7_pullaway_10', 'pullaway', ReferenceFlights::pullAway(), new TakeTarget(extent: 30.0), new Position(0, 0, 1), null,
        ];
        yield 'climb with spin, straight down' => [
            'F8_topdown_10', 'topdown', ReferenceFlights::helix(), new TakeTarget(extent: 16.8), new Position(0, 0, 0), null,
        ];
    }

    #[DataProvider('flights')]
    public function test_score_and_parts(
        string $name, string $family, Samples $samples, TakeTarget $wanted, ?Position $subject, ?float $viewing,
    ): void {
        $expected = Reference::json('scoring-references.json')['flights'][$name];
        $measured = self::measure($family, $samples, $wanted, $subject, $viewing);
        $parts = $measured->judged()->scores();
        $points = Points::of($parts, self::judging($family)->weights, FaultKinds::findAll($measured));

        [$overall, $part] = str_contains($name, 'noise') ? [2.0, 4.0] : [1.0, 2.0];
        foreach ([
            'path' => 'path', 'framing' => 'framing', 'steady' => 'steady', 'ease' => 'ease', 'smooth' => 'smooth', 'clean' => 'clean',
            'pace' => 'pace', 'completion' => 'complete',
        ] as $ours => $theirs) {
            self::assertEqualsWithDelta($expected['sub_'.$theirs], $parts->scores[$ours], $part, $ours);
        }
        self::assertEqualsWithDelta($expected['pen'], $points->deduction, $overall, 'deduction');
        self::assertEqualsWithDelta($expected['score'], $points->score, $overall, 'score');
    }

    #[DataProvider('flights')]
    public function test_figures_behind_the_parts(
        string $name, string $family, Samples $samples, TakeTarget $wanted, ?Position $subject, ?float $viewing,
    ): void {
        $expected = Reference::json('scoring-references.json')['flights'][$name];
        $measured = self::measure($family, $samples, $wanted, $subject, $viewing);
        $t = $measured->take->grid->t;
        $main = $measured->take->main;
        foreach (['t_on' => $main->from, 't_h0' => $main->holdFrom, 't_h1' => $main->holdTo, 't_off' => $main->to] as $key => $node) {
            self::assertEqualsWithDelta($expected[$key], $t[$node], 0.101, $key);
        }
        $figures = [
            'hold_rate' => $main->rate, 'path_pct' => $measured->path->value, 'drift_pct' => $measured->drift,
            'imgj' => $measured->shake->image->value,
            'shake_yaw' => $measured->shake->pan->value, 'shake_tilt' => $measured->shake->tilt->value,
            'bob' => $measured->shake->bob->value,
            'cross_rms' => $measured->cross->total->value, 'pace' => $measured->pace, 'frame_max' => $measured->framing->most,
            'crop_pct' => 200 * $measured->framing->stray, 'end_err' => $measured->framing->endError,
            'cv_s' => $measured->evenness['travel']->value ?? null, 'cv_u' => $measured->evenness['climb']->value ?? null,
            'cv_y' => $measured->evenness['turn']->value ?? null, 'cv_g' => $measured->evenness['tilt']->value ?? null,
        ];
        foreach ($figures as $key => $value) {
            if (isset($expected[$key]) && $value !== null) {
                self::assertEqualsWithDelta(abs($expected[$key]), abs($value), max(0.02, 0.02 * abs($expected[$key])), $key);
            }
        }
    }

    #[DataProvider('flights')]
    public function test_take_family_and_named_faults(
        string $name, string $family, Samples $samples, TakeTarget $wanted, ?Position $subject, ?float $viewing,
    ): void {
        $expected = Reference::json('scoring-references.json')['flights'][$name];
        $takes = TakeFinder::find($samples);
        self::assertCount(count($expected['segments']), $takes);
        $recognition = Recognition::of(Grid::of($samples), ...$takes[0]);
        $ours = [
            'dolly' => 'push-in', 'jib' => 'lift-and-tilt', 'reveal_fwd' => 'ground-to-horizon', 'pullaway' => 'pull-away',
            'topdown' => 'top-down-helix',
        ];

        self::assertSame($ours[$expected['recognised'][0]], $recognition->move);
        self::assertEqualsWithDelta($expected['recognised'][1], $recognition->confidence, 0.03);
        $axes = ['y' => 'turn', 'heading' => 'turn', 'u' => 'climb', 's' => 'travel', 'g' => 'tilt'];
        $faults = FaultKinds::findAll(self::measure($family, $samples, $wanted, $subject, $viewing));
        foreach ($expected['faults'] as [$label, $at, , $severity]) {
            if ($severity >= 1.2) {
                [$kind, $axis] = explode(' ', $label);
                $found = array_filter(
                    $faults,
                    static fn ($fault): bool => str_starts_with($fault->id, $kind)
                        && $fault->axis === $axes[$axis]
                        && abs($fault->t - $at) < 0.3
                        && abs(
                            $fault->severity - $severity,
                        ) < 0.08 * $severity,
                );
                self::assertNotEmpty($found, "$label at $at");
            }
        }
    }

    private static function measure(string $family, Samples $samples, TakeTarget $wanted, ?Position $subject, ?float $viewing): Measurements
    {
        $take = Take::of(
            Grid::of($samples), self::judging($family), Lens::assumed(), $subject === null ? null : MovingPoint::still($subject), 1.0,
            $viewing,
        );
        self::assertNotNull($take);

        return Measurements::of($take, $wanted);
    }

    /** Roles and weights of the method's own tables. */
    private static function judging(string $family): Judging
    {
        $roles = static fn (Role $travel, Role $climb, Role $turn, Role $tilt): array => [
            Axis::Travel->value => $travel, Axis::Climb->value => $climb, Axis::Turn->value => $turn, Axis::Tilt->value => $tilt,
        ];
        $weights = static fn (float ...$w): array => [
            'path' => $w[0], 'framing' => $w[1], 'steady' => $w[2], 'ease' => $w[3], 'smooth' => $w[4], 'clean' => $w[5], 'pace' => 0.02,
            'completion' => 0.02,
        ];
        [$steady, $still, $coupled] = [Role::Steady, Role::Still, Role::Coupled];

        return match ($family) {
            'dolly' => new Judging(
                PathKind::Line, $roles($steady, $still, $still, $still), $weights(0.12, 0.14, 0.30, 0.10, 0.14, 0.16), Framed::Heading,
                Crossing::Ahead,
            ),
            'jib' => new Judging(
                PathKind::Vertical, $roles($still, $steady, $still, $coupled), $weights(0.10, 0.26, 0.20, 0.16, 0.14, 0.10),
                Framed::Subject, Crossing::Upright,
            ),
            'reveal_fwd' => new Judging(
                PathKind::Line, $roles($steady, $still, $still, $steady), $weights(0.10, 0.18, 0.24, 0.20, 0.12, 0.12), Framed::Reveal,
                Crossing::Tilt,
            ),
            'pullaway' => new Judging(
                PathKind::Line, $roles($steady, $steady, $still, $coupled), $weights(0.10, 0.26, 0.20, 0.16, 0.14, 0.10), Framed::Subject,
                Crossing::Ahead,
            ),
            default => new Judging(
                PathKind::Vertical, $roles($still, $steady, $steady, $still), $weights(0.14, 0.18, 0.24, 0.18, 0.12, 0.10), Framed::Subject,
                Crossing::Turn, true,
            ),
        };
    }
}
