<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Sticks;

/** An axis that should rest and creeps through the hold; from the fingers, a thumb that presses its other axis along. */
final readonly class Leak extends NamedFault
{
    /** Image speed of an axis at rest, over a whole hold, %/s. */
    private const CREEP = 1.2;

    public function id(): string
    {
        return 'leak';
    }

    public function spoils(): string
    {
        return 'clean';
    }

    public function find(Measurements $take): array
    {
        $creeping = $take->drill === null ? $this->creeping($take) : [];

        return [...$creeping, ...$this->pressed($take, array_map(static fn (Fault $fault): string => $fault->axis, $creeping))];
    }

    /** @return list<Fault> as the picture shows it */
    private function creeping(Measurements $take): array
    {
        $faults = [];
        foreach ([Axis::Climb, Axis::Turn, Axis::Tilt] as $axis) {
            if ($take->take->judging->role($axis) !== Role::Still) {
                continue;
            }
            $rate = abs(Statistics::mean($take->take->hold($take->take->rate[$axis->value])));
            $size = $axis->rotates() ? 100 * $rate / $take->take->lens->horizontal : $take->take->imageSpeed($rate);
            if ($size > self::CREEP) {
                $faults[] = Fault::ofHold($this, $axis->value, $take->take)->measured(
                    Quantity::percentPerSecond($size), $size / self::CREEP, Fact::of('picture.creeps'),
                );
            }
        }

        return $faults;
    }

    /**
     * As the fingers show it.
     *
     * @param  list<string>  $seen  axes on which the picture shows it already
     * @return list<Fault>
     */
    private function pressed(Measurements $take, array $seen): array
    {
        [$from, $to] = $take->take->holdTimes();
        $faults = [];
        foreach ($take->sticks?->leaks($from, $to) ?? [] as ['finger' => $finger, 'share' => $share, 'at' => $at]) {
            $acrossTheLine = in_array($take->take->judging->path, [PathKind::Line, PathKind::Beside], true)
                && ! $finger->rotates()
                && $finger !== Finger::Climb;
            if (! in_array($finger->axis()->value, $seen, true) && (
                $take->take->judging->role($finger->axis()) === Role::Still || $acrossTheLine
            )) {
                $faults[] = (new Fault($this, $finger->value, $at, $to, 'hold', 1.0, Quantity::number(0.0)))
                    ->measured(Quantity::share($share), $share / Sticks::LEAK, Fact::of('picture.bends-or-creeps'));
            }
        }

        return $faults;
    }

    public function stage(Staging $staging): Staging
    {
        $staging = $staging->unseen();
        [$begin, $hold] = [$staging->begin(), $staging->hold()];

        return $staging->slipping(
            new Slip('leak', $staging->main(), $begin, 0.45, $hold),
            new Slip('kick', $staging->resting(), $begin + 0.3 * $hold, 0.14, 0.4 * $hold),
        );
    }
}
