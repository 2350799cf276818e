<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Choreography\Finding as Checked;
use Larkspur\Fact;

/** One thing that was checked about a plan. */
final readonly class Finding implements Document
{
    /**
     * @param  'ok'|'note'|'broken'  $state
     */
    public function __construct(
        public string $id,
        public string $state,
        public Fact $text,
        public ?float $value,
        public ?float $limit,
        public string $unit,
        public ?Mend $mend,
    ) {
    }

    public static function of(Checked $finding): self
    {
        return new self(
            $finding->id, $finding->state, $finding->text, $finding->value === null ? null : round($finding->value, 3),
            $finding->limit === null ? null : round($finding->limit, 3), $finding->unit,
            $finding->mendText === null ? null : new Mend($finding->mendText, new Map($finding->mend)),
        );
    }
}
