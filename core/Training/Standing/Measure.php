<?php

declare(strict_types=1);

namespace Larkspur\Training\Standing;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Scoring\Petal;

/** What somebody can stand in: the score, a petal or a finger, by the name under which a take keeps its mark. */
final class Measure
{
    public const SCORE = 'score';

    /** @return list<string> the score, the petals, the fingers */
    public static function all(): array
    {
        return [self::SCORE, ...self::petals(), ...self::fingers()];
    }

    /** @return list<string> */
    public static function petals(): array
    {
        return array_column(Petal::cases(), 'value');
    }

    /** @return list<string> */
    public static function fingers(): array
    {
        return array_column(Finger::cases(), 'value');
    }

    public static function isFinger(string $measure): bool
    {
        return Finger::tryFrom($measure) !== null;
    }

    /** What it is called. */
    public static function named(string $measure): Fact
    {
        return match (true) {
            $measure === self::SCORE => Fact::of('standing.score'),
            self::isFinger($measure) => Fact::of("axis.$measure"),
            default => Fact::of("petal.$measure"),
        };
    }
}
