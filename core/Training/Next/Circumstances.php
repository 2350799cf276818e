<?php

declare(strict_types=1);

namespace Larkspur\Training\Next;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** What today allows. */
final readonly class Circumstances
{
    public const DESK = 'desk';

    public const HALL = 'hall';

    public const FIELD = 'field';

    public const PLACES = [self::DESK, self::HALL, self::FIELD];

    /** Minutes of battery, and of light, under which nobody takes off for practice. */
    public const LEAST_MINUTES = 8.0;

    /** Drills that a hall has room for (common practice, no published source). */
    private const INDOORS = [
        'hover', 'hover-and-turn', 'return-to-centre', 'pure-axis', 'pad-to-pad', 'landing', 'square-fixed-heading', 'circle-fixed-heading',
        'out-and-back', 'square-with-turns', 'coordinated-circle', 'nose-in-bay', 'slowest-line', 'no-positioning', 'speed-by-pitch',
        'indoor-tour', 'locked-off', 'pan', 'tilt',
    ];

    /**
     * @param  'desk'|'hall'|'field'  $place
     * @param  ?float  $gust  m/s at the craft; null where nobody knows
     * @param  ?float  $battery  minutes; null where nobody said
     * @param  ?float  $light  minutes until sunset; null where nobody knows
     * @param  float  $mostGust  m/s in which the school still practises
     * @param  ?float  $began  when today began where it is flown, days on the clock of the takes; null: with the whole day
     */
    public function __construct(
        public string $place, public ?float $gust = null, public ?float $battery = null, public ?float $light = null,
        public float $mostGust = 8.0, public ?float $began = null,
    ) {
    }

    /** Why nobody takes off now; null where they may. */
    public function grounded(): ?Fact
    {
        return match (true) {
            $this->place === self::DESK => Fact::of('next.grounded.desk'),
            $this->battery !== null && $this->battery < self::LEAST_MINUTES => Fact::of('next.grounded.battery'),
            $this->place === self::FIELD && $this->gust !== null && $this->gust > $this->mostGust => Fact::of(
                'next.grounded.gust', gust: Quantity::metresPerSecond($this->gust),
            ),
            $this->place === self::FIELD && $this->light !== null && $this->light < self::LEAST_MINUTES => Fact::of('next.grounded.dark'),
            default => null,
        };
    }

    /** How a move is practised as things are; with a craft where that can be. */
    public function activityFor(string $move): Activity
    {
        if ($this->grounded() !== null) {
            return Activity::Practise;
        }

        return $this->place === self::HALL && ! in_array($move, self::INDOORS, true) ? Activity::Practise : Activity::Fly;
    }
}
