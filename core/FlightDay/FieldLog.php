<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/**
 * What holds after everything that was entered on a day, whichever device it came from and in whichever order it arrived. The latest entry
 * by its own clock stands; two that were made without knowing of one another and say different things are a conflict, and both are kept,
 * until somebody who knows both says what holds. A pass is never changed: it is set right, or taken back, by an entry of its own.
 */
final readonly class FieldLog
{
    /** Items under which each calibration of a compass is ticked: "compass-1" and so on. */
    public const COMPASS = 'compass-';

    /** Asked for oftener than this, a compass is disturbed by the place (common practice, no published source; our number). */
    public const COMPASS_MOST = 2;

    /**
     * @param  array<string, array{on: bool, by: string, made: float, note: string}>  $ticks  by item
     * @param  array<string, list<array{uuid: string, number: int, verdict: string, note: string, by: string, made: float}>>  $passes  by
     *     "shot-…"
     * @param  array<string, array{running: bool, since: ?float, flown: float}>  $batteries  by "battery-…"; flown in seconds
     * @param  list<array{item: string, text: Fact}>  $conflicts
     * @param  array<string, array{choice: 'go'|'wait'|'scrap', note: string, by: string, made: float}>  $decisions  the latest by item
     */
    private function __construct(
        public array $ticks, public array $passes, public array $batteries, public array $conflicts, public array $decisions,
    ) {
    }

    /** @param  list<FieldEntry>  $entries  in any order */
    public static function of(array $entries): self
    {
        usort($entries, static fn (FieldEntry $a, FieldEntry $b): int => [$a->made, $a->uuid] <=> [$b->made, $b->uuid]);
        $ticks = $passes = $batteries = $open = $decisions = [];
        $last = $known = [];
        $seen = [];
        $right = self::corrections($entries);
        foreach ($entries as $entry) {
            if (isset($seen[$entry->uuid])) {
                continue;
            }
            $seen[$entry->uuid] = true;
            if ($entry->kind === FieldEntry::TICK) {
                $before = $last[$entry->item] ?? null;
                // Whoever knows all that was said before settles it.
                $open[$entry->item] = $entry->made >= ($known[$entry->item] ?? 0.0) ? [] : $open[$entry->item] ?? [];
                if ($before !== null && $before->on !== $entry->on && self::unaware($before, $entry)) {
                    $known[$entry->item] = max($before->received, $entry->received);
                    $open[$entry->item] = [Fact::of(
                        $entry->on === true ? 'field-log.back-then-done' : 'field-log.done-then-back', first: $before->by,
                        second: $entry->by,
                    )];
                }
                $ticks[$entry->item] = [
                    'on' => $entry->on === true, 'by' => $entry->by, 'made' => $entry->made, 'note' => $entry->note,
                ];
                $last[$entry->item] = $entry;
            } elseif ($entry->kind === FieldEntry::PASS) {
                $correction = $right[$entry->uuid] ?? null;
                if ($correction !== null && $correction->verdict === null) {
                    continue;
                }
                $pass = [
                    'uuid' => $entry->uuid, 'number' => $correction->number ?? $entry->number ?? 0,
                    'verdict' => $correction->verdict ?? $entry->verdict ?? '',
                    'note' => $correction === null || $correction->note === '' ? $entry->note : $correction->note, 'by' => $entry->by,
                    'made' => $entry->made,
                ];
                foreach ($passes[$entry->item] ?? [] as $other) {
                    if ($other['number'] === $pass['number'] && $pass['by'].$pass['verdict'] !== $other['by'].$other['verdict']) {
                        $open[$entry->item][] = Fact::of(
                            'field-log.pass-was-entered-twice', number: $pass['number'], verdict: $other['verdict'], by: $other['by'],
                            otherVerdict: $pass['verdict'], other: $pass['by'],
                        );
                    }
                }
                $passes[$entry->item][] = $pass;
            } elseif ($entry->kind === FieldEntry::DECISION) {
                $decisions[$entry->item] = [
                    'choice' => $entry->choice ?? 'wait', 'note' => $entry->note, 'by' => $entry->by, 'made' => $entry->made,
                ];
            } elseif ($entry->kind === FieldEntry::BATTERY) {
                $now = $batteries[$entry->item] ?? ['running' => false, 'since' => null, 'flown' => 0.0];
                $before = $last[$entry->item] ?? null;
                $open[$entry->item] = $entry->made >= ($known[$entry->item] ?? 0.0) ? [] : $open[$entry->item] ?? [];
                if ($entry->on === true && $now['running'] && $before !== null && self::unaware($before, $entry)) {
                    $known[$entry->item] = max($before->received, $entry->received);
                    $open[$entry->item] = [Fact::of('field-log.both-began-counts-first', first: $before->by, second: $entry->by)];
                }
                if (
                    $entry->flown !== null && $before?->flown !== null && $entry->flown !== $before->flown
                    && self::unaware($before, $entry)
                ) {
                    $known[$entry->item] = max($before->received, $entry->received);
                    $open[$entry->item] = [Fact::of(
                        'field-log.two-times', first: $before->by, time: Quantity::minutes($before->flown / 60), second: $entry->by,
                        other: Quantity::minutes($entry->flown / 60),
                    )];
                }
                if ($entry->on === true && ! $now['running']) {
                    $now = [...$now, 'running' => true, 'since' => $entry->made];
                } elseif ($entry->on !== true) {
                    if ($now['since'] !== null) {
                        // Looked over for this take-off; the next one is looked over anew.
                        $ticks = array_filter(
                            $ticks, static fn (string $item): bool => ! Checklist::isOfATakeOff($item), ARRAY_FILTER_USE_KEY,
                        );
                    }
                    // Somebody may have landed long before the press.
                    $flown = $entry->flown ?? $now['flown'] + ($now['since'] === null ? 0.0 : $entry->made - $now['since']);
                    $now = ['running' => false, 'since' => null, 'flown' => $flown];
                }
                $batteries[$entry->item] = $now;
                $last[$entry->item] = $entry;
            }
        }
        $conflicts = [];
        foreach ($open as $item => $texts) {
            foreach ($texts as $text) {
                $conflicts[] = ['item' => (string) $item, 'text' => $text];
            }
        }

        return new self($ticks, $passes, $batteries, $conflicts, $decisions);
    }

    /**
     * The latest correction of each pass.
     *
     * @param  list<FieldEntry>  $entries  in the order in which they were made
     * @return array<string, FieldEntry> by the uuid of the pass
     */
    private static function corrections(array $entries): array
    {
        $right = [];
        foreach ($entries as $entry) {
            if ($entry->kind === FieldEntry::CORRECTION) {
                $right[$entry->of] = $entry;
            }
        }

        return $right;
    }

    /** Whether the later of two was made on another device before the earlier had reached it. */
    private static function unaware(FieldEntry $earlier, FieldEntry $later): bool
    {
        return $earlier->device !== $later->device && $later->made < $earlier->received;
    }

    /** Passes of a shot that need no more flying: those kept. What is to be flown again is not done. */
    public function flown(string $item): int
    {
        return count(array_filter($this->passes[$item] ?? [], static fn (array $pass): bool => $pass['verdict'] === 'kept'));
    }
}
