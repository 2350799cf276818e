<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Measure\Angle;

/**
 * What a scene is like, for who has no light meter at hand: an EV at ISO 100 (after ANSI PH2.7-1986, from memory; good to one stop)
 * and a white balance to start from (common practice, no published source: the colour of daylight swings more than this says).
 */
enum Scene: string
{
    case Bright = 'bright';
    case Sun = 'sun';
    case Haze = 'haze';
    case Cloud = 'cloud';
    case Overcast = 'overcast';
    case Low = 'low';
    case Dusk = 'dusk';
    case Blue = 'blue';
    case Night = 'night';
    case Indoors = 'indoors';

    /**
     * The light under a clear sky with the sun at an elevation, rad: what is taken where nobody said (civil twilight ends at -6 degrees,
     * nautical at -12; the steps above are common practice, no published source). Full sun where the sun is not known.
     */
    public static function under(?float $elevation): self
    {
        return match (true) {
            $elevation === null || $elevation >= 8 * Angle::DEGREE => self::Sun,
            $elevation >= 0.0 => self::Low,
            $elevation >= -6 * Angle::DEGREE => self::Dusk,
            $elevation >= -12 * Angle::DEGREE => self::Blue,
            default => self::Night,
        };
    }

    public function words(): Fact
    {
        return match ($this) {
            self::Bright => Fact::of('scene.sun-sand-foam-snow'),
            self::Sun => Fact::of('scene.full-sun-hard-shadows'),
            self::Haze => Fact::of('scene.hazy-sun-soft-shadows'),
            self::Cloud => Fact::of('scene.bright-cloud-shadows'),
            self::Overcast => Fact::of('scene.heavy-cloud-open-shade'),
            self::Low => Fact::of('scene.sun-near-horizon'),
            self::Dusk => Fact::of('scene.just-after-sunset'),
            self::Blue => Fact::of('scene.blue-hour'),
            self::Night => Fact::of('scene.night-lit-places'),
            self::Indoors => Fact::of('scene.indoors-lamps'),
        };
    }

    public function value(): float
    {
        return match ($this) {
            self::Bright => 16.0,
            self::Sun => 15.0,
            self::Haze => 14.0,
            self::Cloud => 13.0,
            self::Overcast, self::Low => 12.0,
            self::Dusk => 10.0,
            self::Blue => 6.0,
            self::Night => 5.0,
            self::Indoors => 6.0,
        };
    }

    /** White balance to begin with, K; kept for the whole shot, whatever the light then does. */
    public function kelvin(): int
    {
        return match ($this) {
            self::Bright, self::Sun => 5600,
            self::Haze => 5900,
            self::Cloud => 6500,
            self::Overcast => 6900,
            self::Low => 4800,
            self::Dusk => 6200,
            self::Blue => 7500,
            self::Night, self::Indoors => 3400,
        };
    }

    public function isDark(): bool
    {
        return $this === self::Night || $this === self::Blue || $this === self::Indoors;
    }
}
