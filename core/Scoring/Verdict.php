<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\RescueCrop;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKinds;

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

    /** From this severity on a fault that ruins takes rules the take out. */
    private const RUINOUS = 1.5;

    /**
     * @param  self::KEEP|self::FIX|self::AGAIN  $verdict
     * @param  Fact  $headline  what to do with the take
     * @param  Fact  $reason  for the operator
     */
    private function __construct(public string $verdict, public Fact $headline, public Fact $reason)
    {
    }

    /**
     * @param  list<Fault>  $faults
     * @param  RescueCrop  $trimmed  the crop that its longest clean stretch alone would take
     * @param  float  $cropBudget  share of the picture that the delivery can spare, 0..1
     */
    public static function of(
        float $score, array $faults, RescueCrop $crop, UsableStretches $usable, RescueCrop $trimmed, float $cropBudget,
    ): self {
        $total = $crop->total();
        $ruin = self::ruin($faults);
        $clean = $usable->longest();
        $spoils = $ruin === null ? null : Fact::of('verdict.spoils', fault: FaultKinds::name($ruin->id), at: Quantity::moment($ruin->t));
        $cleanInARow = $clean >= self::TRIM ? Fact::of('verdict.clean-in-a-row', clean: Quantity::seconds($clean)) : null;
        $cropped = Quantity::share(self::wholePercent($crop));
        if ($score >= self::KEEP_SCORE && $ruin === null && $total <= $cropBudget + 1e-9) {
            return new self(self::KEEP, Fact::of('verdict.keep'), Fact::all(
                self::wholePercent($crop) <= 0.01
                    ? Fact::of('verdict.nothing-disturbs')
                    : Fact::of('verdict.crop-keeps-mark', crop: $cropped),
                $cleanInARow,
            ));
        }
        $wholeWillDo = $score >= self::FIX_SCORE && $total <= self::LARGEST_FIX;
        if ($wholeWillDo && ($ruin === null || $clean < self::TRIM)) {
            return new self(self::FIX, Fact::of('verdict.fix', crop: $cropped), Fact::all(
                Fact::of('verdict.crop-restores-mark', crop: $cropped), $spoils, $ruin === null ? $cleanInARow : null,
            ));
        }
        if ($clean >= self::TRIM) {
            return new self(
                self::FIX,
                Fact::of('verdict.fix-by-trim', clean: Quantity::seconds($clean), crop: Quantity::share(self::wholePercent($trimmed))),
                Fact::all(Fact::of(
                    $wholeWillDo ? 'verdict.trim' : 'verdict.only-the-trim', clean: Quantity::seconds($clean),
                    from: Quantity::moment($usable->stretches[0]['from']),
                ), $spoils),
            );
        }

        return new self(self::AGAIN, Fact::of('verdict.again'), Fact::all(
            $total > self::LARGEST_FIX
                ? Fact::of('verdict.crop-too-large', crop: $cropped)
                : Fact::of('verdict.nothing-clean', least: Quantity::seconds(self::TRIM)),
            $spoils,
        ));
    }

    /**
     * The worst of the faults in the hold that rule a take out.
     *
     * @param  list<Fault>  $faults
     */
    private static function ruin(array $faults): ?Fault
    {
        $ruin = null;
        foreach ($faults as $fault) {
            if (
                $fault->kind->ruins()
                && $fault->phase === 'hold'
                && $fault->severity >= self::RUINOUS
                && $fault->severity > ($ruin->severity ?? 0)
            ) {
                $ruin = $fault;
            }
        }

        return $ruin;
    }

    /** A crop in whole percent, rounded up: less would not hold the subject. As a share. */
    private static function wholePercent(RescueCrop $crop): float
    {
        return max(1, min(100, ceil(100 * $crop->total() - 1e-6))) / 100;
    }
}
