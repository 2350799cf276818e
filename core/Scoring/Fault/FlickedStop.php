<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Measurements;

/** A stop left to the spring of the stick. Of a drill's figure, every finger that is let go. */
final readonly class FlickedStop extends Flick
{
    protected function end(): string
    {
        return 'stop';
    }

    public function find(Measurements $take): array
    {
        $springs = array_map(
            fn (array $spring): Fault => Fault::momentary($this, $spring['finger']->value, $spring['at'], 'stop')
                ->measured(Quantity::seconds($spring['seconds']), 0.3 / max(0.1, $spring['seconds']), Fact::of('picture.lurches')),
            $take->drill->springs ?? [],
        );

        return [...parent::find($take), ...$springs];
    }

    public function stage(Staging $staging): Staging
    {
        // In a figure the finger is let go in the middle of a leg: at its end it rests by itself.
        if ($staging->plan->move->marks !== []) {
            return $staging->slipping(new Slip('spring', $staging->main(), $staging->busiest($staging->main()), 0.0, 1.5));
        }

        return $staging->slipping(
            new Slip('spring', $staging->main(), $staging->end(), 0.0, 8.0),
            new Slip('spring', $staging->turning(), $staging->end(), 0.0, 8.0),
        );
    }
}
