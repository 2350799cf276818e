<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Camera\View;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\MovePlan;
use Larkspur\Rig\Ducted;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;
use Larkspur\Site\Beaufort;

/**
 * Everything that is checked about a plan before it is flown, each with the nearest change that mends it.
 *
 * Rates grow with the pace, and accelerations with its square or with pace over ease, so the nearest pace and the
 * nearest ease follow from the ratio of what is asked to what is allowed.
 */
final class Checks
{
    /** Shortest ease that reads as an ease, s (common practice, no published source). */
    public const EASE = 2.2;

    /** Shortest hold worth flying, and the one to aim for, s (common practice, no published source). */
    public const HOLD = 4.0;

    public const GOOD_HOLD = 10.0;

    /** Least time for a point to cross the frame, s: the seven-second rule of thumb of panning tables (from memory). */
    public const CROSSING = 7.0;

    /** Slower than this to cross, s, the picture stands. */
    public const STANDS = 120.0;

    private const ARC = 30.0;

    /** A lean of the horizon that is seen, deg (common practice, no published source). */
    private const LEAN = 0.5;

    /** Samples on either side over which a push is looked at. */
    private const SPAN = 10;

    /** More sky than this in the last picture is a mistake oftener than a wish (our judgement; common practice has a third). */
    private const SKY = 0.6;

    /** By how much a craft that overtakes is quicker at least, m/s: at less it hangs beside its subject (our judgement). */
    private const PASSING = 0.5;

    /** Least hold of the tilt of a reveal, s (our judgement). */
    private const TILT_HOLD = 2.8;

    /**
     * @param  list<FingerPart>  $presses
     * @return list<Finding> broken first, then notes, then what is fine
     */
    public static function all(Shot $shot, MovePlan $plan, ThumbSheet $sheet, array $presses): array
    {
        $mode = $shot->tune();
        $findings = [
            ...self::rates($shot, $plan, $sheet, $mode),
            ...self::efforts($plan, $sheet, $mode),
            self::tiltRange($shot, $plan), ...self::level($shot, $plan),
            self::comfort($shot, $plan, $presses, $mode),
            ...self::hasNoHold($plan) ? [] : [self::crossing($shot, $plan), self::phases($plan), ...self::tiltHold($plan)],
            ...self::overtakes($plan), ...self::endsInSky($shot, $plan),
            ...SiteChecks::all($shot, $plan),
            self::wind($shot, $plan, $mode),
            self::battery($shot, $plan),
        ];
        $order = [Finding::BROKEN => 0, Finding::NOTE => 1, Finding::OK => 2];
        usort($findings, static fn (Finding $a, Finding $b): int => $order[$a->state] <=> $order[$b->state]);

        return $findings;
    }

    /**
     * Whether the plan lies where the sheet is known to fly true: inside every limit, eased, held and slow enough.
     *
     * @param  list<Finding>  $findings
     */
    public static function feasible(MovePlan $plan, Shot $shot, array $findings): bool
    {
        foreach ($findings as $finding) {
            if ($finding->state === Finding::BROKEN) {
                return false;
            }
        }
        $ease = $plan->holdFrom - $plan->onset;
        $arc = $plan->intent->number('arc_deg');
        if (self::hasNoHold($plan)) {
            return true;
        }

        return self::tiltHeld($plan) >= self::tiltHoldWanted($plan)
            && $ease >= self::EASE - 1e-9
            && $plan->holdTo - $plan->holdFrom >= self::HOLD - 1e-9
            && self::crossingSeconds($shot, $plan) >= self::CROSSING - 1e-9 && ($arc === null || $arc >= self::ARC);
    }

    /** A figure is flown for the thumbs, and a locked frame does not move: neither has one hold between two eases. */
    public static function hasNoHold(MovePlan $plan): bool
    {
        return Catalogue::move($plan->intent->move)->judging($plan->intent)->primary() === null;
    }

    /** Least time in which a far point crosses the frame, by the turn of the picture or by its tilt, s. */
    public static function crossingSeconds(Shot $shot, MovePlan $plan): float
    {
        $lens = $shot->intent->lens;
        $tilt = $plan->flight->tilt;
        $fastest = 0.0;
        for ($i = 5, $n = count($tilt); $i < $n; $i += 5) {
            $fastest = max($fastest, abs($tilt[$i] - $tilt[$i - 5]) / (5 * MovePlan::STEP));
        }

        return min($plan->pan > 0 ? $lens->horizontal / $plan->pan : INF, $fastest > 1e-4 ? $lens->vertical() / $fastest : INF);
    }

    /** @return list<Finding> */
    private static function rates(Shot $shot, MovePlan $plan, ThumbSheet $sheet, ModeTune $mode): array
    {
        $findings = [];
        $worst = null;
        foreach (Finger::cases() as $finger) {
            $peak = $sheet->peakAsked($finger);
            $limit = $mode->top($finger, $peak >= 0);
            [$value, $top, $unit] = $finger->rotates()
                ? [abs($peak) / Angle::DEGREE, $limit / Angle::DEGREE, 'deg/s']
                : [abs($peak), $limit, 'm/s'];
            $share = $top > 0 ? $value / $top : 0.0;
            if ($share > 1 + 1e-9) {
                $findings[] = new Finding(
                    'rate-'.$finger->value, Finding::BROKEN,
                    Fact::all(
                        Fact::of(
                            'checks.asks-mode-gives', finger: $finger->value, asked: $finger->rate(abs($peak)),
                            mode: Fact::of("mode.$mode->name"), top: $finger->rate($limit),
                        ),
                        self::orElse($shot->rig, $mode, $finger, $peak),
                    ),
                    $value, $top, $unit, ...self::slower($plan, 1 / $share),
                );
            } elseif ($value > 1e-3 && ($worst === null || $share > $worst[0])) {
                $worst = [$share, $finger, $value, $top, $unit];
            }
        }
        if ($findings === [] && $worst !== null) {
            [, $finger, $value, $top, $unit] = $worst;
            $findings[] = new Finding(
                'rates', Finding::OK,
                Fact::of('checks.asks-most', finger: $finger->value, asked: self::amount($value, $unit), top: self::amount($top, $unit)),
                $value, $top, $unit,
            );
        }

        return $findings;
    }

    /** What else than a slower flight would mend a rate: another mode of this craft, or a higher limit where the craft's gimbal has one. */
    private static function orElse(Rig $rig, ModeTune $mode, Finger $finger, float $peak): ?Fact
    {
        foreach (Rig::MODES as $name) {
            if ($name !== $mode->name && $rig->mode($name)->top($finger, $peak >= 0) >= abs($peak)) {
                return Fact::of('checks.mode-gives', mode: Fact::of("mode.$name"));
            }
        }

        return $finger === Finger::Tilt ? Fact::of(
            'checks.would-tilt-limit', limit: Quantity::degreesPerSecond(ceil(abs($peak) / Angle::DEGREE)),
        ) : null;
    }

    /** A limit as the rigs write it: m/s, m/s2, deg/s or deg/s2. */
    private static function amount(float $value, string $unit): Quantity
    {
        return match ($unit) {
            'm/s' => Quantity::metresPerSecond($value),
            'm/s2' => Quantity::metresPerSecond2($value),
            'deg/s' => Quantity::degreesPerSecond($value),
            default => Quantity::radiansPerSecond2($value * Angle::DEGREE),
        };
    }

    /** @return list<Finding> */
    private static function efforts(MovePlan $plan, ThumbSheet $sheet, ModeTune $mode): array
    {
        $limits = [
            'accelerate' => [$mode->accelerate, 'm/s2', 1.0], 'brake' => [$mode->brake, 'm/s2', 1.0],
            'climb' => [$mode->climbAccelerate, 'm/s2', 1.0], 'turn' => [$mode->turnAccelerate, 'deg/s2', Angle::DEGREE],
        ];
        $findings = [];
        foreach ($limits as $kind => [$limit, $unit, $scale]) {
            $asked = $sheet->effort[$kind]['peak'];
            if ($asked <= $limit * (1 + 1e-9)) {
                continue;
            }
            // On a circle the pull toward the middle grows with the square of the pace, at the ends with pace over ease.
            $ease = $plan->holdFrom - $plan->onset;
            $longer = round($ease * $asked / $limit + 0.05, 1);
            $inHold = $sheet->effort[$kind]['at'] > $plan->holdFrom && $sheet->effort[$kind]['at'] < $plan->holdTo;
            $findings[] = new Finding(
                'effort-'.$kind, Finding::BROKEN,
                Fact::of(
                    "checks.effort-$kind", asked: self::amount($asked / $scale, $unit), mode: Fact::of("mode.$mode->name"),
                    top: self::amount($limit / $scale, $unit),
                ),
                $asked / $scale, $limit / $scale, $unit,
                ...($inHold ? self::slower($plan, sqrt($limit / $asked)) : [
                    Fact::of('checks.ease-over', longer: Quantity::seconds($longer)), ['ease_s' => $longer],
                ]),
            );
        }

        return $findings;
    }

    private static function tiltRange(Shot $shot, MovePlan $plan): Finding
    {
        $low = Statistics::least($plan->flight->tilt) / Angle::DEGREE;
        $high = Statistics::greatest($plan->flight->tilt) / Angle::DEGREE;
        $least = $shot->rig->tiltLow / Angle::DEGREE;
        $most = $shot->rig->highestTilt() / Angle::DEGREE;
        if ($low < $least - 1e-6) {
            return new Finding(
                'tilt-range', Finding::BROKEN,
                Fact::of('checks.lens-would-look-down', low: Quantity::degrees($low), least: Quantity::degrees($least)), $low, $least,
                'deg', Fact::of('checks.fly-lower-farther-out'), self::heightFor($plan, $least + 1),
            );
        }
        if ($high > $most + 1e-6) {
            return new Finding(
                'tilt-range', Finding::BROKEN,
                Fact::of('checks.lens-would-look-up', high: Quantity::degrees($high), most: Quantity::degrees($most)), $high, $most, 'deg',
                // Where the gimbal could and is not let, the switch is the mend.
                Fact::of($high <= $shot->rig->tiltHigh / Angle::DEGREE ? 'checks.let-gimbal-look-up' : 'checks.fly-higher-farther-out'),
                self::heightFor($plan, $most - 1),
            );
        }

        return new Finding(
            'tilt-range', Finding::OK, Fact::of('checks.tilt-well-within-gimbal', low: Quantity::degrees($low)), $low, $least, 'deg',
        );
    }

    /**
     * A gimbal that rolls with the craft leans the horizon wherever the craft is pushed across the picture: to gain a across the lens
     * it has to lean by atan(a / g) that way (elementary mechanics). What it gains along the lens pitches it, which the tilt takes out:
     * an orbit that looks at its middle rolls where it sets out and stops, and not in its round. What the air takes is not known and
     * not in it.
     *
     * @return list<Finding>
     */
    private static function level(Shot $shot, MovePlan $plan): array
    {
        if ($shot->rig->gimbal?->free !== true) {
            return [];
        }
        $flight = $plan->flight;
        $most = 0.0;
        for ($i = self::SPAN; $i < $flight->count() - self::SPAN; $i++) {
            $step = $flight->t[$i] - $flight->t[$i - self::SPAN];
            $before = $flight->position($i - self::SPAN)->minus($flight->position($i));
            $after = $flight->position($i + self::SPAN)->minus($flight->position($i));
            [$east, $north] = [($before->east + $after->east) / $step ** 2, ($before->north + $after->north) / $step ** 2];
            $across = $east * cos($flight->heading[$i]) - $north * sin($flight->heading[$i]);
            $most = max($most, atan(abs($across) / Ducted::GRAVITY));
        }
        $degrees = $most / Angle::DEGREE;

        return $degrees < self::LEAN ? [] : [new Finding(
            'level', Finding::NOTE, Fact::of('checks.free-gimbal-leans', lean: Quantity::degrees($degrees)), $degrees, self::LEAN, 'deg',
            Fact::of('checks.let-gimbal-follow'),
        )];
    }

    /**
     * The height from which the subject is seen under a given tilt.
     *
     * @return array<string, float>
     */
    private static function heightFor(MovePlan $plan, float $tiltDegrees): array
    {
        $radius = $plan->intent->number('radius_m');
        if ($radius === null || $plan->subject === null) {
            return [];
        }

        return ['height_m' => max(
            0.5, round($plan->subject->first()->up - $plan->ground - $radius * tan($tiltDegrees * Angle::DEGREE), 1),
        )];
    }

    /** @param  list<FingerPart>  $presses */
    private static function comfort(Shot $shot, MovePlan $plan, array $presses, ModeTune $mode): Finding
    {
        $low = $high = [];
        foreach ($presses as $press) {
            if ($press->rests() || $press->isTouch()) {
                continue;
            }
            $size = abs($press->hold);
            // As it is said: in whole percents of the travel.
            $size = round($size, 2);
            if ($size < $shot->comfort->least) {
                $low[] = $press;
            } elseif ($size > $shot->comfort->most) {
                $high[] = $press;
            }
        }
        $percent = static fn (FingerPart $press): Fact => Fact::of(
            'checks.at', finger: $press->finger->value, hold: Quantity::share(abs($press->hold)),
        );
        $band = Fact::of('checks.to', least: Quantity::percent(100 * $shot->comfort->least), most: Quantity::share($shot->comfort->most));
        if ($high !== []) {
            usort($high, static fn (FingerPart $a, FingerPart $b): int => abs($b->hold) <=> abs($a->hold));
            $share = $mode->curve($high[0]->finger)->output($shot->comfort->most) / max(
                1e-6, $mode->curve($high[0]->finger)->output(abs($high[0]->hold)),
            );

            return new Finding(
                'comfort', Finding::NOTE, Fact::of('checks.travel-beyond-comfortable', fingers: array_map($percent, $high), band: $band),
                abs($high[0]->hold), $shot->comfort->most, 'travel', ...self::slower($plan, $share),
            );
        }
        if ($low !== []) {
            return new Finding(
                'comfort', Finding::NOTE,
                Fact::of('checks.travel-below-comfortable-slower', fingers: array_map($percent, $low), band: $band), abs($low[0]->hold),
                $shot->comfort->least, 'travel',
            );
        }

        return new Finding('comfort', Finding::OK, Fact::of('checks.every-finger-holds-does', band: $band));
    }

    private static function crossing(Shot $shot, MovePlan $plan): Finding
    {
        $seconds = self::crossingSeconds($shot, $plan);
        if ($seconds < self::CROSSING - 1e-6) {
            return new Finding(
                'crossing', Finding::NOTE,
                Fact::of(
                    'checks.background-crosses-frame-more', seconds: Quantity::seconds($seconds),
                    crossing: Quantity::seconds(self::CROSSING),
                ),
                $seconds, self::CROSSING, 's', ...self::slower($plan, $seconds / self::CROSSING),
            );
        }

        // So slowly that nobody would call it a pan: there is no time to tell.
        return $seconds > self::STANDS
            ? new Finding('crossing', Finding::OK, Fact::of('checks.picture-does-not-pan'))
            : new Finding(
                'crossing', Finding::OK, Fact::of('checks.background-crosses-frame', seconds: Quantity::seconds($seconds)),
                $seconds, self::CROSSING, 's',
            );
    }

    /** @return list<Finding> what passes a moving subject from behind has to be quicker than it */
    private static function overtakes(MovePlan $plan): array
    {
        $pace = $plan->intent->number('pace_mps');
        if ($pace === null || $plan->subject === null || ! in_array($plan->intent->move, ['overtake', 'top-down-overtake'], true)) {
            return [];
        }
        $half = ($plan->holdFrom + $plan->holdTo) / 2;
        $subject = $plan->subject->at($half + 0.5)->minus($plan->subject->at($half - 0.5))->ground();
        if ($pace - $subject >= self::PASSING) {
            return [];
        }
        $wanted = ceil(10 * ($subject + self::PASSING) - 1e-6) / 10;

        return [new Finding(
            'overtakes', Finding::BROKEN,
            Fact::of('checks.does-not-overtake', pace: Quantity::metresPerSecond($pace), subject: Quantity::metresPerSecond($subject)),
            $pace, $wanted, 'm/s', Fact::of('checks.fly-at-least', pace: Quantity::metresPerSecond($wanted)), ['pace_mps' => $wanted],
        )];
    }

    /**
     * What the last picture has lost: a shot that ends in the sky, or a combination whose subject is out of the frame in the end.
     *
     * @return list<Finding>
     */
    private static function endsInSky(Shot $shot, MovePlan $plan): array
    {
        $view = static fn (float $t): View => new View(
            $plan->at($t), $plan->flight->heading[$plan->flight->indexAt($t)], $plan->flight->tilt[$plan->flight->indexAt($t)],
            $shot->intent->lens,
        );
        $sky = static fn (float $t): float => max(0.0, min(1.0, 0.5 - $view($t)->horizon()));
        $findings = [];
        if ($sky($plan->stop) > self::SKY && $sky($plan->stop) > $sky($plan->onset) + 0.1) {
            $findings[] = new Finding(
                'ends-in-sky', Finding::NOTE, Fact::of('checks.ends-in-sky', share: Quantity::share($sky($plan->stop))), $sky($plan->stop),
                self::SKY, 'share', ...self::lowerEnd($plan),
            );
        }
        $seen = static fn (float $t): bool => $plan->subject !== null && $view($t)->project($plan->subject->at($t))?->isInside() === true;
        if ($plan->parts !== [] && $plan->subject !== null && $seen($plan->onset) && ! $seen($plan->stop)) {
            $findings[] = new Finding('loses-subject', Finding::NOTE, Fact::of('checks.loses-its-subject'));
        }

        return $findings;
    }

    /** @return array{?Fact, array<string, float>} a last tilt that puts the horizon on the upper third, where the move has one */
    private static function lowerEnd(MovePlan $plan): array
    {
        if ($plan->intent->number('tilt_end_deg') === null) {
            return [null, []];
        }
        $tilt = round($plan->intent->lens->horizonOnThird() / Angle::DEGREE, 1);

        return [Fact::of('checks.end-lower', tilt: Quantity::degrees($tilt)), ['tilt_end_deg' => $tilt]];
    }

    private static function phases(MovePlan $plan): Finding
    {
        $ease = $plan->holdFrom - $plan->onset;
        $hold = $plan->holdTo - $plan->holdFrom;
        $wanted = $plan->intent->number('ease_s') ?? $ease;
        if ($ease < $wanted - 0.05) {
            return new Finding(
                'phases', Finding::BROKEN, Fact::of('checks.move-over-before-pace'), $hold, self::HOLD, 's',
                ...self::longer($plan, ($wanted + self::HOLD) / max(0.1, $ease + $hold)),
            );
        }
        if ($ease < self::EASE - 1e-6) {
            return new Finding(
                'phases', Finding::NOTE, Fact::of('checks.ease-reads-jerk', ease: Quantity::seconds($ease)), $ease, self::EASE, 's',
                Fact::of('checks.ease-over-2', ease: Quantity::seconds(self::EASE)), ['ease_s' => self::EASE],
            );
        }
        if ($hold < self::HOLD - 1e-6) {
            return new Finding(
                'phases', Finding::NOTE,
                Fact::of('checks.hold-lasts-only-editor', hold: Quantity::seconds($hold), needed: Quantity::seconds(self::HOLD)), $hold,
                self::HOLD, 's', ...self::longer($plan, ($ease + self::HOLD) / ($ease + $hold)),
            );
        }

        return new Finding(
            'phases', Finding::OK,
            Fact::of(
                $hold >= self::GOOD_HOLD ? 'checks.eases-long-hold' : 'checks.eases-hold', ease: Quantity::seconds($ease),
                hold: Quantity::seconds($hold),
            ),
            $hold, self::HOLD, 's',
        );
    }

    /**
     * Whether the tilt of a reveal has a hold of its own between its swell and its fade.
     *
     * @return list<Finding>
     */
    private static function tiltHold(MovePlan $plan): array
    {
        $held = self::tiltHeld($plan);
        $wanted = self::tiltHoldWanted($plan);
        if ($held >= $wanted) {
            return [];
        }
        $sooner = round(max(0.0, ($plan->intent->number('tilt_after_s') ?? 0.0) - ($wanted - $held) - 0.5), 1);

        return [new Finding(
            'tilt-hold', Finding::NOTE, Fact::of('checks.wheel-swells-fades-only', held: Quantity::seconds($held)), $held, $wanted, 's',
            Fact::of('checks.start-tilt-sooner-ease'), ['tilt_after_s' => $sooner],
        )];
    }

    /** Least hold of the tilt beside its eases, s: nearly as long as one of them. */
    private static function tiltHoldWanted(MovePlan $plan): float
    {
        return max(self::TILT_HOLD, 0.95 * ($plan->holdFrom - $plan->onset));
    }

    /** Seconds in which the tilt of a reveal keeps its rate; INF for other moves. */
    private static function tiltHeld(MovePlan $plan): float
    {
        if (Catalogue::move($plan->intent->move)->judging($plan->intent)->framed !== Framed::Reveal) {
            return INF;
        }
        $tilt = $plan->flight->tilt;
        $rates = [];
        for ($i = 5, $n = count($tilt); $i < $n; $i += 5) {
            $rates[] = abs($tilt[$i] - $tilt[$i - 5]);
        }
        $most = Statistics::greatest($rates);

        return 5 * MovePlan::STEP * count(array_filter($rates, static fn (float $rate): bool => $rate > 0.995 * $most));
    }

    private static function wind(Shot $shot, MovePlan $plan, ModeTune $mode): Finding
    {
        $height = Statistics::greatest($plan->flight->up) - $plan->ground;
        $mean = $shot->wind->meanAt($height);
        $gust = $shot->wind->gustAt($height);
        $limit = $shot->rig->windLimit;
        if ($gust > $limit) {
            return new Finding(
                'wind', Finding::BROKEN,
                Fact::of(
                    'checks.gusts-height-craft-rated', gust: Quantity::metresPerSecond($gust), limit: Quantity::metresPerSecond($limit),
                ),
                $gust, $limit, 'm/s', Fact::of('checks.wait-fly-lower'),
            );
        }
        $pace = $plan->intent->number('pace_mps') ?? 0.0;
        $air = max($mode->run, $shot->rig->mode('fast')->run);
        if ($pace + $gust > $air) {
            return new Finding(
                'wind', Finding::BROKEN,
                Fact::of(
                    'checks.upwind-craft-would-need', gust: Quantity::metresPerSecond($pace + $gust), air: Quantity::metresPerSecond($air),
                ),
                $pace + $gust, $air, 'm/s', ...self::slower($plan, max(0.05, ($air - $gust) / max(0.1, $pace))),
            );
        }

        return $shot->wind->mean <= 0
            ? new Finding('wind', Finding::OK, Fact::of('checks.planned-still-air'))
            : new Finding(
                'wind', $gust > 0.7 * $limit ? Finding::NOTE : Finding::OK,
                Fact::of(
                    'checks.up-gusts-rated', wind: $shot->wind->indoors ? Fact::of('wind.draught') : Beaufort::words($shot->wind->mean),
                    mean: Quantity::metresPerSecond($mean), gust: Quantity::metresPerSecond($gust),
                    limit: Quantity::metresPerSecond($limit),
                ),
                $gust, $limit, 'm/s',
            );
    }

    private static function battery(Shot $shot, MovePlan $plan): Finding
    {
        $minutes = $plan->flight->duration() / 60;
        $share = $minutes / $shot->rig->batteryMinutes;

        return $share > 0.5
            ? new Finding(
                'battery', Finding::BROKEN,
                Fact::of(
                    'checks.one-pass-takes-battery', minutes: Quantity::minutes($minutes),
                    batteryMinutes: Quantity::minutes($shot->rig->batteryMinutes),
                ),
                $minutes, $shot->rig->batteryMinutes / 2, 'min', Fact::of('checks.fly-shorter-arc'),
            )
            : new Finding(
                'battery', Finding::OK,
                Fact::of(
                    'checks.one-pass-takes-battery-2', minutes: Quantity::seconds(60 * $minutes),
                    share: Quantity::percent(max(1, round(100 * $share))),
                ),
                $minutes, null, 'min',
            );
    }

    /**
     * What makes the move last that many times as long.
     *
     * @return array{Fact, array<string, float>}
     */
    private static function longer(MovePlan $plan, float $times): array
    {
        $longer = Catalogue::move($plan->intent->move)->longer($plan, $times);

        return isset($longer['arc_deg'])
            ? [Fact::of('checks.fly-slower', longer: Quantity::degrees($longer['arc_deg'])), $longer]
            : [self::atPace($longer), $longer];
    }

    /**
     * The mend of a plan that is too fast: its pace times a share.
     *
     * @return array{Fact, array<string, float>}
     */
    private static function slower(MovePlan $plan, float $share): array
    {
        $slower = Catalogue::move($plan->intent->move)->slower($plan, $share);

        return [self::atPace($slower), $slower];
    }

    /** @param  array<string, float>  $pace  the parameter that states it; several parts of a combination state several */
    private static function atPace(array $pace): Fact
    {
        if (count($pace) !== 1) {
            return Fact::of('checks.fly-slower-2');
        }
        $value = abs(array_values($pace)[0]);

        return Fact::of(
            'checks.fly-at',
            pace: str_ends_with(array_keys($pace)[0], '_dps') ? Quantity::degreesPerSecond($value) : Quantity::metresPerSecond($value),
        );
    }
}
