<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Camera\Lens;
use Larkspur\Camera\View;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\CircleFit;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\NoiseLevel;
use Larkspur\Scoring\EaseFit;
use PHPUnit\Framework\TestCase;

/** Unit values of the scoring method: the smoothing kernel, its gains and response, noise, circle, projection, ease fit. */
final class FilterReferenceTest extends TestCase
{
    public function test_a_parabola_comes_back_exactly_edge_included(): void
    {
        $t = $y = [];
        for ($i = 0; $i <= 100; $i++) {
            $t[] = $i / 10;
            $y[] = 2 + 3 * $t[$i] - 0.5 * $t[$i] ** 2;
        }
        [[[$value, $rate, $acceleration]]] = LocalQuadratic::fit($t, [$y], [0.0, 5.0], 1.2);

        self::assertEqualsWithDelta([2.0, 4.5], $value, 1e-6);
        self::assertEqualsWithDelta([3.0, -2.0], $rate, 1e-6);
        self::assertEqualsWithDelta([-1.0, -1.0], $acceleration, 1e-6);
    }

    public function test_noise_gains(): void
    {
        $unit = Reference::json('scoring-references.json')['unit'];
        foreach ([10 => ['0.7', '1.0', '1.2', '1.8', '2.5'], 50 => ['0.7', '1.2', '2.5']] as $rate => $widths) {
            $t = array_map(static fn (int $i): float => $i / $rate, range(0, 10 * $rate));
            foreach ($widths as $width) {
                [, [$g0, $g1, $g2]] = LocalQuadratic::fit($t, [$t], [5.0], (float) $width);
                foreach ([$g0[0], $g1[0], $g2[0]] as $k => $gain) {
                    $expected = $unit["gain_{$rate}Hz_W{$width}"][$k];
                    self::assertEqualsWithDelta($expected, $gain, 1e-3 * $expected, "g{$k} at {$rate} Hz, W {$width}");
                }
            }
        }
    }

    public function test_response_of_the_rate_to_a_sine(): void
    {
        $unit = Reference::json('scoring-references.json')['unit'];
        $t = array_map(static fn (int $i): float => $i / 50, range(0, 500));
        foreach (['0.1', '0.2', '0.3', '0.5', '0.8', '1.0', '1.5', '2.0'] as $frequency) {
            $omega = 2 * M_PI * (float) $frequency;
            $y = array_map(static fn (float $time): float => sin($omega * ($time - 5)), $t);
            foreach ($unit["deriv_response_{$frequency}Hz"] as $width => $expected) {
                [[$rate]] = LocalQuadratic::rates($t, [$y], [5.0], (float) $width);
                self::assertEqualsWithDelta($expected, $rate[0] / $omega, 1e-3 * max(0.05, abs($expected)), "{$frequency} Hz, W {$width}");
            }
        }
    }

    public function test_noise_level_of_a_chirp(): void
    {
        $unit = Reference::json('scoring-references.json')['unit'];
        $t = array_map(static fn (int $i): float => $i / 10, range(0, 399));
        $y = array_map(static fn (int $i): float => ReferenceFlights::chirp($i, 0.2, 0.0), range(0, 399));
        foreach ($unit['chirp_first5'] as $i => $value) {
            self::assertEqualsWithDelta($value, $y[$i], 1e-3 * abs($value));
        }
        self::assertEqualsWithDelta($unit['noise_est_chirp_0.2'], NoiseLevel::of($t, $y, 0.0, 9.0), 1e-3 * 0.2792);
    }

    public function test_taubin_circle_through_a_quarter(): void
    {
        $expected = Reference::json('scoring-references.json')['unit']['circle_90deg_taubin'];
        $x = $y = [];
        for ($i = 0; $i <= 30; $i++) {
            $x[] = 30 * sin(deg2rad(3 * $i)) + ReferenceFlights::chirp($i, 0.3, 0.0);
            $y[] = 30 * cos(deg2rad(3 * $i)) + ReferenceFlights::chirp($i, 0.3, 1.0);
        }
        $circle = CircleFit::taubin($x, $y);
        self::assertNotNull($circle);
        self::assertEqualsWithDelta($expected, [$circle->x, $circle->y, $circle->radius], 0.005);
    }

    public function test_projection(): void
    {
        $unit = Reference::json('scoring-references.json')['unit'];
        $lens = Lens::assumed();
        self::assertEqualsWithDelta($unit['vfov'], $lens->vertical() / Angle::DEGREE, 0.01);
        foreach ([
            'project_1' => [new Position(3, 20, -5), 10, -12], 'project_nadir' => [new Position(1, 2, -20), 30, -90],
        ] as $key => [$point, $heading, $tilt]) {
            $seen = (new View(new Position(0, 0, 0), $heading * Angle::DEGREE, $tilt * Angle::DEGREE, $lens))->project($point);
            self::assertNotNull($seen);
            self::assertEqualsWithDelta($unit[$key], [$seen->u, $seen->v], 1e-4);
        }
    }

    public function test_ease_fits_of_known_ramps(): void
    {
        $unit = Reference::json('scoring-references.json')['unit'];
        $t = array_map(static fn (int $i): float => $i / 10, range(0, 119));
        foreach (['0.3', '0.8', '1.5', '2.5'] as $ease) {
            $length = (float) $ease;
            $y = array_map(static fn (float $time): float => 4 * ReferenceFlights::progress($time, 1e6, $length, 4.0), $t);
            $fit = EaseFit::fit($t, $y, 4 + $length / 2, false, 1e9, 0.05, 0.03);
            self::assertNotNull($fit);
            [$duration, $centre, $rate, $spread] = $unit['ease_fit_T'.$ease];
            self::assertEqualsWithDelta($duration, $fit->duration, 1e-3 * $duration);
            self::assertEqualsWithDelta($centre, $fit->centre, 0.011);
            self::assertEqualsWithDelta($rate, $fit->rate, 0.002);
            self::assertEqualsWithDelta($spread, $fit->spread, 2e-3 * $spread);
            // A stop is the same ramp seen backwards.
            $back = EaseFit::fit(
                $t, array_map(static fn (float $value): float => -$value, array_reverse($y)), 11.9 - 4 - $length / 2, true, -1e9, 0.05,
                0.03,
            );
            self::assertNotNull($back);
            self::assertEqualsWithDelta($fit->duration, $back->duration, 2e-3 * $fit->duration);
        }
    }
}
