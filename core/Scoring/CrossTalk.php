<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;

/** What the axes did that should have rested, as image speed, %/s ("Cross-axis"). */
final readonly class CrossTalk
{
    private const VELOCITY_WALK = 0.08;

    /** @param  array<value-of<Axis>, NoiseCorrected>  $axes */
    private function __construct(public array $axes, public NoiseCorrected $total)
    {
    }

    public static function of(Take $take): self
    {
        $axes = [];
        $seconds = ($take->main->to - $take->main->from) * Grid::STEP;
        $perFrame = 100 / $take->lens->horizontal;
        foreach (Axis::cases() as $axis) {
            if ($take->judging->role($axis) !== Role::Still) {
                continue;
            }
            $channel = $take->channel($axis);
            $noise = $channel->sigma ** 2 * Statistics::meanSquare($take->moving($channel->g1));
            if ($axis === Axis::Travel) {
                $square = Statistics::meanSquare($take->moving($take->grid->x->rate))
                    + Statistics::meanSquare($take->moving($take->grid->y->rate));
                $axes[$axis->value] = NoiseCorrected::rate($square, 2 * $noise + self::VELOCITY_WALK ** 2, $seconds, Grid::POSITION)
                    ->times($take->imageSpeed(1.0));

                continue;
            }
            $square = Statistics::meanSquare($take->moving($take->rate[$axis->value]));
            // Beside a moving subject a little steering is part of the job.
            $share = $axis === Axis::Turn && $take->judging->path === PathKind::Beside ? 0.7 : 1.0;
            $axes[$axis->value] = $axis->rotates()
                ? NoiseCorrected::rate($square, $noise, $seconds, Grid::ANGLE)->times($share * $perFrame)
                : NoiseCorrected::rate($square, $noise, $seconds, Grid::ALTITUDE)->times($take->imageSpeed(1.0));
        }
        $total = NoiseCorrected::value(0.0, 0.0);
        foreach ($axes as $axis) {
            $total = NoiseCorrected::combine($total, $axis);
        }

        return new self($axes, $total);
    }
}
