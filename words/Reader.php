<?php

declare(strict_types=1);

namespace Words;

use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;

/** Who is spoken to: language, units, and the sticks that decide which thumb plays which axis. */
final readonly class Reader
{
    public const METRIC = 'metric';

    public const FEET = 'feet';

    /** @param  self::METRIC|self::FEET  $units */
    public function __construct(
        public string $units = self::METRIC, public StickMode $sticks = StickMode::Mode2, public string $language = 'en',
    ) {
    }

    /** The same reader of a flight by somebody who holds the sticks otherwise. */
    public function withSticks(StickMode $sticks): self
    {
        return new self($this->units, $sticks, $this->language);
    }

    public function feet(): bool
    {
        return $this->units === self::FEET;
    }

    /** Key of the words for what plays a finger's axis: "thumb.left", "thumb.right" or "thumb.wheel". */
    public function thumb(Finger $finger): string
    {
        return 'thumb.'.$this->sticks->hand($finger);
    }
}
