<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Site\Wind;

/**
 * The air of one flight: how it moves over the ground, step by step, from a seed. Gusts are knots a tenth of a second apart on straight
 * lines; after the last they are gone through backward, and so on, so that a flight never runs out of air. A draught blows in one place of
 * a room, full in its middle and nothing at its edge.
 */
final readonly class Air
{
    /** Steps from knot to knot. */
    public const KNOT = 5;

    /** Seconds until it turns back. */
    private const SPAN = 120.0;

    /**
     * @param  non-empty-list<float>  $east  at the knots, m/s, the mean with it
     * @param  non-empty-list<float>  $north
     */
    private function __construct(public array $east, public array $north, public ?Draught $draught)
    {
    }

    public static function of(Wind $wind, float $height, int $seed, ?Draught $draught = null): self
    {
        $step = self::KNOT * ResponseSheet::STEP;
        $mean = $wind->meanAt($height);
        [$along, $across] = $wind->gusts($height, $step, (int) (self::SPAN / $step) + 1, $seed);
        [$e, $n] = [-sin($wind->from), -cos($wind->from)];
        $east = $north = [];
        foreach ($along as $k => $a) {
            // Rounded here, so that the page and the server have the very same air.
            $east[] = round(($mean + $a) * $e - $across[$k] * $n, 4);
            $north[] = round(($mean + $a) * $n + $across[$k] * $e, 4);
        }

        return new self($east === [] ? [0.0] : $east, $north === [] ? [0.0] : $north, $draught);
    }

    /** @return array{float, float} its motion over the ground at a step and a place, m/s east and north */
    public function at(int $step, float $east, float $north): array
    {
        $last = count($this->east) - 1;
        if ($last === 0) {
            $we = $this->east[0];
            $wn = $this->north[0];
        } else {
            $knot = intdiv($step, self::KNOT);
            $share = ($step % self::KNOT) / self::KNOT;
            $a = self::folded($knot, $last);
            $b = self::folded($knot + 1, $last);
            $we = $this->east[$a] + $share * ($this->east[$b] - $this->east[$a]);
            $wn = $this->north[$a] + $share * ($this->north[$b] - $this->north[$a]);
        }
        if ($this->draught === null) {
            return [$we, $wn];
        }
        $blows = $this->draught->shareAt($east, $north);

        return [$we + $blows * $this->draught->eastRate, $wn + $blows * $this->draught->northRate];
    }

    private static function folded(int $knot, int $last): int
    {
        $place = $knot % (2 * $last);

        return $place <= $last ? $place : 2 * $last - $place;
    }
}
