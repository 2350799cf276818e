<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Larkspur\Measure\NormalDistribution;
use Larkspur\Practice\Detection;
use Larkspur\Practice\SpotRound;
use PHPUnit\Framework\TestCase;

/** Hits, misses and false alarms: signal detection. */
final class DetectionTest extends TestCase
{
    public function test_the_normal_distribution_meets_its_tables(): void
    {
        // M. Abramowitz and I. A. Stegun, Handbook of Mathematical Functions (1964), table 26.1 and 26.5; from memory.
        foreach (
            [
                [0.0, 0.5], [1.0, 0.8413447461], [1.96, 0.9750021049], [2.5, 0.9937903347], [3.5, 0.9997673709], [-4.0, 0.0000316712],
            ] as [$x, $p]
        ) {
            self::assertEqualsWithDelta($p, NormalDistribution::share($x), 1e-9);
        }
        foreach ([[0.975, 1.959963985], [0.9, 1.281551566], [0.01, -2.326347874], [0.001, -3.090232306]] as [$p, $x]) {
            self::assertEqualsWithDelta($x, NormalDistribution::quantile($p), 1e-8);
        }
    }

    public function test_sensitivity_and_bias_of_counts(): void
    {
        // Of 25 and 25; by hand between the lines of table 26.1: z(0.9423) = 1.5745, z(0.1731) = -0.9421.
        $seen = new Detection(24, 1, 4, 21);
        self::assertEqualsWithDelta(
            NormalDistribution::quantile(24.5 / 26) - NormalDistribution::quantile(4.5 / 26), $seen->sensitivity(), 1e-12,
        );
        self::assertEqualsWithDelta(1.5745 + 0.9421, $seen->sensitivity(), 1e-3);

        $guessing = new Detection(10, 10, 10, 10);
        self::assertEqualsWithDelta(0.0, $guessing->sensitivity(), 1e-12);
        self::assertEqualsWithDelta(0.0, $guessing->bias(), 1e-12);
        // Who says "nothing" to everything has a bias above 0 and no sensitivity.
        $blind = new Detection(0, 12, 0, 12);
        self::assertGreaterThan(1.0, $blind->bias());
        self::assertEqualsWithDelta(0.0, $blind->sensitivity(), 1e-12);
        self::assertFalse((new Detection(30, 10, 1, 2))->tells());
        self::assertTrue((new Detection(3, 1, 2, 2))->tells());
    }

    public function test_an_answer_counts_by_its_moment(): void
    {
        self::assertSame('hit', SpotRound::outcome(10.0, 12.0, 13.5));
        self::assertSame('miss', SpotRound::outcome(10.0, 12.0, 15.0));
        self::assertSame('miss', SpotRound::outcome(10.0, 12.0, null));
        self::assertSame('false-alarm', SpotRound::outcome(null, null, 4.0));
        self::assertSame('correct-rejection', SpotRound::outcome(null, null, null));
    }
}
