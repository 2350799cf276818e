<?php

declare(strict_types=1);

namespace Larkspur\Controls;

/** What a craft makes of a finger: by the curve of a mode, or by the table of a response sheet. */
interface Answers
{
    /** What a finger at the given travel, -1..1, asks of its axis: m/s or rad/s. */
    public function asked(Finger $finger, float $travel): float;
}
