<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\RescueCrop;

/** Whether a take can be kept, mended by the editor, or must be flown again, and why (docs/scoring.md, section 7). */
final readonly class Verdict
{
    public const KEEP = 'keep';

    public const FIX = 'fix';

    public const AGAIN = 'again';

    private const KEEP_SCORE = 80.0;

    private const FIX_SCORE = 60.0;

    private const LARGEST_FIX = 0.5;

    /** A clean stretch this long is worth trimming to, s. */
    private const TRIM = 4.0;

    /** Faults that rule a take out when they stand in the hold. */
    private const RUINOUS = ['kick', 'stall', 'off-mark'];

    private const RUINOUS_SEVERITY = 1.5;

    /**
     * @param  self::KEEP|self::FIX|self::AGAIN  $verdict
     * @param  string  $headline  what to do with the take
     * @param  string  $reason  for the operator
     */
    private function __construct(public string $verdict, public string $headline, public string $reason)
    {
    }

    /**
     * @param  list<Fault>  $faults
     * @param  RescueCrop  $trimmed  the crop that its longest clean stretch alone would take
     * @param  float  $cropBudget  share of the picture that the delivery can spare, 0..1
     */
    public static function of(float $score, array $faults, RescueCrop $crop, UsableStretches $usable, RescueCrop $trimmed, float $cropBudget): self
    {
        $total = $crop->total();
        $ruin = null;
        foreach ($faults as $fault) {
            if (in_array($fault->id, self::RUINOUS, true) && $fault->phase === 'hold' && $fault->severity >= self::RUINOUS_SEVERITY && $fault->severity > ($ruin->severity ?? 0)) {
                $ruin = $fault;
            }
        }
        $clean = $usable->longest();
        $worst = $ruin === null ? '' : sprintf(' %s at %s is what spoils it.', FaultKinds::name($ruin->id), self::clock($ruin->t));
        $cleanWords = $clean >= self::TRIM ? sprintf(' %.1f s in a row are clean.', $clean) : '';
        if ($score >= self::KEEP_SCORE && $ruin === null && $total <= $cropBudget + 1e-9) {
            return new self(self::KEEP, 'Keep', self::percent($crop) <= 1
                ? 'Nothing in the hold disturbs, and the subject stays on its mark.'.$cleanWords
                : sprintf('A %d %% crop keeps the subject on its mark, and your delivery can spare that.%s', self::percent($crop), $cleanWords));
        }
        $wholeWillDo = $score >= self::FIX_SCORE && $total <= self::LARGEST_FIX;
        if ($wholeWillDo && ($ruin === null || $clean < self::TRIM)) {
            return new self(self::FIX, sprintf('Fix in post (crop %d %%)', self::percent($crop)), sprintf('A %d %% crop puts the subject back on its mark.%s%s', self::percent($crop), $worst, $ruin === null ? $cleanWords : ''));
        }
        if ($clean >= self::TRIM) {
            return new self(
                self::FIX,
                sprintf('Fix in post (trim to %.1f s, crop %d %%)', $clean, self::percent($trimmed)),
                sprintf($wholeWillDo ? 'Trim to the %.1f s from %s, which are clean.%s' : 'The whole take can’t be used, but the %.1f s from %s can: trim to it.%s', $clean, self::clock($usable->stretches[0]['from']), $worst),
            );
        }

        return new self(self::AGAIN, 'Fly again', ($total > self::LARGEST_FIX
            ? sprintf('It would take a %d %% crop to hold the subject, more than any editor can spare.', self::percent($crop))
            : sprintf('No %.0f s in a row are clean.', self::TRIM)).$worst);
    }

    /** A crop in whole percent, rounded up: less would not hold the subject. */
    private static function percent(RescueCrop $crop): int
    {
        return (int) max(1, min(100, ceil(100 * $crop->total() - 1e-6)));
    }

    /** Seconds as the field says them: 0:31.2. */
    public static function clock(float $seconds): string
    {
        $seconds = max(0.0, $seconds);

        return sprintf('%d:%04.1f', intdiv((int) $seconds, 60), $seconds - 60 * intdiv((int) $seconds, 60));
    }
}
