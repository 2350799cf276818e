<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

/** Which motion carries the picture past: what "seconds to cross the frame" are counted by. */
enum Crossing
{
    /** The turn: the width of the view over its rate. */
    case Turn;

    /** The tilt: the height of the view over its rate. */
    case Tilt;

    /** Travel across the line of sight: what is seen of the subject's distance over the speed. */
    case Sideways;

    /** Climb: the same upright. */
    case Upright;

    /** Travel along the line of sight: the distance over the speed, and two seconds. */
    case Ahead;
}
