<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

/** What a move asks of one axis, and so how the axis is judged. */
enum Role
{
    /** Held at a constant rate: eases and evenness count. */
    case Steady;

    /** Follows another axis so that the subject stays put: judged by the frame alone. */
    case Coupled;

    /** Must rest: anything it does is a leak. */
    case Still;

    /** Not judged: the log does not show it, or the move leaves it free. */
    case Free;

    /** Follows a planned profile: judged by the ratio of flown to planned. */
    case Profile;
}
