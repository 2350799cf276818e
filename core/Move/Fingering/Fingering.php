<?php

declare(strict_types=1);

namespace Larkspur\Move\Fingering;

use Larkspur\Controls\Finger;
use Larkspur\Move\Group;

/**
 * Which fingers play a move, which way, and in which order they leave their rest, written short: "slide± > turn∓".
 *
 * Fingers of one group start together; ">" parts a group from the one that follows it. "+" and "-" are the finger's own
 * ends; "±" may go either way, "∓" goes against the ± of the same move, and "=" after a finger's name goes with it;
 * "*" is either way on its own; brackets mark a finger that a variant of the move leaves at rest.
 */
final readonly class Fingering
{
    /** @param  list<array{finger: Finger, sign: '+'|'-'|'±'|'∓'|'='|'*', group: int, optional: bool}>  $parts */
    private function __construct(public string $text, public array $parts)
    {
    }

    public static function of(string $text): self
    {
        $parts = [];
        foreach ($text === '' ? [] : explode(' > ', $text) as $group => $together) {
            foreach (explode(' ', $together) as $word) {
                preg_match('/^(\(?)(climb|turn|run|slide|tilt)(\+|-|±|∓|=|\*)\)?$/u', $word, $found) === 1
                    || throw new \LogicException("“{$word}” is no fingering.");
                /** @var array{string, string, string, '+'|'-'|'±'|'∓'|'='|'*'} $found */
                $parts[] = ['finger' => Finger::from($found[2]), 'sign' => $found[3], 'group' => $group, 'optional' => $found[1] !== ''];
            }
        }

        return new self($text, $parts);
    }

    /** Group in which a finger leaves its rest, from 0; null for one that rests throughout. */
    public function group(Finger $finger): ?int
    {
        foreach ($this->parts as $part) {
            if ($part['finger'] === $finger) {
                return $part['group'];
            }
        }

        return null;
    }

    public function isOptional(Finger $finger): bool
    {
        foreach ($this->parts as $part) {
            if ($part['finger'] === $finger) {
                return $part['optional'];
            }
        }

        return false;
    }

    /** Number of axes that the move needs, its options left out. */
    public function axes(): int
    {
        return count(array_filter($this->parts, static fn (array $part): bool => ! $part['optional']));
    }

    /**
     * Every way in which the fingers may be pressed: by finger, +1 or -1; fingers at rest are left out.
     *
     * @return list<array<value-of<Finger>, 1|-1>>
     */
    public function combinations(): array
    {
        $all = [];
        foreach ([1, -1] as $free) {
            $made = [[]];
            foreach ($this->parts as ['finger' => $finger, 'sign' => $sign, 'optional' => $optional]) {
                $ways = match ($sign) {
                    '+' => [1],
                    '-' => [-1],
                    '±', '=' => [$free],
                    '∓' => [-$free],
                    '*' => [1, -1],
                };
                $with = [];
                foreach ($ways as $way) {
                    foreach ($made as $combination) {
                        $with[] = [...$combination, $finger->value => $way];
                    }
                }
                $made = $optional ? [...$made, ...$with] : $with;
            }
            $all = [...$all, ...$made];
        }

        return array_values(array_unique(array_filter($all, static fn (array $one): bool => $one !== []), SORT_REGULAR));
    }
}
