<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Move\MovePlan;

/** A handle of one part of a combination: it changes that part's parameters ("parts.1.length_m"). */
final readonly class OfPart extends Handle
{
    /** @param  float  $shift  seconds by which the part's clock runs behind the whole's */
    public function __construct(private int $part, private Handle $handle, private float $shift)
    {
        // A reader counts from one, and so does what a key or a test looks for on the page.
        parent::__construct('part-'.($part + 1).'-'.$handle->id, $handle->sheet, $handle->finger);
    }

    public function label(): Fact
    {
        return Fact::of('handle.of-part', part: $this->part + 1, handle: $this->handle->label());
    }

    public function at(MovePlan $plan): Spot
    {
        return $this->handle->at($plan->parts[$this->part])->later($this->shift);
    }

    public function put(MovePlan $plan, Spot $to): array
    {
        return $this->named($this->handle->put($plan->parts[$this->part], $to->later(-$this->shift)));
    }

    public function nudge(MovePlan $plan, float $right, float $up): array
    {
        return $this->named($this->handle->nudge($plan->parts[$this->part], $right, $up));
    }

    /**
     * @param  array<string, float>  $parameters
     * @return array<string, float>
     */
    private function named(array $parameters): array
    {
        $out = [];
        foreach ($parameters as $id => $value) {
            $out["parts.$this->part.$id"] = $value;
        }

        return $out;
    }
}
