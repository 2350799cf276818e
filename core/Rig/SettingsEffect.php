<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Camera\Lens;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/**
 * What the numbers of a rig do in one of its flight modes, seen through a lens, in somebody's hands: in words of the field, such as
 * metres to brake, picture widths a second and the finest dependable nudge.
 */
final readonly class SettingsEffect
{
    /** From how far off a plain move is looked at, m: what picture widths of a travel need. */
    public const LOOKED_AT = 20.0;

    public function __construct(
        public Craft $craft, public ModeTune $mode, public Lens $lens, public Hands $hands, public float $distance = self::LOOKED_AT,
    ) {
    }

    public function finger(Finger $finger): FingerEffect
    {
        return new FingerEffect($finger, $this, $this->mode);
    }

    /** @return list<FingerEffect> */
    public function fingers(): array
    {
        return array_map($this->finger(...), Finger::cases());
    }

    /**
     * The finger whose finest nudge moves the picture most, in words; the trade softens the turn first (common practice, no published
     * source).
     */
    public function sharpest(): Fact
    {
        $fingers = $this->fingers();
        $moves = static fn (FingerEffect $one): float => $one->nudge() * $one->widths();
        usort($fingers, static fn (FingerEffect $a, FingerEffect $b): int => $moves($b) <=> $moves($a));

        return Fact::of(
            $fingers[0]->finger === Finger::Turn ? 'settings.sharpest-turn' : 'settings.sharpest', finger: $fingers[0]->finger->value,
            nudge: Quantity::percentPerSecond(100 * $moves($fingers[0])),
        );
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
}
