<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Answers;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Lag;
use Larkspur\Rig\Ducted;
use Larkspur\Rig\ModeTune;

/**
 * A small ducted craft: thrust along its own upright axis, lean by the right stick, no hold of place or height.
 *
 *     a = f (sin lean ahead, cos lean ahead sin lean right, cos lean ahead cos lean right) - g - v / coast,
 *
 * f the thrust for its mass, drag in proportion to the speed through the air (elementary mechanics). Where it levels itself a stick asks
 * for the lean that keeps its pace; else for a rate of lean. Its camera is fixed: nose down is lens down.
 */
final readonly class DuctedCraft
{
    /** Time in which motors of this size answer, s (common practice, no published source). */
    private const MOTORS = 0.06;

    /** Time in which it takes the lean that is asked, s (common practice, no published source). */
    private const LEAN = 0.12;

    /** Leaned farther than this it is upside down in a moment; beyond is not simulated. rad */
    public const MOST_LEAN = 1.483530;

    public float $thrustShare;

    public float $leanShare;

    public float $turnShare;

    public function __construct(
        public Ducted $ducted, private ModeTune $mode, private Answers $answers, private float $step, private bool $levelling,
    ) {
        $this->thrustShare = Lag::share(self::MOTORS, $step);
        $this->leanShare = Lag::share(self::LEAN, $step);
        $this->turnShare = Lag::share($mode->turnLag, $step);
    }

    /**
     * What a finger asks for: thrust in multiples of the weight, a lean (rad) or its rate (rad/s), a rate of turn (rad/s).
     */
    public static function asked(Ducted $ducted, ModeTune $mode, bool $levelling, Finger $finger, float $travel): float
    {
        return match ($finger) {
            Finger::Climb => $ducted->throttle(($travel + 1) / 2) / $ducted->hover,
            Finger::Run, Finger::Slide => $levelling
                ? $ducted->lean($mode->asked($finger, $travel)) : $mode->asked($finger, $travel) / $mode->top($finger) * $mode->turn,
            Finger::Turn => $mode->asked($finger, $travel),
            Finger::Tilt => 0.0,
        };
    }

    /**
     * @param  float  $windEast  air's own motion over the ground, m/s
     */
    public function step(Pose $pose, FingerInput $fingers, float $windEast = 0.0, float $windNorth = 0.0): Pose
    {
        $thrust = $pose->thrust + $this->thrustShare * ($this->answers->asked(Finger::Climb, $fingers->climb) - $pose->thrust);
        $ahead = $this->leaned($pose->leanAhead, $this->answers->asked(Finger::Run, $fingers->run));
        $right = $this->leaned($pose->leanRight, $this->answers->asked(Finger::Slide, $fingers->slide));
        $most = $this->mode->turnAccelerate * $this->step;
        $turnRate = $pose->turnRate + max(-$most, min(
            $most, $this->turnShare * ($this->answers->asked(Finger::Turn, $fingers->turn) - $pose->turnRate),
        ));

        $pull = Ducted::GRAVITY * $thrust;
        $sin = sin($pose->heading);
        $cos = cos($pose->heading);
        $forward = $pull * sin($ahead);
        $aside = $pull * cos($ahead) * sin($right);
        $coast = $this->ducted->coast;
        $eastRate = $pose->eastRate + $this->step * ($forward * $sin + $aside * $cos - ($pose->eastRate - $windEast) / $coast);
        $northRate = $pose->northRate + $this->step * ($forward * $cos - $aside * $sin - ($pose->northRate - $windNorth) / $coast);
        $climbRate = $pose->climbRate + $this->step * (
            $pull * cos($ahead) * cos($right) - Ducted::GRAVITY - $pose->climbRate / $coast
        );

        return new Pose(
            $pose->east + $eastRate * $this->step, $pose->north + $northRate * $this->step, $pose->up + $climbRate * $this->step,
            $pose->heading + $turnRate * $this->step, $this->ducted->camera - $ahead,
            $eastRate, $northRate, $climbRate, $turnRate, 0.0, $ahead, $right, $thrust,
        );
    }

    private function leaned(float $lean, float $asked): float
    {
        $next = $this->levelling ? $lean + $this->leanShare * ($asked - $lean) : $lean + $asked * $this->step;

        return max(-self::MOST_LEAN, min(self::MOST_LEAN, $next));
    }
}
