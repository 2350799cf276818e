<?php

declare(strict_types=1);

namespace Larkspur\Move;

/** The kind of path that a move should draw over the ground: decides what "along" and "off the line" mean. */
enum PathKind
{
    case Circle;
    case Line;
    case Vertical;
}
