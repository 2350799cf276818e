<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Scoring\FaultKinds;

/** What the trade knows of a move before it is flown: level, what comes first, how a clean one looks, what goes wrong. */
final readonly class About
{
    public Fingering $fingering;

    /**
     * @param  string  $id  stable, as in files and in the API
     * @param  string  $name  on screen
     * @param  int<1, 5>  $level  1 the easiest (common practice where practitioners rank it, else our placement)
     * @param  string  $fingering  as Fingering writes it
     * @param  list<string>  $needs  moves and drills to be clean in first; a proposal
     * @param  string  $does  what it does to the picture
     * @param  string  $clean  what a clean one looks like
     * @param  non-empty-array<string, string>  $faults  what goes wrong, by fault id, and the cue against it
     * @param  string  $family  the move as which a log alone shows it, of Recognition; empty where none does
     * @param  string  $caution  what to see to before it is flown; empty where the usual cautions suffice
     */
    public function __construct(
        public string $id,
        public string $name,
        public Group $group,
        public int $level,
        string $fingering,
        public array $needs,
        public string $does,
        public string $clean,
        public array $faults,
        public string $family = '',
        public string $caution = '',
    ) {
        $this->fingering = Fingering::of($fingering);
    }

    /** Words for a level, 1 to 5. */
    private const LEVELS = [1 => 'first days', 2 => 'two fingers', 3 => 'practised', 4 => 'hard', 5 => 'the hardest'];

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $axes = [];
        foreach ($this->fingering->parts as ['finger' => $finger, 'sign' => $sign, 'group' => $group, 'optional' => $optional]) {
            $axes[] = ['finger' => $finger->value, 'way' => $sign, 'group' => $group, 'optional' => $optional];
        }

        return [
            'id' => $this->id, 'name' => $this->name, 'group' => $this->group->value, 'group_words' => $this->group->words(),
            'level' => $this->level, 'level_words' => self::LEVELS[$this->level], 'axes' => $this->fingering->axes(), 'fingering' => $axes,
            'needs' => $this->needs, 'does' => $this->does, 'clean' => $this->clean, 'caution' => $this->caution,
            'faults' => array_map(static fn (string $id, string $cue): array => ['id' => $id, 'name' => FaultKinds::name($id), 'cue' => $cue], array_keys($this->faults), $this->faults),
        ];
    }
}
