<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;

/** A craft as an operator has set it up: its three flight modes and the facts of its airframe. */
final readonly class Rig
{
    public const MODES = ['slow', 'standard', 'fast'];

    /** What of its form a person sets, as keys. */
    public const SETTINGS = ['modes' => 1, 'hands' => 1, 'ducted' => 1, 'gimbal' => 1];

    /**
     * @param  float  $width  tip to tip, m
     * @param  float  $windLimit  strongest wind in which the maker lets it fly, m/s
     * @param  float  $gustCoupling  how much of a change of wind reaches the craft, 0 (none) to 1 (all)
     * @param  float  $tiltLow  lowest tilt of the gimbal, rad, negative down
     * @param  float  $tiltHigh  highest tilt, rad
     * @param  float  $batteryMinutes  hover time of one battery
     * @param  array<string, ModeTune>  $modes  slow, standard and fast
     * @param  ?Hands  $hands  how the operator whose rig it is holds the sticks
     * @param  ?Gimbal  $gimbal  how its gimbal is switched; null where nobody said
     * @param  ?Ducted  $ducted  of a ducted craft: its throttle and camera angle
     */
    public function __construct(
        public string $craft,
        public float $width,
        public float $windLimit,
        public float $gustCoupling,
        public float $tiltLow,
        public float $tiltHigh,
        public float $batteryMinutes,
        public array $modes,
        public ?Hands $hands = null,
        public ?Ducted $ducted = null,
        public ?Gimbal $gimbal = null,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $modes = [];
        foreach (self::MODES as $mode) {
            $modes[$mode] = ModeTune::read($mode, $fields->group('modes')->group($mode));
        }
        $tilt = $fields->group('tilt_range_deg');
        $low = $tilt->number('low', -120, 0, 'degrees');
        $high = $tilt->number('high', 0, 90, 'degrees');

        return new self(
            $fields->text('craft'),
            $fields->number('width_m', 0.02, 5, 'm'),
            $fields->number('wind_limit_mps', 0.5, 40, 'm/s'),
            $fields->number('gust_coupling', 0, 1),
            $low * Angle::DEGREE,
            $high * Angle::DEGREE,
            $fields->number('battery_min', 1, 120, 'minutes'),
            $modes,
            $fields->has('hands') ? Hands::read($fields->group('hands')) : null,
            $fields->has('ducted') ? Ducted::read($fields->group('ducted')) : null,
            $fields->has('gimbal') ? Gimbal::read($fields->group('gimbal')) : null,
        );
    }

    public function mode(string $name): ModeTune
    {
        return $this->modes[$name] ?? throw new Refusal(
            Fact::of('rig.craft-flight-mode', name: $name), 'mode', Fact::of('rig.one-of', modes: implode(', ', self::MODES)),
        );
    }

    /** The same rig with one mode set up otherwise. */
    public function withMode(ModeTune $mode): self
    {
        return new self(
            $this->craft, $this->width, $this->windLimit, $this->gustCoupling, $this->tiltLow, $this->tiltHigh, $this->batteryMinutes,
            [...$this->modes, $mode->name => $mode], $this->hands, $this->ducted, $this->gimbal,
        );
    }

    /** The same rig whose gimbal goes from one tilt to another, rad. */
    public function withTilt(float $low, float $high): self
    {
        return new self(
            $this->craft, $this->width, $this->windLimit, $this->gustCoupling, $low, $high, $this->batteryMinutes, $this->modes,
            $this->hands, $this->ducted, $this->gimbal,
        );
    }

    /** Highest tilt that it is let take, rad: level where its upward switch is off. */
    public function highestTilt(): float
    {
        return $this->gimbal?->upward === false ? min(0.0, $this->tiltHigh) : $this->tiltHigh;
    }

    /** @return array<string, mixed> what of a rig a person sets, in its form */
    public function settings(): array
    {
        return array_intersect_key($this->toArray(), self::SETTINGS);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'craft' => $this->craft, 'width_m' => $this->width, 'wind_limit_mps' => $this->windLimit,
            'gust_coupling' => $this->gustCoupling,
            'tilt_range_deg' => ['low' => round($this->tiltLow / Angle::DEGREE, 6), 'high' => round($this->tiltHigh / Angle::DEGREE, 6)],
            'battery_min' => $this->batteryMinutes,
            'modes' => array_map(static fn (ModeTune $mode): array => $mode->toArray(), $this->modes),
            ...$this->hands === null ? [] : ['hands' => $this->hands->toArray()],
            ...$this->ducted === null ? [] : ['ducted' => $this->ducted->toArray()],
            ...$this->gimbal === null ? [] : ['gimbal' => $this->gimbal->toArray()],
        ];
    }
}
