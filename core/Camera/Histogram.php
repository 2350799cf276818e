<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/**
 * How a histogram is read in the field: what has run off its right edge is white for ever, so the exposure is lowered until nothing
 * that matters touches it. By how much is common practice, no published source: -0.7, -1 or -1.3.
 */
final readonly class Histogram
{
    /** Shares of the picture that may be clipped: a glint on water, the sun itself. */
    private const GLINT = 0.5;

    /**
     * @param  float  $clipped  share of the picture against the right edge, %
     * @param  float  $crushed  share against the left edge, %
     */
    public function __construct(public float $clipped, public float $crushed = 0.0)
    {
        if ($clipped < 0 || $crushed < 0 || $clipped + $crushed > 100) {
            throw new Refusal(Fact::of('histogram.shares-picture-0-100'), 'clipped', Fact::of('histogram.percent-picture'));
        }
    }

    /** Stops to change the exposure by; 0 to leave it. */
    public function change(): float
    {
        return match (true) {
            $this->clipped > 6 => -1.3,
            $this->clipped > 2 => -1.0,
            $this->clipped > self::GLINT => -0.7,
            $this->crushed > 20 => 0.7,
            default => 0.0,
        };
    }

    public function words(): Fact
    {
        $change = $this->change();

        return match (true) {
            $change < 0 => Fact::of(
                'histogram.picture-white-ever-lower', clipped: Fields::written(round($this->clipped, 1)), change: -$change,
            ),
            $change > 0 => Fact::of(
                'histogram.picture-black-raise-exposure', crushed: Fields::written(round($this->crushed, 1)), change: $change,
            ),
            $this->clipped > 0 => Fact::of('histogram.only-glint-touches-right'),
            default => Fact::of('histogram.nothing-touches-right-edge'),
        };
    }
}
