<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Documents\Map;
use Larkspur\FlightDay\Checklist;
use Larkspur\FlightDay\FieldLog;

/** What holds after all that was entered on a day, by the item that it was entered for. */
final readonly class FieldLogDocument implements Document
{
    /**
     * @param  Map<Ticked>  $ticks
     * @param  Map<list<FlownPass>>  $passes
     * @param  Map<FlownBattery>  $batteries
     * @param  list<LogConflict>  $conflicts
     * @param  Map<Decided>  $decisions
     * @param  list<string>  $takeOffLists  ids of the lists that a landing opens again: a device without a network does it by itself
     * @param  int  $compassMost  a compass that was calibrated oftener is disturbed by the place
     */
    public function __construct(
        public Map $ticks, public Map $passes, public Map $batteries, public array $conflicts, public Map $decisions,
        public array $takeOffLists = Checklist::OF_A_TAKE_OFF, public int $compassMost = FieldLog::COMPASS_MOST,
    ) {
    }

    /** @param  array<string, int>  $takes  ids by the uuid of the pass */
    public static function of(FieldLog $log, array $takes = []): self
    {
        $time = static fn (float $made): string => gmdate('Y-m-d\TH:i:s\Z', (int) $made);

        return new self(
            new Map(array_map(Ticked::of(...), $log->ticks)),
            new Map(array_map(
                static fn (array $passes): array => array_map(
                    static fn (array $one): FlownPass => new FlownPass(
                        $one['uuid'], $one['number'], $one['verdict'], $one['note'], $one['by'], $time($one['made']),
                        $takes[$one['uuid']] ?? null,
                    ),
                    $passes,
                ),
                $log->passes,
            )),
            new Map(array_map(
                static fn (array $one): FlownBattery => new FlownBattery(
                    $one['running'], $one['since'] === null ? null : $time($one['since']), round($one['flown']),
                ),
                $log->batteries,
            )),
            array_map(static fn (array $one): LogConflict => new LogConflict($one['item'], $one['text']), $log->conflicts),
            new Map(array_map(Decided::of(...), $log->decisions)),
        );
    }
}
