<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Path\CirclePath;

/** The parts of a move that is eased into, held and eased out of (docs/scoring.md, section 5). */
final readonly class HeldMove implements JudgedParts
{
    /** Share of Ease that the finish has. */
    private const FINISH = 0.15;

    public function __construct(private Measurements $take)
    {
    }

    public function scores(): PartScores
    {
        [$ease, $easeError, $easeWeight] = self::ease($this->take->eases);
        $path = [MetricScale::Path->score($this->take->path->value), MetricScale::Drift->score($this->take->drift)];
        if ($this->take->altitude !== null) {
            $path[] = MetricScale::Path->score($this->take->altitude->value);
        }
        $evenness = array_values($this->take->evenness);
        $even = array_map(static fn (NoiseCorrected $c): float => MetricScale::Evenness->score($c->value), $evenness);
        $evenError = array_map(static fn (NoiseCorrected $c): float => self::error(MetricScale::Evenness, $c), $evenness);
        $moves = $this->take->take->judging->primary() !== null;

        return new PartScores(
            array_filter([
                'path' => self::weakestAndMean($path),
                'framing' => self::framing($this->take->take->judging->framed, $this->take->framing),
                'steady' => $moves && $even !== [] ? self::weakestAndMean($even) : null,
                'ease' => $moves ? self::withFinish($ease, Finish::of($this->take)->score) : null,
                'smooth' => MetricScale::Shake->score($this->take->disturbance->value),
                'clean' => MetricScale::Cross->score($this->take->cross->total->value),
                'pace' => $this->take->pace === null ? null : MetricScale::Pace->score($this->take->pace),
                'completion' => MetricScale::Completion->score($this->take->completion),
            ], static fn (?float $score): bool => $score !== null),
            [
                'path' => self::error(MetricScale::Path, $this->take->path),
                'framing' => self::error(MetricScale::FrameRms, $this->take->framing->rms),
                'steady' => $evenError === [] ? 0.0 : max($evenError),
                'ease' => $easeError,
                'smooth' => self::error(MetricScale::Shake, $this->take->disturbance),
                'clean' => self::error(MetricScale::Cross, $this->take->cross->total),
            ],
            $easeWeight,
        );
    }

    /**
     * Score of the eases, its standard deviation, and how measurable they were.
     *
     * @return array{?float, float, float} null where no ease could be measured
     */
    private static function ease(Eases $eases): array
    {
        $fits = $eases->all();
        if ($fits === []) {
            return [null, 0.0, 0.0];
        }
        $weights = array_map(static fn (array $fit): float => $fit[2]->weight(), $fits);
        $combine = static function (bool $credited) use ($fits, $weights, $eases): float {
            $sum = 0.0;
            $worst = $worstRank = INF;
            foreach ($fits as $i => [$axis, , $fit]) {
                $score = Eases::score($axis, $credited ? $fit->usable() : $fit->duration);
                $sum += $weights[$i] * $score;
                // An ease that could hardly be measured must look worse than it is before it counts as the worst.
                $rank = $score + 60 * (1 - $weights[$i]);
                if ($rank < $worstRank) {
                    [$worst, $worstRank] = [$score, $rank];
                }
            }
            $mean = $sum / array_sum($weights);
            $ease = 0.6 * $mean + 0.4 * min($mean, $worst);

            return $eases->sync === null ? $ease : 0.8 * $ease + 0.2 * MetricScale::Sync->score($eases->sync->seconds);
        };
        $score = $combine(true);
        // The credited time is one spread above the estimate, so the estimate itself is one spread below.
        $below = $combine(false);

        return [$score, abs($score - $below) / 2, Statistics::mean($weights)];
    }

    private static function withFinish(?float $ease, ?float $finish): ?float
    {
        // A finish that is calm does not mend a start that was not.
        return $ease === null || $finish === null ? $ease : min($ease, (1 - self::FINISH) * $ease + self::FINISH * $finish);
    }

    private static function framing(Framed $framed, Framing $framing): ?float
    {
        $rms = MetricScale::FrameRms->score($framing->rms->value);
        $most = MetricScale::FrameMax->score($framing->most);
        $reveal = static fn (?float $error): float => MetricScale::RevealError->score($error ?? 0.0);

        return match ($framed) {
            Framed::Subject => 0.6 * $rms + 0.4 * $most,
            Framed::Heading => 0.5 * $rms + 0.5 * $most,
            Framed::Sweep => $framing->endError === null ? null : $reveal($framing->endError),
            Framed::Free => null,
            Framed::Reveal => 0.5 * $reveal($framing->endError) + 0.2 * $reveal($framing->startError) + 0.3 * $most,
        };
    }

    /**
     * Half weakest, half mean.
     *
     * @param  non-empty-list<float>  $scores
     */
    private static function weakestAndMean(array $scores): float
    {
        return 0.5 * min($scores) + 0.5 * Statistics::mean($scores);
    }

    private static function error(MetricScale $scale, NoiseCorrected $value): float
    {
        return abs($scale->score(max(0.0, $value->value - $value->error)) - $scale->score($value->value + $value->error)) / 2;
    }

    public function metrics(Petal $petal): array
    {
        return match ($petal) {
            Petal::Ease => $this->ofEase(),
            Petal::Flow => $this->ofFlow(),
            Petal::Hold => $this->ofHold(),
            Petal::Line => $this->ofLine(),
            Petal::Frame => $this->ofFrame(),
        };
    }

    /** @return list<Metric> */
    private function ofEase(): array
    {
        $eases = $this->take->eases;
        $flicked = array_map(static fn (array $flick): array => [$flick['axis'], $flick['end']], $eases->flicks);
        $metrics = [];
        foreach ($eases->all() as [$axis, $end, $fit]) {
            $label = Fact::of('metric.ease-'.$end, finger: $axis->value);
            $scale = $axis->rotates() ? MetricScale::EaseAngle : MetricScale::EaseTravel;
            $metrics[] = Metric::of($axis->value.'_'.$end, $label, $fit->usable(), Quantity::seconds(...), $scale)->restingOn(match (true) {
                in_array([$axis, $end], $flicked, true) => Metric::FINGERS,
                isset($this->take->take->speedometers[$axis->value]) => Metric::SPEED,
                default => Metric::POSITIONS,
            });
        }

        return $eases->sync === null ? $metrics : [
            ...$metrics, Metric::of('sync', Fact::of('metric.sync'), $eases->sync->seconds, Quantity::seconds(...), MetricScale::Sync),
        ];
    }

    /** @return list<Metric> */
    private function ofFlow(): array
    {
        $shake = $this->take->shake;
        $metric = static fn (string $id, float $value): Metric => Metric::of(
            $id, Fact::of('metric.'.$id), $value, Quantity::percentPerSecond(...), MetricScale::Shake,
        );

        return [
            $metric('image_shake', $this->take->disturbance->value), $metric('pan_shake', $shake->pan->value),
            $metric('tilt_shake', $shake->tilt->value),
            $metric('bob', $shake->bob->times($this->take->take->imageSpeed(1.0))->value),
        ];
    }

    /** @return list<Metric> */
    private function ofHold(): array
    {
        $metrics = [];
        foreach ($this->take->evenness as $axis => $evenness) {
            $source = isset($this->take->take->speedometers[$axis]) ? Metric::SPEED : Metric::POSITIONS;
            $label = Fact::of('metric.evenness', finger: $axis);
            $metrics[] = Metric::of('evenness_'.$axis, $label, $evenness->value, Quantity::share(...), MetricScale::Evenness)
                ->restingOn($source);
        }

        return $this->take->pace === null
            ? $metrics
            : [...$metrics, Metric::of('pace', Fact::of('metric.pace'), $this->take->pace, Quantity::seconds(...), MetricScale::Pace)];
    }

    /** @return list<Metric> */
    private function ofLine(): array
    {
        $kind = $this->take->take->path instanceof CirclePath ? 'round' : 'line';
        $percent = Quantity::percent(...);

        return array_values(array_filter([
            Metric::of('path', Fact::of("metric.path-$kind"), $this->take->path->value, $percent, MetricScale::Path, 'distance'),
            Metric::of('drift', Fact::of("metric.drift-$kind"), $this->take->drift, $percent, MetricScale::Drift),
            $this->take->altitude === null ? null : Metric::of(
                'altitude', Fact::of('metric.altitude'), $this->take->altitude->value, $percent, MetricScale::Path, 'distance',
            ),
            Metric::of(
                'cross', Fact::of('metric.cross'), $this->take->cross->total->value, Quantity::percentPerSecond(...), MetricScale::Cross,
            ),
            Metric::of(
                'completion', Fact::of("metric.completion-$kind"), min(1.5, $this->take->completion), Quantity::share(...),
                MetricScale::Completion,
            ),
        ]));
    }

    /** @return list<Metric> */
    private function ofFrame(): array
    {
        $framing = $this->take->framing;
        $judging = $this->take->take->judging;
        $metric = static fn (string $id, string $label, float $value, MetricScale $scale): Metric => Metric::of(
            $id, Fact::of("metric.$label"), $value, Quantity::percent(...), $scale, 'frame',
        );
        $reveal = MetricScale::RevealError;

        return match ($judging->framed) {
            Framed::Free => [],
            Framed::Sweep => $framing->endError === null ? [] : [$metric('sweep_error', 'turn-misses-end', $framing->endError, $reveal)],
            Framed::Reveal => [
                $metric('end_error', 'last-picture', $framing->endError ?? 0.0, $reveal),
                $metric('start_error', 'first-picture', $framing->startError ?? 0.0, $reveal),
                $metric(
                    'frame_max', $judging->role(Axis::Turn) === Role::Still ? 'heading-at-most' : 'turn-misses-end', $framing->most,
                    MetricScale::FrameMax,
                ),
            ],
            Framed::Subject, Framed::Heading => [
                $metric(
                    'frame_rms', $judging->framed === Framed::Subject ? 'subject-strays' : 'heading-strays', $framing->rms->value,
                    MetricScale::FrameRms,
                ),
                $metric('frame_max', 'at-most', $framing->most, MetricScale::FrameMax),
            ],
        };
    }
}
