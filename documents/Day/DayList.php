<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;

/** Things to tick before something is done, such as packing the bag. */
final readonly class DayList implements Document
{
    /** @param  list<ListItem>  $items */
    public function __construct(public string $id, public Fact $title, public array $items)
    {
    }

    /** @param  array{id: string, title: Fact, items: list<array{id: string, text: Fact}>}  $list  of core/FlightDay/Checklist */
    public static function of(array $list): self
    {
        return new self(
            $list['id'], $list['title'],
            array_map(static fn (array $item): ListItem => new ListItem($item['id'], $item['text']), $list['items']),
        );
    }
}
