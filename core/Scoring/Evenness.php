<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Judging\TakeTarget;

/** How evenly each held axis was held: spread of its rate over its hold, as a share of the rate ("Steadiness"). */
final class Evenness
{
    /** The most that is put down to the walk of positions, m/s. */
    private const WALK = ['travel' => 0.09, 'climb' => 0.07];

    /** What positions wander where they are noisy at all, m/s, and the noise from which they are, m. */
    private const WANDERS = ['travel' => 0.055, 'climb' => 0.035];

    private const QUIET = 0.03;

    /** Nodes beside the take that still see it through the kernel, and how many beyond tell anything. */
    private const ASIDE = 12;

    private const ENOUGH = 8;

    /** @return array<value-of<Axis>, NoiseCorrected> */
    public static function of(Take $take, TakeTarget $wanted): array
    {
        $evenness = [];
        $profile = $take->judging->role(Axis::Travel) === Role::Profile ? self::profile($take, $wanted->profile) : null;
        if ($profile !== null) {
            $evenness[Axis::Travel->value] = $profile;
        }
        foreach ($take->spans as $name => $span) {
            $evenness[$name] = self::axis($take, Axis::from($name), $span);
        }

        return $evenness;
    }

    /**
     * A planned profile: the spread of flown over planned speed, at the same share of the way.
     *
     * @param  list<float>  $planned  m/s at equal shares of the way, 0 to 1
     * @return ?NoiseCorrected null where the profile has no length, or nothing of it was flown
     */
    private static function profile(Take $take, array $planned): ?NoiseCorrected
    {
        if (count($planned) < 2) {
            return null;
        }
        $last = count($planned) - 1;
        $ratios = $noise = [];
        $most = max($planned);
        foreach ($take->progress() as $k => $share) {
            $i = $take->main->from + $k;
            $k0 = (int) min($last - 1, floor($share * $last));
            $wanted = $planned[$k0] + ($share * $last - $k0) * ($planned[$k0 + 1] - $planned[$k0]);
            if ($wanted > 0.6 * $planned[intdiv($last, 4)] && $share > 0.08 && $share < 0.92 && $take->grid->valid[$i]) {
                $ratios[] = $take->steady[Axis::Travel->value][$i] / $wanted;
                $noise[] = ($take->grid->x->sigma * $take->grid->x->gSteady[$i] / $most) ** 2;
            }
        }
        if ($ratios === []) {
            return null;
        }
        $median = Statistics::median($ratios);

        return NoiseCorrected::rate(
            Statistics::meanSquare(array_map(static fn (float $ratio): float => $ratio - $median, $ratios)),
            Statistics::mean($noise) + (0.04 / $most) ** 2, count($ratios) * Grid::STEP, Grid::STEADY,
        );
    }

    /**
     * What the receiver wanders while the craft rests before and after the take, m/s: positions walk, and that is nobody's
     * unevenness. Held to WALK, since a craft that is blown about at rest is none either.
     */
    private static function atRest(Take $take, Axis $axis): float
    {
        $channels = $axis === Axis::Travel ? [$take->grid->x, $take->grid->y] : [$take->grid->z];
        $square = $noise = 0.0;
        $n = 0;
        foreach ($take->grid->t as $i => $_) {
            if ($i < $take->main->from - self::ASIDE || $i > $take->main->to + self::ASIDE) {
                foreach ($channels as $channel) {
                    $square += $channel->steady[$i] ** 2;
                    $noise += ($channel->sigma * $channel->gSteady[$i]) ** 2;
                    $n++;
                }
            }
        }

        return $n < self::ENOUGH ? 0.0 : min(self::WALK[$axis->value] ?? 0.0, sqrt(max(0.0, $square - $noise) / $n));
    }

    private static function axis(Take $take, Axis $axis, Span $span): NoiseCorrected
    {
        $channel = $take->channel($axis);
        if ($axis === Axis::Tilt) {
            [$from, $to, $width, $gain, $allowance] = [$span->holdFrom, $span->holdTo + 1, Grid::ANGLE, $channel->g1, 0.0];
        } else {
            // The kernel is wide, so the ends of the hold still hold some of the ramps: trimmed, more of a long hold.
            $trim = $span->holdTo + 1 - $span->holdFrom > 50 ? 9 : 4;
            $from = $span->holdFrom + $trim;
            $to = max($span->holdTo + 1 - $trim, $from + 8);
            [$width, $gain] = [Grid::STEADY, $channel->gSteady];
            $allowance = match ($axis) {
                Axis::Travel => 0.04,
                Axis::Climb => 0.015,
                default => 0.05 * Angle::DEGREE,
            };
        }
        $speed = $take->speedometers[$axis->value] ?? null;
        $rates = array_slice($speed->steady ?? $take->steady[$axis->value], $from, $to - $from);
        $valid = [];
        foreach ($rates as $i => $rate) {
            if ($take->grid->valid[$from + $i]) {
                $valid[] = $rate;
            }
        }
        $rates = count($valid) > 5 ? $valid : $rates;
        $median = Statistics::median($rates);
        $square = Statistics::meanSquare(array_map(static fn (float $rate): float => $rate - $median, $rates));
        if ($axis === Axis::Travel || $axis === Axis::Climb) {
            $allowance = max($allowance, $channel->sigma > self::QUIET ? self::WANDERS[$axis->value] : 0.0, self::atRest($take, $axis));
        }
        $noise = $speed?->noise() ?? $channel->sigma ** 2 * Statistics::meanSquare(array_slice(
            $gain, $from, $to - $from,
        )) + $allowance ** 2;

        return NoiseCorrected::rate($square, $noise, ($to - $from) * Grid::STEP, $width)->times(1 / max($span->rate, $take->floor($axis)));
    }
}
