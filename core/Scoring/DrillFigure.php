<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Measure\Warp;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\MovePlan;
use Larkspur\Scoring\Fault\Bobbing;
use Larkspur\Scoring\Path\CirclePath;

/**
 * How far a flown drill lies off its figure, in measures of its own: the stray from the figure, whether it closes, its
 * corners, touchdowns and crossing (docs/scoring.md, "Drills"). Anchors are our judgement, of the same kind as the others.
 *
 * The flown path is laid over the planned one by its first pose, then matched moment by moment (Warp: the same places in the
 * same order, at any pace), so that a slow hand is not punished for being slow.
 */
final readonly class DrillFigure implements JudgedParts
{
    /** Points to which either path is thinned before they are matched. */
    private const POINTS = 400;

    /** What a radian of heading or tilt counts in the matching, m: a quarter turn is as good as two metres. */
    private const METRES_PER_RADIAN = 2.0 / (M_PI / 2);

    /** A mark that scores less than this was missed; metres, or degrees, from which it is. */
    private const MISSED = 75.0;

    private const MISSED_METRES = 0.8;

    private const MISSED_DEGREES = 8.0;

    /** Mean difference of heading that is none, degrees. */
    private const SAME_HEADING = 0.5;

    /** Benefit of the doubt on what the figure itself asks of the picture. */
    private const OWN = 1.15;

    /** Shortest run of motion whose pace is judged, nodes, and what is left out at either end of it. */
    private const LEG = 35;

    private const LEG_MARGIN = 12;

    /** A planned height that differs by less from a touchdown's is the same stay on the ground, m. */
    private const GROUNDED = 0.05;

    /** The same of a corner: a place that differs by less, m, heading included. */
    private const STAYS = 0.1;

    /** Share of its greatest rate from which an axis moves, and of the time that it moves in which another does too. */
    private const MOVES = 0.15;

    private const OFTEN = 0.2;

    /**
     * @param  AskedOfTheHand  $asked  what the figure itself asks of the picture
     * @param  float  $stray  root mean square off the figure, m
     * @param  ?float  $evenness  spread of the pace within a leg, share; null where no leg is long enough
     * @param  list<array{t: float, metric: string, size: Quantity, severity: float}>  $missed  marks that were missed
     * @param  list<array{finger: Finger, at: float, seconds: float}>  $springs  fingers that were let go; empty without finger columns
     * @param  array<value-of<Petal>, list<Metric>>  $metrics
     * @param  list<MatchedMark>  $marks  in the order of the plan
     * @param  bool  $staysPut  whether the figure is flown on one spot
     * @param  list<Finger>  $together  fingers that the figure itself moves together with another
     */
    private function __construct(
        public AskedOfTheHand $asked,
        public float $stray,
        public ?float $evenness,
        public array $missed,
        public array $springs,
        private array $metrics,
        public array $marks,
        public bool $staysPut,
        public array $together,
    ) {
    }

    public static function of(Take $take, MovePlan $plan, ?Sticks $sticks): self
    {
        $ideal = self::ideal($take, $plan);
        [$flown, $flownNodes] = self::points($take);
        [$planned, $plannedNodes] = self::points($ideal);
        $laid = self::turned($planned, ($flown[0][3] - $planned[0][3]) / self::METRES_PER_RADIAN, $flown[0]);
        $path = Warp::path($flown, $laid);
        [$stray, $rise, $aim] = self::strays($take, $path, $flown, $laid);
        $line = [
            Metric::of('figure_stray', Fact::of('metric.figure_stray'), $stray, Quantity::metres(...), MetricScale::FigureStray),
            Metric::of('height_stray', Fact::of('metric.height_stray'), $rise, Quantity::metres(...), MetricScale::FigureStray),
        ];
        $frame = [Metric::of(
            'heading_stray', Fact::of('metric.heading_stray'), max(0.0, $aim - self::SAME_HEADING), Quantity::degrees(...),
            MetricScale::HeadingMiss,
        )];
        $missed = $matched = [];
        foreach (self::marks($plan, $ideal, $path, $flown, $laid, $plannedNodes) as [
            'mark' => $mark, 'metric' => $metric, 'node' => $node, 'misses' => $misses, 'metres' => $metres,
        ]) {
            $matched[spl_object_id($mark)] = new MatchedMark($mark, $take->grid->t[$flownNodes[$node]], $metres);
            if ($metric->id === 'corner' || $metric->id === 'heading') {
                $frame[] = $metric;
            } else {
                $line[] = $metric;
            }
            if ($metric->score < self::MISSED) {
                $missed[] = [
                    't' => $take->grid->t[$flownNodes[$node]], 'metric' => $metric->id, 'size' => $metric->value, 'severity' => $misses,
                ];
            }
        }
        $even = self::evenness($take);
        $even = $even === null ? null : sqrt(max(0.0, $even ** 2 - (self::OWN * (self::evenness($ideal) ?? 0.0)) ** 2));
        $way = self::way($ideal);
        $completion = $way < 1.0 ? ($take->main->nodes() / max(1, $ideal->main->nodes())) : self::way($take) / $way;
        // Mean squares over the same seconds: a slow hand spreads the figure's own turns over more of them.
        $own = Shake::of($ideal)->image->value * sqrt($ideal->main->nodes() / max(1, $take->main->nodes()));
        $disturbance = Shake::of($take)->image->less(self::OWN * $own)->value;
        $springs = $sticks?->springs($take->grid->t[$take->main->from], $take->grid->t[$take->main->to]) ?? [];

        return new self(
            new AskedOfTheHand(
                array_map(static fn (array $a): float => Statistics::greatest(Series::sizes($a)), $ideal->acceleration),
                Bobbing::worst($ideal)[1],
            ),
            $stray, $even, $missed, $springs,
            [
                Petal::Ease->value => $sticks === null ? [] : [Metric::of(
                    'springs', Fact::of('metric.springs'), (float) count($springs), Quantity::times(...), MetricScale::Springs,
                )],
                Petal::Flow->value => [Metric::of(
                    'image_shake', Fact::of('metric.image_shake'), $disturbance, Quantity::percentPerSecond(...), MetricScale::Shake,
                )],
                Petal::Hold->value => $even === null ? [] : [Metric::of(
                    'evenness_travel', Fact::of('metric.evenness-leg'), $even, Quantity::share(...), MetricScale::Evenness,
                )],
                Petal::Line->value => [
                    ...self::worstOfEach($line),
                    Metric::of(
                        'completion', Fact::of('metric.completion-figure'), min(1.5, $completion), Quantity::share(...),
                        MetricScale::Completion,
                    ),
                ],
                Petal::Frame->value => self::worstOfEach($frame),
            ],
            array_values($matched), $way < 1.0, self::together($plan),
        );
    }

    /**
     * The fingers that move together with another one as the figure is planned: of these no thumb can be said to press along.
     *
     * @return list<Finger>
     */
    private static function together(MovePlan $plan): array
    {
        $flight = $plan->flight;
        $rates = array_fill_keys(array_column(Finger::cases(), 'value'), []);
        for ($i = 10, $n = $flight->count(); $i < $n; $i += 10) {
            $way = $flight->position($i)->minus($flight->position($i - 10));
            [$sin, $cos] = [sin($flight->heading[$i]), cos($flight->heading[$i])];
            $rates['run'][] = $way->east * $sin + $way->north * $cos;
            $rates['slide'][] = $way->east * $cos - $way->north * $sin;
            $rates['climb'][] = $way->up;
            $rates['turn'][] = $flight->heading[$i] - $flight->heading[$i - 10];
            $rates['tilt'][] = $flight->tilt[$i] - $flight->tilt[$i - 10];
        }
        $moves = array_map(static function (array $of): array {
            $least = max(1e-4, self::MOVES * Statistics::greatest(Series::sizes($of)));

            return array_map(static fn (float $rate): bool => abs($rate) > $least, $of);
        }, $rates);

        return array_values(array_filter(Finger::cases(), static function (Finger $finger) use ($moves): bool {
            $own = array_keys(array_filter($moves[$finger->value]));
            $shared = array_filter($own, static fn (int $k): bool => count(array_filter(array_column($moves, $k))) > 1);

            return $own !== [] && count($shared) > self::OFTEN * count($own);
        }));
    }

    /**
     * How far the flown points lie from those they are matched with: over the ground and in height (m, less noise), and in heading
     * (degrees).
     *
     * @param  list<array{int, int}>  $path
     * @param  non-empty-list<array{float, float, float, float, float}>  $flown
     * @param  non-empty-list<array{float, float, float, float, float}>  $laid
     * @return array{float, float, float}
     */
    private static function strays(Take $take, array $path, array $flown, array $laid): array
    {
        $noise = $take->grid->x->sigma * Statistics::mean($take->moving($take->grid->x->g0));
        $square = $height = $aim = [];
        foreach ($path as [$i, $j]) {
            $square[] = ($flown[$i][0] - $laid[$j][0]) ** 2 + ($flown[$i][1] - $laid[$j][1]) ** 2;
            $height[] = ($flown[$i][2] - $laid[$j][2]) ** 2;
            $aim[] = abs($flown[$i][3] - $laid[$j][3]) / self::METRES_PER_RADIAN;
        }

        return [
            sqrt(max(0.0, Statistics::mean($square) - 2 * ($noise ** 2 + CirclePath::WALK ** 2))),
            sqrt(max(0.0, Statistics::mean($height) - ($take->grid->z->sigma ** 2 + 0.15 ** 2))),
            Statistics::mean($aim) / Angle::DEGREE,
        ];
    }

    /**
     * The marks of the figure, each with what it was missed by.
     *
     * @param  list<array{int, int}>  $path
     * @param  non-empty-list<array{float, float, float, float, float}>  $flown
     * @param  non-empty-list<array{float, float, float, float, float}>  $laid
     * @param  list<int>  $plannedNodes
     * @return list<array{mark: Mark, metric: Metric, node: int, misses: float, metres: float}> node of the flown points; misses 1 at the
     *     threshold
     */
    private static function marks(MovePlan $plan, Take $ideal, array $path, array $flown, array $laid, array $plannedNodes): array
    {
        $partner = [];
        foreach ($path as [$i, $j]) {
            $partner[$j][] = $i;
        }
        $marks = [];
        $previous = [0, 0];
        foreach ($plan->marks as $mark) {
            $j = self::nearest($ideal, $plannedNodes, $mark->t);
            $i = self::event($mark, $j, $partner, $flown, $laid);
            $missed = sqrt(max(0.0, ($flown[$i][0] - $laid[$j][0]) ** 2 + ($flown[$i][1] - $laid[$j][1]) ** 2 - 2 * CirclePath::WALK ** 2));
            $swept = abs(
                ($flown[$i][3] - $flown[$previous[0]][3]) - ($laid[$j][3] - $laid[$previous[1]][3]),
            ) / self::METRES_PER_RADIAN / Angle::DEGREE;
            $previous = [$i, $j];
            $at = ['mark' => $mark, 'node' => $i, 'metres' => $missed];
            if (in_array($mark->kind, [Mark::CORNER, Mark::HEADING], true)) {
                $metric = Metric::of($mark->kind, Fact::of("metric.$mark->kind"), $swept, Quantity::degrees(...), MetricScale::HeadingMiss);
                $marks[] = [...$at, 'metric' => $metric, 'misses' => $swept / self::MISSED_DEGREES];
            }
            if ($mark->kind !== Mark::HEADING) {
                $id = match ($mark->kind) {
                    Mark::CLOSE => 'closure',
                    Mark::CORNER => 'corner_place',
                    default => $mark->kind,
                };
                $metric = Metric::of($id, Fact::of("metric.$id"), $missed, Quantity::metres(...), MetricScale::FigureMiss);
                $marks[] = [...$at, 'metric' => $metric, 'misses' => $missed / self::MISSED_METRES];
            }
        }

        return $marks;
    }

    public function scores(): PartScores
    {
        $of = fn (Petal $petal): array => array_map(static fn (Metric $metric): float => $metric->score, $this->metrics[$petal->value]);
        $weakestAndMean = static function (float ...$scores): float {
            $scores = array_values($scores);

            return 0.5 * Statistics::least($scores) + 0.5 * Statistics::mean($scores);
        };
        $line = $of(Petal::Line);

        return new PartScores([
            'path' => $weakestAndMean(...array_slice($line, 0, -1)), 'completion' => $line[count($line) - 1],
            'framing' => $weakestAndMean(...$of(Petal::Frame)),
            'smooth' => $of(Petal::Flow)[0],
            ...$of(Petal::Hold) === [] ? [] : ['steady' => $of(Petal::Hold)[0]],
            ...$of(Petal::Ease) === [] ? [] : ['ease' => $of(Petal::Ease)[0]],
        ]);
    }

    public function metrics(Petal $petal): array
    {
        return $this->metrics[$petal->value] ?? [];
    }

    /**
     * The flown moment that stands for a mark: the lowest about a touchdown, the last where a way ends, else the middle of
     * those matched with it.
     *
     * @param  array<int, non-empty-list<int>>  $partner  flown points by planned one
     * @param  non-empty-list<array{float, float, float, float, float}>  $flown
     * @param  non-empty-list<array{float, float, float, float, float}>  $laid
     */
    private static function event(Mark $mark, int $j, array $partner, array $flown, array $laid): int
    {
        // All that is matched with the planned stay there.
        $found = $partner[$j] ?? [0];
        foreach ([-1, 1] as $way) {
            for ($k = $j + $way; isset($laid[$k]) && self::stays($mark, $laid[$k], $laid[$j]); $k += $way) {
                array_push($found, ...$partner[$k] ?? []);
            }
        }
        if ($mark->kind === Mark::TOUCHDOWN) {
            usort($found, static fn (int $a, int $b): int => [$flown[$a][2], $a] <=> [$flown[$b][2], $b]);

            return $found[0];
        }
        sort($found);

        return in_array($mark->kind, [Mark::CLOSE, Mark::END], true) ? $found[count($found) - 1] : $found[intdiv(count($found), 2)];
    }

    /**
     * @param  array{float, float, float, float, float}  $point
     * @param  array{float, float, float, float, float}  $there
     */
    private static function stays(Mark $mark, array $point, array $there): bool
    {
        return $mark->kind === Mark::TOUCHDOWN
            ? abs($point[2] - $there[2]) < self::GROUNDED
            : hypot(hypot($point[0] - $there[0], $point[1] - $there[1]), $point[3] - $there[3]) < self::STAYS;
    }

    /** The planned figure, measured by the same kernels. */
    private static function ideal(Take $take, MovePlan $plan): Take
    {
        $flight = $plan->flight;
        $keep = Series::stride($flight->count(), 5);
        $samples = Samples::given(
            Series::at($flight->t, $keep), Series::at($flight->east, $keep), Series::at($flight->north, $keep),
            Series::at($flight->up, $keep),
            Series::at($flight->heading, $keep), Series::at($flight->tilt, $keep),
        );

        return Take::of(Grid::of($samples), $take->judging, $take->lens, null, 1.0, $take->viewing, 0.0, [$plan->onset, $plan->stop])
            ?? throw new \LogicException('A planned figure always has a take.');
    }

    /**
     * Places of a take, thinned: east, north, up (m), heading and tilt (as metres).
     *
     * @return array{non-empty-list<array{float, float, float, float, float}>, list<int>} and the grid nodes they stand at
     */
    private static function points(Take $take): array
    {
        $stride = max(1, (int) ceil($take->main->nodes() / self::POINTS));
        $points = $nodes = [];
        for ($i = $take->main->from; $i <= $take->main->to; $i += $stride) {
            $points[] = [
                $take->grid->x->value[$i], $take->grid->y->value[$i], $take->grid->z->value[$i],
                self::METRES_PER_RADIAN * $take->grid->heading->value[$i], self::METRES_PER_RADIAN * $take->grid->tilt->value[$i],
            ];
            $nodes[] = $i;
        }

        return [$points === [] ? [[0.0, 0.0, 0.0, 0.0, 0.0]] : $points, $nodes];
    }

    /**
     * The planned points, turned about their first and moved onto another.
     *
     * @param  non-empty-list<array{float, float, float, float, float}>  $points
     * @param  array{float, float, float, float, float}  $onto
     * @return non-empty-list<array{float, float, float, float, float}>
     */
    private static function turned(array $points, float $by, array $onto): array
    {
        [$x, $y, $z, $heading] = $points[0];
        [$sin, $cos] = [sin($by), cos($by)];

        return array_map(static fn (array $p): array => [
            $onto[0] + ($p[0] - $x) * $cos + ($p[1] - $y) * $sin, $onto[1] - ($p[0] - $x) * $sin + ($p[1] - $y) * $cos,
            $onto[2] + $p[2] - $z,
            $onto[3] + $p[3] - $heading, $p[4],
        ], $points);
    }

    /** @param  list<int>  $nodes */
    private static function nearest(Take $ideal, array $nodes, float $t): int
    {
        $best = 0;
        foreach ($nodes as $k => $i) {
            if (abs($ideal->grid->t[$i] - $t) < abs($ideal->grid->t[$nodes[$best]] - $t)) {
                $best = $k;
            }
        }

        return $best;
    }

    /**
     * Of several marks of one kind the worst speaks.
     *
     * @param  list<Metric>  $metrics
     * @return list<Metric>
     */
    private static function worstOfEach(array $metrics): array
    {
        $worst = [];
        foreach ($metrics as $metric) {
            if (! isset($worst[$metric->id]) || $metric->score < $worst[$metric->id]->score) {
                $worst[$metric->id] = $metric;
            }
        }

        return array_values($worst);
    }

    /** Spread of the pace within the legs, each about its own median, as a share; null where no leg is long enough. */
    private static function evenness(Take $take): ?float
    {
        $speed = [];
        for ($i = $take->main->from; $i <= $take->main->to; $i++) {
            $speed[] = sqrt($take->grid->x->steady[$i] ** 2 + $take->grid->y->steady[$i] ** 2 + $take->grid->z->steady[$i] ** 2);
        }
        $least = 0.3 * Statistics::percentile($speed, 95);
        $spreads = [];
        $leg = [];
        foreach ([...$speed, 0.0] as $k => $value) {
            if ($value > $least && $least > 0.05) {
                $leg[] = $value;

                continue;
            }
            if (count($leg) >= self::LEG) {
                $inner = array_slice($leg, self::LEG_MARGIN, -self::LEG_MARGIN);
                $node = $take->main->from + $k - self::LEG_MARGIN;
                $median = Statistics::median($inner);
                $noise = 2 * ($take->grid->x->sigma * $take->grid->x->gSteady[max(0, $node)]) ** 2 + 0.04 ** 2;
                $square = Statistics::meanSquare(array_map(static fn (float $v): float => $v - $median, $inner));
                $spread = NoiseCorrected::rate($square, $noise, count($inner) * Grid::STEP, Grid::STEADY);
                $spreads[] = $spread->value / max(0.1, $median);
            }
            $leg = [];
        }

        return $spreads === [] ? null : Statistics::mean($spreads);
    }

    /** Metres flown, up and down included, noise taken off as in Recognition. */
    private static function way(Take $take): float
    {
        $way = 0.0;
        for ($i = $take->main->from; $i <= $take->main->to; $i++) {
            $noise = 2 * ($take->grid->x->sigma * $take->grid->x->g1[$i]) ** 2 + 0.02;
            $way += Grid::STEP * sqrt(max(
                0.0, $take->grid->x->rate[$i] ** 2 + $take->grid->y->rate[$i] ** 2 + $take->grid->z->rate[$i] ** 2 - $noise,
            ));
        }

        return $way;
    }
}
