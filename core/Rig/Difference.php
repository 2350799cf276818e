<?php

declare(strict_types=1);

namespace Larkspur\Rig;

/** One number that two versions of a rig state differently. */
final readonly class Difference
{
    /** What each number is called, and in which unit; a place ends with one of these. */
    private const NAMES = [
        'run_mps' => ['top speed ahead', 'm/s'], 'slide_mps' => ['top speed sideways', 'm/s'], 'climb_mps' => ['top climb', 'm/s'], 'sink_mps' => ['top sink', 'm/s'],
        'turn_dps' => ['top turn', 'deg/s'], 'accelerate_mps2' => ['gain of speed', 'm/s2'], 'brake_mps2' => ['braking', 'm/s2'],
        'climb_accelerate_mps2' => ['change of climb', 'm/s2'], 'turn_accelerate_dps2' => ['change of turn', 'deg/s2'],
        'lag_s.travel' => ['answer of the travel', 's'], 'lag_s.climb' => ['answer of the climb', 's'], 'lag_s.turn' => ['answer of the turn', 's'],
        'gimbal.top_rate_dps' => ['gimbal top rate', 'deg/s'], 'gimbal.cushion_s' => ['gimbal cushion', 's'],
        'hands.stick_mode' => ['stick mode', ''], 'hands.wheel_up' => ['wheel for up', ''], 'hands.grip' => ['grip', ''], 'hands.stick_mm' => ['stick length', 'mm'],
        'ducted.hover' => ['hover point', ''], 'ducted.limit' => ['throttle limit', ''], 'ducted.soft' => ['throttle softness', ''], 'ducted.self_levelling' => ['self-levelling', ''],
        'ducted.camera_deg' => ['camera angle', 'deg'], 'ducted.coast_s' => ['coasting time', 's'], 'camera.focal_mm' => ['focal length', 'mm'],
    ];

    public function __construct(public string $place, public string $mode, public string $name, public string $unit, public string|float|bool|null $from, public string|float|bool|null $to)
    {
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

    /**
     * Two people changed the same rig: what both changed, to different ends, is theirs to settle; the rest goes together.
     *
     * @param  array<string, mixed>  $base  what both began with
     * @param  array<string, mixed>  $theirs  what was saved first
     * @param  array<string, mixed>  $mine  what is to be saved now
     * @return array{theirs: list<self>, mine: list<self>, both: list<string>} changes of each side, and the places that both changed to different ends
     */
    public static function threeWay(array $base, array $theirs, array $mine): array
    {
        $changedThere = self::between($base, $theirs);
        $changedHere = self::between($base, $mine);
        $there = array_column($changedThere, 'to', 'place');
        $both = [];
        foreach ($changedHere as $change) {
            if (array_key_exists($change->place, $there) && $there[$change->place] !== $change->to) {
                $both[] = $change->place;
            }
        }

        return ['theirs' => $changedThere, 'mine' => $changedHere, 'both' => $both];
    }

    /** @return array{place: string, mode: string, name: string, unit: string, from: string|float|bool|null, to: string|float|bool|null} */
    public function toArray(): array
    {
        return ['place' => $this->place, 'mode' => $this->mode, 'name' => $this->name, 'unit' => $this->unit, 'from' => $this->from, 'to' => $this->to];
    }

    /** @return ?array{string, string, string} mode, name and unit; null for what is no setting */
    private static function named(string $place): ?array
    {
        $mode = preg_match('/^modes\.(\w+)\./', $place, $found) === 1 ? $found[1] : '';
        if (preg_match('/\.curves\.(\w+)\.(\w+)$/', $place, $found) === 1) {
            return [$mode, 'curve of '.$found[1].match ($found[2]) {
                'kind' => ', convention', 'centre' => ', about the centre', 'end' => ', at full stick', 'points' => ', points', default => '',
            }, ''];
        }
        foreach (self::NAMES as $end => [$name, $unit]) {
            if ($place === $end || str_ends_with($place, '.'.$end)) {
                return [$mode, $name, $unit];
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
