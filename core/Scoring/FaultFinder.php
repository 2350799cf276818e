<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Axis;
use Larkspur\Move\Framed;
use Larkspur\Move\PathKind;
use Larkspur\Move\Role;
use Larkspur\Move\Wanted;
use Larkspur\Rig\Finger;

/** Finds the named faults of a take (docs/scoring.md, section 6). */
final class FaultFinder
{
    /** Below this a kick is not worth a word, though it may cost a fraction of a point. */
    public const WORTH_SAYING = 1.2;

    /** Greatest sudden acceleration: share of the field of view per s2, or m/s2. */
    private const KICK = ['travel' => 1.8, 'climb' => 1.2, 'turn' => 0.12, 'tilt' => 0.16];

    /** Nodes before and after the take in which a kick still counts: 1.5 s. */
    private const REACH = 15;

    /** Excesses closer than this are one kick, nodes. */
    private const MERGE = 8;

    private const WORST_SECONDS = 3.0;

    /** How far a turn or tilt may set out against its way, degrees, and how long before it moves off, nodes. */
    private const WRONG_WAY = 2.0;

    private const LOOK_BACK = 20;

    /** Bobbing over three seconds that is worth a word, m/s. */
    private const BOB = 0.13;

    /** Image speed of an axis at rest, over a whole hold, that is a leak, %/s. */
    private const CREEP = 1.2;

    /** By how much a start may be harder than the figure of a drill asks. */
    private const OF_FIGURE = 1.8;

    /** Seconds to cross the frame below which a move looks rushed (docs/scoring.md, section 4). */
    private const TOO_QUICK = 3.5;

    /** Tilt this near to level puts the horizon in the middle, degrees. */
    private const HALF_SKY = 2.0;

    /** Share of an opening's width by which its middle may be missed. */
    private const GAP_SHARE = 0.15;

    /** Stray from the mark that counts as off it, fraction of the frame. */
    private const OFF_MARK = 0.12;

    /** @return list<Fault> in order of time */
    public static function find(Measured $measured, ?Wanted $wanted = null, ?Sticks $sticks = null): array
    {
        $wanted ??= new Wanted;
        $faults = [
            ...self::kicks($measured), ...self::flicks($measured), ...self::stalls($measured), ...self::bobbing($measured),
            ...self::shaky($measured), ...self::offMark($measured), ...self::sustained($measured),
            ...self::creeping($measured), ...self::wrongWay($measured), ...self::hurried($measured), ...self::sky($measured, $wanted), ...self::throughGap($measured, $wanted),
            ...$sticks === null ? [] : self::thumbs($measured, $sticks),
            ...$measured->figure->faults ?? [],
        ];
        usort($faults, static fn (Fault $a, Fault $b): int => $a->t <=> $b->t);

        return $faults;
    }

    /**
     * Those to be shown: kicks too small to mention left out, shaking and unevenness left out where a kick of the same
     * axis explains them, the weightiest first.
     *
     * @param  list<Fault>  $faults
     * @return list<Fault>
     */
    public static function worthShowing(array $faults): array
    {
        $kicks = array_filter($faults, static fn (Fault $f): bool => $f->id === 'kick' && $f->severity >= self::WORTH_SAYING);
        $shown = array_filter($faults, static function (Fault $fault) use ($kicks): bool {
            if ($fault->id === 'kick') {
                return $fault->severity >= self::WORTH_SAYING;
            }
            if ($fault->id === 'shaky') {
                foreach ($kicks as $kick) {
                    if ($kick->axis === $fault->axis && $kick->t >= $fault->t - 0.5 && $kick->t <= $fault->until + 0.5) {
                        return false;
                    }
                }
            }

            return true;
        });
        usort($shown, static fn (Fault $a, Fault $b): int => [FaultKinds::rank($a->id), -$a->severity] <=> [FaultKinds::rank($b->id), -$b->severity]);

        return $shown;
    }

    /** @return list<Fault> */
    private static function kicks(Measured $measured): array
    {
        $take = $measured->take;
        $grid = $take->grid;
        $first = $take->main->from > self::REACH ? $take->main->from - self::REACH : 0;
        $last = min($grid->count() - 1, $take->main->to + self::REACH);
        $faults = [];
        foreach (Axis::cases() as $axis) {
            $channel = $take->channel($axis);
            $limit = self::KICK[$axis->value] * match ($axis) {
                Axis::Turn => $take->hfov(),
                Axis::Tilt => $take->vfov(),
                default => 1.0,
            };
            // 0.9375 times the rate is the steepest slope of a planned ramp of two seconds.
            $limit = max($limit, 2.2 * 0.9375 * $take->held($axis), self::OF_FIGURE * ($measured->figure->peaks[$axis->value] ?? 0.0));
            $acceleration = $take->acceleration[$axis->value];
            $excess = [];
            for ($i = $first; $i <= $last; $i++) {
                $excess[] = $grid->valid[$i] && abs($acceleration[$i]) > self::kickThreshold($channel, $limit, $i);
            }
            foreach (self::runs($excess, self::MERGE) as [$from, $to]) {
                $peak = $first + $from;
                for ($i = $peak; $i <= $first + $to; $i++) {
                    if ($excess[$i - $first] && abs($acceleration[$i]) > abs($acceleration[$peak])) {
                        $peak = $i;
                    }
                }
                $size = abs($acceleration[$peak]);
                $faults[] = new Fault(
                    'kick', $axis->value, $grid->t[$peak], $grid->t[$peak], $size / self::kickThreshold($channel, $limit, $peak), self::phase($take, $peak),
                    $size, $axis->rotates() ? 'deg/s2' : 'm/s2', self::jump($measured, $peak),
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function flicks(Measured $measured): array
    {
        $faults = [];
        $known = [];
        foreach ($measured->eases->flicks as $flick) {
            $known[$flick['axis']->value.$flick['end']] = true;
            $faults[] = new Fault(
                'flick-'.$flick['end'], $flick['finger']->value, $flick['at'], $flick['at'], 0.3 / max(0.1, $flick['seconds']), $flick['end'], $flick['seconds'], 's',
                self::jump($measured, self::node($measured->take, $flick['at'])),
            );
        }
        foreach ($measured->eases->all() as [$axis, $end, $fit]) {
            if (isset($known[$axis->value.$end])) {
                continue;
            }
            $limit = $axis->rotates() ? 0.6 : 0.8;
            $usable = $fit->usable();
            if ($usable < $limit && $measured->take->held($axis) > $measured->take->floor($axis)) {
                $faults[] = new Fault(
                    'flick-'.$end, $axis->value, $fit->centre, $fit->centre, $limit / $usable, $end === 'start' ? 'start' : 'stop', $usable, 's',
                    self::jump($measured, self::node($measured->take, $fit->centre)),
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function stalls(Measured $measured): array
    {
        $take = $measured->take;
        $primary = $take->judging->primary();
        if ($primary === null || $take->judging->role($primary) === Role::Profile) {
            return [];
        }
        $rate = $take->rate[$primary->value];
        $faults = [];
        $low = array_map(static fn (float $r): bool => $r < 0.55 * $take->main->rate, $take->hold($rate));
        foreach (self::runs($low, 1) as [$from, $to, $length]) {
            if ($length >= 7) {
                $seconds = $length * Grid::STEP;
                $faults[] = self::lasting($take, 'stall', $primary->value, $take->main->holdFrom + $from, $take->main->holdFrom + $to, 1 + $seconds, $seconds, 's', 'The picture all but stands still.');
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function bobbing(Measured $measured): array
    {
        [$at, $bob] = self::bobs($measured->take);
        $bob = sqrt(max(0.0, $bob ** 2 - ($measured->figure->bob ?? 0.0) ** 2));

        return $bob > self::BOB ? [self::worstWindow($measured->take, 'bobbing', 'climb', $at, $bob / self::BOB, $bob, 'm/s', 'The foreground hops up and down; no stabiliser takes that out.')] : [];
    }

    /** The strongest bobbing over three seconds of a take's hold, less noise, m/s. */
    public static function worstBob(Take $take): float
    {
        return self::bobs($take)[1];
    }

    /** @return array{int, float} where the worst three seconds of the hold begin, nodes, and their bobbing, m/s */
    private static function bobs(Take $take): array
    {
        $grid = $take->grid;
        $squares = $noise = [];
        for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
            $squares[] = ($grid->bob[$i] - $grid->z->slow[$i]) ** 2;
            if ($grid->valid[$i]) {
                $noise[] = ($grid->z->sigma * $grid->gBob[$i]) ** 2;
            }
        }
        [$at, $worst] = self::worst($squares);

        $own = Statistics::mean($noise);
        // Where noise alone bobs as much as a hand would, the worst of many stretches of it looks worse than its mean.
        $doubt = 1.8 + 0.7 * min(1.0, $own / self::BOB ** 2);

        return [$at, sqrt(max(0.0, $worst - $doubt * $own))];
    }

    /** @return list<Fault> */
    private static function shaky(Measured $measured): array
    {
        $take = $measured->take;
        $faults = [];
        if ($measured->figure !== null) {
            return [];
        }
        foreach ([['turn', $take->grid->heading, $measured->shake->pan->value], ['tilt', $take->grid->tilt, $measured->shake->tilt->value]] as [$axis, $channel, $shake]) {
            if ($shake > 1.2) {
                $squares = [];
                for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
                    $squares[] = $channel->band($i) ** 2;
                }
                $faults[] = self::worstWindow($take, 'shaky', $axis, self::worst($squares)[0], $shake / 1.2, $shake, '%/s', sprintf('The whole picture trembles by %.1f %% of its width a second.', $shake));
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function offMark(Measured $measured): array
    {
        $take = $measured->take;
        if (! $take->judging->hasSubject()) {
            return [];
        }
        $stray = array_map(static fn (float $u, float $v): float => max(abs($u), abs($v)), $measured->framing->u, $measured->framing->v);
        $off = array_map(static fn (float $s): bool => $s > self::OFF_MARK, $stray);
        $faults = [];
        foreach (self::runs($off, 5) as [$from, $to, $length]) {
            if ($length >= 6) {
                $most = Statistics::greatest(array_slice($stray, $from, $to - $from + 1));
                $faults[] = self::lasting(
                    $take, 'off-mark', 'picture', $take->main->from + $from, $take->main->from + $to, $most / self::OFF_MARK, 100 * $most, '%',
                    $most > 0.5 ? 'The subject leaves the picture.' : sprintf('The subject sits %.0f %% of the frame off its mark.', 100 * $most),
                );
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function sustained(Measured $measured): array
    {
        $take = $measured->take;
        $main = $take->main;
        $faults = [];
        if ($measured->drift > 7 && $measured->figure === null) {
            $faults[] = self::lasting($take, 'drift', 'travel', $main->holdFrom, $main->holdTo, $measured->drift / 7, $measured->drift, '%', sprintf('The subject changes size by about %.0f %% over the hold.', $measured->drift));
        }
        foreach ($measured->evenness as $axis => $evenness) {
            if ($evenness->value > 0.12) {
                $picture = $axis === 'turn' ? 'The background hurries and dawdles.' : 'The move surges and sags.';
                $faults[] = self::lasting($take, 'uneven', $axis, $main->holdFrom, $main->holdTo, $evenness->value / 0.12, 100 * $evenness->value, '%', $picture);
            }
        }
        if ($measured->completion < 0.85) {
            $faults[] = new Fault('stopped-short', 'all', $take->grid->t[$main->to], $take->grid->t[$main->to], 0.85 / max($measured->completion, 0.05), 'stop', 100 * $measured->completion, '%', 'The last part of the planned picture is missing.');
        }
        $sync = $measured->eases->sync;
        if ($sync !== null && $sync > 1.2) {
            $faults[] = new Fault('out-of-step', 'all', $take->grid->t[$main->from], $take->grid->t[$main->from], $sync / 1.2, 'start', $sync, 's', 'The subject slides out of place while only one axis moves.');
        }

        return $faults;
    }

    /**
     * An axis that should rest and creeps through the whole hold, as the picture shows it.
     *
     * @return list<Fault>
     */
    private static function creeping(Measured $measured): array
    {
        $take = $measured->take;
        $faults = [];
        if ($measured->figure !== null) {
            return [];
        }
        foreach ([Axis::Climb, Axis::Turn, Axis::Tilt] as $axis) {
            if ($take->judging->role($axis) !== Role::Still) {
                continue;
            }
            $rate = abs(Statistics::mean($take->hold($take->rate[$axis->value])));
            $size = $axis->rotates() ? 100 * $rate / $take->hfov() : $take->imageSpeed($rate);
            if ($size > self::CREEP) {
                $faults[] = self::lasting($take, 'leak', $axis->value, $take->main->holdFrom, $take->main->holdTo, $size / self::CREEP, $size, '%/s', 'The picture creeps by an axis that should rest.');
            }
        }

        return $faults;
    }

    /**
     * A turn or tilt that sets out against its own way, and has to come back.
     *
     * @return list<Fault>
     */
    private static function wrongWay(Measured $measured): array
    {
        $take = $measured->take;
        $faults = [];
        foreach ([Axis::Turn, Axis::Tilt] as $axis) {
            $span = $take->spans[$axis->value] ?? null;
            if ($span === null || $take->judging->role($axis) !== Role::Steady) {
                continue;
            }
            $value = $take->channel($axis)->value;
            $first = max(0, $span->from - self::LOOK_BACK);
            $way = $value[$span->to] >= $value[$span->from] ? 1.0 : -1.0;
            $against = array_map(static fn (float $v): float => $way * ($value[$first] - $v), array_slice($value, $first, $span->holdFrom - $first + 1));
            $back = Statistics::greatest($against);
            $at = $first + (int) array_search($back, $against, true);
            if ($back > self::WRONG_WAY) {
                $faults[] = new Fault('wrong-way', $axis->value, $take->grid->t[$at], $take->grid->t[$at], $back / self::WRONG_WAY, 'start', $back, 'deg', sprintf('The picture goes %.0f degrees the wrong way and comes back.', $back));
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function hurried(Measured $measured): array
    {
        $main = $measured->take->main;

        return $measured->pace < self::TOO_QUICK && $measured->take->judging->primary() !== null
            ? [self::lasting($measured->take, 'too-quick', 'picture', $main->holdFrom, $main->holdTo, self::TOO_QUICK / max(0.3, $measured->pace), $measured->pace, 's', sprintf('A point crosses the frame in %.1f s: the eye sees the craft, not the place.', $measured->pace))]
            : [];
    }

    /**
     * A reveal that was to end with the horizon off the middle and ends level, half of it sky.
     *
     * @return list<Fault>
     */
    private static function sky(Measured $measured, Wanted $wanted): array
    {
        $take = $measured->take;
        if ($take->judging->framed !== Framed::Reveal || $wanted->tiltEnd === null || $wanted->tiltEnd < -20 || abs($wanted->tiltEnd) < self::HALF_SKY) {
            return [];
        }
        $end = Statistics::median(array_slice($take->grid->tilt->value, max(0, $take->main->to - 3)));
        // Sky is what lies above the horizon, which stands -tan(tilt) / (2 tan(VFOV / 2)) above the middle.
        $share = max(0.0, min(1.0, 0.5 + tan($end * Angle::DEGREE) / (2 * $take->lens->halfHeight)));

        return abs($end) < self::HALF_SKY || ($wanted->tiltEnd < 0 && $end > 0)
            ? [new Fault('half-sky', 'tilt', $take->grid->t[$take->main->to], $take->grid->t[$take->main->to], 1 + abs($end - $wanted->tiltEnd) / abs($wanted->tiltEnd), 'stop', 100 * $share, '%', sprintf('%.0f %% of the last picture is sky.', 100 * $share))]
            : [];
    }

    /**
     * A pass through an opening that leaves its middle.
     *
     * @return list<Fault>
     */
    private static function throughGap(Measured $measured, Wanted $wanted): array
    {
        $take = $measured->take;
        if ($wanted->gap === null || $take->subject === null) {
            return [];
        }
        $nearest = $take->main->from;
        for ($i = $take->main->from; $i <= $take->main->to; $i++) {
            if ($take->distance[$i] < $take->distance[$nearest]) {
                $nearest = $i;
            }
        }
        $aside = hypot($take->dx[$nearest], $take->dy[$nearest]);
        $limit = max(self::GAP_SHARE * $wanted->gap, 2 * CirclePath::WALK);

        return $aside > $limit
            ? [new Fault('sway-off-centre', 'travel', $take->grid->t[$nearest], $take->grid->t[$nearest], $aside / $limit, 'hold', $aside, 'm', sprintf('It passes %.1f m beside the middle; one edge comes too near.', $aside))]
            : [];
    }

    /**
     * What only the fingers show: a thumb that presses its other axis too, and pace that is made with the throttle.
     *
     * @return list<Fault>
     */
    private static function thumbs(Measured $measured, Sticks $sticks): array
    {
        $take = $measured->take;
        $from = $take->grid->t[$take->main->holdFrom];
        $to = $take->grid->t[$take->main->holdTo];
        $faults = [];
        foreach ($sticks->leaks($from, $to) as ['finger' => $finger, 'share' => $share, 'at' => $at]) {
            if ($measured->figure === null && in_array($finger->axis()->value, array_map(static fn (Fault $fault): string => $fault->axis, self::creeping($measured)), true)) {
                continue;
            }
            if ($take->judging->role($finger->axis()) === Role::Still || ($take->judging->path === PathKind::Line && ! $finger->rotates() && $finger !== Finger::Climb)) {
                $faults[] = new Fault('leak', $finger->value, $at, $to, $share / Sticks::LEAK, 'hold', 100 * $share, '%', 'The path bends, or the picture creeps, by an axis that should rest.');
            }
        }
        $bounces = $take->judging->role(Axis::Climb) === Role::Still && $measured->figure === null ? $sticks->bounces($from, $to) : [];
        if (count($bounces) >= 2) {
            $faults[] = new Fault('throttle-bounce', 'climb', $bounces[0], $bounces[count($bounces) - 1], count($bounces) / 2, 'hold', count($bounces), 'presses', 'The picture hops, and no stabiliser takes that out.');
        }

        return $faults;
    }

    /** Acceleration from which a node is a kick: what a person must not do, and well above what noise does. */
    private static function kickThreshold(Channel $channel, float $limit, int $node): float
    {
        return max($limit, 4.5 * $channel->sigma * $channel->g2[$node]);
    }

    /** How far the subject is thrown about a moment, in words; empty where the take has no subject there. */
    private static function jump(Measured $measured, int $node): string
    {
        $from = $measured->take->main->from;
        $n = count($measured->framing->u);
        $first = max(0, $node - $from - 4);
        $last = min($n - 1, $node - $from + 8);
        if ($last <= $first) {
            return '';
        }
        $most = 0.0;
        foreach ([$measured->framing->u, $measured->framing->v] as $series) {
            $part = array_slice($series, $first, $last - $first + 1);
            $most = max($most, Statistics::span($part));
        }

        return sprintf('The subject jumps %.1f %% of the frame.', 100 * $most);
    }

    /** @return 'start'|'hold'|'stop' */
    private static function phase(Take $take, int $node): string
    {
        return $node < $take->main->holdFrom ? 'start' : ($node > $take->main->holdTo ? 'stop' : 'hold');
    }

    private static function node(Take $take, float $time): int
    {
        return (int) max(0, min($take->grid->count() - 1, round(($time - $take->grid->t[0]) / Grid::STEP)));
    }

    private static function lasting(Take $take, string $id, string $axis, int $from, int $to, float $severity, float $size, string $unit, string $picture): Fault
    {
        return new Fault($id, $axis, $take->grid->t[$from], $take->grid->t[$to], $severity, 'hold', $size, $unit, $picture);
    }

    private static function worstWindow(Take $take, string $id, string $axis, int $at, float $severity, float $size, string $unit, string $picture): Fault
    {
        $from = $take->main->holdFrom + $at;

        return self::lasting($take, $id, $axis, $from, min($from + (int) (self::WORST_SECONDS / Grid::STEP), $take->grid->count() - 1), $severity, $size, $unit, $picture);
    }

    /**
     * Start and mean of the worst three seconds.
     *
     * @param  list<float>  $values
     * @return array{int, float}
     */
    private static function worst(array $values): array
    {
        $width = (int) (self::WORST_SECONDS / Grid::STEP);
        $n = count($values);
        if ($n <= $width) {
            return [0, Statistics::mean($values)];
        }
        $sum = array_sum(array_slice($values, 0, $width));
        $best = [0, $sum];
        for ($i = 1; $i + $width <= $n; $i++) {
            $sum += $values[$i + $width - 1] - $values[$i - 1];
            if ($sum > $best[1]) {
                $best = [$i, $sum];
            }
        }

        return [$best[0], $best[1] / $width];
    }

    /**
     * Runs of true values; breaks of up to $join - 1 false values do not part a run.
     *
     * @param  list<bool>  $flags
     * @return list<array{int, int, int}> first, last, number of true values
     */
    private static function runs(array $flags, int $join): array
    {
        /** @var list<array{int, int, int}> $runs */
        $runs = [];
        foreach ($flags as $i => $flag) {
            if (! $flag) {
                continue;
            }
            $last = array_pop($runs);
            if ($last !== null && $i - $last[1] <= $join) {
                $runs[] = [$last[0], $i, $last[2] + 1];

                continue;
            }
            if ($last !== null) {
                $runs[] = $last;
            }
            $runs[] = [$i, $i, 1];
        }

        return $runs;
    }
}
