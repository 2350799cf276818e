<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/**
 * A root mean square with the log's own noise taken off, and how sure of it one can be.
 *
 * With m2 the mean square seen, n2 what noise alone would give and nu independent stretches, the benefit of the
 * doubt goes to the pilot: sqrt(max(0, m2 - n2 (1 + 0.8 sqrt(2 / nu)))) (docs/scoring.md, section 1).
 */
final readonly class NoiseCorrected
{
    private const DOUBT = 0.8;

    /** @param  float  $error one standard deviation, in the unit of the value */
    private function __construct(public float $value, public float $error)
    {
    }

    /**
     * For rates, which a kernel of half-width $width has smeared over time.
     *
     * @param  float  $length  seconds looked at
     */
    public static function rate(float $meanSquare, float $noise, float $length, float $width): self
    {
        $nu = max(1.0, $length / (1.2 * $width));

        return self::root($meanSquare - $noise * (1 + self::DOUBT * sqrt(2 / $nu)), $meanSquare, $noise, $nu);
    }

    /** For values rather than rates. */
    public static function value(float $meanSquare, float $noise): self
    {
        return self::root($meanSquare - $noise, $meanSquare, $noise, 10.0);
    }

    /** Two directions taken together: the root of the sum of squares. */
    public static function combine(self $a, self $b): self
    {
        $value = hypot($a->value, $b->value);

        return new self($value, $value > 0 ? hypot($a->value * $a->error, $b->value * $b->error) / $value : max($a->error, $b->error));
    }

    public function times(float $factor): self
    {
        return new self($this->value * $factor, $this->error * abs($factor));
    }

    /** What is left when a known, independent part is taken off: the root of the difference of squares. */
    public function less(float $known): self
    {
        return new self(sqrt(max(0.0, $this->value ** 2 - $known ** 2)), $this->error);
    }

    private static function root(float $square, float $meanSquare, float $noise, float $nu): self
    {
        $value = sqrt(max(0.0, $square));
        // d sqrt(s) = ds / 2 sqrt(s); a mean square of nu stretches is known to sqrt(2 / nu) of itself.
        $spread = $noise * sqrt(2 / $nu);
        $error = $spread <= 0 ? 0.0 : $spread / (2 * max($value, sqrt($spread) / 2));

        return new self($value, min($error, sqrt(max(0.0, $meanSquare)) + sqrt($noise)));
    }
}
