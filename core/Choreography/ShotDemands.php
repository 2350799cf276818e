<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;
use Larkspur\Move\MovePlan;
use Larkspur\Rig\Demand;
use Larkspur\Rig\SettingsEffect;

/** What a planned shot asks of each finger's axis, free of the settings it was planned with: food for Rig\Advisor. */
final class ShotDemands
{
    /** Samples of 0.02 s between those kept: rates of an ease change over seconds. */
    private const STRIDE = 5;

    /** A rate below this share of a second's picture width is none. */
    private const NOTHING = 1e-4;

    /** @return list<Demand> one for each finger that the shot moves */
    public static function of(Plan $plan, string $title): array
    {
        $flight = $plan->move->flight;
        $mode = $plan->shot->tune();
        $lens = $plan->shot->intent->lens;
        $rates = self::rates($plan->move);
        $middle = $flight->indexAt(($plan->move->holdFrom + $plan->move->holdTo) / 2);
        $subject = $plan->move->subject?->at($flight->t[$middle]);
        $distance = $subject === null ? SettingsEffect::LOOKED_AT : max(1.0, $subject->minus($flight->position($middle))->length());
        $demands = [];
        foreach ($plan->parts as $press) {
            $finger = $press->finger;
            $way = $rates[$finger->value];
            $widths = SettingsEffect::widths($finger, $lens, $distance);
            $greatest = max(array_map(static fn (array $one): float => abs($one[1]), $way));
            // A travel that is never more than a touch beside another asks for no settings of its own; a slow wheel may well.
            if ($greatest * $widths < self::NOTHING || (
                ! $finger->rotates() && $press->isTouch() && abs($press->peak) < 2 * FingerPart::TOUCH
            )) {
                continue;
            }
            // What only touches beside another axis has no comfortable stretch of its own, as in Checks.
            $hold = $press->rests() || $press->isTouch() ? 0.0 : $mode->asked($finger, $press->hold);
            $demands[] = new Demand($title, $finger, $hold, $way, $widths);
        }

        return $demands;
    }

    /**
     * Time, rate and its change along the flight, in each finger's own axis: what run and slide ask at a time is the ground
     * velocity and its change, turned into the craft's axes.
     *
     * @return array<value-of<Finger>, non-empty-list<array{float, float, float}>>
     */
    private static function rates(MovePlan $plan): array
    {
        $flight = $plan->flight;
        $n = $flight->count();
        $out = array_fill_keys(array_column(Finger::cases(), 'value'), [[0.0, 0.0, 0.0]]);
        for ($k = self::STRIDE; $k < $n - self::STRIDE; $k += self::STRIDE) {
            [$e, $de] = self::derivatives($flight->east, $k);
            [$north, $dn] = self::derivatives($flight->north, $k);
            $sin = sin($flight->heading[$k]);
            $cos = cos($flight->heading[$k]);
            $t = $flight->t[$k];
            $out['climb'][] = [$t, ...self::derivatives($flight->up, $k)];
            $out['turn'][] = [$t, ...self::derivatives($flight->heading, $k)];
            $out['run'][] = [$t, $e * $sin + $north * $cos, $de * $sin + $dn * $cos];
            $out['slide'][] = [$t, $e * $cos - $north * $sin, $de * $cos - $dn * $sin];
            $out['tilt'][] = [$t, ...self::derivatives($flight->tilt, $k)];
        }

        return $out;
    }

    /**
     * First and second derivative at a sample, by central differences.
     *
     * @param  list<float>  $values
     * @return array{float, float}
     */
    private static function derivatives(array $values, int $k): array
    {
        return [
            ($values[$k + 1] - $values[$k - 1]) / (2 * MovePlan::STEP),
            ($values[$k + 1] - 2 * $values[$k] + $values[$k - 1]) / MovePlan::STEP ** 2,
        ];
    }
}
