<?php

declare(strict_types=1);

namespace Tests\Words;

use Larkspur\Measure\Quantity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Words\Measures;
use Words\Reader;

/** Quantities as they are written: digits, units and the clock. */
final class MeasuresTest extends TestCase
{
    public function test_a_clock_is_rounded_before_it_is_cut_into_minutes(): void
    {
        self::assertSame(
            ['0:00.0', '0:31.2', '0:59.9', '1:00.0', '1:00.0', '2:05.1', '10:00.0'],
            array_map(Measures::clock(...), [0.0, 31.24, 59.94, 59.96, 60.0, 125.05, 599.99]),
        );
        self::assertSame('0:00.0', Measures::clock(-0.4));
    }

    /** The foot is 0.3048 m and the mile 1609.344 m, exactly (international yard and pound agreement, 1959). */
    #[DataProvider('quantities')]
    public function test_units_of_the_reader(Quantity $quantity, string $metric, string $feet): void
    {
        self::assertSame($metric, Measures::say($quantity, new Reader));
        self::assertSame($feet, Measures::say($quantity, new Reader(Reader::FEET)));
    }

    /** @return iterable<string, array{Quantity, string, string}> */
    public static function quantities(): iterable
    {
        yield 'a length' => [Quantity::metres(30.48), '30 m', '100 ft'];
        yield 'a short length' => [Quantity::metres(1.524), '1.5 m', '5.0 ft'];
        yield 'a speed' => [Quantity::metresPerSecond(4.4704), '4.5 m/s', '10 mph'];
        yield 'an angle' => [Quantity::degrees(12.0), '12 degrees', '12 degrees'];
        yield 'a share' => [Quantity::share(0.25), '25 %', '25 %'];
        yield 'below nothing' => [Quantity::metres(-3.048), "\u{2212}3.0 m", "\u{2212}10 ft"];
        yield 'next to nothing' => [Quantity::metres(-0.001), '0.00 m', '0.00 ft'];
    }
}
