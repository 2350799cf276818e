<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Telemetry\LogQuantity;
use PHPUnit\Framework\TestCase;

/** Unit factors against their exact definitions (international foot and mile of 1959, NIST SP 811, appendix B). */
final class UnitsTest extends TestCase
{
    public function test_factors_of_unit_bearing_columns(): void
    {
        $columns = ['1 ft' => 'alt_ft', '1 kn' => 'speed_kn', '1 mph' => 'speed_mph', '1 km/h' => 'speed_kmh', '1 ft/min' => 'climb_fpm'];
        $seen = 0;
        foreach (Reference::table('conversions') as [$from, $to, $fraction]) {
            $from = (string) $from;
            if (! isset($columns[$from]) || ! in_array($to, ['m', 'm/s'], true)) {
                continue;
            }
            [$numerator, $denominator] = explode('/', (string) $fraction) + [1 => '1'];
            $known = LogQuantity::of($columns[$from]);
            self::assertNotNull($known);
            self::assertEqualsWithDelta((float) $numerator / (float) $denominator, $known[1], 1e-12 * $known[1], $from);
            $seen++;
        }
        self::assertSame(count($columns), $seen);
    }
}
