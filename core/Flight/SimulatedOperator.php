<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Camera\View;
use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Lag;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\Catalogue;
use Larkspur\Move\MovePlan;
use Larkspur\Rig\ModeTune;
use Larkspur\Site\Wind;

/**
 * Someone who flies a thumb sheet: reads it with habits of their own, watches the picture, and corrects late.
 *
 * Each step the sheet is read (eases hurried or not), held unevenly, corrected toward the mark by what the eye saw a
 * reaction time ago, leaked into the neighbouring axis of the same thumb, trembled, and only then handed to the craft.
 */
final class SimulatedOperator
{
    /** Corrections are smoothed by the hand itself: time constant, s. */
    private const HAND = 0.25;

    /** Slow variation of a held finger: time constant, s. */
    private const WANDER_TIME = 3.2;

    /** Tremble of a finger: time constant, s (about 2 Hz). */
    private const TREMOR_TIME = 0.07;

    /** Travel about the centre that the stick's own detent holds. */
    private const DETENT = 0.02;

    private readonly ModeTune $mode;

    private readonly SeededNoise $noise;

    /** @var array<value-of<Finger>, float> */
    private array $tremor = ['climb' => 0.0, 'turn' => 0.0, 'run' => 0.0, 'slide' => 0.0, 'tilt' => 0.0];

    /** @var array<value-of<Finger>, float> */
    private array $wander = ['climb' => 0.0, 'turn' => 0.0, 'run' => 0.0, 'slide' => 0.0, 'tilt' => 0.0];

    /** @var array{turn: float, run: float, slide: float, climb: float} rates by which the hand corrects, rad/s and m/s */
    private array $correction = ['turn' => 0.0, 'run' => 0.0, 'slide' => 0.0, 'climb' => 0.0];

    /** @var array<value-of<Finger>, float> when each finger that is pressed leaves its rest, s */
    private readonly array $onsets;

    private function __construct(private readonly Plan $plan, private readonly OperatorHabits $habits, int $seed)
    {
        $onsets = [];
        foreach ($plan->parts as $press) {
            if ($press->onset !== null) {
                $onsets[$press->finger->value] = $press->onset;
            }
        }
        $this->onsets = $onsets;
        $this->mode = $plan->shot->tune();
        $this->noise = SeededNoise::named($seed, 'hands');
        foreach ($this->wander as $finger => $_) {
            $this->wander[$finger] = $this->noise->normal();
        }
    }

    /**
     * Flies a plan in the given wind; the same seed gives the same flight.
     *
     * @param  bool  $positioning  whether the craft holds its place by itself
     */
    public static function fly(Plan $plan, OperatorHabits $habits, Wind $wind, int $seed, bool $positioning = true): Flight
    {
        return (new self($plan, $habits, $seed))->run($wind, $seed, $positioning);
    }

    private function run(Wind $wind, int $seed, bool $positioning): Flight
    {
        $step = MovePlan::STEP;
        $planned = $this->plan->move->flight;
        $count = $planned->count();
        $height = $planned->up[0] - $this->plan->move->ground;
        [$along, $across] = $wind->gusts($height, $step, $count + 1, $seed);
        $mean = $wind->meanAt($height);
        $towardEast = -sin($wind->from);
        $towardNorth = -cos($wind->from);

        $aircraft = new Aircraft($this->plan->shot->rig, $this->mode, $step, $positioning);
        $pose = new Pose($planned->east[0], $planned->north[0], $planned->up[0], $planned->heading[0], $planned->tilt[0]);
        $track = new Track;
        $seen = [];
        $delay = max(1, (int) round($this->habits->reaction / $step));
        for ($k = 0; $k < $count; $k++) {
            $time = $k * $step;
            $seen[] = $this->look($pose, $k);
            $fingers = $this->press($time, $step, $seen[max(0, $k - $delay)]);
            $track->add($time, $pose, $fingers);
            $a = $mean + $along[$k];
            $c = $across[$k];
            $da = $along[$k + 1] - $along[$k];
            $dc = $across[$k + 1] - $across[$k];
            $pose = $aircraft->step(
                $pose, $fingers,
                $a * $towardEast - $c * $towardNorth, $a * $towardNorth + $c * $towardEast,
                $da * $towardEast - $dc * $towardNorth, $da * $towardNorth + $dc * $towardEast,
            );
        }

        return $track->flight();
    }

    /**
     * What the eye takes in: by how much the picture looks too far left or right of its mark (fraction of the width), how far
     * the craft is behind and to the left of its place (share of the viewing distance), and how much too low (m).
     *
     * With a subject the eye watches it and its size; without one it watches the ground, and the view ahead.
     *
     * @return array{float, float, float, float}
     */
    private function look(Pose $pose, int $k): array
    {
        $planned = $this->plan->move->flight;
        $subject = $this->plan->move->subject?->at($k * MovePlan::STEP);
        $intent = $this->plan->shot->intent;
        $low = $planned->up[$k] - $pose->up;
        if ($subject !== null && Catalogue::move($intent->move)->judging($intent)->hasSubject()) {
            $point = (new View($pose->position(), $pose->heading, $pose->tilt, $intent->lens))->project($subject);
            $wanted = (new View($planned->position($k), $planned->heading[$k], $planned->tilt[$k], $intent->lens))->project($subject);
            $far = $planned->position($k)->minus($subject)->ground();
            $flown = $pose->position()->minus($subject)->ground();

            return [
                $point === null ? 0.5 : max(-0.5, min(0.5, $point->u - ($wanted->u ?? 0.0))),
                $far > 0.5 ? ($flown - $far) / $far : 0.0,
                0.0,
                $low,
            ];
        }
        $east = $planned->east[$k] - $pose->east;
        $north = $planned->north[$k] - $pose->north;
        $along = [sin($planned->heading[$k]), cos($planned->heading[$k])];
        // Along the way nobody knows where the plan would be by now; across it a line on the ground tells.
        $pace = [
            $planned->east[min($k + 25, $planned->count() - 1)] - $planned->east[$k],
            $planned->north[min($k + 25, $planned->count() - 1)] - $planned->north[$k],
        ];
        $speed = hypot(...$pace);
        if ($speed > 0.05) {
            $ahead = ($east * $pace[0] + $north * $pace[1]) / $speed;
            $east -= $ahead * $pace[0] / $speed;
            $north -= $ahead * $pace[1] / $speed;
        }
        $turned = Angle::wrap($pose->heading - $planned->heading[$k]);

        return [
            -$turned / $intent->lens->horizontal,
            ($east * $along[0] + $north * $along[1]) / $this->plan->move->viewing,
            ($east * $along[1] - $north * $along[0]) / $this->plan->move->viewing,
            $low,
        ];
    }

    /** @param  array{float, float, float, float}  $seen */
    private function press(float $time, float $step, array $seen): FingerInput
    {
        $since = $time - $this->plan->move->onset;
        $moving = $since >= 0 && $time <= $this->plan->move->stop;
        $travel = [];
        foreach (Finger::cases() as $finger) {
            $travel[$finger->value] = $this->plan->sheet->at($finger, $this->readingTime($time, $finger));
        }
        $this->drift($step);
        $travel = $this->holdUnevenly($travel);
        if ($moving) {
            $travel = $this->correct($travel, $seen, $step, $since);
        }
        $tremor = array_fill_keys(array_keys($travel), $this->habits->tremor);
        $leak = array_fill_keys(array_keys($travel), $this->habits->leak);
        foreach ($this->habits->slips as $slip) {
            if (! $slip->acts($since)) {
                continue;
            }
            $name = $slip->finger->value;
            $through = ($since - $slip->at) / $slip->length;
            match ($slip->kind) {
                'kick' => $travel[$name] += $travel[$name] < 0 ? -$slip->size : $slip->size,
                'tremble' => $tremor[$name] = $slip->size,
                'sag' => $travel[$name] *= 1 - $slip->size * sin(M_PI * $through) ** 2,
                'spring' => $travel[$name] = 0.0,
                'leak' => $leak[$name] = $slip->size / max(
                    0.2, abs($this->wander[$this->plan->shot->sticks->neighbour($slip->finger)->value ?? $name]),
                ),
                'mismatch' => $travel[$name] *= 1 + $slip->size,
                'bounce' => $travel['climb'] += fmod($since - $slip->at, 1.1) < 0.55 ? $slip->size : -$slip->size,
                'wrong-way' => $travel[$name] *= -$slip->size,
                'nose-in' => $travel[$name] += $through < 0.3 ? -$slip->size : 0.0,
                'snap', 'late' => null,
            };
        }
        $travel = $this->leak($travel, $leak);
        foreach ($travel as $finger => $x) {
            if ($moving && abs($x) < self::DETENT) {
                $stray = $this->habits->unrest * $this->wander[$finger];
                $x += abs($stray) <= self::DETENT ? 0.0 : $stray - ($stray > 0 ? self::DETENT : -self::DETENT);
            }
            // A finger that rests on a centred stick lies inside its detent and does not tremble.
            $travel[$finger] = abs($x) < 0.005 && $tremor[$finger] <= $this->habits->tremor
                ? $x
                : $x + $tremor[$finger] * $this->tremor[$finger];
        }

        return FingerInput::of($travel);
    }

    /** The moment of the sheet that this operator plays now: eases taken faster than written, fingers that set out late. */
    private function readingTime(float $time, Finger $finger): float
    {
        $plan = $this->plan->move;
        $late = $finger->rotates() ? $this->habits->turnLate : 0.0;
        foreach ($this->habits->slips as $slip) {
            if ($slip->finger === $finger && $slip->kind === 'late') {
                $late += $slip->size;
            }
            if ($slip->finger === $finger && $slip->kind === 'snap' && $slip->acts($time - $plan->onset)) {
                return max($time, $plan->holdFrom);
            }
        }
        if ($plan->marks !== []) {
            return $time - $late;
        }
        if ($late > 0 && ($this->onsets[$finger->value] ?? 0.0) > $plan->holdFrom) {
            return $time - $late;
        }
        $in = $plan->holdFrom - $plan->onset;
        if ($time < $plan->holdFrom + $late && $time >= $plan->onset) {
            return min(
                $plan->holdFrom,
                $plan->onset + max(0.0, $time - $plan->onset - $late) / max(0.02, $this->habits->easeIn) * (
                    $late > 0 ? $in / ($in + 0.3 * $late) : 1.0
                ),
            );
        }
        if ($time > $plan->holdTo) {
            return $plan->holdTo + ($time - $plan->holdTo) / max(0.02, $this->habits->easeOut);
        }

        return $time;
    }

    private function drift(float $step): void
    {
        $tremorKeep = exp(-$step / self::TREMOR_TIME);
        $wanderKeep = exp(-$step / self::WANDER_TIME);
        foreach (Finger::cases() as $finger) {
            $name = $finger->value;
            $this->tremor[$name] = $tremorKeep * $this->tremor[$name] + sqrt(1 - $tremorKeep ** 2) * $this->noise->normal();
            $this->wander[$name] = $wanderKeep * $this->wander[$name] + sqrt(1 - $wanderKeep ** 2) * $this->noise->normal();
        }
    }

    /**
     * @param  array<value-of<Finger>, float>  $travel
     * @return array<value-of<Finger>, float>
     */
    private function holdUnevenly(array $travel): array
    {
        foreach ($travel as $finger => $x) {
            $share = $this->habits->wander * $this->wander[$finger] + ($finger === 'turn' ? $this->habits->mismatch : 0.0);
            $travel[$finger] = $x * (1 + $share);
        }

        return $travel;
    }

    /**
     * Corrections toward the mark, as far as the eye noticed: turn after the picture, run and slide after the place, climb
     * after the height. Wanted rates go back through the curve, as a hand that knows its craft does it. Who takes left for
     * right corrects the wrong way.
     *
     * @param  array<value-of<Finger>, float>  $travel
     * @param  array{float, float, float, float}  $seen
     * @return array<value-of<Finger>, float>
     */
    private function correct(array $travel, array $seen, float $step, float $since): array
    {
        $habits = $this->habits;
        if ($habits->gain <= 0) {
            return $travel;
        }
        $hand = Lag::share(self::HAND, $step);
        $noticed = static fn (float $error, float $blind): float => abs($error) <= $blind ? 0.0 : $error - ($error > 0 ? $blind : -$blind);
        $confused = array_filter(
            $habits->slips, static fn (Slip $slip): bool => $slip->kind === 'nose-in' && $slip->acts($since),
        ) === [] ? 1.0 : -1.0;
        $viewing = $this->plan->move->viewing;
        $rates = [
            'turn' => $confused * $habits->gain * $noticed($seen[0], $habits->blind) * $this->plan->shot->intent->lens->horizontal,
            'run' => 0.35 * $habits->gain * $noticed($seen[1], 2 * $habits->blind) * $viewing,
            'slide' => $confused * 0.35 * $habits->gain * $noticed($seen[2], 2 * $habits->blind) * $viewing,
            'climb' => 0.3 * $habits->gain * $noticed($seen[3], 0.5),
        ];
        foreach ($rates as $name => $rate) {
            $this->correction[$name] += $hand * ($rate - $this->correction[$name]);
            if (abs($this->correction[$name]) > 1e-4) {
                $finger = Finger::from($name);
                $travel[$name] = $this->mode->travelFor($finger, $this->mode->asked($finger, $travel[$name]) + $this->correction[$name]);
            }
        }

        return $travel;
    }

    /**
     * A thumb off its axis presses the other axis of the same stick too.
     *
     * @param  array<value-of<Finger>, float>  $travel
     * @param  array<value-of<Finger>, float>  $share  of each finger's travel that spills over
     * @return array<value-of<Finger>, float>
     */
    private function leak(array $travel, array $share): array
    {
        $leaked = $travel;
        foreach (Finger::cases() as $finger) {
            $other = $this->plan->shot->sticks->neighbour($finger);
            if ($other !== null) {
                $leaked[$other->value] += $share[$finger->value] * abs($travel[$finger->value]) * $this->wander[$other->value];
            }
        }

        return $leaked;
    }
}
