<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;

/** How far somebody is with a step. */
enum StepState: string
{
    /** What it needs is not passed. */
    case Closed = 'closed';
    case Open = 'open';
    case InWork = 'in-work';
    /** The takes are enough; a word or a sign-off is wanting. */
    case Enough = 'enough';
    /** Passed by evidence and the operator's own word, where no sign-off is asked. */
    case Settled = 'settled';
    case Signed = 'signed';
    /** Passed once, and not flown for too long. */
    case Stale = 'stale';

    /** Whether steps that need it are open. */
    public function isPassed(): bool
    {
        return $this === self::Settled || $this === self::Signed || $this === self::Stale;
    }

    public function words(): Fact
    {
        return Fact::of("step.state.$this->value");
    }
}
