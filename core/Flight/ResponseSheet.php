<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Lag;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;

/**
 * A rig in one mode, compiled for whoever steps it by itself: per axis a table of travel to rate, the share of the
 * difference that a step covers, and the limits. The page holds no constants of its own; a test flies the same
 * inputs through the page's stepping and through the craft made here.
 */
final readonly class ResponseSheet
{
    public const STEP = 0.02;

    /** Places in a table, from full travel one way to full travel the other. */
    private const PLACES = 201;

    /** How far above the highest tilt the gimbal's own stop lies, seen from the craft: rad (common practice, no published source). */
    private const GIMBAL_SPARE = 30 * Angle::DEGREE;

    private function __construct(public Rig $rig, public ModeTune $mode, public CraftModel $model)
    {
    }

    /** @throws Refusal where a craft without ducts is to fly as one with them */
    public static function of(Rig $rig, string $mode, CraftModel $model = CraftModel::Positioning): self
    {
        if ($model->isDucted() && $rig->ducted === null) {
            throw new Refusal(Fact::of('exercise.not-ducted', craft: $rig->craft), 'conditions.model', Fact::of('exercise.a-ducted-craft'));
        }

        return new self($rig, $rig->mode($mode), $model);
    }

    /** @return non-empty-list<float> rate by travel, m/s or rad/s; of a ducted craft what DuctedCraft::asked says */
    public function rates(Finger $finger): array
    {
        return array_map(function (int $i) use ($finger): float {
            $travel = 2 * $i / (self::PLACES - 1) - 1;

            return $this->model->isDucted() && $this->rig->ducted !== null
                ? DuctedCraft::asked($this->rig->ducted, $this->mode, $this->model === CraftModel::Levelling, $finger, $travel)
                : $this->mode->asked($finger, $travel);
        }, range(0, self::PLACES - 1));
    }

    public function answers(): TabledAnswers
    {
        $rates = [];
        foreach (Finger::cases() as $finger) {
            $rates[$finger->value] = $this->rates($finger);
        }

        return new TabledAnswers($rates);
    }

    /** What the numbers of an axis are: m/s, deg/s, deg, or multiples of the weight (g). */
    public function unit(Finger $finger): string
    {
        return match (true) {
            ! $this->model->isDucted() || $finger->rotates() => $finger->rotates() ? 'deg/s' : 'm/s',
            $finger === Finger::Climb => 'g',
            default => $this->model === CraftModel::Levelling ? 'deg' : 'deg/s',
        };
    }

    /** The simulated craft that steps by this sheet. */
    public function craft(): Aircraft|DuctedCraft
    {
        return $this->model->isDucted() && $this->rig->ducted !== null
            ? $this->ducted()
            : new Aircraft($this->rig, $this->mode, self::STEP, $this->model === CraftModel::Positioning, $this->answers());
    }

    public function ducted(): DuctedCraft
    {
        return new DuctedCraft(
            $this->rig->ducted ?? throw new \LogicException('Not ducted.'), $this->mode, $this->answers(), self::STEP,
            $this->model === CraftModel::Levelling,
        );
    }

    /** Share of the difference to the asked rate that one step covers. */
    public function share(Finger $finger): float
    {
        if ($this->model->isDucted()) {
            $craft = $this->ducted();

            return match ($finger) {
                Finger::Climb => $craft->thrustShare,
                Finger::Turn => $craft->turnShare,
                default => $craft->leanShare,
            };
        }

        return Lag::share(
            $this->model === CraftModel::Free && ($finger === Finger::Run || $finger === Finger::Slide)
                ? Aircraft::COAST : $this->mode->lag($finger),
            self::STEP,
        );
    }

    /** Greatest change of rate in one step; null where nothing limits it. Run and slide share theirs, as a vector. */
    public function mostPerStep(Finger $finger): ?float
    {
        return match ($finger) {
            Finger::Climb => $this->model->isDucted() ? null : $this->mode->climbAccelerate * self::STEP,
            Finger::Turn => $this->mode->turnAccelerate * self::STEP,
            default => null,
        };
    }

    /** Time in which drag alone takes the speed through the air, s. */
    public function coast(): float
    {
        return $this->model->isDucted() ? $this->rig->ducted->coast ?? Aircraft::COAST : Aircraft::COAST;
    }

    /** Whether the picture leans with the craft: a fixed camera, or a gimbal that is let roll with it. */
    public function pictureRolls(): bool
    {
        return $this->model->isDucted() || $this->rig->gimbal?->free === true;
    }

    /** Where the gimbal's own stop lies, above the craft's level, rad. */
    public function gimbalStop(): float
    {
        return $this->rig->highestTilt() + self::GIMBAL_SPARE;
    }
}
