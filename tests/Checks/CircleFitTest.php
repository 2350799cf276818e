<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Measure\CircleFit;
use PHPUnit\Framework\TestCase;

/**
 * Taubin's circle fit against the fits of seven point sets worked out with eigenvalues; six points of W. Gander, G. H. Golub, R. Strebel,
 * BIT 34 (1994) 558-578 among them.
 */
final class CircleFitTest extends TestCase
{
    public function test_taubin_fits(): void
    {
        $sets = Reference::json('check-values.json')['circle-points'];
        $seen = 0;
        foreach (Reference::table('circle-fit') as [$set, $method, $x, $y, $radius]) {
            if ($method !== 'Taubin') {
                continue;
            }
            $circle = CircleFit::taubin(
                array_map(floatval(...), array_column($sets[$set]['points'], 0)),
                array_map(floatval(...), array_column($sets[$set]['points'], 1)),
            );
            self::assertNotNull($circle, (string) $set);
            self::assertEqualsWithDelta((float) $x, $circle->x, 1e-4, (string) $set);
            self::assertEqualsWithDelta((float) $y, $circle->y, 1e-4, (string) $set);
            self::assertEqualsWithDelta((float) $radius, $circle->radius, 1e-4, (string) $set);
            $seen++;
        }
        self::assertSame(count($sets), $seen);
    }

    public function test_points_on_a_line_have_no_circle(): void
    {
        self::assertNull(CircleFit::taubin([0.0, 1.0, 2.0, 3.0], [0.0, 1.0, 2.0, 3.0]));
        self::assertNull(CircleFit::taubin([0.0, 1.0], [0.0, 1.0]));
    }
}
