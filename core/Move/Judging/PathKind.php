<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

use Larkspur\Move\Shape\Round;

/** The kind of path that a move should draw over the ground: decides what "along" and "off the line" mean. */
enum PathKind
{
    /** Round a subject. */
    case Circle;

    /** The arc of a circle that has no subject in its middle. */
    case Arc;

    case Line;

    case Vertical;

    /** No path: the craft keeps its place. */
    case Spot;

    /** At a constant distance from a moving subject. */
    case Beside;

    /** Several legs, laid over the planned figure. */
    case Figure;
}
