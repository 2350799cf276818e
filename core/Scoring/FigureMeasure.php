<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Measure\Warp;
use Larkspur\Move\Axis;
use Larkspur\Move\Mark;
use Larkspur\Move\MovePlan;

/**
 * How far a flown drill lies off its figure, in measures of its own: the stray from the figure, whether it closes, its
 * corners, touchdowns and crossing (docs/scoring.md, "Drills"). Anchors are our judgement, of the same kind as the others.
 *
 * The flown path is laid over the planned one by its first pose, then matched moment by moment (Warp: the same places in the
 * same order, at any pace), so that a slow hand is not punished for being slow.
 */
final readonly class FigureMeasure
{
    /** Points to which either path is thinned before they are matched. */
    private const POINTS = 400;

    /** What a degree of heading or tilt counts in the matching, m: a quarter turn is as good as two metres. */
    private const METRES_PER_DEGREE = 2.0 / 90.0;

    /** Stray from the figure, m, and unevenness within a leg, share, that are worth a word. */
    private const STRAYS = 0.6;

    private const UNEVEN = 0.12;

    /** Benefit of the doubt on what the figure itself asks of the picture. */
    private const OWN = 1.15;

    /** Shortest run of motion whose pace is judged, nodes, and what is left out at either end of it. */
    private const LEG = 35;

    private const LEG_MARGIN = 12;

    /** A planned height that differs by less from a touchdown's is the same stay on the ground, m. */
    private const GROUNDED = 0.05;

    /**
     * @param  list<array{facet: string, figure: Figure}>  $measured
     * @param  array<string, float>  $parts
     * @param  list<Fault>  $faults  marks that were missed
     * @param  Shake  $own  what the figure itself asks of the picture
     * @param  array<value-of<Axis>, float>  $peaks  greatest acceleration that the figure asks of each axis
     * @param  float  $bob  its own greatest bobbing over three seconds, m/s
     */
    private function __construct(private array $measured, private array $parts, public array $faults, public Shake $own, public array $peaks, public float $bob)
    {
    }

    public static function of(Take $take, MovePlan $plan, ?Sticks $sticks): self
    {
        $ideal = self::ideal($take, $plan);
        [$flown, $flownNodes] = self::points($take);
        [$planned, $plannedNodes] = self::points($ideal);
        $turn = ($flown[0][3] - $planned[0][3]) / self::METRES_PER_DEGREE * Angle::DEGREE;
        $laid = self::turned($planned, $turn, $flown[0]);
        $path = Warp::path($flown, $laid);
        $noise = $take->grid->x->sigma * Statistics::mean($take->moving($take->grid->x->g0));
        $square = $height = $aim = [];
        $partner = [];
        foreach ($path as [$i, $j]) {
            $square[] = ($flown[$i][0] - $laid[$j][0]) ** 2 + ($flown[$i][1] - $laid[$j][1]) ** 2;
            $height[] = ($flown[$i][2] - $laid[$j][2]) ** 2;
            $aim[] = abs($flown[$i][3] - $laid[$j][3]) / self::METRES_PER_DEGREE;
            $partner[$j][] = $i;
        }
        $stray = sqrt(max(0.0, Statistics::mean($square) - 2 * ($noise ** 2 + CirclePath::WALK ** 2)));
        $rise = sqrt(max(0.0, Statistics::mean($height) - ($take->grid->z->sigma ** 2 + 0.15 ** 2)));
        $line = [
            Figure::of('figure_stray', 'The path strays from its figure by', $stray, 'm', Anchored::FigureStray),
            Figure::of('height_stray', 'Height strays by', $rise, 'm', Anchored::FigureStray),
        ];
        $frame = [Figure::of('heading_stray', 'The heading strays by', max(0.0, Statistics::mean($aim) - 0.5), 'deg', Anchored::HeadingMiss)];
        $faults = [];
        $previous = [0, 0];
        foreach ($plan->marks as $mark) {
            $j = self::nearest($ideal, $plannedNodes, $mark->t);
            $i = self::event($mark, $j, $partner, $flown, $laid);
            $t = $take->grid->t[$flownNodes[$i]];
            $missed = sqrt(max(0.0, ($flown[$i][0] - $laid[$j][0]) ** 2 + ($flown[$i][1] - $laid[$j][1]) ** 2 - 2 * CirclePath::WALK ** 2));
            $swept = abs(($flown[$i][3] - $flown[$previous[0]][3]) - ($laid[$j][3] - $laid[$previous[1]][3])) / self::METRES_PER_DEGREE;
            $previous = [$i, $j];
            [$figure, $facet] = match ($mark->kind) {
                Mark::TOUCHDOWN => [Figure::of('touchdown', 'Touchdown misses its mark by', $missed, 'm', Anchored::FigureMiss), 'line'],
                Mark::CROSSING => [Figure::of('crossing', 'The crossing misses its spot by', $missed, 'm', Anchored::FigureMiss), 'line'],
                Mark::CLOSE => [Figure::of('closure', 'The figure stays open by', $missed, 'm', Anchored::FigureMiss), 'line'],
                Mark::END => [Figure::of('end', 'The last picture is taken beside its place by', $missed, 'm', Anchored::FigureMiss), 'line'],
                Mark::SEAM => [Figure::of('seam', 'The hand-over lies beside its place by', $missed, 'm', Anchored::FigureMiss), 'line'],
                Mark::CORNER => [Figure::of('corner', 'A corner misses its heading by', $swept, 'deg', Anchored::HeadingMiss), 'frame'],
                Mark::HEADING => [Figure::of('heading', 'A turn misses its end by', $swept, 'deg', Anchored::HeadingMiss), 'frame'],
            };
            if ($facet === 'line') {
                $line[] = $figure;
            } else {
                $frame[] = $figure;
            }
            if ($figure->score < 75) {
                $faults[] = new Fault('off-mark', 'all', $t, $t, max(1.0, $figure->value / ($figure->unit === 'm' ? 0.8 : 8.0)), 'stop', $figure->value, $figure->unit, sprintf('%s %.1f %s.', $figure->label, $figure->value, $figure->unit));
            }
        }
        if ($stray > self::STRAYS) {
            $faults[] = new Fault('drift', 'travel', $take->grid->t[$take->main->from], $take->grid->t[$take->main->to], $stray / self::STRAYS, 'hold', $stray, 'm', sprintf('The path strays from its figure by %.1f m.', $stray));
        }
        $line = self::worstOfEach($line);
        $frame = self::worstOfEach($frame);
        $even = self::evenness($take);
        $own = self::evenness($ideal) ?? 0.0;
        $even = $even === null ? null : sqrt(max(0.0, $even ** 2 - (self::OWN * $own) ** 2));
        if ($even !== null && $even > self::UNEVEN) {
            $faults[] = new Fault('uneven', 'travel', $take->grid->t[$take->main->from], $take->grid->t[$take->main->to], $even / self::UNEVEN, 'hold', 100 * $even, '%', 'The pace surges and sags within a leg.');
        }
        $hold = array_map(static fn (float $cv): Figure => Figure::of('evenness_travel', 'Pace within a leg varies by', $cv, '%', Anchored::Evenness, 100), $even === null ? [] : [$even]);
        $way = self::way($ideal);
        $completion = $way < 1.0 ? ($take->main->nodes() / max(1, $ideal->main->nodes())) : self::way($take) / $way;
        $line[] = Figure::of('completion', 'Of the planned figure you flew', min(1.5, $completion), '%', Anchored::Completion, 100);
        $own = Shake::of($ideal);
        // Mean squares over the same seconds: a slow hand spreads the figure's own turns over more of them.
        $disturbance = Shake::of($take)->image->less(self::OWN * $own->image->value * sqrt($ideal->main->nodes() / max(1, $take->main->nodes())));
        $flow = [Figure::of('image_shake', 'The picture trembles by', $disturbance->value, '%/s', Anchored::Shake)];
        $flicks = $sticks === null ? [] : $sticks->springs($take->grid->t[$take->main->from], $take->grid->t[$take->main->to]);
        foreach ($flicks as ['finger' => $finger, 'at' => $at, 'seconds' => $seconds]) {
            $faults[] = new Fault('flick-stop', $finger->value, $at, $at, 0.3 / max(0.1, $seconds), 'stop', $seconds, 's', 'The picture lurches where the finger let go.');
        }
        $ease = $sticks === null ? [] : [Figure::of('springs', 'Fingers let go to the spring', (float) count($flicks), 'times', Anchored::Springs)];
        $score = static function (Figure ...$figures): float {
            $scores = array_map(static fn (Figure $figure): float => $figure->score, array_values($figures));

            return 0.5 * Statistics::least($scores) + 0.5 * Statistics::mean($scores);
        };

        return new self(
            [
                ...self::facet('ease', $ease), ...self::facet('flow', $flow), ...self::facet('hold', $hold),
                ...self::facet('line', $line), ...self::facet('frame', $frame),
            ],
            [
                'path' => $score(...array_slice($line, 0, -1)), 'completion' => Anchored::Completion->score($completion), 'framing' => $score(...$frame),
                'smooth' => $flow[0]->score, ...$hold === [] ? [] : ['steady' => $hold[0]->score], ...$ease === [] ? [] : ['ease' => $ease[0]->score],
            ],
            $faults, $own,
            array_map(static fn (array $a): float => Statistics::greatest(Series::sizes($a)), $ideal->acceleration),
            FaultFinder::worstBob($ideal),
        );
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
        $found = $partner[$j] ?? [0];
        if ($mark->kind === Mark::TOUCHDOWN) {
            // All that is matched with the planned stay on the ground.
            for ($k = $j - 1; $k >= 0 && abs($laid[$k][2] - $laid[$j][2]) < self::GROUNDED; $k--) {
                array_push($found, ...$partner[$k] ?? []);
            }
            for ($k = $j + 1; $k < count($laid) && abs($laid[$k][2] - $laid[$j][2]) < self::GROUNDED; $k++) {
                array_push($found, ...$partner[$k] ?? []);
            }
            usort($found, static fn (int $a, int $b): int => [$flown[$a][2], $a] <=> [$flown[$b][2], $b]);

            return $found[0];
        }

        return in_array($mark->kind, [Mark::CLOSE, Mark::END], true) ? $found[count($found) - 1] : $found[intdiv(count($found), 2)];
    }

    /** @return array<string, float> */
    public function parts(): array
    {
        return $this->parts;
    }

    /** @return list<Figure> */
    public function figures(string $facet): array
    {
        return array_column(array_filter($this->measured, static fn (array $one): bool => $one['facet'] === $facet), 'figure');
    }

    /**
     * @param  list<Figure>  $figures
     * @return list<array{facet: string, figure: Figure}>
     */
    private static function facet(string $facet, array $figures): array
    {
        return array_map(static fn (Figure $figure): array => ['facet' => $facet, 'figure' => $figure], $figures);
    }

    /** The planned figure, measured by the same kernels. */
    private static function ideal(Take $take, MovePlan $plan): Take
    {
        $flight = $plan->flight;
        $keep = Series::stride($flight->count(), 5);
        $samples = Samples::given(
            Series::at($flight->t, $keep), Series::at($flight->east, $keep), Series::at($flight->north, $keep), Series::at($flight->up, $keep),
            Series::times(Series::at($flight->heading, $keep), 1 / Angle::DEGREE), Series::times(Series::at($flight->tilt, $keep), 1 / Angle::DEGREE),
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
                self::METRES_PER_DEGREE * $take->grid->heading->value[$i], self::METRES_PER_DEGREE * $take->grid->tilt->value[$i],
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
            $onto[0] + ($p[0] - $x) * $cos + ($p[1] - $y) * $sin, $onto[1] - ($p[0] - $x) * $sin + ($p[1] - $y) * $cos, $onto[2] + $p[2] - $z,
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
     * Of several figures of one kind the worst speaks.
     *
     * @param  list<Figure>  $figures
     * @return list<Figure>
     */
    private static function worstOfEach(array $figures): array
    {
        $worst = [];
        foreach ($figures as $figure) {
            if (! isset($worst[$figure->id]) || $figure->score < $worst[$figure->id]->score) {
                $worst[$figure->id] = $figure;
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
                $spreads[] = Corrected::rate(Statistics::meanSquare(array_map(static fn (float $v): float => $v - $median, $inner)), $noise, count($inner) * Grid::STEP, Grid::STEADY)->value / max(0.1, $median);
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
            $way += Grid::STEP * sqrt(max(0.0, $take->grid->x->rate[$i] ** 2 + $take->grid->y->rate[$i] ** 2 + $take->grid->z->rate[$i] ** 2 - $noise));
        }

        return $way;
    }
}
