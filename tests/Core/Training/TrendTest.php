<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Training\Trend;
use PHPUnit\Framework\TestCase;

final class TrendTest extends TestCase
{
    public function test_a_trend_begins_with_the_fifth_take(): void
    {
        self::assertSame([], Trend::medians([]));
        self::assertSame([null, null, null, null], Trend::medians([80.0, 20.0, 90.0, 70.0]));
        self::assertSame([null, null, null, null, 80.0, 70.0], Trend::medians([80.0, 20.0, 90.0, 70.0, 85.0, 40.0]));
    }

    public function test_one_bad_take_does_not_bend_it(): void
    {
        $steady = Trend::medians([84.0, 86.0, 85.0, 87.0, 85.0, 86.0]);
        $slipped = Trend::medians([84.0, 86.0, 85.0, 87.0, 85.0, 12.0]);

        self::assertEqualsWithDelta($steady[5], $slipped[5], 1.0);
    }
}
