<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;

/** One number that two versions of a rig state differently. */
final readonly class Difference
{
    /** Every number that can differ, and its unit; a place ends with one of these. */
    private const UNITS = [
        'run_mps' => 'm/s', 'slide_mps' => 'm/s', 'climb_mps' => 'm/s', 'sink_mps' => 'm/s',
        'turn_dps' => 'deg/s', 'accelerate_mps2' => 'm/s2', 'brake_mps2' => 'm/s2',
        'climb_accelerate_mps2' => 'm/s2', 'turn_accelerate_dps2' => 'deg/s2',
        'lag_s.travel' => 's', 'lag_s.climb' => 's', 'lag_s.turn' => 's',
        'gimbal.top_rate_dps' => 'deg/s', 'gimbal.cushion_s' => 's',
        'hands.stick_mode' => '', 'hands.wheel_up' => '', 'hands.grip' => '', 'hands.stick_mm' => 'mm', 'hands.touch' => '',
        'ducted.hover' => '', 'ducted.limit' => '', 'ducted.soft' => '', 'ducted.self_levelling' => '',
        'ducted.camera_deg' => 'deg', 'ducted.coast_s' => 's', 'camera.focal_mm' => 'mm',
        'obstacles' => '', 'gimbal.upward' => '', 'gimbal.free' => '', 'gimbal.level_offset_deg' => 'deg',
    ];

    public function __construct(
        public string $place, public string $mode, public Fact $name, public string $unit, public string|float|bool|null $from,
        public string|float|bool|null $to,
    ) {
    }

    /**
     * What the second of two rigs states otherwise than the first, in the order of the document.
     *
     * @param  array<string, mixed>  $from  in the form of a rig; a camera may stand beside it
     * @param  array<string, mixed>  $to
     * @return list<self>
     */
    public static function between(array $from, array $to): array
    {
        $old = self::flat($from);
        $new = self::flat($to);
        $differences = [];
        foreach ($new + $old as $place => $_) {
            [$a, $b] = [$old[$place] ?? null, $new[$place] ?? null];
            if ($a === $b || (is_float($a) && is_float($b) && abs($a - $b) < 1e-6 * max(1.0, abs($a)))) {
                continue;
            }
            $named = self::named($place);
            if ($named !== null) {
                $differences[] = new self($place, ...$named, from: $a, to: $b);
            }
        }

        return $differences;
    }

    /** What a setting at a place of a rig is called. */
    public static function nameOf(string $place): Fact
    {
        return self::named($place)[1] ?? Fact::name($place);
    }

    /** @return ?array{string, Fact, string} mode, name and unit; null for what is no setting */
    private static function named(string $place): ?array
    {
        $mode = preg_match('/^modes\.(\w+)\./', $place, $found) === 1 ? $found[1] : '';
        if (preg_match('/\.curves\.(\w+)\.(\w+)$/', $place, $found) === 1) {
            $kind = in_array($found[2], ['kind', 'centre', 'end', 'points'], true) ? $found[2] : 'own';

            return [$mode, Fact::of("setting.curve.$kind", finger: $found[1]), ''];
        }
        foreach (self::UNITS as $end => $unit) {
            if ($place === $end || str_ends_with($place, '.'.$end)) {
                return [$mode, Fact::of("setting.$end"), $unit];
            }
        }

        return null;
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<string, string|float|bool|null>
     */
    private static function flat(array $document, string $path = ''): array
    {
        $flat = [];
        foreach ($document as $key => $value) {
            $place = $path === '' ? (string) $key : "$path.$key";
            if (is_array($value) && array_is_list($value)) {
                $flat[$place] = (string) json_encode($value);
            } elseif (is_array($value)) {
                $flat += self::flat($value, $place);
            } elseif (is_int($value) || is_float($value)) {
                $flat[$place] = (float) $value;
            } elseif (is_string($value) || is_bool($value)) {
                $flat[$place] = $value;
            }
        }

        return $flat;
    }
}
