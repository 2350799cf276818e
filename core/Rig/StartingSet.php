<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;

/**
 * Sets of settings to begin with, by house of thought and kind of craft: nobody's secret numbers, but where practitioners of that house
 * usually begin (common practice, no published source; the numbers are our own). What a craft can't give is left at what it gives.
 */
enum StartingSet: string
{
    case CalmMachine = 'calm-machine';
    case SlowWheel = 'slow-wheel';
    case EvenHand = 'even-hand';
    case QuickMachine = 'quick-machine';
    case FirstFlights = 'first-flights';
    case DuctedIndoors = 'ducted-indoors';
    case DuctedLawn = 'ducted-lawn';

    /** @return list<self> that are for this kind of craft */
    public static function for(Craft $craft): array
    {
        return array_values(array_filter(self::cases(), static fn (self $set): bool => $set->isDucted() === ($craft->kind === 'ducted')));
    }

    public function name(): Fact
    {
        return Fact::of("starting-set.$this->value");
    }

    public function why(): Fact
    {
        return Fact::of("starting-set.$this->value.why");
    }

    public function house(): House
    {
        return match ($this) {
            self::CalmMachine, self::SlowWheel, self::FirstFlights, self::DuctedIndoors => House::LimitTheMachine,
            self::EvenHand => House::Middle,
            self::QuickMachine, self::DuctedLawn => House::TrustTheFingers,
        };
    }

    /** A rig with its modes set so, within what the craft gives; what the set says nothing of stays. */
    public function on(Craft $craft, Rig $rig): Rig
    {
        foreach (Rig::MODES as $name) {
            [$travel, $turn, $tilt, $half, $cushion] = $this->of($name);
            $mode = $rig->mode($name);
            foreach (Finger::cases() as $finger) {
                $ceiling = $craft->ceiling($name, $finger);
                $top = match ($finger) {
                    Finger::Turn => min($ceiling, $turn * Angle::DEGREE),
                    Finger::Tilt => min($ceiling, $tilt * Angle::DEGREE),
                    default => $travel * $ceiling,
                };
                // A turn answers no sooner than the craft does; a wheel's cushion is the gimbal's own.
                $own = max($cushion, ModeTune::cushionOf($craft->stock->mode($name)->lag($finger)));
                $full = $top / ($finger->rotates() ? Angle::DEGREE : 1.0);
                $mode = $mode->with(
                    $finger, $top, Conversion::of(new HalfStickCurve($half), $craft->convention, $full)->curve,
                    match ($finger) {
                        Finger::Turn => $own, Finger::Tilt => $cushion, default => null
                    },
                );
            }
            $rig = $rig->withMode($mode);
        }

        return $rig;
    }

    private function isDucted(): bool
    {
        return $this === self::DuctedIndoors || $this === self::DuctedLawn;
    }

    /**
     * Of a mode: travel as a share of what the craft gives, turn and tilt in deg/s, output at half stick, cushion in s.
     *
     * @return array{float, float, float, float, float}
     */
    private function of(string $mode): array
    {
        return match ($this) {
            self::CalmMachine => match ($mode) {
                'slow' => [0.55, 14.0, 5.0, 0.33, 1.6],
                'standard' => [0.7, 26.0, 9.0, 0.34, 1.3],
                default => [1.0, 55.0, 16.0, 0.4, 0.8],
            },
            self::SlowWheel => match ($mode) {
                'slow' => [0.7, 22.0, 4.5, 0.36, 1.8],
                'standard' => [0.85, 40.0, 8.0, 0.38, 1.5],
                default => [1.0, 70.0, 14.0, 0.42, 0.9],
            },
            self::EvenHand => match ($mode) {
                'slow' => [0.6, 20.0, 8.0, 0.38, 0.9],
                'standard' => [0.85, 42.0, 13.0, 0.4, 0.7],
                default => [1.0, 80.0, 24.0, 0.45, 0.5],
            },
            self::QuickMachine => match ($mode) {
                'slow' => [0.8, 36.0, 14.0, 0.45, 0.4],
                'standard' => [1.0, 75.0, 21.0, 0.48, 0.35],
                default => [1.0, 115.0, 33.0, 0.5, 0.25],
            },
            self::FirstFlights => match ($mode) {
                'slow' => [0.4, 12.0, 5.0, 0.3, 1.4],
                'standard' => [0.5, 20.0, 8.0, 0.32, 1.2],
                default => [0.6, 30.0, 12.0, 0.35, 1.0],
            },
            self::DuctedIndoors => match ($mode) {
                'slow' => [0.45, 45.0, 12.0, 0.32, 0.5],
                'standard' => [0.6, 80.0, 18.0, 0.35, 0.4],
                default => [0.75, 120.0, 25.0, 0.38, 0.3],
            },
            self::DuctedLawn => match ($mode) {
                'slow' => [0.7, 75.0, 15.0, 0.38, 0.35],
                'standard' => [0.9, 130.0, 24.0, 0.42, 0.25],
                default => [1.0, 190.0, 35.0, 0.45, 0.2],
            },
        };
    }
}
