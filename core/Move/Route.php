<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\Stroke;
use Larkspur\Refusal;

/**
 * The way that a subject goes on a site: from its own place along corners, at one pace, with stops, after a call. Several moves can be
 * planned on one. People and cars round their corners and gather pace: what is drawn with a ruler is smoothed over a second either way.
 */
final readonly class Route
{
    /** What its numbers may be, by place, as forms have to know them. */
    public const LIMITS = ['pace_mps' => [0.1, 40.0], 'stops.*.s' => [0.0, 120.0]];

    /** Most corners of one route. */
    public const CORNERS = 40;

    /** Seconds over which a pace is reached or left: a person's step, a car's first metres (our judgement). */
    private const EASE = 1.5;

    /** A corner is rounded over so long either way, s (our judgement). */
    private const ROUNDED = 1.0;

    /** Between points of the track, s. */
    private const STEP = 0.5;

    /**
     * @param  list<array{float, float}>  $points  corners after its own place, east and north of take-off, m
     * @param  float  $pace  m/s
     * @param  list<array{corner: int, s: float}>  $stops  at which corner, the first being 1, and for how long
     * @param  string  $cue  what it sets off at, in the trainer's words; empty where a call is all
     */
    private function __construct(public array $points, public float $pace, public array $stops, public string $cue)
    {
    }

    /** @param  ?Position  $from  its own place, where that is known: a way is refused that takes longer than a shot is held */
    public static function read(Fields $fields, ?Position $from = null): self
    {
        $points = $fields->pairs('points');
        if ($points === [] || count($points) > self::CORNERS) {
            throw new Refusal(Fact::of('route.corners'), $fields->place('points'), Fact::of('route.how-many', most: self::CORNERS));
        }
        $stops = [];
        foreach ($fields->groups('stops') as $stop) {
            $stops[] = [
                'corner' => $stop->whole('corner', 1, count($points)), 's' => $stop->number('s', ...self::LIMITS['stops.*.s'], unit: 's'),
            ];
        }
        $route = new self(
            $points, $fields->number('pace_mps', ...self::LIMITS['pace_mps'], unit: 'm/s'), $stops,
            mb_substr(trim($fields->textOrNull('cue') ?? ''), 0, 120),
        );
        $seconds = $from === null ? 0.0 : $route->seconds([$from->east, $from->north]);
        if ($seconds > Pace::LONGEST - 10.0) {
            throw new Refusal(
                Fact::of('route.takes-long', seconds: Quantity::seconds($seconds)), $fields->place('pace_mps'), Fact::of('route.faster'),
            );
        }

        return $route;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'points' => $this->points, 'pace_mps' => $this->pace, ...$this->stops === [] ? [] : ['stops' => $this->stops],
            ...$this->cue === '' ? [] : ['cue' => $this->cue],
        ];
    }

    /**
     * Where it is at which second of a recording: at rest until the shot sets off, and after its last corner.
     *
     * @param  callable(float, float): float  $foot  height of the ground at a place, m
     * @return list<array{float, Position}> two or more
     */
    public function track(Position $from, callable $foot): array
    {
        $legs = $this->legs([$from->east, $from->north]);
        $end = $legs === [] ? 0.0 : $legs[count($legs) - 1]->to;
        $line = [[$from->east, $from->north], ...$this->points];
        $at = static function (float $t) use ($legs, $line): array {
            $gone = array_sum(array_map(static fn (Stroke $leg): float => $leg->at($t), $legs));

            return self::along($line, $gone);
        };
        $track = [];
        for ($k = 0, $last = (int) ceil(($end + Pace::REST) / self::STEP) + 1; $k <= $last; $k++) {
            $t = $k * self::STEP;
            [$east, $north, $weight] = [0.0, 0.0, 0.0];
            for ($j = -4; $j <= 4; $j++) {
                $share = 1.0 - abs($j) / 5;
                [$e, $n] = $at($t + $j * self::ROUNDED / 4);
                [$east, $north, $weight] = [$east + $share * $e, $north + $share * $n, $weight + $share];
            }
            $track[] = [$t, new Position($east / $weight, $north / $weight, $foot($east / $weight, $north / $weight))];
        }

        return $track;
    }

    /** @param  array{float, float}  $from */
    private function seconds(array $from): float
    {
        $legs = $this->legs($from);

        return $legs === [] ? 0.0 : $legs[count($legs) - 1]->to;
    }

    /**
     * What it goes between one rest and the next.
     *
     * @param  array{float, float}  $from
     * @return list<Stroke>
     */
    private function legs(array $from): array
    {
        $waits = array_column($this->stops, 's', 'corner');
        [$legs, $clock, $way] = [[], Pace::SETTLE, 0.0];
        foreach ($this->points as $k => $corner) {
            $way += hypot($corner[0] - $from[0], $corner[1] - $from[1]);
            $from = $corner;
            $last = $k === count($this->points) - 1;
            if ($way > 0.0 && ($last || ($waits[$k + 1] ?? 0.0) > 0.0)) {
                $legs[] = $leg = new Stroke($way, $clock, $clock + max($way / $this->pace + self::EASE, 2 * self::EASE), self::EASE);
                $clock = $leg->to + ($waits[$k + 1] ?? 0.0);
                $way = 0.0;
            }
        }

        return $legs;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $line
     * @return array{float, float} the place so many metres along it
     */
    private static function along(array $line, float $gone): array
    {
        for ($k = 1; $k < count($line); $k++) {
            [$a, $b] = [$line[$k - 1], $line[$k]];
            $length = hypot($b[0] - $a[0], $b[1] - $a[1]);
            if ($gone <= $length && $length > 0.0) {
                $share = max(0.0, $gone) / $length;

                return [$a[0] + $share * ($b[0] - $a[0]), $a[1] + $share * ($b[1] - $a[1])];
            }
            $gone -= $length;
        }

        return $line[count($line) - 1];
    }
}
