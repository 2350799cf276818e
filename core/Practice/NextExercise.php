<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Site\Wind;

/**
 * What to fly after enough passes of an exercise: less help first, then the other way round, then in gusts (common practice, no published
 * source: every drill is repeated the other way and under other conditions).
 */
enum NextExercise: string
{
    case WithoutHelp = 'without-help';

    case OtherWay = 'other-way';

    case Gusts = 'gusts';

    /** @param  bool  $asPlanned  whether it is of a shot that somebody planned, whose way round is theirs to change */
    public static function after(Exercise $exercise, Recording $recording, bool $asPlanned): self
    {
        return match (true) {
            $recording->aids !== [] => self::WithoutHelp,
            ! $asPlanned && Catalogue::move($exercise->shot->intent->move)->opposite($exercise->plan->move) !== [] => self::OtherWay,
            default => self::Gusts,
        };
    }

    public function said(): Fact
    {
        return Fact::of("exercise.next.$this->value");
    }

    /** The wind that it is flown in; null for the same as before. */
    public function wind(Exercise $exercise): ?Wind
    {
        return $this !== self::Gusts ? null : new Wind($exercise->shot->wind->from, max(4.0, $exercise->shot->wind->mean), 7.0);
    }
}
