<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Choreography\Notes\DepthNotes;
use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\MovePlan;

/**
 * The numbers of a planned shot that a practitioner would write on a card, read off the planned flight itself: what is asked of the turn
 * and the wheel, where it begins and ends, how high that is above three things, what the picture does. A number that means nothing for a
 * shot is not there. Where something changes from its start to its end it stands twice, the start first.
 */
final readonly class ShotNumbers
{
    /** Half the time over which a rate is taken, in samples. */
    private const HALF = 5;

    /** A rate under which a finger rests, rad/s. */
    private const RESTS = 0.05 * Angle::DEGREE;

    /** An angle that nobody would see change, rad. */
    private const SEEN = 0.5 * Angle::DEGREE;

    /** A rate that is never more than so much above that of the middle is held: it is told as it is there. */
    private const STEADY = 0.97;

    /** A length that nobody would write down, m. */
    private const LENGTH = 0.05;

    /** A tilt that begins so much later than the shot waits for its trigger, s. */
    private const WAITS = 1.0;

    /** A wheel that turns slower than this for the rest of a shot can be let go, rad/s (our judgement). */
    private const LET_GO = 0.5 * Angle::DEGREE;

    private const SECOND = 1.0;

    /** @var array{float, float} the tilt rate that is greatest, rad/s, and when */
    private array $tiltsMost;

    private function __construct(private Plan $plan, private MovePlan $move)
    {
        $this->tiltsMost = $this->greatest($move->flight->tilt, $move->onset, $move->stop);
    }

    /** @return list<ShotNumber> */
    public static function of(Plan $plan): array
    {
        $self = new self($plan, $plan->move);

        return [
            ...$self->turn(), ...$self->ways(), ...$self->heights(), ...$self->distance(), ...$self->tilt(), ...$self->trigger(),
            ...$self->settling(), ...$self->following(), ...$self->picture(), ...$self->limits(),
        ];
    }

    /** @return list<ShotNumber> */
    private function turn(): array
    {
        [$rate, $at] = $this->greatest($this->move->flight->heading, $this->move->holdFrom, $this->move->holdTo);
        $half = ($this->move->holdFrom + $this->move->holdTo) / 2;
        $middle = $this->rate($this->move->flight->heading, $this->index($half));
        if (abs($middle) >= self::STEADY * abs($rate)) {
            [$rate, $at] = [$middle, $half];
        }
        if (abs($rate) < self::RESTS) {
            return [];
        }
        $numbers = [new ShotNumber(
            'turn_rate_dps', Quantity::radiansPerSecond(abs($rate)), $at, $this->plan->sheet->travel['turn'][$this->index($at)],
        )];
        if ($this->move->intent->number('radius_m') !== null && abs($middle) > self::RESTS) {
            $numbers[] = new ShotNumber('lap_s', Quantity::seconds(2 * M_PI / abs($middle)));
        }
        $arc = abs($this->at($this->move->flight->heading, $this->move->holdTo) - $this->at(
            $this->move->flight->heading, $this->move->holdFrom,
        ));
        if ($arc > self::SEEN) {
            $numbers[] = new ShotNumber('hold_arc_deg', Quantity::radians($arc));
        }

        return $numbers;
    }

    /**
     * The way before the first wanted frame, the way out of the hold, and what the craft needs to stop from the pace of the hold.
     *
     * @return list<ShotNumber>
     */
    private function ways(): array
    {
        [$seconds, $metres] = $this->plan->runIn();
        $numbers = [];
        if ($metres > self::LENGTH) {
            $numbers[] = new ShotNumber('run_in_m', Quantity::metres($metres), $this->move->onset);
        }
        if ($seconds > 0.0) {
            $numbers[] = new ShotNumber('run_in_s', Quantity::seconds($seconds), $this->move->onset);
        }
        $out = $this->way($this->move->holdTo, $this->move->stop);
        if ($out > self::LENGTH) {
            $numbers[] = new ShotNumber('ease_out_m', Quantity::metres($out), $this->move->holdTo);
        }
        $pace = $this->paceAt(max($this->move->holdFrom, $this->move->holdTo - self::SECOND / 5));
        if ($pace > 0.1) {
            $response = $this->plan->shot->tune()->response(Finger::Run);
            $stop = new Response($pace, $response->accelerate, $response->brake, $response->lag);
            $numbers[] = new ShotNumber('braking_m', Quantity::metres($stop->stopWay()), $this->move->holdTo);
        }

        return $numbers;
    }

    /** @return list<ShotNumber> above take-off, the ground, and the subject's foot */
    private function heights(): array
    {
        $subject = $this->move->subject;
        $ground = fn (Position $place): float => SiteChecks::ground($this->plan->shot, $this->move, $place);

        return [
            ...$this->startAndEnd('height_above_takeoff_m', static fn (float $t, Position $at): float => $at->up),
            ...$this->startAndEnd('height_above_ground_m', static fn (float $t, Position $at): float => $at->up - $ground($at)),
            ...$subject === null ? [] : $this->startAndEnd(
                'height_above_foot_m', fn (float $t, Position $at): float => $at->up - $this->move->ground,
            ),
        ];
    }

    /** @return list<ShotNumber> from lens to subject */
    private function distance(): array
    {
        $subject = $this->move->subject;

        return $subject === null ? [] : $this->startAndEnd(
            'distance_m', static fn (float $t, Position $at): float => $subject->at($t)->minus($at)->length(),
        );
    }

    /** @return list<ShotNumber> */
    private function tilt(): array
    {
        $tilt = $this->move->flight->tilt;
        [$from, $to] = [$this->at($tilt, $this->move->onset), $this->at($tilt, $this->move->stop)];
        $numbers = [
            new ShotNumber('tilt_start_deg', Quantity::radians($from), $this->move->onset),
            new ShotNumber('tilt_end_deg', Quantity::radians($to), $this->move->stop),
        ];
        [$rate, $at] = $this->tiltsMost;
        if (abs($rate) >= self::RESTS) {
            $numbers[] = new ShotNumber(
                'tilt_rate_most_dps', Quantity::radiansPerSecond(abs($rate)), $at, $this->plan->sheet->travel['tilt'][$this->index($at)],
            );
            [$last, $when] = $this->greatest($tilt, max($this->move->onset, $this->move->stop - self::SECOND), $this->move->stop);
            $numbers[] = new ShotNumber('tilt_rate_last_second_dps', Quantity::radiansPerSecond(abs($last)), $when);
        }

        return $numbers;
    }

    /** @return list<ShotNumber> when the wheel begins, where it waits for that */
    private function trigger(): array
    {
        $tilt = $this->move->flight->tilt;
        if (abs($this->tiltsMost[0]) < self::RESTS || $this->way($this->move->onset, $this->move->stop) <= self::LENGTH) {
            return [];
        }
        for ($k = $this->index($this->move->onset), $last = $this->index($this->move->stop); $k <= $last; $k++) {
            if (abs($this->rate($tilt, $k)) > self::RESTS) {
                $t = $this->move->flight->t[$k];

                return $t < $this->move->onset + self::WAITS ? [] : [
                    new ShotNumber('trigger_height_m', Quantity::metres($this->move->flight->up[$k]), $t),
                    new ShotNumber('trigger_s', Quantity::seconds($t - $this->move->onset), $t),
                ];
            }
        }

        return [];
    }

    /**
     * Going away evenly, back and up, the wheel settles at the angle of the way itself, atan(up / back) below level; from where it hardly
     * moves any more it is let go.
     *
     * @return list<ShotNumber>
     */
    private function settling(): array
    {
        $subject = $this->move->subject;
        $flight = $this->move->flight;
        $k = $this->index(($this->move->holdFrom + $this->move->holdTo) / 2);
        $climb = $this->rate($flight->up, $k);
        $pace = hypot($this->rate($flight->east, $k), $this->rate($flight->north, $k));
        if ($subject === null || abs($this->tiltsMost[0]) < self::RESTS || $climb < 0.1 || $pace < 0.1) {
            return [];
        }
        $to = $subject->at($flight->t[$k])->minus($flight->position($k));
        // Straight away from the subject over the ground, or nearly.
        $along = ($this->rate($flight->east, $k) * $to->east + $this->rate($flight->north, $k) * $to->north)
            / max(1e-6, $to->ground() * $pace);
        if ($along > -0.97) {
            return [];
        }
        $numbers = [new ShotNumber('settling_tilt_deg', Quantity::radians(-atan2($climb, $pace)))];
        $release = null;
        for ($i = $this->index($this->move->holdTo), $first = $this->index($this->move->onset); $i > $first; $i--) {
            if (abs($this->rate($flight->tilt, $i)) > self::LET_GO) {
                break;
            }
            $release = $flight->t[$i];
        }

        return $release === null || $release >= $this->move->holdTo - self::SECOND / 10
            ? $numbers : [...$numbers, new ShotNumber('release_s', Quantity::seconds($release), $release)];
    }

    /** @return list<ShotNumber> of a subject that moves: how it slips, how long it is seen, how fast it is neared */
    private function following(): array
    {
        $subject = $this->move->subject;
        if ($subject === null || ! $subject->moves()) {
            return [];
        }
        $flight = $this->move->flight;
        $bearings = $distances = [];
        for ($k = 0; $k < $flight->count(); $k++) {
            $to = $subject->at($flight->t[$k])->minus($flight->position($k));
            $bearings[] = atan2($to->east, $to->north) - $flight->heading[$k];
            $distances[] = $to->length();
        }
        [$slip, $at] = $this->greatest(Angle::unwrap($bearings), $this->move->holdFrom, $this->move->holdTo);
        $seen = 0;
        [$from, $to] = [$this->index($this->move->onset), $this->index($this->move->stop)];
        for ($k = $from; $k <= $to; $k++) {
            $seen += $this->plan->view($k)->project($subject->at($flight->t[$k]))?->isInside() === true ? 1 : 0;
        }
        [$parting, $when] = $this->greatest($distances, $this->move->holdFrom, $this->move->holdTo);

        return [
            new ShotNumber('slip_dps', Quantity::radiansPerSecond(abs($slip)), $at),
            new ShotNumber('seconds_in_frame', Quantity::seconds($seen * MovePlan::STEP)),
            ...abs($parting) < self::LENGTH ? [] : [new ShotNumber('closing_mps', Quantity::metresPerSecond(-$parting), $when)],
        ];
    }

    /** @return list<ShotNumber> what the picture has of sky, depth and speed */
    private function picture(): array
    {
        $depth = DepthNotes::of($this->plan);
        $ratio = $depth->ratio();
        $numbers = $this->startAndEnd('sky_share', fn (float $t, Position $at): float => max(
            0.0, min(1.0, 0.5 - $this->plan->view($this->index($t))->horizon()),
        ), Quantity::share(...), 0.005);
        // Without sky at either end there is none to speak of.
        if (array_filter($numbers, static fn (ShotNumber $one): bool => $one->quantity->value > 0.0) === []) {
            $numbers = [];
        }
        if ($ratio !== null) {
            $numbers[] = new ShotNumber('depth_ratio', Quantity::number($ratio));
        }
        if ($depth->height > 0.1 && $depth->pace > self::LENGTH) {
            $numbers[] = new ShotNumber('felt_speed_per_s', Quantity::number($depth->felt));
        }

        return $numbers;
    }

    /** @return list<ShotNumber> how long the whole of this tilt or turn would take at the most that the mode gives */
    private function limits(): array
    {
        $mode = $this->plan->shot->tune();
        $numbers = [];
        foreach (['tilt_time_at_limit_s' => [$this->move->flight->tilt, Finger::Tilt], 'turn_time_at_limit_s' => [
            $this->move->flight->heading, Finger::Turn,
        ]] as $id => [$angles, $finger]) {
            [$from, $to] = [$this->index($this->move->onset), $this->index($this->move->stop)];
            $part = array_slice($angles, $from, $to - $from + 1);
            $whole = $part === [] ? 0.0 : max($part) - min($part);
            if ($whole > self::SEEN && $mode->top($finger) > 0.0) {
                $numbers[] = new ShotNumber($id, Quantity::seconds($whole / $mode->top($finger)));
            }
        }

        return $numbers;
    }

    /**
     * A value where the shot starts, and again where it ends if that is another.
     *
     * @param  callable(float, Position): float  $of
     * @param  ?callable(float): Quantity  $as  metres where none is given
     * @return list<ShotNumber>
     */
    private function startAndEnd(string $id, callable $of, ?callable $as = null, float $apart = self::LENGTH): array
    {
        $as ??= Quantity::metres(...);
        $value = fn (float $t): float => $of($t, $this->move->at($t));
        [$from, $to] = [$value($this->move->onset), $value($this->move->stop)];
        $start = new ShotNumber($id, $as($from), $this->move->onset);

        return abs($to - $from) < $apart ? [$start] : [$start, new ShotNumber($id, $as($to), $this->move->stop)];
    }

    private function index(float $t): int
    {
        return $this->move->flight->indexAt($t);
    }

    /** @param  list<float>  $values */
    private function at(array $values, float $t): float
    {
        return $values[$this->index($t)];
    }

    /** @param  list<float>  $values */
    private function rate(array $values, int $k): float
    {
        [$from, $to] = [max(0, $k - self::HALF), min(count($values) - 1, $k + self::HALF)];

        return $to === $from ? 0.0 : ($values[$to] - $values[$from]) / (($to - $from) * MovePlan::STEP);
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float} the rate that is greatest either way between two times, and when
     */
    private function greatest(array $values, float $from, float $to): array
    {
        [$most, $at] = [0.0, null];
        for ($k = $this->index($from), $last = $this->index($to); $k <= $last; $k++) {
            $rate = $this->rate($values, $k);
            if ($rate > $most || -$rate > $most) {
                $most = abs($rate);
                $at = $k;
            }
        }

        return $at === null ? [0.0, $from] : [$this->rate($values, $at), $this->move->flight->t[$at]];
    }

    private function way(float $from, float $to): float
    {
        $flight = $this->move->flight;
        $way = 0.0;
        for ($k = $this->index($from) + 1, $last = $this->index($to); $k <= $last; $k++) {
            $way += sqrt(
                ($flight->east[$k] - $flight->east[$k - 1]) ** 2 + ($flight->north[$k] - $flight->north[$k - 1]) ** 2
                + ($flight->up[$k] - $flight->up[$k - 1]) ** 2,
            );
        }

        return $way;
    }

    private function paceAt(float $t): float
    {
        $k = $this->index($t);
        $flight = $this->move->flight;

        return hypot(hypot($this->rate($flight->east, $k), $this->rate($flight->north, $k)), $this->rate($flight->up, $k));
    }
}
