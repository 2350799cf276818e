<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Dimension;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;

/** One number of a mode that asks for more than the craft gives, or for an answer quicker than it has. */
final readonly class Beyond
{
    /**
     * @param  string  $place  within a rig: modes.slow.turn_dps
     * @param  float  $value  in the unit of the file
     * @param  float  $limit  the nearest that the craft gives, in the same unit
     */
    private function __construct(
        public string $craft, public string $mode, public string $place, public float $value, public float $limit,
        private Dimension $dimension,
    ) {
    }

    /** @return list<self> of one mode of a rig */
    public static function of(Craft $craft, ModeTune $mode): array
    {
        $stock = $craft->stock->mode($mode->name);
        $most = [
            ['run_mps', $mode->run, $stock->run, Dimension::Speed], ['slide_mps', $mode->slide, $stock->slide, Dimension::Speed],
            ['climb_mps', $mode->climb, $stock->climb, Dimension::Speed], ['sink_mps', $mode->sink, $stock->sink, Dimension::Speed],
            ['turn_dps', $mode->turn, $craft->turnTop, Dimension::AngularRate],
            ['gimbal.top_rate_dps', $mode->tilt, $craft->gimbalTop, Dimension::AngularRate],
            ['accelerate_mps2', $mode->accelerate, $stock->accelerate, Dimension::Acceleration],
            ['brake_mps2', $mode->brake, $stock->brake, Dimension::Acceleration],
            ['climb_accelerate_mps2', $mode->climbAccelerate, $stock->climbAccelerate, Dimension::Acceleration],
            ['turn_accelerate_dps2', $mode->turnAccelerate, $stock->turnAccelerate, Dimension::AngularAcceleration],
        ];
        $least = [
            ['lag_s.travel', $mode->travelLag, $stock->travelLag], ['lag_s.climb', $mode->climbLag, $stock->climbLag],
            ['lag_s.turn', $mode->turnLag, $stock->turnLag],
        ];
        $beyond = [];
        foreach ($most as [$place, $value, $limit, $dimension]) {
            if ($value > $limit * (1 + 1e-9)) {
                $scale = in_array($dimension, [Dimension::AngularRate, Dimension::AngularAcceleration], true) ? Angle::DEGREE : 1.0;
                $beyond[] = new self($craft->name, $mode->name, "modes.$mode->name.$place", $value / $scale, $limit / $scale, $dimension);
            }
        }
        foreach ($least as [$place, $value, $limit]) {
            if ($value < $limit * (1 - 1e-9)) {
                $beyond[] = new self($craft->name, $mode->name, "modes.$mode->name.$place", $value, $limit, Dimension::Time);
            }
        }

        return $beyond;
    }

    /** Whether it goes no farther than what was kept, which its craft was measured below since. */
    public function isNoFartherThan(?self $kept): bool
    {
        if ($kept === null) {
            return false;
        }

        return $this->isTooQuick() ? $this->value >= $kept->value * (1 - 1e-9) : $this->value <= $kept->value * (1 + 1e-9);
    }

    public function refusal(): Refusal
    {
        return $this->isTooQuick()
            ? new Refusal(
                Fact::of('craft.cant-answer-quicker-mode', name: $this->craft, mode: Fact::of("mode.$this->mode")), $this->place,
                Fact::of('craft.s-more', least: $this->quantity($this->limit)),
            )
            : new Refusal(
                Fact::of(
                    'craft.gives-more-mode', name: $this->craft, limit: $this->quantity($this->limit), mode: Fact::of("mode.$this->mode"),
                ),
                $this->place, Fact::of('craft.or-less', limit: $this->quantity($this->limit)),
            );
    }

    /** The same of a rig that was kept so: told, with what would bring it within, and left until somebody says so. */
    public function told(Fact $setting): Fact
    {
        return Fact::of(
            'settings-warning.beyond-craft', setting: $setting, mode: Fact::of("mode.$this->mode"), value: $this->quantity($this->value),
            name: $this->craft, limit: $this->quantity($this->limit),
        );
    }

    private function isTooQuick(): bool
    {
        return $this->dimension === Dimension::Time;
    }

    private function quantity(float $value): Quantity
    {
        $turns = in_array($this->dimension, [Dimension::AngularRate, Dimension::AngularAcceleration], true);

        return Quantity::of($turns ? $value * Angle::DEGREE : $value, $this->dimension);
    }
}
