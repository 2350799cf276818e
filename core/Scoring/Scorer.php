<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\Lens;
use Larkspur\Camera\RescueCrop;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\CircleFit;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Axis;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Lead;
use Larkspur\Move\PathKind;
use Larkspur\Move\Stance;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;

/** Judges a take of a flight log against what it was meant to be (docs/scoring.md). */
final class Scorer
{
    /** Share of the picture that a delivery at source size can spare. */
    public const CROP_BUDGET = 0.15;

    /** Least arc on which a circle is fitted through a noisy log, degrees, and the noise from which that matters, m. */
    private const LEAST_ARC = 45.0;

    private const ARC_NOISE = 0.3;

    /**
     * The takes in a log, each with its limits and the move it looks like.
     *
     * @return list<array{from: float, to: float, recognition: Recognition}>
     */
    public static function takes(FlightLog $log, ?Intent $intent = null): array
    {
        $frame = self::frame($log, null);
        $samples = Samples::of($log, $frame);
        $found = TakeFinder::find($samples, hfov: ($intent->lens ?? Lens::assumed())->horizontal / Angle::DEGREE, pace: $intent?->number('pace_mps'));
        $takes = [];
        foreach ($found as $i => [$from, $to]) {
            $cut = TakeFinder::cut($found, $i, $log->from(), $log->to());
            $grid = Grid::of(Samples::of($log->between(...$cut), $frame));
            $takes[] = ['from' => $from, 'to' => $to, 'recognition' => Recognition::of($grid, $from, $to)];
        }

        return $takes;
    }

    /**
     * @param  ?int  $number  which take of the log, from 1; needed where there are several
     * @param  float  $cropBudget  share of the picture that the delivery can spare
     *
     * @throws Refusal where there is no take, or several and none was chosen
     */
    public static function score(FlightLog $log, ?Intent $intent = null, ?int $number = null, float $cropBudget = self::CROP_BUDGET, ?Wind $wind = null): Score
    {
        [$found, $frame, $lift] = self::found($log, $intent);

        return self::judgeFound($log, $found, self::choose($found, $number), self::about($log), $frame, $lift, $intent, $cropBudget, $wind);
    }

    /**
     * Every take of a log by its number from 1: judged, or refused where one can't be. The log is searched once.
     *
     * @return \Generator<int, Score|Refusal>
     */
    public static function each(FlightLog $log, ?Intent $intent = null, float $cropBudget = self::CROP_BUDGET, ?Wind $wind = null): \Generator
    {
        [$found, $frame, $lift] = self::found($log, $intent);
        $about = self::about($log);
        foreach (array_keys($found) as $index) {
            try {
                $judged = self::judgeFound($log, $found, $index, $about, $frame, $lift, $intent, $cropBudget, $wind);
            } catch (Refusal $refusal) {
                $judged = $refusal->at('take '.($index + 1));
            }
            yield $index + 1 => $judged;
        }
    }

    /** @return array{list<array{float, float}>, LocalFrame, float} takes, the frame they are judged in, and what heights are lifted by */
    private static function found(FlightLog $log, ?Intent $intent): array
    {
        $frame = self::frame($log, $intent);
        $lens = $intent->lens ?? Lens::assumed();
        $lift = $intent?->home === null ? 0.0 : $intent->home->altitude;

        $found = TakeFinder::find(Samples::of($log, $frame, $lift), hfov: $lens->horizontal / Angle::DEGREE, pace: $intent?->number('pace_mps'));

        return [self::meant($found, $log, $intent), $frame, $lift];
    }

    /**
     * What the plan knows of the takes of a log: a figure of several legs is one take from its first to its last, and a move in
     * which nothing moves is the whole log.
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

        return $found === [] || $rests ? [[$log->from(), $log->to()]] : [[$found[0][0], $found[count($found) - 1][1]]];
    }

    /** @return array{samples: int, rate_hz: float, duration_s: float, sha256: string} */
    private static function about(FlightLog $log): array
    {
        return ['samples' => $log->count(), 'rate_hz' => round($log->rate(), 2), 'duration_s' => round($log->to() - $log->from(), 2), 'sha256' => $log->sha256];
    }

    /**
     * @param  list<array{float, float}>  $found
     * @param  array{samples: int, rate_hz: float, duration_s: float, sha256: string}  $about
     */
    private static function judgeFound(FlightLog $log, array $found, int $index, array $about, LocalFrame $frame, float $lift, ?Intent $intent, float $cropBudget, ?Wind $wind): Score
    {
        $cut = $log->between(...TakeFinder::cut($found, $index, $log->from(), $log->to()));

        return self::judge($about, $cut, $frame, $lift, $found[$index][0], $found[$index][1], $intent, $cropBudget, $wind);
    }

    /** Judges a log whose take is known to lie between two times, s: a planned flight, or limits set by hand. */
    public static function scoreBetween(FlightLog $log, Intent $intent, float $from, float $to, float $cropBudget = self::CROP_BUDGET): Score
    {
        $lift = $intent->home === null ? 0.0 : $intent->home->altitude;

        return self::judge(self::about($log), $log, self::frame($log, $intent), $lift, $from, $to, $intent, $cropBudget, null);
    }

    /** @param  array{samples: int, rate_hz: float, duration_s: float, sha256: string}  $about  the whole log */
    private static function judge(array $about, FlightLog $cut, LocalFrame $frame, float $lift, float $from, float $to, ?Intent $intent, float $cropBudget, ?Wind $wind): Score
    {
        $grid = Grid::of(Samples::of($cut, $frame, $lift));
        $remarks = [];
        $confidence = 1.0;
        $given = $intent !== null;
        if ($intent === null) {
            $recognition = Recognition::of($grid, $from, $to);
            $intent = self::recognised($recognition, $from, $to);
            $confidence = $recognition->confidence;
            $remarks[] = 'No plan was given, so the take is judged against the move it looks like.';
        }
        if ($lift !== 0.0) {
            $remarks[] = sprintf('Heights in the log count from take-off; %.1f m were added.', $lift);
        }
        if ($intent->lens->assumed) {
            $remarks[] = 'No camera was stated: 70 degrees and 16:9 are assumed.';
        }
        $move = Catalogue::move($intent->move);
        $judging = $move->judging($intent)->without($cut->unknownAxes());
        foreach ($cut->lacks as $column) {
            $remarks[] = $column === 'gimbal_tilt_deg' ? 'The log does not say where the lens looked: tilt and frame are not judged.' : 'The log has no heading: turn and frame are not judged.';
        }
        $subject = self::subjectOf($intent, $cut, $frame);
        $round = $judging->path === PathKind::Circle;
        if ($subject === null && $round) {
            $subject = MovingPoint::still(self::fittedCentre($grid, $from, $to));
            $remarks[] = 'No subject was given: the middle of the circle that was flown serves.';
        }
        if ($subject === null && $judging->hasSubject()) {
            $remarks[] = $judging->path === PathKind::Beside
                ? 'Nobody says where its subject was when, so this is judged as a straight way, and where the picture keeps it is not judged.'
                : 'No subject was given, so where the picture keeps it is not judged.';
            $judging = $judging->withoutSubject();
        }
        $flownWay = $round && $subject !== null ? self::way($grid, $subject->first(), $from, $to) : 1.0;
        $way = ! $round ? 1.0 : match ($intent->choice('direction')) {
            Stance::CLOCKWISE => 1.0,
            Stance::COUNTERCLOCKWISE => -1.0,
            default => $flownWay,
        };
        $wanted = $move->wanted($intent);
        $take = Take::of($grid, $judging, $intent->lens, $subject, $way, $wanted->viewing, $wanted->widening, [$from, $to])
            ?? throw new Refusal($round ? 'Nothing in this take goes round the subject.' : sprintf('Nothing in this take moves as “%s” does.', $move->about()->name), 'take', 'a take that fits its plan');
        $wanted = $wanted->withLead(Lead::seconds($take->held(Axis::Turn) * Angle::DEGREE, $intent->lens));
        $sticks = Sticks::of($cut);
        $figure = $judging->path === PathKind::Figure ? FigureMeasure::of($take, Catalogue::plan($intent, $frame, ModeTune::ordinary()), $sticks) : null;
        $measured = Measured::of($take, $wanted, $sticks, $figure);
        $parts = Parts::of($measured);
        $faults = FaultFinder::find($measured, $wanted, $sticks);
        if ($flownWay !== $way) {
            $faults[] = new Fault('wrong-way', 'travel', $grid->t[$take->main->from], $grid->t[$take->main->to], 2.5, 'hold', 100, '%', 'The picture turns the other way from the one that was planned.');
        }

        $raw = array_sum(array_map(static fn (Fault $fault): float => $fault->deduction(), $faults));
        $deduction = 25 * (1 - exp(-$raw / 25));
        [$overall, $spread] = $parts->overall($judging->weights);
        $score = max(0.0, $overall - $deduction);

        $usable = UsableStretches::of($measured, $faults);
        $crop = RescueCrop::ofStray($measured->framing->stray, self::roll($cut, $from, $to), $intent->lens->aspect);
        $stretch = $usable->stretches[0] ?? null;
        $trimmed = $stretch === null ? $crop : RescueCrop::ofStray(
            $measured->framing->strayWithin((int) round(($stretch['from'] - $grid->t[$take->main->from]) / Grid::STEP), (int) round(($stretch['to'] - $grid->t[$take->main->from]) / Grid::STEP)),
            self::roll($cut, $stretch['from'], $stretch['to']), $intent->lens->aspect,
        );
        [$complete, $fitted] = self::complete($intent, $judging->path, $measured, $flownWay, $frame, $subject?->first());
        $t = $grid->t;

        return new Score(
            $complete, $fitted, $given, $confidence, $score, $deduction,
            self::uncertainty($spread, $faults), Facet::all($measured, $parts), FaultFinder::worthShowing($faults), $faults, $usable, $crop,
            Verdict::of($score, $faults, $crop, $usable, $trimmed, $cropBudget), $remarks, $cut,
            $about,
            [
                'from_s' => round($from, 1), 'to_s' => round($to, 1),
                'hold_from_s' => round($t[$take->main->holdFrom], 1), 'hold_to_s' => round($t[$take->main->holdTo], 1),
            ],
            $measured, $parts, $frame,
            self::columnMean($cut, 'wind_mps') ?? ($wind !== null && $wind->mean > 0 ? $wind->mean : null), $wind !== null && $wind->mean > 0 ? $wind->gust : null,
            WindShare::of($take, $sticks),
            self::automatedShare($cut, $from, $to),
        );
    }

    /**
     * The subject of an intent, or the one that the log itself tracked; null where there is none, and where something that
     * moves was followed of which nobody says when it was where.
     */
    private static function subjectOf(Intent $intent, FlightLog $cut, LocalFrame $frame): ?MovingPoint
    {
        $filmed = $intent->filmed($frame);
        if ($filmed !== null && $filmed->moves()) {
            return $filmed;
        }
        if (Catalogue::move($intent->move)->about()->group === Group::Follow) {
            $filmed = null;
        }
        if (! $cut->has('subject_lat') || ! $cut->has('subject_lon')) {
            return $filmed;
        }
        $t = $places = [];
        foreach ($cut->column('subject_lat') as $i => $latitude) {
            $longitude = $cut->column('subject_lon')[$i];
            if (! is_nan($latitude) && ! is_nan($longitude)) {
                $altitude = $cut->column('subject_alt_m')[$i] ?? NAN;
                $t[] = $cut->column('t')[$i];
                $places[] = $frame->position(new GeoPoint($latitude, $longitude, is_nan($altitude) ? ($intent->subject->altitude ?? 0.0) : $altitude));
            }
        }

        return $t === [] || $places === [] ? $filmed : MovingPoint::track($t, $places);
    }

    /** Share of the take that automation flew, 0 to 1; null where the log does not say. */
    private static function automatedShare(FlightLog $cut, float $from, float $to): ?float
    {
        $all = $automated = 0;
        foreach ($cut->column('automated') as $i => $value) {
            $t = $cut->column('t')[$i];
            if ($t >= $from && $t <= $to && ! is_nan($value)) {
                $all++;
                $automated += $value > 0.5 ? 1 : 0;
            }
        }

        return $all === 0 ? null : $automated / $all;
    }

    /** Origin at the subject or the first sample, at height zero of the log's datum: positions stay small. */
    private static function frame(FlightLog $log, ?Intent $intent): LocalFrame
    {
        return new LocalFrame(new GeoPoint(
            $intent->subject->latitude ?? $log->column('lat')[0],
            $intent->subject->longitude ?? $log->column('lon')[0],
            0.0,
        ));
    }

    /** @param  list<array{float, float}>  $found */
    private static function choose(array $found, ?int $number): int
    {
        if ($found === []) {
            throw new Refusal('Nothing in this log moves the picture for three seconds, so there is no take in it.', 'log', 'a log of at least one pass');
        }
        if ($number !== null) {
            return isset($found[$number - 1]) ? $number - 1 : throw new Refusal(sprintf('There is no take %d.', $number), 'take', 'a number from 1 to '.count($found));
        }
        if (count($found) > 1) {
            $list = [];
            foreach ($found as $i => [$from, $to]) {
                $list[] = sprintf('take %d from %s to %s', $i + 1, Verdict::clock($from), Verdict::clock($to));
            }
            throw new Refusal(sprintf('There are %d takes in this log: %s.', count($found), implode(', ', $list)), 'take', 'one of them to be chosen');
        }

        return 0;
    }

    private static function recognised(Recognition $recognition, float $from, float $to): Intent
    {
        [$first, $second] = array_keys($recognition->likelihoods);
        if ($recognition->confidence < Recognition::SURE) {
            throw new MoveUnsure(
                sprintf('Which move this was can’t be told from the log alone; it looks most like %s, then %s.', $first, $second),
                'move', 'an intent that names the move', [$first, $second], $from, $to,
            );
        }

        return new Intent($recognition->move, null, null, 0.5, 0.5, Lens::assumed(), null, []);
    }

    /** The middle of the circle flown, at the height on which the lens was trained. */
    private static function fittedCentre(Grid $grid, float $from, float $to): Position
    {
        $x = $y = $z = $tilt = [];
        foreach ($grid->t as $i => $t) {
            if ($t >= $from && $t <= $to) {
                $x[] = $grid->x->value[$i];
                $y[] = $grid->y->value[$i];
                $z[] = $grid->z->value[$i];
                $tilt[] = $grid->tilt->value[$i];
            }
        }
        $circle = CircleFit::taubin($x, $y);
        $expected = 'the subject’s position in the intent';
        if ($circle === null || $circle->radius > 2000) {
            throw new Refusal('The path is straight, so no middle can be found.', 'subject', $expected);
        }
        $bearings = Angle::unwrap(array_map(static fn (float $east, float $north): float => atan2($east - $circle->x, $north - $circle->y), $x, $y));
        $arc = Statistics::span($bearings) / Angle::DEGREE;
        if ($arc < self::LEAST_ARC && $grid->x->sigma > self::ARC_NOISE) {
            throw new Refusal(sprintf('An arc of %.0f degrees in so noisy a log does not tell where its middle is.', $arc), 'subject', $expected);
        }

        return new Position($circle->x, $circle->y, Statistics::median($z) + $circle->radius * tan(Statistics::median($tilt) * Angle::DEGREE));
    }

    /** +1 where the craft went round clockwise, seen from above. */
    private static function way(Grid $grid, Position $subject, float $from, float $to): float
    {
        $bearings = [];
        foreach ($grid->t as $i => $t) {
            if ($t >= $from && $t <= $to) {
                $bearings[] = atan2($grid->x->value[$i] - $subject->east, $grid->y->value[$i] - $subject->north);
            }
        }
        $bearings = Angle::unwrap($bearings);

        return $bearings !== [] && $bearings[count($bearings) - 1] < $bearings[0] ? -1.0 : 1.0;
    }

    /** Largest steady lean of the horizon during the take, rad; null where the log has no roll. */
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

    private static function columnMean(FlightLog $log, string $name): ?float
    {
        $values = array_values(array_filter($log->column($name), static fn (float $value): bool => ! is_nan($value)));

        return $values === [] ? null : round(Statistics::mean($values), 2);
    }

    /**
     * The intent with what was left open filled in from the flight.
     *
     * @return array{Intent, list<string>}
     */
    private static function complete(Intent $intent, PathKind $path, Measured $measured, float $flownWay, LocalFrame $frame, ?Position $subject): array
    {
        $grid = $measured->take->grid;
        $main = $measured->take->main;
        $climb = round($grid->z->value[$main->to] - $grid->z->value[$main->from], 1);
        $flown = match ($path) {
            PathKind::Figure => [],
            PathKind::Spot => $measured->take->main->rate > 0 && $measured->take->judging->primary() === Axis::Turn ? ['turn_deg' => round($grid->heading->value[$main->to] - $grid->heading->value[$main->from], 1), 'spin_dps' => round($main->rate, 2)] : [],
            PathKind::Vertical => ['climb_m' => $climb, 'climb_mps' => round(abs($main->rate), 2)],
            PathKind::Line, PathKind::Arc, PathKind::Beside => ['length_m' => round($measured->extent, 1), 'pace_mps' => round($main->rate, 2), 'climb_m' => $climb],
            PathKind::Circle => [
                'radius_m' => round($measured->radius, 1),
                'arc_deg' => round($measured->extent, 1),
                'pace_mps' => round($measured->take->main->rate, 2),
                'direction' => $flownWay > 0 ? Stance::CLOCKWISE : Stance::COUNTERCLOCKWISE,
            ],
        };
        $open = array_diff_key($flown, $intent->parameters);
        if ($intent->subject === null && $subject !== null) {
            $intent = new Intent($intent->move, $frame->geoPoint($subject), null, $intent->aimX, $intent->aimY, $intent->lens, $intent->home, $intent->parameters);

            return [$intent->with($open), ['subject', ...array_keys($open)]];
        }

        return [$intent->with($open), array_keys($open)];
    }

    /**
     * One standard deviation of the score, points: what noise does to the parts, and faults so near their threshold
     * that another log of the same flight might not show them.
     *
     * @param  list<Fault>  $faults
     */
    private static function uncertainty(float $spread, array $faults): float
    {
        $variance = $spread ** 2 + 0.3 ** 2;
        foreach ($faults as $fault) {
            if ($fault->severity < 1.3) {
                $variance += (0.5 * $fault->deduction()) ** 2;
            }
        }

        return sqrt($variance);
    }
}
