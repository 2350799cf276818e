<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Move\Axis;
use Larkspur\Move\Framed;
use Larkspur\Move\Role;

/** One of the five petals: ease, flow, hold, line or frame. */
final readonly class Facet
{
    /**
     * @param  ?float  $score  0 to 100; null where the log can't support it
     * @param  string  $why  in words, what made it so
     * @param  list<Figure>  $figures
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?float $score,
        public string $why,
        public array $figures,
    ) {
    }

    /**
     * The five facets of a take. A facet of several parts is their mean under the move's weights.
     *
     * @return list<self>
     */
    public static function all(Measured $measured, Parts $parts): array
    {
        $weights = $measured->take->judging->weights;
        $figure = $measured->figure;
        $mean = static function (string ...$names) use ($parts, $weights): ?float {
            $sum = $total = 0.0;
            foreach (array_intersect($names, array_keys($parts->scores)) as $name) {
                $sum += $weights[$name] * $parts->scores[$name];
                $total += $weights[$name];
            }

            return $total > 0 ? $sum / $total : null;
        };

        return [
            self::make('ease', 'Ease', $mean('ease'), $figure?->figures('ease') ?? self::easeFigures($measured), 'Starts and stops'),
            self::make('flow', 'Flow', $mean('smooth'), $figure?->figures('flow') ?? self::flowFigures($measured), 'Smoothness while moving'),
            self::make('hold', 'Hold', $mean('steady', 'pace'), $figure?->figures('hold') ?? self::holdFigures($measured), 'Evenness of the pace'),
            self::make('line', 'Line', $mean('path', 'clean', 'completion'), $figure?->figures('line') ?? self::lineFigures($measured), 'Shape of the path'),
            self::make('frame', 'Frame', $mean('framing'), $figure?->figures('frame') ?? self::frameFigures($measured), 'What the picture keeps where'),
        ];
    }

    /** @param  list<Figure>  $figures */
    private static function make(string $id, string $name, ?float $score, array $figures, string $about): self
    {
        $weakest = null;
        foreach ($figures as $figure) {
            if ($weakest === null || $figure->score < $weakest->score) {
                $weakest = $figure;
            }
        }
        $why = match (true) {
            $score === null => $about.': not judged, since '.($id === 'frame' ? 'the log does not tell where the lens looked, or the move leaves the frame free.' : 'nothing of it is part of this move.'),
            $weakest === null => $about.': this log can’t tell, so it counts as 80.',
            $weakest->score >= 95 => $about.': textbook throughout.',
            default => sprintf('%s: %s %s%s; textbook is %s.', $about, lcfirst($weakest->label), self::number($weakest->value), self::unit($weakest->unit), self::number($weakest->textbook)),
        };

        return new self($id, $name, $score, $why, $figures);
    }

    /** @return list<Figure> */
    private static function easeFigures(Measured $measured): array
    {
        $figures = [];
        foreach ($measured->eases->all() as [$axis, $end, $fit]) {
            $label = sprintf('%s %s', ucfirst($axis->value), $end === 'start' ? 'eased in over' : 'eased out over');
            $figures[] = Figure::of($axis->value.'_'.$end, $label, $fit->usable(), 's', $axis->rotates() ? Anchored::EaseAngle : Anchored::EaseTravel)
                ->restingOn(match (true) {
                    in_array([$axis, $end], array_map(static fn (array $flick): array => [$flick['axis'], $flick['end']], $measured->eases->flicks), true) => 'fingers',
                    isset($measured->take->speedometers[$axis->value]) => 'speed',
                    default => 'positions',
                });
        }
        if ($measured->eases->sync !== null) {
            $figures[] = Figure::of('sync', 'Axes miss each other by', $measured->eases->sync, 's', Anchored::Sync);
        }

        return $figures;
    }

    /** @return list<Figure> */
    private static function flowFigures(Measured $measured): array
    {
        $shake = $measured->shake;

        return [
            Figure::of('image_shake', 'The picture trembles by', $measured->disturbance->value, '%/s', Anchored::Shake),
            Figure::of('pan_shake', 'Of that, sideways', $shake->pan->value, '%/s', Anchored::Shake),
            Figure::of('tilt_shake', 'Of that, up and down', $shake->tilt->value, '%/s', Anchored::Shake),
            Figure::of('bob', 'Of that, bobbing', $shake->bob->times($measured->take->imageSpeed(1.0))->value, '%/s', Anchored::Shake),
        ];
    }

    /** @return list<Figure> */
    private static function holdFigures(Measured $measured): array
    {
        $figures = [];
        foreach ($measured->evenness as $axis => $evenness) {
            $figures[] = Figure::of('evenness_'.$axis, sprintf('%s varies by', ucfirst($axis)), $evenness->value, '%', Anchored::Evenness, 100)->restingOn(isset($measured->take->speedometers[$axis]) ? 'speed' : 'positions');
        }
        $figures[] = Figure::of('pace', 'A point crosses the frame in', $measured->pace, 's', Anchored::Pace);

        return $figures;
    }

    /** @return list<Figure> */
    private static function lineFigures(Measured $measured): array
    {
        $round = $measured->take->path instanceof CirclePath;
        $figures = [
            Figure::of('path', $round ? 'Distance from the subject strays by' : 'The path strays sideways by', $measured->path->value, '% of distance', Anchored::Path),
            Figure::of('drift', $round ? 'Radius drifts by' : 'It drifts off its line by', $measured->drift, '%', Anchored::Drift),
        ];
        if ($measured->altitude !== null) {
            $figures[] = Figure::of('altitude', 'Height strays by', $measured->altitude->value, '% of distance', Anchored::Path);
        }
        $figures[] = Figure::of('cross', 'Resting axes move the picture by', $measured->cross->total->value, '%/s', Anchored::Cross);
        $figures[] = Figure::of('completion', $round ? 'Of the planned arc you flew' : 'Of the planned way you flew', min(1.5, $measured->completion), '%', Anchored::Completion, 100);

        return $figures;
    }

    /** @return list<Figure> */
    private static function frameFigures(Measured $measured): array
    {
        $framing = $measured->framing;
        $kept = $measured->take->judging->framed === Framed::Subject ? 'Subject strays from its mark by' : 'The heading strays by';

        return match ($measured->take->judging->framed) {
            Framed::Free => [],
            Framed::Sweep => $framing->endError === null ? [] : [Figure::of('sweep_error', 'The turn misses its end by', $framing->endError, '% of frame', Anchored::RevealError)],
            Framed::Reveal => [
                Figure::of('end_error', 'The last picture misses by', $framing->endError ?? 0.0, '% of frame', Anchored::RevealError),
                Figure::of('start_error', 'The first picture misses by', $framing->startError ?? 0.0, '% of frame', Anchored::RevealError),
                Figure::of('frame_max', $measured->take->judging->role(Axis::Turn) === Role::Still ? 'At most the heading strays by' : 'The turn misses its end by', $framing->most, '% of frame', Anchored::FrameMax),
            ],
            Framed::Subject, Framed::Heading => [
                Figure::of('frame_rms', $kept, $framing->rms->value, '% of frame', Anchored::FrameRms),
                Figure::of('frame_max', 'At most it strays by', $framing->most, '% of frame', Anchored::FrameMax),
            ],
        };
    }

    private static function number(float $value): string
    {
        return number_format($value, abs($value) >= 10 ? 0 : (abs($value) >= 1 ? 1 : 2), '.', '');
    }

    private static function unit(string $unit): string
    {
        return $unit === '' ? '' : ' '.$unit;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'score' => $this->score === null ? null : round($this->score, 1),
            'why' => $this->why,
            'figures' => array_map(static fn (Figure $figure): array => $figure->toArray(), $this->figures),
        ];
    }
}
