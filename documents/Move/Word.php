<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Words\Glossary;

/** A word of the trade that means several things. */
final readonly class Word implements Document
{
    /**
     * @param  list<string>  $meanings
     * @param  string  $ours  the one in which it is used here
     */
    public function __construct(public string $word, public array $meanings, public string $ours)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static fn (array $one): self => new self($one['word'], $one['meanings'], $one['ours']), Glossary::all());
    }
}
