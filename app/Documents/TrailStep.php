<?php

declare(strict_types=1);

namespace App\Documents;

use App\Spoken;
use Documents\Document;
use Larkspur\Fact;
use stdClass;

/** One thing that was done. */
final readonly class TrailStep implements Document
{
    /**
     * @param  string  $did  in words
     */
    public function __construct(
        public int $id,
        public string $at,
        public string $who,
        public string $did,
        public string $address,
    ) {
    }

    public static function of(stdClass $step): self
    {
        return new self(
            (int) $step->id, str_replace(' ', 'T', (string) $step->at).'Z', (string) $step->who,
            trim(Spoken::to()->say(Fact::of('trail.'.$step->did, what: (string) $step->what))), (string) $step->address,
        );
    }
}
