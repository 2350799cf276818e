<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Take;
use Documents\Document;
use Documents\Person;
use Documents\Score\Facets;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;

/** A judged take in a list. */
final readonly class TakeDocument implements Document
{
    /**
     * @param  'keep'|'fix'|'again'|'other'|'open'  $verdict
     * @param  ?PracticeNote  $practised  how it was flown in Fly; null where a craft flew it
     * @param  bool  $automated  flown by automation for the most part; no credit to the hands
     */
    public function __construct(
        public int $id,
        public Person $operator,
        public ?int $shotId,
        public string|Fact $title,
        public string $move,
        public string $mode,
        public string $direction,
        public string $flownAt,
        public string $zone,
        public float $fromS,
        public float $toS,
        public float $score,
        public float $uncertainty,
        public Facets $facets,
        public string $verdict,
        public float $usableS,
        public ?string $decision,
        public bool $automated,
        public int $comments,
        public ?PracticeNote $practised,
    ) {
    }

    public static function of(Take $take): self
    {
        return new self(
            id: $take->id, operator: new Person($take->operator->id, $take->operator->name), shotId: $take->shot_id,
            title: $take->shot->title ?? Catalogue::nameOf($take->move), move: $take->move, mode: $take->mode,
            direction: $take->direction, flownAt: $take->flown_at->toIso8601String(), zone: $take->zone, fromS: round($take->from_s, 1),
            toS: round($take->to_s, 1), score: $take->score, uncertainty: $take->uncertainty,
            facets: new Facets($take->ease, $take->flow, $take->hold, $take->line, $take->frame), verdict: $take->verdict,
            usableS: $take->usable_s, decision: $take->decision, automated: $take->automated ?? false,
            comments: (int) ($take->comments_count ?? 0),
            practised: $take->practised ? PracticeNote::of($take->practice ?? []) : null,
        );
    }

    /**
     * @param  iterable<Take>  $takes
     * @return list<self>
     */
    public static function each(iterable $takes): array
    {
        $written = [];
        foreach ($takes as $take) {
            $written[] = self::of($take);
        }

        return $written;
    }
}
