<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Choreography\FingerPart;
use Larkspur\Choreography\ThumbSheet;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;

/**
 * A dry rehearsal: the thumb sheet played without a craft, judged finger by finger. What was pressed is laid over the stave where it fits
 * best; how far it had to be shifted is its lateness, what it has to be multiplied by is its amount (least squares), the rest is uneven.
 */
final readonly class Rehearsal
{
    /** Greatest shift that is tried, s. */
    private const SHIFT = 2.0;

    /** Steps between the samples that are compared. */
    private const EVERY = 5;

    /** Steepness is that over so many compared samples: a fifth of a second. */
    private const SLOPE = 2;

    /** @param  list<RehearsedFinger>  $fingers  in the order of the sheet */
    private function __construct(public array $fingers)
    {
    }

    /** @param  array<value-of<Finger>, list<float>>  $played  travel -1..1, one a step of the sheet, from its first moment */
    public static function of(ThumbSheet $sheet, array $played): self
    {
        $fingers = [];
        foreach (Finger::cases() as $finger) {
            $fingers[] = self::finger(
                $finger, self::thinned($sheet->travel[$finger->value]), self::thinned($played[$finger->value]), $sheet,
            );
        }

        return new self($fingers);
    }

    public function isClean(): bool
    {
        return array_filter($this->fingers, static fn (RehearsedFinger $one): bool => ! $one->isClean()) === [];
    }

    /**
     * @param  list<float>  $written
     * @param  list<float>  $played
     */
    private static function finger(Finger $finger, array $written, array $played, ThumbSheet $sheet): RehearsedFinger
    {
        $resting = [];
        foreach ($written as $k => $w) {
            if (abs($w) <= FingerPart::RESTS && isset($played[$k])) {
                $resting[] = abs($played[$k]);
            }
        }
        $leak = $resting === [] ? 0.0 : Statistics::percentile($resting, 95);
        $size = array_sum(array_map(static fn (float $w): float => $w * $w, $written));
        $most = array_reduce($written, static fn (float $most, float $w): float => max($most, abs($w)), 0.0);
        if ($most <= 2 * FingerPart::RESTS) {
            return new RehearsedFinger($finger, null, null, null, null, $leak);
        }
        $pressed = array_reduce($played, static fn (float $most, float $p): float => max($most, abs($p)), 0.0);
        if ($pressed <= FingerPart::RESTS) {
            return new RehearsedFinger($finger, null, 0.0, null, null, $leak);
        }
        $seconds = $sheet->step * self::EVERY;
        $reach = (int) round(self::SHIFT / $seconds);
        $best = [0, -INF];
        for ($shift = -$reach; $shift <= $reach; $shift++) {
            $together = self::product($written, $played, $shift);
            if ($together > $best[1]) {
                $best = [$shift, $together];
            }
        }
        [$shift, $together] = $best;
        $gain = $together / $size;
        $left = 0.0;
        foreach ($written as $k => $w) {
            $left += (($played[$k + $shift] ?? 0.0) - $gain * $w) ** 2;
        }

        return new RehearsedFinger(
            $finger, $shift * $seconds, $gain, self::steepest($played) / max(1e-3, self::steepest($written)), sqrt($left / $size), $leak,
        );
    }

    /**
     * @param  list<float>  $written
     * @param  list<float>  $played
     */
    private static function product(array $written, array $played, int $shift): float
    {
        $sum = 0.0;
        foreach ($written as $k => $w) {
            $sum += $w * ($played[$k + $shift] ?? 0.0);
        }

        return $sum;
    }

    /** @param  list<float>  $travel */
    private static function steepest(array $travel): float
    {
        $most = 0.0;
        for ($k = self::SLOPE, $n = count($travel); $k < $n; $k++) {
            $most = max($most, abs($travel[$k] - $travel[$k - self::SLOPE]));
        }

        return $most;
    }

    /**
     * @param  list<float>  $travel
     * @return list<float>
     */
    private static function thinned(array $travel): array
    {
        $kept = [];
        for ($k = 0, $n = count($travel); $k < $n; $k += self::EVERY) {
            $kept[] = $travel[$k];
        }

        return $kept;
    }
}
