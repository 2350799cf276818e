<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Camera\Lens;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;

/**
 * What the numbers of a rig do, in words of the field: rates, seconds to start and stop, metres to brake, picture
 * widths a second, the finest dependable nudge, and the curve of each finger in its own convention and in the others.
 */
final readonly class SettingsEffect
{
    /** Points of a curve card. */
    private const POINTS = 21;

    /** From how far off a plain move is looked at, m: what picture widths of a travel need. */
    public const LOOKED_AT = 20.0;

    public function __construct(private Craft $craft, private Lens $lens, private Hands $hands, private float $distance = self::LOOKED_AT)
    {
    }

    /**
     * @param  ?Finger  $only  where only one finger changed, the others are left out
     * @return array<string, mixed> of one flight mode
     */
    public function of(ModeTune $mode, ?Finger $only = null): array
    {
        $run = $mode->response(Finger::Run);

        return [
            'mode' => $mode->name,
            'brake_m' => round($run->stopWay(), 2),
            'brake_s' => round($run->stopSeconds(), 2),
            'fingers' => array_map(fn (Finger $finger): array => $this->finger($mode, $finger), $only === null ? Finger::cases() : [$only]),
        ];
    }

    /**
     * Picture widths a second for one unit of rate (m/s or rad/s) of a finger.
     *
     * A turn or a tilt moves the whole picture by its share of the field of view; a slide or a climb moves what is
     * `distance` away by its share of the width that is seen there; a run makes it grow, and its edge moves half as
     * far (pinhole geometry).
     */
    public static function widths(Finger $finger, Lens $lens, float $distance): float
    {
        return match ($finger) {
            Finger::Turn, Finger::Tilt => 1 / $lens->horizontal,
            Finger::Slide, Finger::Climb => 1 / (2 * $distance * $lens->halfWidth),
            Finger::Run => 0.5 / $distance,
        };
    }

    /** @return array<string, mixed> */
    private function finger(ModeTune $mode, Finger $finger): array
    {
        $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
        $curve = $mode->curve($finger);
        $points = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $travel = $i / (self::POINTS - 1);
            $points[] = [round($travel, 3), round($mode->asked($finger, $travel) * $scale, 3)];
        }
        $response = $mode->response($finger);
        $widths = self::widths($finger, $this->lens, $this->distance);
        $finest = $mode->asked($finger, 0.5 + $this->hands->nudge() / 2) - $mode->asked($finger, 0.5 - $this->hands->nudge() / 2);
        $stated = $curve->toArray();

        return [
            'finger' => $finger->value,
            'ends' => $finger->ends(),
            'thumb' => $this->hands->mode->thumb($finger),
            'unit' => $finger->rotates() ? 'deg/s' : 'm/s',
            'top' => round($mode->top($finger) * $scale, 2),
            'top_back' => round($mode->top($finger, false) * $scale, 2),
            'ceiling' => round($this->craft->ceiling($mode->name, $finger) * $scale, 2),
            'half_stick' => round($mode->asked($finger, 0.5) * $scale, 2),
            'start_s' => round($response->startSeconds(), 2),
            'stop_s' => round($response->stopSeconds(), 2),
            // Metres on the way to rest, or degrees.
            'stop_way' => round($response->stopWay() * $scale, 2),
            'stop_widths' => round($response->stopWay() * $widths, 3),
            'top_widths' => round($mode->top($finger) * $widths, 3),
            'half_widths' => round($mode->asked($finger, 0.5) * $widths, 3),
            'nudge' => round($finest * $scale, 3),
            'nudge_widths' => round($finest * $widths, 4),
            'cushion_s' => $finger->rotates() ? round($mode->cushion($finger), 2) : null,
            'own' => $finger->rotates() ? [
                'rate' => round($mode->top($finger) * $scale * $this->craft->rateUnit, 1),
                'cushion' => round($mode->cushion($finger) * $this->craft->cushionUnit, 1),
            ] : null,
            'curve' => $stated,
            'convention' => CurveKinds::meaning($stated['kind']),
            'says' => array_map(
                static fn (Conversion $conversion): array => $conversion->toArray(), Conversion::all($curve, $mode->top($finger) * $scale),
            ),
            'points' => $points,
        ];
    }
}
