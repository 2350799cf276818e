<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Group;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Scoring\Measurements;

/** The subject leaves its mark; of a drill's figure, a mark that is missed. */
final readonly class OffMark extends NamedFault
{
    /** Stray from the mark that counts as off it, fraction of the frame. */
    public const OFF = 0.12;

    private const OF_A_FIGURE = 'off-mark.figure';

    private const LAST_PICTURE = 'off-mark.last-picture';

    /** Breaks of so many nodes do not part a stretch; a shorter stretch does not count. */
    private const JOIN = 5;

    private const NODES = 6;

    public function id(): string
    {
        return 'off-mark';
    }

    public function wordings(): array
    {
        return [
            'off-mark', 'off-mark.from-above', 'off-mark.slide-fast', 'off-mark.slide-slow', 'off-mark.turn-fast', 'off-mark.turn-slow',
            'off-mark.turn-left', 'off-mark.turn-right', 'off-mark.tilt-fast', 'off-mark.tilt-slow', 'off-mark.tilt-up',
            'off-mark.tilt-down', self::OF_A_FIGURE, self::LAST_PICTURE,
        ];
    }

    public function rank(): int
    {
        return 3;
    }

    public function spoils(Fault $fault): array
    {
        return $fault->wording === self::OF_A_FIGURE ? ['path', 'framing'] : ['framing'];
    }

    public function find(Measurements $take): array
    {
        $missed = array_map(fn (array $mark): Fault => Fault::momentary($this, 'all', $mark['t'], 'stop')->measured(
            $mark['size'], max(1.0, $mark['severity']),
            Fact::of('picture.mark-missed', metric: Fact::of('metric.'.$mark['metric']), size: $mark['size']),
        )->worded(self::OF_A_FIGURE), $take->drill->missed ?? []);
        if (! $take->take->judging->hasSubject()) {
            return [...$missed, ...$this->lastPicture($take)];
        }
        $stray = array_map(static fn (float $u, float $v): float => max(abs($u), abs($v)), $take->framing->u, $take->framing->v);
        $faults = [];
        foreach (Runs::of(array_map(static fn (float $s): bool => $s > self::OFF, $stray), self::JOIN) as [$from, $to, $nodes]) {
            if ($nodes >= self::NODES) {
                $most = Statistics::greatest(array_slice($stray, $from, $to - $from + 1));
                $main = $take->take->main->from;
                $worst = $main + $from + (int) array_search($most, array_slice($stray, $from, $to - $from + 1), true);
                $faults[] = Fault::lasting($this, 'picture', $take->take, $main + $from, $main + $to)->measured(
                    Quantity::share($most), $most / self::OFF,
                    $most > 0.5 ? Fact::of('picture.subject-leaves') : Fact::of('picture.subject-off-mark', stray: Quantity::share($most)),
                    $take->take->grid->t[$worst],
                )->worded(Strayed::at($take, $worst)->wording);
            }
        }

        return [...$faults, ...$missed];
    }

    /** @return list<Fault> where a move that ends on a picture ends on another one */
    private function lastPicture(Measurements $take): array
    {
        $off = ($take->framing->endError ?? 0.0) / 100;

        return $off <= self::OFF ? [] : [
            Fault::momentary($this, 'picture', $take->take->grid->t[$take->take->main->to], 'stop')
                ->measured(Quantity::share($off), $off / self::OFF, Fact::of('picture.ends-off-mark', off: Quantity::share($off)))
                ->worded(self::LAST_PICTURE),
        ];
    }

    public function ruins(): bool
    {
        return true;
    }

    public function stage(Staging $staging): Staging
    {
        $staging = $staging->unseen();
        [$begin, $hold] = [$staging->begin(), $staging->hold()];
        // A figure is left, and its marks with it.
        if ($staging->plan->move->marks !== []) {
            return $staging->slipping(
                new Slip('mismatch', $staging->main(), 0.0, 0.35, $hold),
                new Slip('kick', $staging->drifting(), $begin + 0.5 * $hold, 0.12, 0.35 * $hold),
            );
        }

        return match (true) {
            // From straight above a turn only spins the picture; the craft slips off its place.
            $staging->looksDown() => $staging->slipping(new Slip(
                'kick', $staging->drifting(), $begin, $staging->driftPress(0.6 * $hold), 0.6 * $hold,
            )),
            // Falling behind shows beside a subject; from behind or ahead of it the picture must turn away.
            $staging->main() !== Finger::Run
                && (
                    $staging->about()->group === Group::Follow || $staging->path() === PathKind::Beside
                ) => $staging->slipping(new Slip('sag', $staging->main(), $begin, 0.9, 0.8 * $hold)),
            $staging->about()->group === Group::Follow => $staging->slipping(new Slip(
                'kick', Finger::Turn, $begin + 0.2 * $hold, 0.2, 0.3 * $hold,
            )),
            default => $staging->slipping(new Slip(
                'mismatch', $staging->turning(), $begin, $staging->path() === PathKind::Circle ? 0.25 : 0.9, $hold,
            )),
        };
    }
}
