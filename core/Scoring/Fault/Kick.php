<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Axis;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Channel;
use Larkspur\Scoring\Measurements;

/** A sudden acceleration that no hand should make. */
final readonly class Kick extends NamedFault
{
    /** Below this one is not worth a word, though it may cost a fraction of a point. */
    private const WORTH_SAYING = 1.2;

    /** Seconds about something within which one explains it. */
    private const EXPLAINS = 0.5;

    /** Greatest sudden acceleration: share of the field of view per s2, or m/s2. */
    private const LIMITS = ['travel' => 1.8, 'climb' => 1.2, 'turn' => 0.12, 'tilt' => 0.16];

    /** Nodes before and after the take in which one still counts: 1.5 s. */
    private const REACH = 15;

    /** Excesses closer than this are one kick, nodes. */
    private const MERGE = 8;

    /** By how much a start may be harder than the figure of a drill asks. */
    private const OF_FIGURE = 1.8;

    /** The steepest slope of a planned ramp of two seconds, per unit of its rate; and how far beyond it a hand may go. */
    private const RAMP = 0.9375;

    private const BEYOND_RAMP = 2.2;

    /** Multiples of its noise from which an acceleration is more than noise. */
    private const NOISE = 4.5;

    public function id(): string
    {
        return 'kick';
    }

    public function rank(): int
    {
        return 0;
    }

    public function spoils(Fault $fault): array
    {
        return ['smooth'];
    }

    public function find(Measurements $take): array
    {
        $grid = $take->take->grid;
        $main = $take->take->main;
        $first = max(0, $main->from - self::REACH);
        $last = min($grid->count() - 1, $main->to + self::REACH);
        $faults = [];
        foreach (Axis::cases() as $axis) {
            $channel = $take->take->channel($axis);
            $limit = self::limit($take, $axis);
            $acceleration = $take->take->acceleration[$axis->value];
            $excess = [];
            for ($i = $first; $i <= $last; $i++) {
                $excess[] = $grid->valid[$i] && abs($acceleration[$i]) > self::threshold($channel, $limit, $i);
            }
            foreach (Runs::of($excess, self::MERGE) as [$from, $to]) {
                $peak = $first + $from;
                for ($i = $peak; $i <= $first + $to; $i++) {
                    if ($excess[$i - $first] && abs($acceleration[$i]) > abs($acceleration[$peak])) {
                        $peak = $i;
                    }
                }
                $size = abs($acceleration[$peak]);
                $phase = $peak < $main->holdFrom ? 'start' : ($peak > $main->holdTo ? 'stop' : 'hold');
                $faults[] = Fault::momentary($this, $axis->value, $grid->t[$peak], $phase)->measured(
                    $axis->rotates() ? Quantity::radiansPerSecond2($size) : Quantity::metresPerSecond2($size),
                    $size / self::threshold($channel, $limit, $peak),
                    $take->jumpAt($peak),
                );
            }
        }

        return $faults;
    }

    private static function limit(Measurements $take, Axis $axis): float
    {
        $limit = self::LIMITS[$axis->value] * match ($axis) {
            Axis::Turn => $take->take->lens->horizontal,
            Axis::Tilt => $take->take->lens->vertical(),
            default => 1.0,
        };

        return max($limit, self::BEYOND_RAMP * self::RAMP * $take->take->held($axis), self::OF_FIGURE * $take->asked->acceleration($axis));
    }

    /** Acceleration from which a node is a kick: what a person must not do, and well above what noise does. */
    private static function threshold(Channel $channel, float $limit, int $node): float
    {
        return max($limit, self::NOISE * $channel->sigma * $channel->g2[$node]);
    }

    public function cost(Fault $fault): float
    {
        return min(8.0, 6 * max(0.0, $fault->severity - 1)) * ($fault->phase === 'hold' ? 1.0 : 0.6);
    }

    public function ruins(): bool
    {
        return true;
    }

    public function disturbs(Fault $fault, float $t): float
    {
        return self::jolt($fault, $t);
    }

    public function isWorthSaying(Fault $fault, array $others): bool
    {
        return $fault->severity >= self::WORTH_SAYING;
    }

    /**
     * The kick that explains what else is found on its axis about the same time; null where none does.
     *
     * @param  list<Fault>  $others
     */
    public static function explaining(Fault $fault, array $others): ?Fault
    {
        foreach ($others as $other) {
            $beside = $other->t >= $fault->t - self::EXPLAINS && $other->t <= $fault->until + self::EXPLAINS;
            if ($other->kind instanceof self && $other->axis === $fault->axis && $beside && $other->kind->isWorthSaying($other, [])) {
                return $other;
            }
        }

        return null;
    }

    public function stage(Staging $staging): Staging
    {
        $turning = $staging->turning();

        return $staging->slipping(new Slip('kick', $turning, $staging->middle(), $staging->jerk($turning), 0.35));
    }
}
