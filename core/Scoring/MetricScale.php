<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Anchors;
use Larkspur\Measure\Statistics;

/** From a measured value to a score of 0 to 100: the anchors of docs/scoring.md, section 5. They are judgement. */
enum MetricScale: string
{
    case Path = 'path';
    case Drift = 'drift';
    case FrameRms = 'frame_rms';
    case FrameMax = 'frame_max';
    case RevealError = 'reveal_error';
    case Evenness = 'evenness';
    case Shake = 'shake';
    case Cross = 'cross';
    case EaseTravel = 'ease_travel';
    case EaseAngle = 'ease_angle';
    case Rest = 'rest';
    case Sync = 'sync';
    case Pace = 'pace';
    case Completion = 'completion';
    case FigureStray = 'figure_stray';
    case FigureMiss = 'figure_miss';
    case HeadingMiss = 'heading_miss';
    case Springs = 'springs';

    public function score(float $value): float
    {
        return $this->anchors()->at($value);
    }

    /** The value that just scores full marks. */
    public function textbook(): float
    {
        $points = $this->points();
        $most = Statistics::greatest(array_column($points, 1));
        foreach ($points as [$value, $score]) {
            if ($score >= $most) {
                return $value;
            }
        }

        return $points[0][0];
    }

    /** The value that scores nothing (for pace: the worst there is). */
    public function unusable(): float
    {
        $points = $this->points();

        return $points[0][1] < $this->score($this->textbook()) ? $points[0][0] : $points[count($points) - 1][0];
    }

    /** @return list<array{float, float}> value and score, in rising order of the value */
    public function points(): array
    {
        return $this->anchors()->points;
    }

    private function anchors(): Anchors
    {
        return new Anchors(match ($this) {
            self::Path => [[0.3, 100.0], [1.0, 92.0], [2.5, 76.0], [5.0, 52.0], [10.0, 22.0], [18.0, 0.0]],
            self::Drift => [[0.8, 100.0], [3.0, 88.0], [7.0, 68.0], [14.0, 40.0], [25.0, 15.0], [40.0, 0.0]],
            self::FrameRms => [[0.4, 100.0], [1.2, 92.0], [2.5, 78.0], [5.0, 52.0], [9.0, 25.0], [15.0, 0.0]],
            self::FrameMax => [[1.5, 100.0], [4.0, 88.0], [8.0, 68.0], [14.0, 45.0], [25.0, 18.0], [35.0, 0.0]],
            self::RevealError => [[1.0, 100.0], [3.0, 88.0], [7.0, 68.0], [15.0, 40.0], [35.0, 0.0]],
            self::Evenness => [[0.01, 100.0], [0.025, 92.0], [0.05, 78.0], [0.1, 54.0], [0.2, 25.0], [0.4, 0.0]],
            self::Shake => [[0.12, 100.0], [0.4, 90.0], [1.0, 72.0], [2.0, 52.0], [4.0, 25.0], [8.0, 0.0]],
            self::Cross => [[0.15, 100.0], [0.5, 90.0], [1.2, 72.0], [2.5, 48.0], [5.0, 20.0], [9.0, 0.0]],
            self::EaseTravel => [[0.3, 0.0], [0.7, 35.0], [1.1, 65.0], [1.6, 88.0], [2.1, 100.0]],
            self::EaseAngle => [[0.15, 0.0], [0.4, 30.0], [0.8, 60.0], [1.3, 85.0], [1.9, 100.0]],
            // From 90 to 10 % an eased rate takes half its ease (derived from the quintic: 0.506).
            self::Rest => [[0.2, 0.0], [0.4, 45.0], [0.6, 75.0], [0.8, 92.0], [1.0, 100.0]],
            self::Sync => [[0.3, 100.0], [0.6, 85.0], [1.2, 55.0], [2.0, 20.0], [3.0, 0.0]],
            self::Pace => [[2.0, 40.0], [3.5, 65.0], [5.0, 85.0], [7.0, 100.0], [40.0, 100.0], [90.0, 80.0]],
            self::Completion => [[0.0, 0.0], [0.5, 30.0], [0.8, 75.0], [0.93, 95.0], [0.97, 100.0]],
            // Of drills: metres off the figure, metres by which it misses a mark, degrees by which a corner is missed, fingers let go.
            self::FigureStray => [[0.1, 100.0], [0.3, 92.0], [0.6, 76.0], [1.2, 52.0], [2.0, 22.0], [3.5, 0.0]],
            self::FigureMiss => [[0.2, 100.0], [0.5, 88.0], [1.0, 68.0], [2.0, 40.0], [4.0, 0.0]],
            self::Springs => [[0.0, 100.0], [1.0, 70.0], [3.0, 35.0], [6.0, 0.0]],
            self::HeadingMiss => [[2.0, 100.0], [5.0, 88.0], [10.0, 68.0], [20.0, 40.0], [40.0, 0.0]],
        });
    }
}
