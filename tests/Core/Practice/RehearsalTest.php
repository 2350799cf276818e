<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Larkspur\Choreography\ThumbSheet;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;
use Larkspur\Practice\Rehearsal;
use Larkspur\Practice\RehearsedFinger;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** A thumb sheet played without a craft: each way of playing it wrong is told by its own name. */
final class RehearsalTest extends TestCase
{
    public function test_as_written_is_clean(): void
    {
        $sheet = self::sheet();

        self::assertTrue(Rehearsal::of($sheet, $sheet->travel)->isClean());
    }

    public function test_late_early_too_much_too_little_snapped_and_leaking_are_told_apart(): void
    {
        $sheet = self::sheet();
        $slide = $sheet->travel['slide'];
        $n = count($slide);
        $late = self::played($sheet, 'slide', [...array_fill(0, 30, 0.0), ...array_slice($slide, 0, $n - 30)]);
        self::assertEqualsWithDelta(0.6, $late->late, 0.11);
        self::assertSame(['rehearsal.late'], self::codes($late));

        $early = self::played($sheet, 'slide', [...array_slice($slide, 30), ...array_fill(0, 30, 0.0)]);
        self::assertSame(['rehearsal.early'], self::codes($early));

        $much = self::played($sheet, 'slide', array_map(static fn (float $x): float => 1.3 * $x, $slide));
        self::assertEqualsWithDelta(1.3, $much->gain, 1e-6);
        self::assertContains('rehearsal.too-much', self::codes($much));
        self::assertContains('rehearsal.too-little', self::codes(self::played(
            $sheet, 'slide', array_map(static fn (float $x): float => 0.7 * $x, $slide),
        )));

        $hold = array_sum($slide) < 0 ? Statistics::least($slide) : Statistics::greatest($slide);
        $snapped = self::played($sheet, 'slide', array_map(static fn (float $x): float => abs($x) > abs($hold) / 2 ? $hold : 0.0, $slide));
        self::assertContains('rehearsal.snapped', self::codes($snapped));

        $leaking = self::played($sheet, 'tilt', array_fill(0, $n, 0.1));
        self::assertTrue($leaking->rests());
        self::assertSame(['rehearsal.leak'], self::codes($leaking));
        self::assertSame(['rehearsal.not-played'], self::codes(self::played($sheet, 'slide', array_fill(0, $n, 0.0))));
    }

    private static function sheet(): ThumbSheet
    {
        return Shots::plan(['radius_m' => 24.0, 'arc_deg' => 90.0])->sheet;
    }

    /**
     * @param  value-of<Finger>  $finger
     * @param  list<float>  $travel
     */
    private static function played(ThumbSheet $sheet, string $finger, array $travel): RehearsedFinger
    {
        foreach (Rehearsal::of($sheet, [...$sheet->travel, $finger => $travel])->fingers as $one) {
            if ($one->finger === Finger::from($finger)) {
                return $one;
            }
        }
        self::fail('Every finger is judged.');
    }

    /** @return list<string> */
    private static function codes(RehearsedFinger $one): array
    {
        return array_map(static fn ($fact): string => $fact->code, $one->faults());
    }
}
