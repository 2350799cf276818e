<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fact;

/**
 * Moves that many craft fly by themselves. They are known, and listed, so that a school says what they are good for; they are not planned
 * or judged here: a take that a log marks as flown by the craft credits nobody's hands (common practice, no published source). What each
 * asks for differs from craft to craft: the steps are those that they share.
 */
enum MachineFlown: string
{
    case AwayAndUp = 'away-and-up';
    case StraightUp = 'straight-up';
    case Circle = 'circle';
    case SetCircle = 'set-circle';
    case FollowBehind = 'follow-behind';
    case FollowBeside = 'follow-beside';

    /** The move that shows the same picture, flown by hand. */
    public function byHand(): string
    {
        return match ($this) {
            self::AwayAndUp => 'pull-away',
            self::StraightUp => 'rise',
            self::Circle => 'orbit',
            self::SetCircle => 'climbing-orbit',
            self::FollowBehind => 'follow',
            self::FollowBeside => 'side-track',
        };
    }

    public function name(): Fact
    {
        return Fact::of("machine-flown.$this->value");
    }

    public function does(): Fact
    {
        return Fact::of("machine-flown.$this->value.does");
    }

    /** @return list<Fact> what is done, in order: the recording is stopped before such a move can be entered */
    public function steps(): array
    {
        $follows = in_array($this, [self::FollowBehind, self::FollowBeside], true);

        return [
            Fact::of('machine-flown.step.stop'), Fact::of('machine-flown.step.clear'), Fact::of('machine-flown.step.choose'),
            Fact::of("machine-flown.$this->value.set"), Fact::of('machine-flown.step.record'),
            Fact::of($follows ? 'machine-flown.step.end' : 'machine-flown.step.back'), Fact::of('machine-flown.step.log'),
        ];
    }
}
