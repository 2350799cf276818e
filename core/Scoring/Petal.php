<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** The five facets on which a take is judged, drawn as the petals of a flower, each made of some of the eight parts. */
enum Petal: string
{
    case Ease = 'ease';
    case Flow = 'flow';
    case Hold = 'hold';
    case Line = 'line';
    case Frame = 'frame';

    /** The petal that a part belongs to. */
    public static function of(string $part): self
    {
        foreach (self::cases() as $petal) {
            if (in_array($part, $petal->parts(), true)) {
                return $petal;
            }
        }

        throw new \LogicException("“{$part}” is no part.");
    }

    /** @return list<string> parts that it is the mean of, under the move's weights */
    public function parts(): array
    {
        return match ($this) {
            self::Ease => ['ease'],
            self::Flow => ['smooth'],
            self::Hold => ['steady', 'pace'],
            self::Line => ['path', 'clean', 'completion'],
            self::Frame => ['framing'],
        };
    }
}
