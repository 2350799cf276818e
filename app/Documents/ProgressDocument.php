<?php

declare(strict_types=1);

namespace App\Documents;

use App\Progress\Standings;
use Documents\Document;
use Documents\Person;
use Documents\Progress\StandingDocument;
use Larkspur\Move\Catalogue;
use Larkspur\Training\Record;
use Larkspur\Training\Standing\Comparable;
use Larkspur\Training\Standing\Measure;

/** How an operator stands: in all, per petal, finger and move, with the takes that it rests on. */
final readonly class ProgressDocument implements Document
{
    /**
     * @param  list<StandingDocument>  $petals
     * @param  list<StandingDocument>  $fingers
     * @param  list<StandingDocument>  $moves  the one flown most first
     * @param  list<ProgressTake>  $takes  by hand with a craft, oldest first, as on a move of middling difficulty
     */
    public function __construct(
        public Person $operator, public ?StandingDocument $score, public array $petals, public array $fingers, public array $moves,
        public array $takes,
    ) {
    }

    public static function of(Record $record, Comparable $moves): self
    {
        $of = static function (array $measures) use ($record): array {
            $standings = [];
            foreach ($measures as $measure) {
                if (isset($record->standings[$measure])) {
                    $standings[] = StandingDocument::of($measure, Measure::named($measure), $record->standings[$measure], true);
                }
            }

            return $standings;
        };
        $byMove = Standings::byMove($record->takes, $moves);
        uasort($byMove, static fn ($a, $b): int => $b->takes <=> $a->takes);
        $score = $record->standings[Measure::SCORE] ?? null;

        return new self(
            new Person($record->id, $record->name), $score === null ? null : StandingDocument::of(
                Measure::SCORE, Measure::named(Measure::SCORE), $score, true,
            ),
            $of(Measure::petals()), $of(Measure::fingers()),
            array_map(static fn (string $move): StandingDocument => StandingDocument::of(
                $move, Catalogue::nameOf($move), $byMove[$move], false,
            ), array_keys($byMove)),
            ProgressTake::each($record->takes, $moves),
        );
    }
}
