<?php

declare(strict_types=1);

namespace App\Documents;

use App\Progress\NextUp;
use Documents\Document;
use Documents\Progress\SuggestionDocument;
use Larkspur\Fact;

/** What to do today, and what else was weighed. */
final readonly class NextDocument implements Document
{
    /**
     * @param  'desk'|'hall'|'field'  $place
     * @param  ?float  $gustMps  that was reckoned with
     * @param  ?float  $lightMin  left until the sun has gone
     * @param  ?float  $batteryMin  as said
     * @param  string|Fact|null  $grounded  why nothing is flown now
     * @param  list<SuggestionDocument>  $said  one or two
     * @param  list<SuggestionDocument>  $weighed
     */
    public function __construct(
        public string $place, public ?float $gustMps, public bool $gustSimulated, public ?float $lightMin, public ?float $batteryMin,
        public string|Fact|null $grounded, public array $said, public array $weighed,
    ) {
    }

    public static function of(NextUp $next): self
    {
        $now = $next->now;

        return new self(
            $now->place, $now->gust, $next->simulated, $now->light === null ? null : round($now->light),
            $now->battery, $now->grounded(), array_map(SuggestionDocument::of(...), $next->said),
            array_map(SuggestionDocument::of(...), $next->weighed),
        );
    }
}
