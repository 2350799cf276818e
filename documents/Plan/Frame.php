<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Choreography\Plan as PlannedShot;
use Larkspur\Flight;

/** One small picture along a move. Places are fractions of the frame from its centre, u right and v up. */
final readonly class Frame implements Document
{
    /**
     * @param  ?array{float, float}  $mark  where the subject stands
     * @param  list<FrameSolid>  $solids  painted from far to near
     */
    public function __construct(
        public float $t,
        public float $horizon,
        public ?array $mark,
        public array $solids,
    ) {
    }

    /** Corners of outlines are whole numbers of such parts of the frame: hundreds of them are written and read at each drag. */
    public const GRAIN = 10000;

    /** What is smaller than this in all, as a share of half the frame’s width, is not drawn. */
    private const SPECK = 0.008;

    /** What is smaller than this, likewise, is drawn as one outline, whatever it is made of. */
    private const NEAR = 0.2;

    private const COUNT = 6;

    /** The picture of a flight of a shot at a time, s. */
    public static function of(PlannedShot $plan, Flight $flight, float $time): self
    {
        $index = $flight->indexAt($time);
        $view = $plan->view($index, $flight);
        $mark = $plan->move->subject === null ? null : $view->project($plan->move->subject->at($time));
        $solids = [];
        foreach ($plan->shot->site->solids as $solid) {
            if (! $view->maySee($solid->heart, $solid->radius, self::SPECK)) {
                continue;
            }
            $depth = $view->inLensAxes($solid->body->middle())[2];
            foreach ($solid->silhouettes($view, ! $view->maySee($solid->heart, $solid->radius, self::NEAR)) as $outline) {
                foreach ($outline as $k => [$u, $v]) {
                    $outline[$k] = [(int) round(self::GRAIN * $u), (int) round(self::GRAIN * $v)];
                }
                $solids[] = [$depth, new FrameSolid($solid->id, $solid->isSubject, $outline)];
            }
        }
        usort($solids, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return new self(
            round($flight->t[$index], 2), round(max(-20.0, min(20.0, $view->horizon())), 5),
            $mark === null ? null : [round($mark->u, 5), round($mark->v, 5)], array_column($solids, 1),
        );
    }

    /**
     * Pictures along a flight of a shot, from first motion to last.
     *
     * @return list<self>
     */
    public static function along(PlannedShot $plan, Flight $flight): array
    {
        $frames = [];
        for ($k = 0; $k < self::COUNT; $k++) {
            $frames[] = self::of($plan, $flight, $plan->move->onset + ($plan->move->stop - $plan->move->onset) * $k / (self::COUNT - 1));
        }

        return $frames;
    }
}
