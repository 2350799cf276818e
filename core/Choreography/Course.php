<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

/** What a finger's travel does while a move is held. */
final readonly class Course
{
    public const HELD = 'held';

    public const GROWS = 'grows';

    public const FADES = 'fades';

    public const SWELLS = 'swells';

    public const DIPS = 'dips';

    public const CROSSES = 'crosses';

    /** Of what is pressed, that a thumb may stray by and still hold it (our judgement). */
    private const STRAYS = 0.15;

    /** A touch the other way that is over so soon, s, only stops what went before. */
    private const STOPS = 1.0;

    /**
     * @param  'held'|'grows'|'fades'|'swells'|'dips'|'crosses'  $kind  crosses: goes over its rest to the other side
     * @param  float  $from  travel where the hold begins, signed
     * @param  float  $to  and where it ends
     * @param  float  $turn  of greatest size for one that swells, of least for one that dips, of greatest on the other side for one that
     *                       crosses
     * @param  float  $at  when it leaves that, s; for one that crosses, when it is at rest
     * @param  float  $most  of greatest size throughout the hold; of one that is held its median
     */
    private function __construct(
        public string $kind, public float $from, public float $to, public float $turn, public float $at, public float $most,
    ) {
    }

    /**
     * @param  non-empty-list<float>  $held  travel from the beginning of the hold to its end, evenly apart
     * @param  float  $begin  when the first is, s
     * @param  float  $step  s
     * @param  float  $median  of them
     */
    public static function of(array $held, float $begin, float $step, float $median): self
    {
        $held = self::withoutStops($held, $step);
        [$from, $to] = [$held[0], $held[count($held) - 1]];
        $time = static fn (int $k): float => $begin + $k * $step;
        $sizes = array_map(abs(...), $held);
        [$greatest, $least] = [max($sizes), min($sizes)];
        $most = $held[(int) array_search($greatest, $sizes, true)];
        if (max($held) - min($held) <= max(2 * FingerPart::RESTS, self::STRAYS * $greatest)) {
            return new self(self::HELD, $from, $to, $median, $begin, $median);
        }
        if (max($held) > FingerPart::RESTS && min($held) < -FingerPart::RESTS) {
            return self::crossing($held, $most, $time);
        }
        [$a, $b] = [abs($from), abs($to)];
        if ($greatest > max($a, $b) + FingerPart::RESTS) {
            $near = array_filter($sizes, static fn (float $size): bool => $size >= $greatest - FingerPart::RESTS);

            return new self(self::SWELLS, $from, $to, $most, $time((int) array_key_last($near)), $most);
        }
        if ($least < min($a, $b) - FingerPart::RESTS) {
            $k = (int) array_search($least, $sizes, true);

            return new self(self::DIPS, $from, $to, $held[$k], $time($k), $most);
        }

        return new self($b > $a ? self::GROWS : self::FADES, $from, $to, $to, $time(count($held) - 1), $most);
    }

    public function isHeld(): bool
    {
        return $this->kind === self::HELD;
    }

    /**
     * @param  non-empty-list<float>  $held
     * @param  \Closure(int): float  $time
     */
    private static function crossing(array $held, float $most, \Closure $time): self
    {
        $pressed = array_values(array_filter($held, static fn (float $x): bool => abs($x) > FingerPart::RESTS));
        $first = $pressed[0] > 0 ? 1 : -1;
        $across = (int) array_key_first(array_filter($held, static fn (float $x): bool => $first * $x < -FingerPart::RESTS));
        while ($across > 0 && $first * $held[$across] < 0.0) {
            $across--;
        }

        return new self(
            self::CROSSES, $held[0], $held[count($held) - 1], $first > 0 ? min($held) : max($held), $time($across), $most,
        );
    }

    /**
     * @param  non-empty-list<float>  $held
     * @return non-empty-list<float>
     */
    private static function withoutStops(array $held, float $step): array
    {
        foreach ([1, -1] as $side) {
            $there = array_filter($held, static fn (float $x): bool => $side * $x > FingerPart::RESTS);
            if ($there !== [] && count($there) * $step <= self::STOPS && max(array_map(abs(...), $there)) < FingerPart::TOUCH) {
                $held = array_map(static fn (float $x): float => $side * $x > 0.0 ? 0.0 : $x, $held);
            }
        }

        return $held;
    }
}
