<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Camera\View;
use Larkspur\Flight;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Move\Catalogue;
use Larkspur\Move\MovePlan;
use Larkspur\Site\Solid;

/** A shot worked out, ready to be drawn, printed, rehearsed or flown. */
final readonly class Plan
{
    /** Small frames drawn along the move. */
    public const FRAMES = 6;

    /** Corners of outlines are whole numbers of such parts of the frame: hundreds of them are written and read at each drag. */
    public const GRAIN = 10000;

    /** What is smaller than this in all, as a share of half the frame’s width, is not drawn in them. */
    private const SPECK = 0.008;

    /**
     * @param  list<Press>  $presses  one a finger, in the order of the sheet
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public Shot $shot,
        public MovePlan $move,
        public ThumbSheet $sheet,
        public array $presses,
        public array $findings,
    ) {
    }

    public function feasible(): bool
    {
        return Checks::feasible($this->move, $this->shot, $this->findings);
    }

    /** The camera at a sample of a flight of this shot. */
    public function view(int $index, ?Flight $flight = null): View
    {
        $flight ??= $this->move->flight;

        return new View($flight->position($index), $flight->heading[$index], $flight->tilt[$index], $this->shot->intent->lens);
    }

    /**
     * Six pictures along the move, from first motion to last: horizon, the subject's mark, and every solid as the
     * lens sees it. Places are fractions of the frame from its centre, u right and v up; of outlines ten-thousandths of it.
     *
     * @return list<array{t: float, horizon: float, mark: ?array{float, float}, solids: list<array{id: string, subject: bool, outline: list<array{int, int}>}>}>
     */
    public function frames(): array
    {
        $frames = [];
        for ($k = 0; $k < self::FRAMES; $k++) {
            $frames[] = $this->frameOf($this->move->flight, $this->move->onset + ($this->move->stop - $this->move->onset) * $k / (self::FRAMES - 1));
        }

        return $frames;
    }

    /**
     * One picture of a flight of this shot, planned or flown.
     *
     * @return array{t: float, horizon: float, mark: ?array{float, float}, solids: list<array{id: string, subject: bool, outline: list<array{int, int}>}>}
     */
    public function frameOf(Flight $flight, float $time): array
    {
        $index = $flight->indexAt($time);
        $view = $this->view($index, $flight);
        $mark = $this->move->subject === null ? null : $view->project($this->move->subject->at($time));
        $solids = [];
        foreach ($this->shot->site->solids as $solid) {
            if (! $view->maySee($solid->heart, $solid->radius, self::SPECK)) {
                continue;
            }
            $depth = $view->inLensAxes($solid->body->middle())[2];
            foreach ($solid->silhouettes($view) as $outline) {
                foreach ($outline as $k => [$u, $v]) {
                    $outline[$k] = [(int) round(self::GRAIN * $u), (int) round(self::GRAIN * $v)];
                }
                $solids[] = [$depth, ['id' => $solid->id, 'subject' => $solid->isSubject, 'outline' => $outline]];
            }
        }
        // Painted from far to near.
        usort($solids, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return [
            't' => round($flight->t[$index], 2),
            'horizon' => round(max(-20.0, min(20.0, $view->horizon())), 5),
            'mark' => $mark === null ? null : [round($mark->u, 5), round($mark->v, 5)],
            'solids' => array_column($solids, 1),
        ];
    }

    /** @return list<Cue> */
    public function cues(): array
    {
        return Cue::all($this);
    }

    /**
     * The contract of "bin/larkspur plan --json" and of the API (docs/formats.md, "Plan").
     *
     * @param  int  $stride  samples of 0.02 s between those given
     * @return array<string, mixed>
     */
    public function toArray(int $stride = 5): array
    {
        $flight = $this->move->flight->thinned($stride);
        $keep = Series::stride($this->move->flight->count(), $stride);
        $subject = $this->move->subject?->at($this->move->onset);

        return [
            'intent' => $this->move->intent->toArray(),
            'assumed' => $this->move->assumed,
            'summary' => $this->summary(),
            'move' => ['id' => $this->move->intent->move, 'name' => Catalogue::move($this->move->intent->move)->about()->name],
            'feasible' => $this->feasible(),
            'phases' => [
                'onset_s' => round($this->move->onset, 2), 'hold_from_s' => round($this->move->holdFrom, 2),
                'hold_to_s' => round($this->move->holdTo, 2), 'stop_s' => round($this->move->stop, 2),
                'duration_s' => round($this->move->flight->duration(), 2), 'lead_s' => round($this->move->lead, 2),
            ],
            'camera' => [
                'hfov_deg' => round($this->shot->intent->lens->horizontal / Angle::DEGREE, 3),
                'vfov_deg' => round($this->shot->intent->lens->vertical() / Angle::DEGREE, 3),
                'aspect' => round($this->shot->intent->lens->aspect, 5),
            ],
            'subject' => $subject === null ? null : ['east_m' => round($subject->east, 3), 'north_m' => round($subject->north, 3), 'up_m' => round($subject->up, 3), 'ground_m' => round($this->move->ground, 3)],
            'subject_way' => $this->move->subject === null || ! $this->move->subject->moves() ? null : $this->subjectWay($flight->t),
            'ground_m' => $this->groundLine(),
            'run_in' => $this->runIn(),
            'samples' => [
                't' => Series::rounded($flight->t, 3), 'east_m' => Series::rounded($flight->east, 3), 'north_m' => Series::rounded($flight->north, 3), 'up_m' => Series::rounded($flight->up, 3),
                'heading_deg' => Series::rounded($flight->heading, 3, 1 / Angle::DEGREE), 'tilt_deg' => Series::rounded($flight->tilt, 3, 1 / Angle::DEGREE),
            ],
            'fingers' => array_map(static fn (array $travel): array => Series::rounded(Series::at($travel, $keep), 4), $this->sheet->travel),
            'presses' => array_map(fn (Press $press): array => [
                'finger' => $press->finger->value,
                'thumb' => $this->shot->sticks->thumb($press->finger),
                'ends' => $press->finger->ends(),
                'hold' => round($press->hold, 4),
                'peak' => round($press->peak, 4),
                'kind' => $press->rests() ? 'rests' : ($press->isTouch() ? 'touch' : 'plays'),
                'onset_s' => $press->onset === null ? null : round($press->onset, 2),
                'off_s' => $press->off === null ? null : round($press->off, 2),
            ], $this->presses),
            'comfortable' => (object) ComfortRanges::of($this),
            'cues' => array_map(static fn (Cue $cue): array => $cue->toArray(), $this->cues()),
            'frames' => $this->frames(),
            'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $this->findings),
        ];
    }

    /**
     * How the ground lies along the line from the start to the subject (over it, along the way that is flown), for the side sheet: places
     * and heights every twentieth of it; null where nobody said how it lies.
     *
     * @return ?list<array{float, float, float}> east, north, height, m
     */
    private function groundLine(): ?array
    {
        $ground = $this->shot->site->ground;
        if ($ground === null) {
            return null;
        }
        $flight = $this->move->flight;
        $from = $flight->position(0);
        $to = $this->move->subject?->first() ?? $flight->position($flight->count() - 1);
        if ($to->minus($from)->ground() < 1) {
            $to = $flight->position($flight->count() - 1);
        }
        $line = [];
        for ($k = -14; $k <= 34; $k++) {
            $east = $from->east + ($to->east - $from->east) * $k / 20;
            $north = $from->north + ($to->north - $from->north) * $k / 20;
            $line[] = [round($east, 2), round($north, 2), round($ground->at($east, $north), 2)];
        }

        return $line;
    }

    /**
     * Where a subject that moves is at the times of the samples.
     *
     * @param  list<float>  $times
     * @return array{east_m: list<float>, north_m: list<float>, up_m: list<float>}
     */
    private function subjectWay(array $times): array
    {
        $subject = $this->move->subject;
        $places = $subject === null ? [] : array_map($subject->at(...), $times);

        return [
            'east_m' => array_map(static fn (Position $p): float => round($p->east, 3), $places),
            'north_m' => array_map(static fn (Position $p): float => round($p->north, 3), $places),
            'up_m' => array_map(static fn (Position $p): float => round($p->up, 3), $places),
        ];
    }

    /**
     * What lies between first motion and the first wanted frame: seconds, and metres of way.
     *
     * @return array{seconds: float, metres: float}
     */
    private function runIn(): array
    {
        $flight = $this->move->flight;
        $from = $flight->indexAt($this->move->onset);
        $to = $flight->indexAt($this->move->holdFrom);
        $way = 0.0;
        for ($i = $from + 1; $i <= $to; $i++) {
            $way += $flight->position($i)->minus($flight->position($i - 1))->length();
        }

        return ['seconds' => round($this->move->holdFrom - $this->move->onset, 2), 'metres' => round($way, 2)];
    }

    /** The plan in one sentence. */
    public function summary(): string
    {
        $seconds = $this->move->flight->duration();

        return sprintf('%d:%04.1f of recording, %.1f s of it held.', intdiv((int) $seconds, 60), fmod($seconds, 60), max(0.0, $this->move->holdTo - $this->move->holdFrom));
    }
}
