<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\Lens;
use Larkspur\Camera\RescueCrop;
use Larkspur\Controls\Axis;
use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Timing\RotationLead;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;
use Larkspur\Scoring\AsPlanned\Pass;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;

/**
 * Judges takes of a flight log against what they were meant to be (docs/scoring.md). A take is found once, as a window; everything after
 * that goes by the window: cut, laid out, measured, scored, told.
 */
final class Scorer
{
    /** A hole in a log that no figure and no hold goes on behind, s. */
    private const PAUSE = 60.0;

    /** Error of a satellite position outdoors, m, unless a log says better (common practice). */
    private const POSITION_ERROR = 1.5;

    /**
     * The takes in a log, each with the move it looks like.
     *
     * @return list<array{window: TakeWindow, recognition: Recognition}>
     */
    public static function takes(FlightLog $log, ?Intent $intent = null): array
    {
        $frame = self::frame($log, null);

        return array_map(static function (TakeWindow $window) use ($log, $frame): array {
            $grid = Grid::of(Samples::of($log->between($window->cutFrom, $window->cutTo), $frame));

            return ['window' => $window, 'recognition' => Recognition::of($grid, $window->from, $window->to)];
        }, TakeWindow::each(self::found($log, $frame, $intent), $log->from(), $log->to()));
    }

    /**
     * @param  ?int  $number  which take of the log, from 1; needed where there are several
     *
     * @throws Refusal where there is no take, or several and none was chosen
     */
    public static function score(
        FlightLog $log, ?Intent $intent = null, ?int $number = null, JudgingStyle $style = new JudgingStyle, ?Wind $wind = null,
    ): Score {
        return self::judge($log, self::choose(self::windows($log, $intent), $number), $intent, $style, $wind);
    }

    /**
     * Every take of a log by its number from 1: judged, or refused where one can't be. The log is searched once.
     *
     * @return \Generator<int, Score|Refusal>
     */
    public static function each(
        FlightLog $log, ?Intent $intent = null, JudgingStyle $style = new JudgingStyle, ?Wind $wind = null,
    ): \Generator {
        foreach (self::windows($log, $intent) as $index => $window) {
            try {
                $judged = self::judge($log, $window, $intent, $style, $wind);
            } catch (Refusal $refusal) {
                $judged = $refusal->at('take '.($index + 1));
            }
            yield $index + 1 => $judged;
        }
    }

    /** Judges a take that is known to lie between two times of a log of its own, s: a planned flight, or limits set by hand. */
    public static function scoreBetween(
        FlightLog $log, Intent $intent, float $from, float $to, JudgingStyle $style = new JudgingStyle,
    ): Score {
        return self::judge($log, TakeWindow::known($from, $to, $log->from(), $log->to()), $intent, $style);
    }

    /** Judges the take in a window of a log. */
    public static function judge(
        FlightLog $log, TakeWindow $window, ?Intent $intent, JudgingStyle $style = new JudgingStyle, ?Wind $wind = null,
    ): Score {
        $frame = self::frame($log, $intent);
        $lift = self::lift($intent);
        $plan = self::planned($intent, $frame);
        $cut = $log->between($window->cutFrom, $window->cutTo);
        $empty = EmptyColumns::of($cut, $plan);
        $cut = $cut->lacking($empty);
        $grid = Grid::of(Samples::of($cut, $frame, $lift));
        $assignment = TakeAssignment::of($intent, $cut, $grid, $frame, $window, $lift, $empty);
        $measured = self::measure($assignment, $cut, $grid, $frame, $window, $plan);
        $judged = $measured->judged();
        $parts = $judged->scores();
        $weights = $assignment->judging->weights;
        $faults = FaultKinds::findAll($measured);
        $points = Points::of($parts, $weights, $faults, $assignment->lacksFrame() ? $weights['framing'] : 0.0);
        $losses = Loss::all($parts, $weights, $faults, $points);
        $usable = UsableStretches::of($measured, $faults);
        [$crop, $trimmed] = self::crops($measured, $usable, $cut, $window);
        [$complete, $fitted] = $assignment->completed($measured, $frame);
        $match = $plan === null ? null : PlanMatch::of(
            $measured, $assignment, $plan, $style->tolerances, self::POSITION_ERROR,
        );

        return new Score(
            LogSummary::of($log), $window, $assignment, $complete, $fitted, $points, Facet::all($judged, $parts, $weights),
            self::costliestFirst(FaultKinds::worthSaying($faults), $losses), $faults, $usable, $crop,
            Verdict::of(
                $points->score, $faults, $losses, $measured->take->judging->hasSubject() ? $crop : null, $usable,
                $measured->take->judging->hasSubject() ? $trimmed : null, $style->cropBudget, $match, $assignment,
            ),
            WindReport::of($cut, $wind, WindShare::of($measured->take, $measured->sticks)), self::automatedShare($cut, $window),
            array_values(array_filter([...$assignment->remarks, $measured->doubt])), $measured, $parts, $frame, $cut, $match, $losses,
            Finish::of($measured), Thirds::of($measured->take->main, $usable),
        );
    }

    /**
     * @param  list<Fault>  $faults
     * @param  list<Loss>  $losses  the largest first
     * @return list<Fault>
     */
    private static function costliestFirst(array $faults, array $losses): array
    {
        $order = array_map(static fn (Loss $loss): ?Fault => $loss->fault, $losses);
        $place = static function (Fault $fault) use ($order): int {
            $found = array_search($fault, $order, true);

            return $found === false ? count($order) : $found;
        };
        usort($faults, static fn (Fault $a, Fault $b): int => $place($a) <=> $place($b));

        return $faults;
    }

    /** The plan that an intent states; null where it states nothing, or nothing that can be flown. */
    private static function planned(?Intent $intent, LocalFrame $frame): ?MovePlan
    {
        if ($intent === null || ($intent->parameters === [] && $intent->parts === [])) {
            return null;
        }
        try {
            return Catalogue::plan($intent, $frame, ModeTune::ordinary());
        } catch (Refusal) {
            return null;
        }
    }

    /** Lays the take out for measuring and measures it. */
    private static function measure(
        TakeAssignment $assignment, FlightLog $cut, Grid $grid, LocalFrame $frame, TakeWindow $window, ?MovePlan $plan,
    ): Measurements {
        $move = Catalogue::move($assignment->intent->move);
        $judging = $assignment->judging;
        $target = $move->wanted($assignment->intent);
        $take = Take::of(
            $grid, $judging, $assignment->intent->lens, $assignment->subject, $assignment->way, $target->viewing, $target->widening,
            [$window->from, $window->to],
        ) ?? throw new Refusal(
            $judging->path === PathKind::Circle
                ? Fact::of('take.goes-round-nothing')
                : Fact::of('take.moves-otherwise', move: $move->about()->name()),
            'take', Fact::of('take.that-fits-its-plan'),
        );
        $target = $target->withLead(RotationLead::seconds($take->held(Axis::Turn), $assignment->intent->lens));
        if ($plan !== null) {
            $planned = Pass::ofPlan($plan);
            $target = $target->going($planned->across(), $planned->shares());
        }
        $fingers = TrustedSticks::of(Sticks::of($cut), $take);
        $drill = $judging->path === PathKind::Figure
            ? DrillFigure::of($take, Catalogue::plan($assignment->intent, $frame, ModeTune::ordinary()), $fingers->sticks)
            : null;

        return Measurements::of(
            $take, $target, $fingers->sticks, $drill, $fingers->doubt, FrameEdge::of($take, $assignment->intent, $plan, $frame),
        );
    }

    /**
     * What a crop must take of the whole take, and of its longest clean stretch alone.
     *
     * @return array{RescueCrop, RescueCrop}
     */
    private static function crops(Measurements $measured, UsableStretches $usable, FlightLog $cut, TakeWindow $window): array
    {
        $aspect = $measured->take->lens->aspect;
        $crop = RescueCrop::ofStray($measured->framing->stray, self::roll($cut, $window->from, $window->to), $aspect);
        $stretch = $usable->stretches[0] ?? null;
        if ($stretch === null) {
            return [$crop, $crop];
        }
        $begin = $measured->take->grid->t[$measured->take->main->from];
        $node = static fn (float $t): int => (int) round(($t - $begin) / Grid::STEP);
        $stray = $measured->framing->strayWithin($node($stretch['from']), $node($stretch['to']));

        return [$crop, RescueCrop::ofStray($stray, self::roll($cut, $stretch['from'], $stretch['to']), $aspect)];
    }

    /** @return list<TakeWindow> */
    private static function windows(FlightLog $log, ?Intent $intent): array
    {
        $found = self::found($log, self::frame($log, $intent), $intent);

        return TakeWindow::each(self::meant($found, $log, $intent), $log->from(), $log->to());
    }

    /** @return list<array{float, float}> */
    private static function found(FlightLog $log, LocalFrame $frame, ?Intent $intent): array
    {
        return TakeFinder::each(
            $log, static fn (FlightLog $run): Samples => Samples::of($run, $frame, self::lift($intent)),
            ($intent->lens ?? Lens::assumed())->horizontal, $intent?->number('pace_mps'),
        );
    }

    /**
     * What the plan knows of the takes of a log: a figure of several legs is one take from its first to its last, and a move in
     * which nothing moves is the whole log, as far as it goes without a hole of a minute.
     *
     * @param  list<array{float, float}>  $found
     * @return list<array{float, float}>
     */
    private static function meant(array $found, FlightLog $log, ?Intent $intent): array
    {
        $judging = $intent === null ? null : Catalogue::move($intent->move)->judging($intent);
        if ($judging === null || $judging->primary() !== null) {
            return $found;
        }
        $rests = $judging->path === PathKind::Spot || Catalogue::move($intent->move)->about()->fingering->parts === [];

        $whole = $log->runs(self::PAUSE);
        usort($whole, static fn (array $a, array $b): int => $b['samples'] <=> $a['samples']);
        [$from, $to] = [$whole[0]['from'], $whole[0]['to']];
        $within = array_values(array_filter($found, static fn (array $take): bool => $take[0] >= $from && $take[1] <= $to));

        return $within === [] || $rests ? [[$from, $to]] : [[$within[0][0], $within[count($within) - 1][1]]];
    }

    /** @param  list<TakeWindow>  $windows */
    private static function choose(array $windows, ?int $number): TakeWindow
    {
        if ($windows === []) {
            throw new Refusal(Fact::of('take.none'), 'log', Fact::of('take.pass-wanted'));
        }
        if ($number !== null) {
            return $windows[$number - 1] ?? throw new Refusal(
                Fact::of('take.no-such', number: $number), 'take', Fact::of('take.number-wanted', count: count($windows)),
            );
        }
        if (count($windows) > 1) {
            $list = array_map(static fn (int $i, TakeWindow $window): Fact => Fact::of(
                'take.one-of', number: $i + 1, from: Quantity::moment($window->from), to: Quantity::moment($window->to),
            ), array_keys($windows), $windows);
            throw new Refusal(Fact::of('take.several', count: count($windows), list: $list), 'take', Fact::of('take.choice-wanted'));
        }

        return $windows[0];
    }

    /** Origin at the subject or the first sample, at height zero of the log's datum: positions stay small. */
    private static function frame(FlightLog $log, ?Intent $intent): LocalFrame
    {
        return new LocalFrame(new GeoPoint(
            $intent->subject->latitude ?? $log->column('lat')[0], $intent->subject->longitude ?? $log->column('lon')[0], 0.0,
        ));
    }

    /** Metres that are added to heights that count from take-off. */
    private static function lift(?Intent $intent): float
    {
        return $intent?->home === null ? 0.0 : $intent->home->altitude;
    }

    /** Share of the take that automation flew, 0 to 1; null where the log does not say. */
    private static function automatedShare(FlightLog $cut, TakeWindow $window): ?float
    {
        $all = $automated = 0;
        foreach ($cut->column('automated') as $i => $value) {
            $t = $cut->column('t')[$i];
            if ($t >= $window->from && $t <= $window->to && ! is_nan($value)) {
                $all++;
                $automated += $value > 0.5 ? 1 : 0;
            }
        }

        return $all === 0 ? null : $automated / $all;
    }

    /** Largest steady lean of the horizon between two times, rad; null where the log has no roll. */
    private static function roll(FlightLog $log, float $from, float $to): ?float
    {
        $rolls = [];
        foreach ($log->column('gimbal_roll_deg') as $i => $roll) {
            $t = $log->column('t')[$i];
            if (! is_nan($roll) && $t >= $from && $t <= $to) {
                $rolls[] = abs($roll);
            }
        }

        return $rolls === [] ? null : Statistics::percentile($rolls, 95) * Angle::DEGREE;
    }
}
