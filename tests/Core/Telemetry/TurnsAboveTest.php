<?php

declare(strict_types=1);

namespace Tests\Core\Telemetry;

use Larkspur\Measure\Angle;
use Larkspur\Telemetry\Analysis\TurnsAbove;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** Seconds above a turn cap, of turns that are known because they are written by hand. */
final class TurnsAboveTest extends TestCase
{
    public function test_seconds_above_the_cap_are_counted_either_way_and_over_north(): void
    {
        // Ten seconds at 40 deg/s to the right, over north; five at rest; four at 60 deg/s to the left.
        $rate = static fn (float $t): float => $t < 10 ? 40.0 : ($t < 15 ? 0.0 : -60.0);
        $log = self::log($rate, 19.0);
        foreach ([[30.0, 14.0], [50.0, 4.0], [70.0, 0.0]] as [$cap, $seconds]) {
            $turns = TurnsAbove::of($log, $cap * Angle::DEGREE);
            // A rate is taken over 0.4 s: an edge is that soft.
            self::assertEqualsWithDelta($seconds, $turns->seconds, 0.6, "above $cap");
            self::assertEqualsWithDelta(60.0, $turns->most / Angle::DEGREE, 0.5);
            self::assertEqualsWithDelta(19.0, $turns->whole, 0.1);
        }
        self::assertStringContainsString('a gentler hand', said(TurnsAbove::of($log, 50 * Angle::DEGREE)->words()));
        self::assertStringContainsString('never turns faster than 70', said(TurnsAbove::of($log, 70 * Angle::DEGREE)->words()));
    }

    public function test_a_log_without_a_heading_is_not_taken_for_one_that_stands(): void
    {
        $turns = TurnsAbove::of(self::log(static fn (): float => 0.0, 5.0, ['heading_deg']), 1.0);
        self::assertNull($turns->seconds);
        self::assertStringContainsString('no heading', said($turns->words()));
    }

    /**
     * @param  callable(float): float  $rate  deg/s
     * @param  list<'heading_deg'|'gimbal_tilt_deg'|'alt_m'>  $lacks
     */
    private static function log(callable $rate, float $seconds, array $lacks = []): FlightLog
    {
        $columns = array_fill_keys(FlightLog::REQUIRED, []);
        $heading = 300.0;
        for ($i = 0; $i <= (int) round($seconds * 20); $i++) {
            $t = $i / 20;
            foreach (['t' => $t, 'lat' => 57.6, 'lon' => -0.4, 'alt_m' => 30.0, 'gimbal_tilt_deg' => -10.0] as $name => $value) {
                $columns[$name][] = $value;
            }
            $columns['heading_deg'][] = fmod($heading + 720, 360);
            $heading += $rate($t) / 20;
        }

        return new FlightLog($columns, lacks: $lacks);
    }
}
