<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Site\Site;
use Larkspur\Site\Zone;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** The clock of a site. */
final class ZoneTest extends TestCase
{
    public function test_an_hour_of_a_day_is_the_instant_at_which_its_clock_shows_it(): void
    {
        $zone = new Zone('Pacific/Auckland');
        $noon = $zone->instant('2026-06-03', 12, 0);

        self::assertSame('2026-06-03T00:00:00', gmdate('Y-m-d\TH:i:s', (int) $noon), 'twelve hours ahead in winter');
        self::assertSame('12:00', $zone->hour($noon));
        self::assertSame('2026-12-02T23:00:00', gmdate('Y-m-d\TH:i:s', (int) $zone->instant('2026-12-03', 12, 0)), 'thirteen in summer');
        self::assertSame(
            3600.0 * 24, (new Zone)->instant('2026-06-03', 26, 30) - (new Zone)->instant('2026-06-03', 2, 30),
            'past midnight is written on',
        );
    }

    /** In the night that summer time begins an hour is skipped; in the one that it ends an hour comes twice. */
    public function test_nights_of_other_lengths(): void
    {
        $zone = new Zone('Europe/London');

        self::assertSame(23 * 3600.0, $zone->instant('2026-03-30', 0, 0) - $zone->instant('2026-03-29', 0, 0));
        self::assertSame(25 * 3600.0, $zone->instant('2026-10-26', 0, 0) - $zone->instant('2026-10-25', 0, 0));
        self::assertSame('02:30', $zone->hour($zone->instant('2026-03-29', 1, 30)), 'the hour after the one that is skipped');
        self::assertSame('09:00', $zone->hour($zone->instant('2026-10-25', 9, 0)));
    }

    public function test_a_site_keeps_its_clock_and_names_one_that_there_is_not(): void
    {
        $site = Site::read(Fields::of(['home' => ['lat' => -41.0, 'lon' => 174.0], 'zone' => 'Pacific/Auckland']));

        self::assertSame('Pacific/Auckland', Site::read(Fields::of($site->toArray()))->zone->name);
        self::assertSame('UTC', Site::read(Fields::of(['home' => ['lat' => 57.6, 'lon' => -0.4]]))->zone->name);
        try {
            Site::read(Fields::of(['home' => ['lat' => 57.6, 'lon' => -0.4], 'zone' => 'Skerrow/Moor'], 'document'));
            self::fail('There is no such zone.');
        } catch (Refusal $refusal) {
            self::assertSame('document.zone', $refusal->place);
            self::assertStringContainsString('Skerrow/Moor', said($refusal->fact));
        }
    }
}
