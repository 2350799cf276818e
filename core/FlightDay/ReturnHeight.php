<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Quantity;
use Larkspur\Site\Site;

/**
 * The height at which a craft comes home by itself: above the tallest thing on any way home of the day, wires included, with a margin, in
 * metres above take-off, as a craft counts it. How wide a way is looked at, and the margin, are ours (docs/schools.md); whole metres,
 * rounded up.
 */
final readonly class ReturnHeight
{
    /** To either side of the straight way home, m. */
    public const CORRIDOR = 10.0;

    public const MARGIN = 15.0;

    /** Between places looked at on a way, m. */
    private const STEP = 2.0;

    /**
     * @param  float  $height  m above take-off
     * @param  ?string  $tallest  what decides it; null where it is the ground or the flight itself
     * @param  bool  $overCeiling  whether it breaks the site's ceiling somewhere on a way home
     */
    private function __construct(
        public float $height, public ?string $tallest, public float $top, public bool $overCeiling, public float $margin,
    ) {
    }

    /** @param  list<Plan>  $plans  of the day, all on one site */
    public static function of(Site $site, array $plans, float $margin = self::MARGIN): self
    {
        [$top, $tallest] = [0.0, null];
        $lowest = 0.0;
        $seen = [];
        foreach ($plans as $plan) {
            $flight = $plan->move->flight;
            for ($i = 0, $n = $flight->count(); $i < $n; $i += 50) {
                $from = $flight->position($i);
                $steps = max(1, (int) ceil($from->ground() / self::STEP));
                if ($site->ground !== null) {
                    $ground = $site->ground->highestBetween(0, 0, $from->east, $from->north);
                    [$top, $tallest] = $ground > $top ? [$ground, null] : [$top, $tallest];
                }
                for ($k = 0; $k <= $steps; $k++) {
                    $east = $from->east * $k / $steps;
                    $north = $from->north * $k / $steps;
                    // Ways home share most of their ground.
                    $cell = ((int) floor($east / self::STEP)).' '.((int) floor($north / self::STEP));
                    if (isset($seen[$cell])) {
                        continue;
                    }
                    $seen[$cell] = true;
                    $lowest = min($lowest, $site->ground?->at($east, $north) ?? 0.0);
                    foreach ($site->solids as $solid) {
                        $highest = $solid->body->top();
                        $over = new Position($east, $north, $highest);
                        if (
                            $highest > $top
                            && $solid->leastDistance($over) < self::CORRIDOR
                            && $solid->distance($over) < self::CORRIDOR + ($solid->shape === 'wire' ? 2.0 : 0.0)
                        ) {
                            [$top, $tallest] = [$highest, $solid->name];
                        }
                    }
                }
            }
        }
        $height = ceil($top + $margin - 1e-9);

        return new self($height, $tallest, $top, $height - $lowest > $site->ceiling, $margin);
    }

    /** What to set, and why. */
    public function inShort(): Fact
    {
        $top = Quantity::metres($this->top);

        return Fact::all(
            Fact::of(
                'return-height.set', height: Quantity::metres($this->height), margin: Quantity::metres($this->margin),
                why: $this->tallest === null
                    ? Fact::of('return-height.highest-ground', top: $top)
                    : Fact::of('return-height.reaches', tallest: $this->tallest, top: $top),
            ),
            $this->overCeiling ? Fact::of('return-height.over-ceiling') : null,
        );
    }
}
