<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;

/**
 * Recommends the numbers of a flight mode for a list of planned shots.
 *
 * Each finger has a top rate, a curve (in the craft's own convention) and, where it rotates the picture, a cushion. Every
 * shot says what it demands of the finger; a set of numbers costs for what it makes uncomfortable, coarse or impossible,
 * and a little for standing off what the house likes. Fingers don't share numbers, so each is solved on its own: a
 * grid first, then a pattern search (R. Hooke, T. A. Jeeves, J. ACM 8 (1961) 212-229) from its best places.
 */
final class SettingsAdvisor
{
    /** @var array<string, array{float, float}> what is needed, by finger and lag: asked for again and again */
    private array $known = [];

    /** Room above the fastest rate that any shot asks, share (common practice, no published source). */
    public const ROOM = 1.08;

    /** Softest and straightest curve that is recommended: output at half stick. */
    public const SOFTEST = 0.2;

    public const STRAIGHT = 0.5;

    /** Longest cushion that is recommended, s. */
    public const CUSHION = 2.4;

    /** Lowest top rate that is recommended, share of what the craft gives: between shots it has to be framed as well. */
    private const LOWEST = 0.1;

    private const TOPS = 14;

    private const CURVES = 7;

    private const CUSHIONS = 6;

    /**
     * @param  list<Demand>  $demands  of all shots and fingers
     */
    public function __construct(
        private readonly Craft $craft, private readonly ModeTune $mode, private readonly array $demands, private readonly AdviceWish $wish,
    ) {
    }

    /** The mode with the recommended numbers; fingers that no shot needs keep theirs. */
    public function recommended(): ModeTune
    {
        $mode = $this->mode;
        foreach (Finger::cases() as $finger) {
            $demands = $this->of($finger);
            if ($demands !== []) {
                $mode = $this->solved($mode, $finger, $demands);
            }
        }

        return $mode;
    }

    /** @return list<Demand> */
    public function of(Finger $finger): array
    {
        return array_values(array_filter($this->demands, static fn (Demand $demand): bool => $demand->finger === $finger));
    }

    /**
     * What a mode costs for a finger: 0 where every hold is where the house wants it, larger the worse. One unit is about a
     * hold a tenth of the travel outside the comfortable stretch.
     */
    public function cost(ModeTune $mode, Finger $finger): float
    {
        $demands = $this->of($finger);

        return $demands === [] ? 0.0 : $this->costOf($mode, $finger, $demands, $this->needed($finger, $demands, $mode->lag($finger)));
    }

    /** The numbers of a finger as one candidate. */
    public function candidate(ModeTune $mode, Finger $finger, float $top, float $half, ?float $cushion): ModeTune
    {
        $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
        $curve = CurveKinds::through($this->craft->convention, 0.5, $half, $top * $scale);

        return $mode->with($finger, $top, $curve, $cushion);
    }

    /**
     * @param  non-empty-list<Demand>  $demands
     */
    private function solved(ModeTune $mode, Finger $finger, array $demands): ModeTune
    {
        $ceiling = $this->craft->ceiling($mode->name, $finger);
        $quickest = $finger === Finger::Turn ? 3 * $this->craft->stock->mode($mode->name)->turnLag : 0.1;
        $cushions = $finger->rotates() ? $this->spread($quickest, self::CUSHION, self::CUSHIONS) : [null];
        $cost = fn (float $top, float $half, ?float $cushion): array => [
            $this->costOf(
                $candidate = $this->candidate($mode, $finger, $top, $half, $cushion), $finger, $demands,
                $this->needed($finger, $demands, $candidate->lag($finger)),
            ),
            $top, $half, $cushion,
        ];
        $tried = [$cost(min($ceiling, $mode->top($finger)), 0.45, $cushions[0] === null ? null : $mode->cushion($finger))];
        foreach ($cushions as $cushion) {
            // What a cushion needs is the same for every top and curve.
            $needed = $this->needed($finger, $demands, $mode->with($finger, cushion: $cushion)->lag($finger));
            foreach ($this->spread(log(self::LOWEST * $ceiling), log($ceiling), self::TOPS) as $logTop) {
                foreach ($this->spread(self::SOFTEST, self::STRAIGHT, self::CURVES) as $half) {
                    $candidate = $this->candidate($mode, $finger, exp($logTop), $half, $cushion);
                    $tried[] = [$this->costOf($candidate, $finger, $demands, $needed), exp($logTop), $half, $cushion];
                }
            }
        }
        usort($tried, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $best = $tried[0];
        foreach (array_slice($tried, 0, 3) as $start) {
            [$top, $half, $cushion] = [0.25, 0.05, 0.3];
            $here = $start;
            while ($top > 0.002) {
                $moves = [
                    [exp($top), 0.0, 0.0], [exp(-$top), 0.0, 0.0], [1.0, $half, 0.0], [1.0, -$half, 0.0],
                    ...$here[3] === null ? [] : [[1.0, 0.0, $cushion], [1.0, 0.0, -$cushion]],
                ];
                $next = $here;
                foreach ($moves as [$dt, $dh, $dc]) {
                    $one = $cost(
                        max(self::LOWEST * $ceiling, min($ceiling, $here[1] * $dt)),
                        max(self::SOFTEST, min(self::STRAIGHT, $here[2] + $dh)),
                        $here[3] === null ? null : max($quickest, min(self::CUSHION, $here[3] + $dc)),
                    );
                    $next = $one[0] < $next[0] - 1e-12 ? $one : $next;
                }
                if ($next === $here) {
                    [$top, $half, $cushion] = [$top / 2, $half / 2, $cushion / 2];
                }
                $here = $next;
            }
            $best = $here[0] < $best[0] ? $here : $best;
        }

        return $this->candidate($mode, $finger, $best[1], $best[2], $best[3]);
    }

    /**
     * Greatest rates that the shots ask under a lag, each way.
     *
     * @param  non-empty-list<Demand>  $demands
     * @return array{float, float}
     */
    private function needed(Finger $finger, array $demands, float $lag): array
    {
        return $this->known[$finger->value.' '.round($lag, 6)] ??= [
            max(array_map(static fn (Demand $demand): float => $demand->peak($lag, true)[0], $demands)),
            max(array_map(static fn (Demand $demand): float => $demand->peak($lag, false)[0], $demands)),
        ];
    }

    /**
     * @param  non-empty-list<Demand>  $demands
     * @param  array{float, float}  $needed  each way
     */
    private function costOf(ModeTune $mode, Finger $finger, array $demands, array $needed): float
    {
        $cost = 0.0;
        $wish = $this->wish;
        $house = $wish->house;
        $wanted = $wish->least + $house->holdsAt() * ($wish->most - $wish->least);
        $curve = $mode->curve($finger);
        foreach ($demands as $demand) {
            if (abs($demand->hold) < 1e-9) {
                continue;
            }
            $top = $mode->top($finger, $demand->hold > 0);
            $travel = $curve->travel(min(1.0, abs($demand->hold) / $top));
            $outside = max(0.0, $wish->least - $travel, $travel - $wish->most);
            $seen = (
                $curve->output($travel + $wish->nudge / 2) - $curve->output($travel - $wish->nudge / 2)
            ) * $top * $demand->widths / $wish->seen;
            $cost += (($outside / 0.1) ** 2 + 0.06 * (($travel - $wanted) / 0.2) ** 2 + max(0.0, $seen - 1) ** 2) / count($demands);
        }
        $lacking = max(0.0, self::ROOM * $needed[0] / $mode->top($finger) - 1, self::ROOM * $needed[1] / $mode->top($finger, false) - 1);
        // What can't be flown weighs more than anything that is merely uncomfortable.
        $cost += $lacking > 0 ? 25.0 * $lacking + ($lacking > self::ROOM - 1 ? 100.0 * $lacking : 0.0) : 0.0;

        $ceiling = $this->craft->ceiling($mode->name, $finger);
        $share = $mode->top($finger) / $mode->top($finger, false);
        $need = max(self::LOWEST * $ceiling, min($ceiling, self::ROOM * max($needed[0], $needed[1] * $share)));
        $liked = log($need) + $house->headroom() * (log($ceiling) - log($need));
        $cost += 0.04 * (log($mode->top($finger)) - $liked) ** 2 + 0.02 * (($curve->output(0.5) - $house->halfStick()) / 0.1) ** 2;

        return $finger->rotates() ? $cost + 0.02 * (($mode->cushion($finger) - $house->cushion()) / 0.4) ** 2 : $cost;
    }

    /** @return non-empty-list<float> */
    private function spread(float $from, float $to, int $count): array
    {
        return array_map(static fn (int $i): float => $from + ($to - $from) * $i / ($count - 1), range(0, $count - 1));
    }
}
