<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\AsPlanned\Pass;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Sticks;

/** An axis that should rest and creeps through the hold; from the fingers, a thumb that presses its other axis along. */
final readonly class Leak extends NamedFault
{
    /** Image speed of an axis at rest, over a whole hold, %/s. */
    private const CREEP = 1.2;

    /** Percent of the distance by which a path strays that nobody sees. */
    private const HARDLY = 2.0;

    /** Sine of the angle off a straight or a sideways way within which, flown without a plan, one finger was meant to rest. */
    private const ASIDE = 0.35;

    /** Share of the way over the ground that is no part in it. */
    private const NO_PART = 0.02;

    /** Angle off the planned way from which another finger had a part in it, and how far a receiver wanders in a take, m. */
    private const OBLIQUE = 6 * Angle::DEGREE;

    private const POSITION = 0.5;

    public function id(): string
    {
        return 'leak';
    }

    public function spoils(Fault $fault): array
    {
        return ['clean'];
    }

    public function find(Measurements $take): array
    {
        $creeping = $take->drill === null ? $this->creeping($take) : [];

        $seen = array_map(static fn (Fault $fault): string => $fault->axis, $creeping);

        return [...$creeping, ...$this->oblique($take), ...$this->pressed($take, $seen)];
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
            // What the figure itself moves together is no thumb that presses along.
            if (in_array($finger, $take->drill->together ?? [], true)) {
                continue;
            }
            if (! in_array($finger->axis()->value, $seen, true) && (
                $take->take->judging->role($finger->axis()) === Role::Still || self::rests($finger, $take)
            )) {
                $faults[] = (new Fault($this, $finger->value, $at, $to, 'hold', 1.0, Quantity::number(0.0)))
                    ->measured(
                        Quantity::share($share), $share / Sticks::LEAK,
                        $take->drift + $take->path->value < self::HARDLY
                            ? Fact::of('picture.hardly-bends', share: Quantity::share($share))
                            : Fact::of('picture.bends-or-creeps'),
                    );
            }
        }

        return $faults;
    }

    /** Whether run or slide has no part in a way over the ground: as planned, or where nothing is planned as it was flown on the whole. */
    private static function rests(Finger $finger, Measurements $take): bool
    {
        if (
            ! in_array($finger, [Finger::Run, Finger::Slide], true)
            || ! in_array($take->take->judging->path, [PathKind::Line, PathKind::Beside], true)
        ) {
            return false;
        }
        $slides = $take->take->crab();

        return $take->target->shares === null
            ? ($finger === Finger::Slide ? $slides : sqrt(max(0.0, 1 - $slides ** 2))) < self::ASIDE
            : $take->target->shares[$finger->value] < self::NO_PART;
    }

    /**
     * As a straight way shows it where nobody knows what the fingers did: it goes off the angle at which it was planned to the look.
     *
     * @return list<Fault>
     */
    private function oblique(Measurements $take): array
    {
        $judging = $take->take->judging;
        $planned = $take->target->across;
        if (
            $take->sticks !== null || $planned === null || $judging->path !== PathKind::Line || $judging->straightDown
            || $judging->role(Axis::Turn) !== Role::Still
        ) {
            return [];
        }
        $flown = Pass::ofTake($take->take);
        $off = Angle::wrap($flown->across() - $planned);
        $doubt = atan(self::POSITION * M_SQRT2 / max(1.0, $flown->length()));
        if (abs($off) < hypot(self::OBLIQUE, $doubt)) {
            return [];
        }
        // Whichever of the two was planned to do less has done what it should not.
        $finger = abs(sin($planned)) < M_SQRT1_2 ? Finger::Slide : Finger::Run;

        return [Fault::ofHold($this, $finger->value, $take->take)->measured(
            Quantity::radians(abs($off)), abs($off) / self::OBLIQUE, Fact::of('picture.goes-askew', off: Quantity::radians(abs($off))),
        )];
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
