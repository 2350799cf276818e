<?php

declare(strict_types=1);

namespace Words;

use Larkspur\Fact;
use Larkspur\Refusal;

/** The phrase book opened for one reader. */
final readonly class Speaker
{
    public function __construct(public Reader $reader = new Reader, private PhraseBook $book = new PhraseBook)
    {
    }

    public function say(?Fact $fact): string
    {
        return $fact === null ? '' : $this->book->say($fact, $this->reader);
    }

    /** What was refused, in one line for a terminal or a form that has one place for it: place, what was wrong, what was expected. */
    public function refusal(Refusal $refusal): string
    {
        $line = ($refusal->place === '' ? '' : $refusal->place.': ').$this->say($refusal->fact);

        return $refusal->expected === null
            ? $line
            // A place is a name and keeps its own first letter.
            : rtrim($line, '.').'. '.$this->say(Fact::of('refusal.expected', expected: $refusal->expected));
    }

    public function to(Reader $reader): self
    {
        return new self($reader, $this->book);
    }

    /**
     * Everything in a structure with its facts said, those that were kept as JSON too.
     *
     * @template T
     *
     * @param  T  $value
     * @return (T is array<array-key, mixed> ? array<array-key, mixed> : mixed)
     */
    public function saidThroughout(mixed $value): mixed
    {
        if ($value instanceof Fact) {
            return $this->say($value);
        }
        if (! is_array($value)) {
            return $value;
        }
        $kept = isset($value['say']) ? Fact::read($value) : null;

        return $kept === null ? array_map($this->saidThroughout(...), $value) : $this->say($kept);
    }
}
