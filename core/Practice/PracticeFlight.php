<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Flight\Aircraft;
use Larkspur\Flight\DuctedCraft;
use Larkspur\Flight\FingerInput;
use Larkspur\Flight\Pose;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Flight\Surroundings;
use Larkspur\Measure\Lag;
use Larkspur\Rig\Ducted;

/**
 * Steps a craft through its world, fifty times a second: the air moves it, the ground carries it, what stands there stops it.
 * web/stations/fly/practice/flight.ts does the very same.
 */
final class PracticeFlight
{
    /** The craft takes the lean that its motion needs in this time, s (common practice, no published source). */
    public const LEAN_TIME = 0.15;

    /** Margin to anything that stands there, m, where a person keeps off it (common practice, no published source). */
    public const MARGIN = 2.0;

    private int $step = 0;

    private Pose $pose;

    private ?Ending $ending = null;

    /** @var array{float, float} */
    private array $air;

    private readonly Aircraft|DuctedCraft $craft;

    private readonly float $leanShare;

    public function __construct(private readonly World $world)
    {
        $this->craft = $world->response->craft();
        $this->pose = $world->start;
        $this->air = $world->air->at(0, $world->start->east, $world->start->north);
        $this->leanShare = Lag::share(self::LEAN_TIME, ResponseSheet::STEP);
    }

    public function pose(): Pose
    {
        return $this->pose;
    }

    /** What ended it; null while it goes on. */
    public function ending(): ?Ending
    {
        return $this->ending;
    }

    /** One step on; nothing moves any more once it has ended. */
    public function step(FingerInput $fingers): void
    {
        if ($this->ending !== null) {
            return;
        }
        $pose = $this->pose;
        $this->step++;
        [$we, $wn] = $this->world->air->at($this->step, $pose->east, $pose->north);
        $next = $this->craft instanceof DuctedCraft
            ? $this->craft->step($pose, $fingers, $we, $wn)
            : $this->leaning(
                $pose, $this->craft->step($pose, $fingers, $we, $wn, $we - $this->air[0], $wn - $this->air[1]), $we, $wn,
            );
        $this->air = [$we, $wn];
        $this->pose = $this->carried($next);
        $touched = $this->world->around->touched($next->east, $next->north, $next->up);
        if ($touched !== null) {
            $this->end(Ending::TOUCHED, $next, $touched['name'], self::MARGIN);
        } elseif ($this->step * ResponseSheet::STEP >= $this->world->battery) {
            $this->end(Ending::BATTERY, $next);
        }
    }

    /** The ground carries what comes down gently, and ends what does not. */
    private function carried(Pose $next): Pose
    {
        $ground = $this->world->around->ground->at($next->east, $next->north);
        if ($next->up > $ground) {
            return $next;
        }
        if ($next->climbRate < -Surroundings::LANDING_SINK || $next->speed() > Surroundings::LANDING_SPEED) {
            $this->end(Ending::GROUND, $next);
        }

        return $next->standing($ground);
    }

    /**
     * How a craft that holds itself up has to lean: so that its thrust gives what the motion and the drag ask for,
     * tan(lean) = (a + v through the air / coast) / (g + a upward) (elementary mechanics).
     */
    private function leaning(Pose $pose, Pose $next, float $windEast, float $windNorth): Pose
    {
        $coast = $this->world->response->coast();
        $up = Ducted::GRAVITY + ($next->climbRate - $pose->climbRate) / ResponseSheet::STEP;
        $east = (($next->eastRate - $pose->eastRate) / ResponseSheet::STEP + ($next->eastRate - $windEast) / $coast) / max(1.0, $up);
        $north = (($next->northRate - $pose->northRate) / ResponseSheet::STEP + ($next->northRate - $windNorth) / $coast) / max(1.0, $up);
        $sin = sin($next->heading);
        $cos = cos($next->heading);

        return $next->leaning(
            $pose->leanAhead + $this->leanShare * (atan($east * $sin + $north * $cos) - $pose->leanAhead),
            $pose->leanRight + $this->leanShare * (atan($east * $cos - $north * $sin) - $pose->leanRight),
        );
    }

    /** Where the lens of a pose looks, rad: a gimbal follows no farther than its own stop, seen from the leaning craft. */
    public static function lensTilt(Pose $pose, World $world): float
    {
        return $world->response->model->isDucted() ? $pose->tilt : min($pose->tilt, $world->response->gimbalStop() - $pose->leanAhead);
    }

    /** @param  Ending::*  $reason */
    private function end(string $reason, Pose $at, string $what = '', float $margin = 0.0): void
    {
        $this->ending ??= new Ending($reason, $this->step, hypot($at->speed(), $at->climbRate), $what, $margin);
    }
}
