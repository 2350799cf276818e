<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Camera\View;
use Larkspur\Choreography\Plan;
use Larkspur\Flight;
use Larkspur\Measure\Lag;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\MovePlan;
use Larkspur\Rig\Finger;
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

    private readonly ModeTune $mode;

    private readonly SeededNoise $noise;

    /** @var array<value-of<Finger>, float> */
    private array $tremor = ['climb' => 0.0, 'turn' => 0.0, 'run' => 0.0, 'slide' => 0.0, 'tilt' => 0.0];

    /** @var array<value-of<Finger>, float> */
    private array $wander = ['climb' => 0.0, 'turn' => 0.0, 'run' => 0.0, 'slide' => 0.0, 'tilt' => 0.0];

    private float $turnCorrection = 0.0;

    private float $runCorrection = 0.0;

    private float $climbCorrection = 0.0;

    private function __construct(private readonly Plan $plan, private readonly OperatorHabits $habits, int $seed)
    {
        $this->mode = $plan->shot->tune();
        $this->noise = SeededNoise::named($seed, 'hands');
        foreach ($this->wander as $finger => $_) {
            $this->wander[$finger] = $this->noise->normal();
        }
    }

    /** Flies a plan in the given wind; the same seed gives the same flight. */
    public static function fly(Plan $plan, OperatorHabits $habits, Wind $wind, int $seed): Flight
    {
        return (new self($plan, $habits, $seed))->run($wind, $seed);
    }

    private function run(Wind $wind, int $seed): Flight
    {
        $step = MovePlan::STEP;
        $planned = $this->plan->move->flight;
        $count = $planned->count();
        $height = $planned->up[0] - $this->plan->move->ground;
        [$along, $across] = $wind->gusts($height, $step, $count + 1, $seed);
        $mean = $wind->meanAt($height);
        $towardEast = -sin($wind->from);
        $towardNorth = -cos($wind->from);

        $aircraft = new Aircraft($this->plan->shot->rig, $this->mode, $step);
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
     * What the eye takes in: how far the subject is off its mark sideways (fraction of the width), by how much it is
     * too far away (share) and how much the craft is too low (m).
     *
     * @return array{float, float, float}
     */
    private function look(Pose $pose, int $k): array
    {
        $subject = $this->plan->move->subject?->at($k * MovePlan::STEP);
        if ($subject === null) {
            return [0.0, 0.0, 0.0];
        }
        $intent = $this->plan->shot->intent;
        $point = (new View($pose->position(), $pose->heading, $pose->tilt, $intent->lens))->project($subject);
        $planned = $this->plan->move->flight->position($k)->minus($subject)->ground();
        $flown = $pose->position()->minus($subject)->ground();

        return [
            $point === null ? 0.5 : max(-0.5, min(0.5, $point->u - $intent->u())),
            $planned > 0 ? ($flown - $planned) / $planned : 0.0,
            $this->plan->move->flight->up[$k] - $pose->up,
        ];
    }

    /** @param  array{float, float, float}  $seen */
    private function press(float $time, float $step, array $seen): FingerInput
    {
        $habits = $this->habits;
        $moving = $time >= $this->plan->move->onset && $time <= $this->plan->move->stop;
        $written = fn (Finger $finger): float => $this->plan->sheet->at($finger, $this->readingTime($time, $finger));
        $travel = [
            'climb' => $written(Finger::Climb), 'turn' => $written(Finger::Turn), 'run' => $written(Finger::Run),
            'slide' => $written(Finger::Slide), 'tilt' => $written(Finger::Tilt),
        ];
        $this->drift($step);
        $travel = $this->holdUnevenly($travel);
        if ($moving) {
            $travel = $this->correct($travel, $seen, $step);
        }
        foreach ($habits->pulses as ['finger' => $finger, 'at' => $at, 'size' => $size, 'length' => $length]) {
            $since = $time - $this->plan->move->onset - $at;
            if ($since >= 0 && $since < $length) {
                $name = Finger::from($finger)->value;
                $travel[$name] += $travel[$name] < 0 ? -$size : $size;
            }
        }
        $travel = $this->leak($travel);
        foreach ($travel as $finger => $x) {
            // A finger that rests on a centred stick lies inside its detent and does not tremble.
            $travel[$finger] = abs($x) < 0.005 ? $x : $x + $habits->tremor * $this->tremor[$finger];
        }

        return FingerInput::of($travel);
    }

    /** The moment of the sheet that this operator plays now: eases taken faster than written, the turn begun late. */
    private function readingTime(float $time, Finger $finger): float
    {
        $plan = $this->plan->move;
        $late = $finger === Finger::Turn ? $this->habits->turnLate : 0.0;
        $in = $plan->holdFrom - $plan->onset;
        if ($time < $plan->holdFrom + $late && $time >= $plan->onset) {
            return min($plan->holdFrom, $plan->onset + max(0.0, $time - $plan->onset - $late) / max(0.02, $this->habits->easeIn) * ($late > 0 ? $in / ($in + 0.3 * $late) : 1.0));
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
     * Corrections toward the mark, as far as the eye noticed: turn after the subject, run after the distance, climb
     * after the height. Wanted rates go back through the curve, as a hand that knows its craft does it.
     *
     * @param  array<value-of<Finger>, float>  $travel
     * @param  array{float, float, float}  $seen
     * @return array<value-of<Finger>, float>
     */
    private function correct(array $travel, array $seen, float $step): array
    {
        $habits = $this->habits;
        if ($habits->gain <= 0) {
            return $travel;
        }
        $hand = Lag::share(self::HAND, $step);
        $noticed = static fn (float $error, float $blind): float => abs($error) <= $blind ? 0.0 : $error - ($error > 0 ? $blind : -$blind);
        $angle = $noticed($seen[0], $habits->blind) * $this->plan->shot->intent->lens->horizontal;
        $this->turnCorrection += $hand * ($habits->gain * $angle - $this->turnCorrection);
        $distance = $noticed($seen[1], 2 * $habits->blind) * $this->plan->move->viewing;
        $this->runCorrection += $hand * (0.35 * $habits->gain * $distance - $this->runCorrection);
        $this->climbCorrection += $hand * (0.3 * $habits->gain * $noticed($seen[2], 0.5) - $this->climbCorrection);
        foreach ([[Finger::Turn, $this->turnCorrection], [Finger::Run, $this->runCorrection], [Finger::Climb, $this->climbCorrection]] as [$finger, $rate]) {
            if (abs($rate) > 1e-4) {
                $travel[$finger->value] = $this->mode->travelFor($finger, $this->mode->asked($finger, $travel[$finger->value]) + $rate);
            }
        }

        return $travel;
    }

    /**
     * A thumb off its axis presses the other axis of the same stick too.
     *
     * @param  array<value-of<Finger>, float>  $travel
     * @return array<value-of<Finger>, float>
     */
    private function leak(array $travel): array
    {
        $leak = $this->habits->leak;

        return [
            'climb' => $travel['climb'] + $leak * abs($travel['turn']) * $this->wander['climb'],
            'turn' => $travel['turn'],
            'run' => $travel['run'] + $leak * abs($travel['slide']) * $this->wander['run'],
            'slide' => $travel['slide'],
            'tilt' => $travel['tilt'],
        ];
    }
}
