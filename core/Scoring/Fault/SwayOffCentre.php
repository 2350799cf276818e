<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Path\CirclePath;

/** A pass through an opening that leaves its middle. */
final readonly class SwayOffCentre extends NamedFault
{
    /** Share of an opening's width by which its middle may be missed. */
    private const SHARE = 0.15;

    public function id(): string
    {
        return 'sway-off-centre';
    }

    public function rank(): int
    {
        return 3;
    }

    public function spoils(Fault $fault): array
    {
        return ['path'];
    }

    public function find(Measurements $take): array
    {
        $nearest = self::aside($take);
        if ($nearest === null || $nearest['metres'] <= $nearest['limit']) {
            return [];
        }
        $aside = Quantity::metres($nearest['metres']);

        return [Fault::momentary($this, 'travel', $take->take->grid->t[$nearest['node']], 'hold')
            ->measured($aside, $nearest['metres'] / $nearest['limit'], Fact::of('picture.beside-middle', aside: $aside))];
    }

    /**
     * How far from the middle of its opening a craft went through, and how far it may; null where there is none.
     *
     * @return ?array{node: int, metres: float, limit: float} node of the grid
     */
    public static function aside(Measurements $take): ?array
    {
        if ($take->target->gap === null || $take->take->subject === null) {
            return null;
        }
        $nearest = $take->take->main->from;
        for ($i = $take->take->main->from; $i <= $take->take->main->to; $i++) {
            if ($take->take->distance[$i] < $take->take->distance[$nearest]) {
                $nearest = $i;
            }
        }

        return [
            'node' => $nearest, 'metres' => hypot($take->take->dx[$nearest], $take->take->dy[$nearest]),
            'limit' => max(self::SHARE * $take->target->gap, 2 * CirclePath::WALK),
        ];
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(new Slip(
            'kick', Finger::Slide, $staging->begin() + 0.1 * $staging->hold(), 0.25, 0.3 * $staging->hold(),
        ));
    }
}
