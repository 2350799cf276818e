<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Refusal;

/** A grey filter by its factor F: log2 F stops, density log10 F. Factor 1 is none. */
final readonly class NdFilter
{
    /** What is commonly sold; a bag's own list is the day's. */
    public const COMMON = [4, 8, 16, 32, 64, 128, 256, 512, 1000];

    public function __construct(public float $factor)
    {
        if (! ($factor >= 1)) {
            throw new Refusal(Fact::of('nd-filter.grey-filters-factor-1'), 'nd', Fact::of('nd-filter.factor-such-16'));
        }
    }

    public function stops(): float
    {
        return log($this->factor, 2);
    }

    public function density(): float
    {
        return log10($this->factor);
    }

    /**
     * The one of a bag, or none, that comes nearest to the stops that are wanted.
     *
     * @param  list<float|int>  $bag  factors
     */
    public static function nearest(float $stops, array $bag): self
    {
        $best = new self(1);
        foreach ($bag as $factor) {
            $filter = new self($factor);
            if (abs($filter->stops() - $stops) < abs($best->stops() - $stops) - 1e-9) {
                $best = $filter;
            }
        }

        return $best;
    }

    public function words(): Fact
    {
        return $this->factor <= 1 ? Fact::of('nd-filter.no-filter') : Fact::name('ND'.number_format($this->factor, 0, '.', ''));
    }
}
