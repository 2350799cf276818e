<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

/** What the picture of a move should keep: how its frame is judged. */
enum Framed
{
    /** The subject at its place. */
    case Subject;

    /** The heading, where there is no subject. */
    case Heading;

    /** The tilt at which the picture begins and the one at which it ends. */
    case Reveal;

    /** How far the heading swept, against what was planned. */
    case Sweep;

    /** Nothing: the frame is not part of the exercise. */
    case Free;
}
