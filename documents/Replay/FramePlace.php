<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;

/** A place in the frame, from its middle, in fractions of its width and height. */
final readonly class FramePlace implements Document
{
    public function __construct(public float $u, public float $v)
    {
    }
}
