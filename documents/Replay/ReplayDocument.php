<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;
use Documents\Map;
use Documents\Plan\FullCamera;
use Larkspur\Controls\StickMode;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Scoring\Replay;

/** A judged take laid out for its pictures, on the log's own clock. */
final readonly class ReplayDocument implements Document
{
    /**
     * @param  list<float>  $t
     * @param  list<float>  $eastM
     * @param  list<float>  $northM
     * @param  list<float>  $upM
     * @param  list<float>  $headingDeg  empty where the log does not tell
     * @param  list<float>  $tiltDeg
     * @param  list<?float>  $u
     * @param  list<?float>  $v
     * @param  list<float>  $cost
     * @param  ?Map<list<float>>  $fingers
     * @param  Map<Thumb>  $thumbs
     * @param  list<ReplayMark>  $marks  of a figure that was planned
     */
    public function __construct(
        public array $t,
        public array $eastM,
        public array $northM,
        public array $upM,
        public array $headingDeg,
        public array $tiltDeg,
        public array $u,
        public array $v,
        public array $cost,
        public ?Map $fingers,
        public bool $fingersInferred,
        public Map $thumbs,
        public FullCamera $camera,
        public FramePlace $aim,
        public ?ReplaySubject $subject,
        public ?SubjectTrack $subjectTrack,
        public ?ReplayPlanned $planned,
        public array $marks,
    ) {
    }

    public static function of(Replay $replay, StickMode $sticks): self
    {
        $grid = $replay->grid();
        $origin = $replay->origin;
        $place = static fn (?float $value): ?float => $value === null ? null : round($value, 4);
        $lens = $replay->score->intent->lens;
        $subject = $replay->subject();
        $track = $replay->subjectTrack();

        return new self(
            t: Series::rounded($replay->shown($grid->t), 2), eastM: Series::rounded($replay->shown($grid->x->value), 2, 1.0, $origin->east),
            northM: Series::rounded($replay->shown($grid->y->value), 2, 1.0, $origin->north),
            upM: Series::rounded($replay->shown($grid->z->value), 2, 1.0, $origin->up),
            headingDeg: $replay->knowsHeading() ? Series::rounded($replay->shown($grid->heading->value), 2, 1 / Angle::DEGREE) : [],
            tiltDeg: Series::rounded($replay->shown($grid->tilt->value), 2, 1 / Angle::DEGREE),
            u: array_map($place, $replay->u), v: array_map($place, $replay->v),
            cost: Series::rounded($replay->shown($replay->score->usable->cost), 3),
            fingers: $replay->fingers === null
                ? null
                : new Map(array_map(static fn (array $travel): array => Series::rounded($travel, 3), $replay->fingers)),
            fingersInferred: $replay->inferred, thumbs: new Map(Thumb::each($sticks)), camera: FullCamera::of($lens),
            aim: new FramePlace(round($replay->score->intent->u(), 4), round($replay->score->intent->v(), 4)),
            subject: $subject === null ? null : ReplaySubject::of($subject),
            subjectTrack: $track === null ? null : SubjectTrack::of($track),
            planned: $replay->planned === null ? null : ReplayPlanned::of($replay->planned),
            marks: $replay->planned === null ? [] : ReplayMark::each($replay, $replay->planned),
        );
    }
}
