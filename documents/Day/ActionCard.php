<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;

/** What is done when something goes wrong in the air, step by step. */
final readonly class ActionCard implements Document
{
    /** @param  list<Fact>  $steps */
    public function __construct(public string $id, public Fact $title, public array $steps)
    {
    }

    /** @param  array{id: string, title: Fact, steps: list<Fact>}  $card  of core/FlightDay/ActionCards */
    public static function of(array $card): self
    {
        return new self($card['id'], $card['title'], $card['steps']);
    }
}
