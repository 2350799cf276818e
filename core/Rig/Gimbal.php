<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fields;
use Larkspur\Measure\Angle;

/** How a gimbal is switched, whatever the flight mode: whether it may look up, whether it rolls with the craft, and how level it hangs. */
final readonly class Gimbal
{
    /**
     * @param  bool  $upward  whether it is let look above the horizon: off on most craft as they leave the box
     * @param  bool  $free  whether it rolls with the craft; else it follows the turn alone and keeps the horizon
     * @param  ?float  $offset  by how much its horizon is off when it hangs still, rad, positive leans right; null where nobody looked
     */
    public function __construct(public bool $upward = true, public bool $free = false, public ?float $offset = null)
    {
    }

    public static function read(Fields $fields): self
    {
        $offset = $fields->numberOrNull('level_offset_deg', -10, 10, 'degrees');

        return new self($fields->flag('upward', true), $fields->flag('free'), $offset === null ? null : $offset * Angle::DEGREE);
    }

    /** @return array{upward: bool, free: bool, level_offset_deg?: float} */
    public function toArray(): array
    {
        return [
            'upward' => $this->upward, 'free' => $this->free,
            ...$this->offset === null ? [] : ['level_offset_deg' => round($this->offset / Angle::DEGREE, 3)],
        ];
    }
}
