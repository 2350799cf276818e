<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Scoring\Petal;

/**
 * What shows that a step is mastered: evidence, not a count. So many of the latest passes at such a score even with one deviation off, on
 * so many days, each way round, slow as well, from more than one distance or at more than one pace, without named help; and then what a
 * person says: the operator that it feels settled, a trainer that it is so.
 */
final readonly class Criterion
{
    public const REAL = 'real';

    public const PRACTISED = 'practised';

    public const EITHER = 'either';

    /** Aids that may be asked to be left off, as takes name them. */
    public const AIDS = [
        'ghost', 'ghost-fingers', 'cue-sound', 'cue-voice', 'tone', 'slow-75', 'slow-50', 'stepped-back', 'frozen', 'magnifier', 'loop',
        'plain-world',
    ];

    /**
     * @param  float  $score  0 to 100, reached where score less one deviation is at least this
     * @param  array<string, float>  $facets  least of each named petal, 0 to 100
     * @param  int  $passes  so many
     * @param  int  $of  of so many latest
     * @param  int  $days  on at least so many
     * @param  bool  $bothWays  each direction by itself
     * @param  bool  $slowToo  at least one of them in the slow mode
     * @param  bool  $twoDistances  from two distances, or at two paces, at least three tenths apart
     * @param  list<string>  $without  help that makes a pass not count
     * @param  'real'|'practised'|'either'  $kind
     */
    public function __construct(
        public float $score = 80.0,
        public array $facets = [],
        public int $passes = 3,
        public int $of = 4,
        public int $days = 2,
        public bool $bothWays = false,
        public bool $slowToo = false,
        public bool $twoDistances = false,
        public array $without = [],
        public string $kind = self::REAL,
        public bool $ownWord = true,
        public bool $signOff = false,
    ) {
    }

    /** @throws Refusal where a field is out of range, or nobody could meet it */
    public static function read(Fields $fields): self
    {
        $facets = [];
        foreach (Petal::cases() as $petal) {
            $least = $fields->groupOrNull('facets')?->numberOrNull($petal->value, 0, 100);
            if ($least !== null) {
                $facets[$petal->value] = $least;
            }
        }
        $without = [];
        foreach ($fields->texts('without') as $k => $aid) {
            if (! in_array($aid, self::AIDS, true)) {
                throw new Refusal(Fact::of('fields.not-known', value: $aid), $fields->place("without.$k"), Fact::of(
                    'fields.one-of', choices: implode(', ', self::AIDS),
                ));
            }
            $without[] = $aid;
        }
        $read = new self(
            $fields->number('score', 0, 100), $facets, $fields->whole('passes', 1, 20), $fields->whole('of', 1, 40),
            $fields->whole('days', 1, 20), $fields->flag('both_ways'), $fields->flag('slow_too'), $fields->flag('two_distances'), $without,
            self::kind($fields->choiceOrNull('kind', [self::REAL, self::PRACTISED, self::EITHER])),
            $fields->flag('own_word', true), $fields->flag('sign_off'),
        );
        if ($read->passes > $read->of) {
            throw new Refusal(
                Fact::of('ladder.more-than-latest', passes: $read->passes, of: $read->of), $fields->place('passes'),
                Fact::of('ladder.at-most-latest', of: $read->of),
            );
        }
        if ($read->days > $read->passes * ($read->bothWays ? 2 : 1)) {
            throw new Refusal(
                Fact::of('ladder.more-days-than-passes', days: $read->days, passes: $read->passes), $fields->place('days'),
                Fact::of('ladder.at-most-passes'),
            );
        }

        return $read;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'score' => $this->score, 'facets' => $this->facets === [] ? new \stdClass : $this->facets, 'passes' => $this->passes,
            'of' => $this->of, 'days' => $this->days, 'both_ways' => $this->bothWays, 'slow_too' => $this->slowToo,
            'two_distances' => $this->twoDistances, 'without' => $this->without, 'kind' => $this->kind, 'own_word' => $this->ownWord,
            'sign_off' => $this->signOff,
        ];
    }

    /** @return 'real'|'practised'|'either' */
    private static function kind(?string $given): string
    {
        return match ($given) {
            self::PRACTISED => self::PRACTISED,
            self::EITHER => self::EITHER,
            default => self::REAL,
        };
    }
}
