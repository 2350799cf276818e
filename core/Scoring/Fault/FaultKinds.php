<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Scoring\Measurements;

/** The registry of faults. A new one is a class in this folder, its row here, and its phrases. */
final class FaultKinds
{
    /** @var array<string, class-string<FaultKind>> in the order in which the documents list them */
    private const KINDS = [
        'kick' => Kick::class,
        'flick-start' => FlickedStart::class,
        'flick-stop' => FlickedStop::class,
        'stall' => Stall::class,
        'off-mark' => OffMark::class,
        'cut-off' => CutOff::class,
        'wrong-way' => WrongWay::class,
        'uneven' => Uneven::class,
        'shaky' => Shaky::class,
        'bobbing' => Bobbing::class,
        'drift' => Drift::class,
        'stopped-short' => StoppedShort::class,
        'leak' => Leak::class,
        'throttle-bounce' => ThrottleBounce::class,
        'too-quick' => TooQuick::class,
        'half-sky' => HalfSky::class,
        'sway-off-centre' => SwayOffCentre::class,
        'out-of-step' => OutOfStep::class,
        'over-corrected' => OverCorrected::class,
    ];

    /** @return list<FaultKind> */
    public static function all(): array
    {
        return array_values(array_map(static fn (string $class): FaultKind => new $class, self::KINDS));
    }

    public static function of(string $id): FaultKind
    {
        $class = self::KINDS[$id] ?? throw new \LogicException("“{$id}” is no kind of fault.");

        return new $class;
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::KINDS);
    }

    /** What it is called. */
    public static function name(string $id): Fact
    {
        return Fact::of("fault.$id");
    }

    /** What to try against it. */
    public static function cue(string $id): Fact
    {
        return Fact::of("fault.$id.try");
    }

    /** @return list<Fault> every fault of a take, in order of time */
    public static function findAll(Measurements $take): array
    {
        $faults = array_map(
            static fn (Fault $fault): Fault => $fault->from(Origin::of($fault, $take)),
            array_merge(...array_map(static fn (FaultKind $kind): array => $kind->find($take), self::all())),
        );
        usort($faults, static fn (Fault $a, Fault $b): int => $a->t <=> $b->t);

        return $faults;
    }

    /**
     * Those that are worth a word, the weightiest first.
     *
     * @param  list<Fault>  $faults
     * @return list<Fault>
     */
    public static function worthSaying(array $faults): array
    {
        $shown = array_filter($faults, static fn (Fault $fault): bool => $fault->kind->isWorthSaying($fault, $faults));
        usort($shown, static fn (Fault $a, Fault $b): int => [$a->kind->rank(), -$a->severity] <=> [$b->kind->rank(), -$b->severity]);

        return $shown;
    }
}
