<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Choreography\ThumbSheet;
use Larkspur\Controls\Answers;
use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Measure\Lag;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;

/**
 * The simulated craft: finger travel in, motion out.
 *
 * Each finger goes through its curve and limit; the ground velocity (a vector, held by satellite positioning) follows
 * what is asked with one time constant, never gaining or losing speed faster than the mode allows; climb, turn and
 * tilt likewise on their own. A change of wind shoves the craft by a share of itself before the controller has it
 * back; a wind stronger than the craft can fly against takes it along. First-order responses and their exact step:
 * any control text (K. Ogata, Modern Control Engineering).
 */
final class Aircraft
{
    /** Time in which drag alone takes a small craft's speed through the air, s (common practice, no published source). */
    public const COAST = 2.2;

    private readonly Answers $answers;

    private readonly float $travelShare;

    private readonly float $coastShare;

    private readonly float $climbShare;

    private readonly float $turnShare;

    private readonly float $tiltShare;

    /** Greatest speed through the air, m/s: what the fast mode can do. */
    private readonly float $airspeed;

    /**
     * @param  bool  $positioning  whether it holds its place over the ground by itself; without, the air takes it along
     * @param  ?Answers  $answers  what it makes of a finger; by the curves of its mode where left out
     */
    public function __construct(
        private readonly Rig $rig, private readonly ModeTune $mode, private readonly float $step, private readonly bool $positioning = true,
        ?Answers $answers = null,
    ) {
        $this->answers = $answers ?? $mode;
        $this->travelShare = Lag::share($mode->travelLag, $step);
        $this->climbShare = Lag::share($mode->climbLag, $step);
        $this->turnShare = Lag::share($mode->turnLag, $step);
        $this->tiltShare = Lag::share($mode->lag(Finger::Tilt), $step);
        $this->coastShare = Lag::share(self::COAST, $step);
        $this->airspeed = self::airspeed($rig, $mode);
    }

    /** Greatest speed through the air, m/s: what the fast mode can do. */
    public static function airspeed(Rig $rig, ModeTune $mode): float
    {
        return max($mode->run, $rig->mode('fast')->run);
    }

    /**
     * Flies a whole sheet with nobody's faults, from the place where the planned flight begins.
     */
    public static function flySheet(ThumbSheet $sheet, Flight $planned, Rig $rig, ModeTune $mode): Flight
    {
        $aircraft = new self($rig, $mode, $sheet->step);
        $pose = new Pose($planned->east[0], $planned->north[0], $planned->up[0], $planned->heading[0], $planned->tilt[0]);
        $track = new Track;
        foreach ($sheet->t as $k => $time) {
            $fingers = new FingerInput(
                $sheet->travel['climb'][$k], $sheet->travel['turn'][$k], $sheet->travel['run'][$k], $sheet->travel['slide'][$k],
                $sheet->travel['tilt'][$k],
            );
            $track->add($time, $pose, $fingers);
            $pose = $aircraft->step($pose, $fingers);
        }

        return $track->flight();
    }

    /**
     * One step on.
     *
     * @param  float  $windEast  air's own motion over the ground, m/s
     * @param  float  $gustEast  change of that motion since the last step, m/s
     */
    public function step(
        Pose $pose, FingerInput $fingers, float $windEast = 0.0, float $windNorth = 0.0, float $gustEast = 0.0, float $gustNorth = 0.0,
    ): Pose {
        $mode = $this->mode;
        $run = $this->answers->asked(Finger::Run, $fingers->run);
        $slide = $this->answers->asked(Finger::Slide, $fingers->slide);
        $sin = sin($pose->heading);
        $cos = cos($pose->heading);
        [$askedEast, $askedNorth] = ! $this->positioning
            ? [$run * $sin + $slide * $cos + $windEast, $run * $cos - $slide * $sin + $windNorth]
            : $this->withinAirspeed($run * $sin + $slide * $cos, $run * $cos - $slide * $sin, $windEast, $windNorth);

        $share = $this->positioning ? $this->travelShare : $this->coastShare;
        $de = $share * ($askedEast - $pose->eastRate);
        $dn = $share * ($askedNorth - $pose->northRate);
        // Speed is lost where the change points against the motion that it leaves behind.
        $braking = $de * (2 * $pose->eastRate + $de) + $dn * (2 * $pose->northRate + $dn) < 0;
        $most = ($braking ? $mode->brake : $mode->accelerate) * $this->step;
        $size = hypot($de, $dn);
        if ($size > $most) {
            $de *= $most / $size;
            $dn *= $most / $size;
        }
        // Without positioning the wind acts through the drag alone, gusts included.
        $coupling = $this->positioning ? $this->rig->gustCoupling : 0.0;
        $eastRate = $pose->eastRate + $de + $coupling * $gustEast;
        $northRate = $pose->northRate + $dn + $coupling * $gustNorth;

        $climbRate = $pose->climbRate + self::within(
            $this->climbShare * ($this->answers->asked(Finger::Climb, $fingers->climb) - $pose->climbRate),
            $mode->climbAccelerate * $this->step,
        );
        $turnRate = $pose->turnRate + self::within(
            $this->turnShare * ($this->answers->asked(Finger::Turn, $fingers->turn) - $pose->turnRate), $mode->turnAccelerate * $this->step,
        );
        $tiltRate = $pose->tiltRate + $this->tiltShare * ($this->answers->asked(Finger::Tilt, $fingers->tilt) - $pose->tiltRate);
        $tilt = $pose->tilt + $tiltRate * $this->step;
        if ($tilt < $this->rig->tiltLow || $tilt > $this->rig->highestTilt()) {
            $tilt = max($this->rig->tiltLow, min($this->rig->highestTilt(), $tilt));
            $tiltRate = 0.0;
        }

        return new Pose(
            $pose->east + $eastRate * $this->step,
            $pose->north + $northRate * $this->step,
            $pose->up + $climbRate * $this->step,
            $pose->heading + $turnRate * $this->step,
            $tilt,
            $eastRate, $northRate, $climbRate, $turnRate, $tiltRate,
        );
    }

    /**
     * The asked ground velocity, held back where it would need more airspeed than there is.
     *
     * @return array{float, float}
     */
    private function withinAirspeed(float $east, float $north, float $windEast, float $windNorth): array
    {
        $airEast = $east - $windEast;
        $airNorth = $north - $windNorth;
        $air = hypot($airEast, $airNorth);
        if ($air <= $this->airspeed) {
            return [$east, $north];
        }

        return [$windEast + $airEast * $this->airspeed / $air, $windNorth + $airNorth * $this->airspeed / $air];
    }

    private static function within(float $value, float $most): float
    {
        return max(-$most, min($most, $value));
    }
}
