<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Fact;

/** A question on which practitioners differ: both views, and what is done about it here. Its words are phrases of the book. */
enum Dispute: string
{
    case Automation = 'automation';
    case Wheel = 'wheel';
    case SlowMode = 'slow-mode';
    case FastMode = 'fast-mode';
    case Yaw = 'yaw';
    case Grip = 'grip';
    case Touch = 'touch';
    case CurveName = 'curve-name';
    case Gain = 'gain';
    case Middle = 'middle';
    case OrbitRun = 'orbit-run';
    case OrbitPace = 'orbit-pace';
    case Constant = 'constant';
    case Height = 'height';
    case StillTopDown = 'still-top-down';
    case Foreground = 'foreground';
    case Sky = 'sky';
    case RevealWay = 'reveal-way';
    case Obstacles = 'obstacles';
    case Gaps = 'gaps';
    case Basics = 'basics';
    case Wind = 'wind';
    case Throttle = 'throttle';
    case Lean = 'lean';
    case Post = 'post';
    case Simple = 'simple';
    case Exposure = 'exposure';
    case Landing = 'landing';
    case Repeats = 'repeats';
    case Overtaking = 'overtaking';
    case Jib = 'jib';

    public function one(): Fact
    {
        return Fact::of("dispute.$this->value.one");
    }

    public function other(): Fact
    {
        return Fact::of("dispute.$this->value.other");
    }

    /** What is done about it, and where it has an effect. */
    public function here(): Fact
    {
        return Fact::of("dispute.$this->value.here");
    }

    /** Where the choice is made: of the house style, another page, or nowhere, since it is a matter of each shot or settled. */
    public function chosenAt(): string
    {
        return match ($this) {
            self::Automation => 'automation',
            self::SlowMode => 'slow',
            self::Wind => 'most_gust_mps',
            self::Repeats => 'passes',
            self::Wheel, self::Yaw => 'house',
            self::Post => 'judging',
            self::Basics, self::Simple => 'ladder',
            self::Grip, self::Touch, self::Throttle => 'rig',
            self::FastMode, self::Middle, self::Foreground, self::Sky, self::RevealWay, self::Exposure, self::OrbitPace, self::Height,
            self::Obstacles, self::Constant => 'shot',
            default => 'settled',
        };
    }
}
