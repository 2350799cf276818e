<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Flight\Slip;

/** A start that is there at once. */
final readonly class FlickedStart extends Flick
{
    protected function end(): string
    {
        return 'start';
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(
            new Slip('snap', $staging->main(), 0.0, 0.0, $staging->begin()),
            new Slip('snap', $staging->turning(), 0.0, 0.0, $staging->begin()),
        );
    }
}
