<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/** Steps that are learnt one upon another, as a graph without circles. What a school makes of it is its own; three orders come with it. */
final readonly class Ladder
{
    private const MOST = 120;

    /** @var array<string, Step> by id, as they stand in the ladder */
    public array $steps;

    /** @var array<string, int> length of the longest way to each from the beginning */
    public array $ranks;

    /**
     * @param  list<Step>  $steps
     * @param  string  $place  where they stand in what was sent
     *
     * @throws Refusal where two have one id, one needs what is not there, or needs go round in a circle
     */
    public function __construct(array $steps, string $place = 'steps')
    {
        if ($steps === []) {
            throw new Refusal(Fact::of('ladder.no-step'), $place, Fact::of('ladder.one-step-or-more'));
        }
        if (count($steps) > self::MOST) {
            throw new Refusal(Fact::of('ladder.too-many-steps', count: count($steps)), $place, Fact::of(
                'ladder.at-most-steps', most: self::MOST,
            ));
        }
        $byId = [];
        foreach ($steps as $k => $step) {
            if (isset($byId[$step->id])) {
                throw new Refusal(Fact::of('ladder.two-of-one-id', id: $step->id), "$place.$k.id", Fact::of('ladder.id-of-its-own'));
            }
            $byId[$step->id] = $step;
        }
        $places = array_flip(array_keys($byId));
        foreach ($byId as $step) {
            foreach ($step->needs as $n => $need) {
                if (! isset($byId[$need])) {
                    throw new Refusal(
                        Fact::of('ladder.unknown-need', id: $need), "$place.{$places[$step->id]}.needs.$n", Fact::of('ladder.id-of-a-step'),
                    );
                }
            }
        }
        $this->steps = $byId;
        $this->ranks = self::rank($byId, $places, $place);
    }

    public static function read(Fields $fields): self
    {
        return new self(array_map(Step::read(...), $fields->groups('steps')), $fields->place('steps'));
    }

    /** @return array{steps: list<array<string, mixed>>} */
    public function toArray(): array
    {
        return ['steps' => array_map(static fn (Step $step): array => $step->toArray(), array_values($this->steps))];
    }

    public function step(string $id): ?Step
    {
        return $this->steps[$id] ?? null;
    }

    /**
     * @param  array<string, Step>  $steps
     * @param  array<string, int>  $places
     * @return array<string, int>
     */
    private static function rank(array $steps, array $places, string $place): array
    {
        $ranks = [];
        $open = [];
        $visit = static function (string $id) use (&$visit, &$ranks, &$open, $steps, $places, $place): int {
            if (isset($open[$id])) {
                $circle = [...array_slice(array_keys($open), (int) array_search($id, array_keys($open), true)), $id];
                throw new Refusal(
                    Fact::of('ladder.circle', steps: array_map(static fn (string $one): Fact => $steps[$one]->name(), $circle)),
                    "$place.$places[$id].needs", Fact::of('ladder.needs-that-end'),
                );
            }
            if (! isset($ranks[$id])) {
                $open[$id] = true;
                $ranks[$id] = 1 + max([-1, ...array_map($visit, $steps[$id]->needs)]);
                unset($open[$id]);
            }

            return $ranks[$id];
        };
        array_map($visit, array_keys($steps));

        return $ranks;
    }
}
