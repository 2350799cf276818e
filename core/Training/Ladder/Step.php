<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Parameter;
use Larkspur\Refusal;

/** One step of a ladder: the moves and drills that show it, what has to be passed first, and what shows that it is mastered. */
final readonly class Step
{
    private const LONGEST_TITLE = 80;

    /**
     * @param  string  $id  stable within a school: sign-offs are kept by it
     * @param  string  $title  as the school calls it; empty for one of those that come along, or that its moves name
     * @param  non-empty-list<string>  $moves  any of them shows it
     * @param  int<1, 5>  $level
     * @param  list<string>  $needs  ids of steps to be passed first
     * @param  bool  $supervised  somebody is named who stands by before it is begun
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $moves,
        public int $level,
        public array $needs,
        public Criterion $criterion,
        public bool $supervised = false,
    ) {
    }

    /** @throws Refusal where a move is not known, or its directions are asked for and it has none */
    public static function read(Fields $fields): self
    {
        $id = $fields->text('id');
        if (preg_match('/^[a-z0-9][a-z0-9-]{0,47}$/', $id) !== 1) {
            throw new Refusal(Fact::of('ladder.bad-id', id: mb_substr($id, 0, 48)), $fields->place('id'), Fact::of('ladder.id-is'));
        }
        $title = trim($fields->textOrNull('title') ?? '');
        if (mb_strlen($title) > self::LONGEST_TITLE) {
            throw new Refusal(Fact::of('ladder.title-too-long'), $fields->place('title'), Fact::of(
                'ladder.title-at-most', most: self::LONGEST_TITLE,
            ));
        }
        $moves = $fields->texts('moves');
        if ($moves === []) {
            throw new Refusal(Fact::of('ladder.step-without-moves'), $fields->place('moves'), Fact::of('ladder.one-move-or-more'));
        }
        foreach ($moves as $k => $move) {
            Catalogue::move($move, $fields->place("moves.$k"));
        }
        $criterion = Criterion::read($fields->group('criterion'));
        if ($criterion->bothWays && array_filter($moves, self::hasTwoWays(...)) === []) {
            throw new Refusal(
                Fact::of('ladder.only-one-way', move: Catalogue::nameOf($moves[0])), $fields->place('criterion.both_ways'),
                Fact::of('ladder.moves-with-two-ways'),
            );
        }
        /** @var int<1, 5> $level */
        $level = $fields->whole('level', 1, 5);

        return new self($id, $title, $moves, $level, $fields->texts('needs'), $criterion, $fields->flag('supervised'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'title' => $this->title, 'moves' => $this->moves, 'level' => $this->level, 'needs' => $this->needs,
            'criterion' => $this->criterion->toArray(), 'supervised' => $this->supervised,
        ];
    }

    /** Whether a move goes either of two ways that the record keeps apart. */
    public static function hasTwoWays(string $move): bool
    {
        return array_intersect(['direction', 'side', 'turn_deg'], Parameter::names(Catalogue::move($move)->parameters())) !== [];
    }

    public function name(): Fact
    {
        return match (true) {
            $this->title !== '' => Fact::name($this->title),
            Templates::knows($this->id) => Fact::of("step.name.$this->id"),
            default => Fact::of('ladder.named-by-moves', moves: array_map(Catalogue::nameOf(...), $this->moves)),
        };
    }
}
