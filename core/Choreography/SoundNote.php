<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/**
 * What is recorded on the ground for a shot, when, and by how much it is off its picture: sound takes its time from the subject to where
 * the recorder stands. 343.2 m/s in dry air of 20 degrees (ISO 9613-1:1993, reference conditions); 6 m/s either way of that between 10 and
 * 30 degrees moves no cut by a frame within 200 m.
 */
final readonly class SoundNote
{
    public const BEFORE = 'before';

    public const DURING = 'during';

    public const AFTER = 'after';

    public const WHEN = [self::BEFORE, self::DURING, self::AFTER];

    /** m/s */
    public const SPEED = 343.2;

    /** An offset that nobody would hear, s: less than a frame of 50 in a second (our judgement). */
    private const HEARD = 0.02;

    /**
     * @param  ?float  $distance  m from the subject to a recorder at take-off, halfway through the hold; null where there is no subject
     */
    private function __construct(public string $text, public ?string $when, public ?float $distance)
    {
    }

    /** Null where nothing is to be recorded. */
    public static function of(Plan $plan, Brief $brief): ?self
    {
        if (trim($brief->sound) === '') {
            return null;
        }
        $move = $plan->move;

        return new self(
            trim($brief->sound), $brief->soundWhen, $move->subject?->at(($move->holdFrom + $move->holdTo) / 2)->length(),
        );
    }

    /** Seconds by which the sound comes late at a recorder at take-off; 0 for a sound that is laid under the picture by hand. */
    public function offset(): float
    {
        return $this->when === self::DURING && $this->distance !== null ? $this->distance / self::SPEED : 0.0;
    }

    /** @return list<Fact> */
    public function sentences(): array
    {
        return [
            Fact::of('sound.what', text: $this->text, when: $this->when ?? 'open'),
            match (true) {
                $this->when !== self::DURING => Fact::of('sound.apart'),
                $this->offset() >= self::HEARD => Fact::of(
                    'sound.offset', distance: Quantity::metres($this->distance ?? 0.0), offset: round(1000 * $this->offset()),
                ),
                default => Fact::of('sound.in-step'),
            },
        ];
    }
}
