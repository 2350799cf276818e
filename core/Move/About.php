<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fact;
use Larkspur\Move\Fingering\Fingering;

/** What the trade knows of a move before it is flown. Its words are phrases of the book: "move.<id>", "move.<id>.does" and so on. */
final readonly class About
{
    public Fingering $fingering;

    /**
     * @param  string  $id  stable, as in files and in the API
     * @param  int<1, 5>  $level  1 the easiest (common practice where practitioners rank it, else our placement)
     * @param  string  $fingering  as Fingering writes it
     * @param  list<string>  $needs  moves and drills to be clean in first; a proposal
     * @param  non-empty-list<string>  $faults  ids of what goes wrong, the likeliest first
     * @param  string  $family  the move as which a log alone shows it, of Recognition; empty where none does
     * @param  string  $withTilt  the move that is the same with a tilt; empty where none is
     * @param  bool  $caution  whether there is something to see to before it is flown, beside the usual cautions
     * @param  bool  $foreground  whether something that stands there hides its subject at first
     */
    public function __construct(
        public string $id,
        public Group $group,
        public int $level,
        string $fingering,
        public array $needs,
        public array $faults,
        public string $family = '',
        public string $withTilt = '',
        public bool $caution = false,
        public bool $foreground = false,
    ) {
        $this->fingering = Fingering::of($fingering);
    }

    /** What it is called on screen. */
    public function name(): Fact
    {
        return Fact::of("move.$this->id");
    }

    /** What it does to the picture. */
    public function does(): Fact
    {
        return Fact::of("move.$this->id.does");
    }

    /** What a clean one looks like. */
    public function clean(): Fact
    {
        return Fact::of("move.$this->id.clean");
    }

    /** What to see to before it is flown; null where the usual cautions suffice. */
    public function caution(): ?Fact
    {
        return $this->caution ? Fact::of("move.$this->id.caution") : null;
    }

    /** The cue against one of its faults. */
    public function cueAgainst(string $fault): Fact
    {
        return Fact::of("move.$this->id.fault.$fault");
    }
}
