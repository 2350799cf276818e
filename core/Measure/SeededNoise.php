<?php

declare(strict_types=1);

namespace Larkspur\Measure;

use Random\Engine\Xoshiro256StarStar;

/** A repeatable stream of random numbers: the same seed always gives the same stream, on every machine. */
final class SeededNoise
{
    private Xoshiro256StarStar $engine;

    private ?float $spare = null;

    public function __construct(int $seed)
    {
        $this->engine = new Xoshiro256StarStar($seed);
    }

    /** A stream of its own for one purpose, so that adding a consumer elsewhere does not shift this one. */
    public static function named(int $seed, string $purpose): self
    {
        $digest = unpack('q', substr(hash('sha256', $seed.':'.$purpose, true), 0, 8));

        return new self(is_array($digest) && is_int($digest[1]) ? $digest[1] : $seed);
    }

    /** Uniform in (0, 1). */
    public function uniform(): float
    {
        $bytes = unpack('P', $this->engine->generate());
        $bits = is_array($bytes) && is_int($bytes[1]) ? ($bytes[1] >> 11) & 0x1FFFFFFFFFFFFF : 0;

        return ($bits + 0.5) / 9007199254740992.0;
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->uniform();
    }

    /** Standard normal (G. E. P. Box, M. E. Muller, Ann. Math. Stat. 29 (1958) 610-611). */
    public function normal(): float
    {
        if ($this->spare !== null) {
            $value = $this->spare;
            $this->spare = null;

            return $value;
        }
        $radius = sqrt(-2 * log($this->uniform()));
        $angle = 2 * M_PI * $this->uniform();
        $this->spare = $radius * sin($angle);

        return $radius * cos($angle);
    }
}
