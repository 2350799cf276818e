<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\RescueCrop;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\AsPlanned\PlanFigure;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Fault\Fault;

/** Whether a take can be kept, mended by the editor, or must be flown again, and why (docs/scoring.md, section 7). */
final readonly class Verdict
{
    public const KEEP = 'keep';

    public const FIX = 'fix';

    public const AGAIN = 'again';

    /** Clean, but another shot than the one that was planned. */
    public const OTHER = 'other';

    /** Clean as far as the log goes. */
    public const OPEN = 'open';

    private const KEEP_SCORE = 80.0;

    private const FIX_SCORE = 60.0;

    private const LARGEST_FIX = 0.5;

    /** A clean stretch this long is worth trimming to, s. */
    private const TRIM = 4.0;

    /** From this severity on a fault that ruins takes rules the take out. */
    private const RUINOUS = 1.5;

    /** Points up to which a fault is no more than a remark. */
    private const HARDLY = 1.0;

    /**
     * @param  self::KEEP|self::FIX|self::AGAIN|self::OTHER|self::OPEN  $verdict
     * @param  Fact  $headline  what to do with the take
     * @param  Fact  $reason  for the operator
     */
    private function __construct(public string $verdict, public Fact $headline, public Fact $reason)
    {
    }

    /**
     * @param  list<Fault>  $faults
     * @param  list<Loss>  $losses
     * @param  ?RescueCrop  $crop  null where no subject was judged
     * @param  ?RescueCrop  $trimmed  the crop that its longest clean stretch alone would take
     * @param  float  $cropBudget  share of the picture that the delivery can spare, 0..1
     * @param  ?PlanMatch  $plan  whether it is the shot that was planned; null without a plan
     * @param  TakeAssignment  $assignment  what it was judged as: a drill has no editor, and is flown again where others are mended
     */
    public static function of(
        float $score, array $faults, array $losses, ?RescueCrop $crop, UsableStretches $usable, ?RescueCrop $trimmed, float $cropBudget,
        ?PlanMatch $plan, TakeAssignment $assignment,
    ): self {
        $total = $crop?->total() ?? 0.0;
        $ruin = self::ruin($faults);
        $clean = $usable->longest();
        $spoils = $ruin === null ? null : Fact::of('verdict.spoils', fault: $ruin->name(), at: Quantity::moment($ruin->worst));
        $cleanInARow = $clean >= self::TRIM ? Fact::of('verdict.clean-in-a-row', clean: Quantity::seconds($clean)) : null;
        $cropped = Quantity::share(self::wholePercent($crop));
        $lacksFrame = $assignment->lacksFrame();
        $another = $plan !== null && $plan->verdict === PlanMatch::ANOTHER;
        $off = $plan === null ? [] : array_map(static fn (PlanFigure $figure): Fact => $figure->difference(), $plan->off());
        $notThePlan = $off === [] ? null : Fact::of($another ? 'verdict.not-the-plan' : 'verdict.near-the-plan', off: $off);
        if ($score >= self::KEEP_SCORE && $ruin === null && $total <= $cropBudget + 1e-9) {
            $disturbs = self::disturbs($losses, $crop, $lacksFrame);

            return match (true) {
                $another => new self(
                    self::OTHER, Fact::of('verdict.other'), Fact::all(Fact::of('verdict.other-shot', off: $off), $disturbs),
                ),
                $lacksFrame => new self(self::OPEN, Fact::of('verdict.open'), Fact::all(Fact::of('verdict.look-yourself'), $disturbs)),
                default => new self(self::KEEP, Fact::of('verdict.keep'), Fact::all($disturbs, $notThePlan, $cleanInARow)),
            };
        }
        if ($assignment->isPractice()) {
            return new self(self::AGAIN, Fact::of('verdict.again'), Fact::all($spoils ?? self::costs($losses), $notThePlan, $cleanInARow));
        }
        $wholeWillDo = $score >= self::FIX_SCORE && $total <= self::LARGEST_FIX && self::isWhole($faults);
        if ($wholeWillDo && $ruin === null) {
            $crops = $crop !== null && self::wholePercent($crop) > 0.01;

            return new self(
                self::FIX, $crops ? Fact::of('verdict.fix', crop: $cropped) : Fact::of('verdict.fix-with-care'),
                Fact::all(
                    $crops ? Fact::of('verdict.crop-restores-mark', crop: $cropped) : self::costs($losses), $notThePlan, $cleanInARow,
                ),
            );
        }
        if ($clean >= self::TRIM) {
            $from = Quantity::moment($usable->stretches[0]['from']);
            $seconds = Quantity::seconds($clean);

            return new self(
                self::FIX,
                $trimmed !== null && self::wholePercent($trimmed) > 0.01
                    ? Fact::of('verdict.fix-by-trim', clean: $seconds, crop: Quantity::share(self::wholePercent($trimmed)))
                    : Fact::of('verdict.fix-by-trim-alone', clean: $seconds),
                Fact::all(
                    Fact::of($wholeWillDo ? 'verdict.trim' : 'verdict.only-the-trim', clean: $seconds, from: $from), $spoils, $notThePlan,
                ),
            );
        }

        return new self(self::AGAIN, Fact::of('verdict.again'), Fact::all(
            $total > self::LARGEST_FIX
                ? Fact::of('verdict.crop-too-large', crop: $cropped)
                : Fact::of('verdict.nothing-clean', least: Quantity::seconds(self::TRIM)),
            $spoils ?? self::costs($losses), $notThePlan,
        ));
    }

    /**
     * What a take that can be kept still shows: nothing, or the fault that cost most.
     *
     * @param  list<Loss>  $losses
     */
    private static function disturbs(array $losses, ?RescueCrop $crop, bool $lacksFrame): Fact
    {
        $most = self::costliest($losses);
        $frame = match (true) {
            $crop === null || $lacksFrame => null,
            self::wholePercent($crop) <= 0.01 => Fact::of('verdict.stays-on-mark'),
            default => Fact::of('verdict.crop-keeps-mark', crop: Quantity::share(self::wholePercent($crop))),
        };

        return Fact::all(
            $most === null || $most->fault === null
                ? Fact::of('verdict.nothing-disturbs')
                : Fact::of(
                    $most->points <= self::HARDLY ? 'verdict.hardly-disturbs' : 'verdict.disturbs-most', fault: $most->fault->name(),
                    at: Quantity::moment($most->fault->worst), points: Quantity::points($most->points),
                ),
            $frame,
        );
    }

    /** @param  list<Loss>  $losses */
    private static function costs(array $losses): ?Fact
    {
        $most = self::costliest($losses);
        if ($most?->fault === null) {
            return $losses === [] ? null : Fact::of(
                'verdict.part-costs-most', part: Fact::of('petal.'.$losses[0]->petal->value), points: Quantity::points($losses[0]->points),
            );
        }

        return Fact::of(
            'verdict.fault-costs-most', fault: $most->fault->name(), at: Quantity::moment($most->fault->worst),
            points: Quantity::points($most->points),
        );
    }

    /**
     * The fault that cost most.
     *
     * @param  list<Loss>  $losses  the largest first
     */
    private static function costliest(array $losses): ?Loss
    {
        foreach ($losses as $loss) {
            if ($loss->fault !== null) {
                return $loss;
            }
        }

        return null;
    }

    /**
     * Whether it ends where it was meant to: a move cut short is not offered as a whole.
     *
     * @param  list<Fault>  $faults
     */
    private static function isWhole(array $faults): bool
    {
        return array_filter($faults, static fn (Fault $fault): bool => $fault->kind->missesThePlan()) === [];
    }

    /**
     * The worst of the faults that rule a take out.
     *
     * @param  list<Fault>  $faults
     */
    private static function ruin(array $faults): ?Fault
    {
        $ruin = null;
        foreach ($faults as $fault) {
            $ruins = $fault->kind->ruins() && $fault->phase === 'hold' && $fault->severity >= self::RUINOUS;
            // Whatever is ruinous by itself, wherever it stands, can't be kept; what only misses the plan is told by the plan.
            $ruins = $ruins || ($fault->grade() === 'ruinous' && ! $fault->kind->missesThePlan());
            if ($ruins && $fault->severity > ($ruin->severity ?? 0)) {
                $ruin = $fault;
            }
        }

        return $ruin;
    }

    /** A crop in whole percent, rounded up: less would not hold the subject. As a share. */
    private static function wholePercent(?RescueCrop $crop): float
    {
        return max(1, min(100, ceil(100 * ($crop?->total() ?? 0.0) - 1e-6))) / 100;
    }
}
