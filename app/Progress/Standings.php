<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Larkspur\Site\Zone;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Comparable;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/**
 * How operators stand, per petal, finger and move. What makes moves comparable is worked out over the whole school, once a night's length;
 * the standings themselves are worked out anew at every look, which is quick enough (bin/bench).
 */
final readonly class Standings
{
    private const KEPT_HOURS = 12;

    /** What the school's takes say of the moves. */
    public static function comparable(int $school): Comparable
    {
        $kept = Cache::remember("moves compared $school", now()->addHours(self::KEPT_HOURS), static function () use ($school): array {
            $operators = User::query()->withoutGlobalScopes()->where('school_id', $school)->pluck('id')->all();
            $class = array_map(self::byHand(...), array_values(
                PastTakes::each(array_values(array_map(intval(...), $operators)), new Zone),
            ));
            $compared = Comparable::among($class, Measure::all());

            return [$compared->offsets, $compared->scatter];
        });

        return new Comparable(...$kept);
    }

    /**
     * @param  list<PastTake>  $takes  in order of days
     * @return array<string, Standing> by measure; those that no take shows are left out
     */
    public static function of(array $takes, Comparable $moves): array
    {
        $standings = [];
        $flown = self::byHand($takes);
        foreach (Measure::all() as $measure) {
            $standing = Standing::of($moves->marks($flown, $measure));
            if ($standing !== null) {
                $standings[$measure] = $standing;
            }
        }

        return $standings;
    }

    /**
     * Standings in each move by itself, as it was scored.
     *
     * @param  list<PastTake>  $takes
     * @return array<string, Standing> by move
     */
    public static function byMove(array $takes, Comparable $moves): array
    {
        $alone = new Comparable([], $moves->scatter);
        $byMove = [];
        foreach (self::byHand($takes) as $take) {
            $byMove[$take->move][] = $take;
        }
        $standings = [];
        foreach ($byMove as $move => $flown) {
            $standings[$move] = Standing::of($alone->marks($flown, 'score')) ?? throw new \LogicException('A move has takes.');
        }

        return $standings;
    }

    /**
     * Those that a hand flew with a craft: what automation flew says nothing about the hands, and what was practised here is no flight.
     *
     * @param  list<PastTake>  $takes
     * @return list<PastTake>
     */
    private static function byHand(array $takes): array
    {
        return array_values(array_filter($takes, static fn (PastTake $take): bool => ! $take->automated && ! $take->practised));
    }
}
