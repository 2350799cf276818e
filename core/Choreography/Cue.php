<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;

/** One instruction of a thumb sheet: when which finger does what. */
final readonly class Cue
{
    private function __construct(public float $t, public string $finger, public Fact $text)
    {
    }

    /**
     * The cues of a plan in order of time: settle, who leads, who follows, hold, and who comes off.
     *
     * @return list<self>
     */
    public static function all(Plan $plan): array
    {
        $phases = $plan->move;
        if ($phases->marks !== []) {
            return self::ofLegs($plan);
        }
        $cues = [new self(0.0, '', Fact::of('cue.record-rest-press-must', onset: Quantity::seconds($phases->onset)))];
        foreach ($plan->parts as $press) {
            if ($press->onset === null) {
                continue;
            }
            $way = $press->finger->ends()[$press->hold >= 0 ? 1 : 0];
            $cues[] = $press->isTouch()
                ? new self(
                    $press->onset, $press->finger->value,
                    Fact::of(
                        $press->finger->rotates() ? 'cue.touch-holds-mark' : 'cue.touch-holds-path', finger: $press->finger->value,
                        way: $way, hold: Quantity::share(abs($press->hold)),
                    ),
                )
                : new self($press->onset, $press->finger->value, Fact::all(
                    Fact::of(
                        'cue.to-over', order: self::order($press->finger, $way), hold: Quantity::share(abs($press->hold)),
                        over: Quantity::seconds(($press->settled ?? $press->onset) - $press->onset),
                    ),
                    self::sight($plan, $press),
                ));
        }
        $cues[] = new self(
            $phases->holdFrom, '',
            Fact::of('cue.hold-nothing-moves', hold: Quantity::seconds(max(0.0, $phases->holdTo - $phases->holdFrom))),
        );
        $cues[] = new self(
            $phases->holdTo, '', Fact::of('cue.bring-every-finger-back', over: Quantity::seconds($phases->stop - $phases->holdTo)),
        );
        $cues[] = new self($phases->stop, '', Fact::of('cue.rest-count-two-before'));
        usort($cues, static fn (self $a, self $b): int => $a->t <=> $b->t);

        return $cues;
    }

    /**
     * What is seen when the wheel sets out: where the subject stands in the picture by then.
     */
    private static function sight(Plan $plan, FingerPart $press): ?Fact
    {
        if (
            $press->finger !== Finger::Tilt
            || $press->onset === null
            || $plan->move->subject === null
            || $press->onset < $plan->move->onset + 0.3
        ) {
            return null;
        }
        $index = $plan->move->flight->indexAt($press->onset);
        $lowest = null;
        foreach ($plan->shot->site->solids as $solid) {
            $outlines = $solid->isSubject ? $solid->silhouettes($plan->view($index)) : [];
            if ($outlines !== []) {
                $lowest = [Statistics::least(array_column(array_merge(...$outlines), 1)), $solid->name];
            }
        }
        $mark = $plan->view($index)->project($plan->move->subject->at($press->onset));
        if ($lowest !== null && abs($lowest[0]) < 0.5) {
            return Fact::of('cue.then-foot-stands-above', name: $lowest[1], above: Quantity::share($lowest[0] + 0.5));
        }

        return $mark === null || abs($mark->u) > 0.5 || abs($mark->v) > 0.5
            ? Fact::of('cue.subject-not-picture-yet')
            : Fact::of('cue.then-subject-stands-above', above: Quantity::share($mark->v + 0.5));
    }

    /**
     * The cues of a figure: one for each press of each finger, in order of time.
     *
     * @return list<self>
     */
    private static function ofLegs(Plan $plan): array
    {
        $cues = [new self(0.0, '', Fact::of('cue.rest-before-first-leg', onset: Quantity::seconds($plan->move->onset)))];
        foreach ($plan->sheet->travel as $name => $travel) {
            $finger = Finger::from($name);
            $from = null;
            $peak = 0.0;
            foreach ([...$travel, 0.0] as $k => $x) {
                if (abs($x) > FingerPart::RESTS) {
                    $from ??= $k;
                    $peak = abs($x) > abs($peak) ? $x : $peak;
                } elseif ($from !== null) {
                    $cues[] = new self(
                        $plan->sheet->t[$from], $name,
                        Fact::of(
                            'cue.back-rest-after', order: self::order($finger, $finger->ends()[$peak >= 0 ? 1 : 0]),
                            hold: Quantity::share(abs($peak)), after: Quantity::seconds(($k - $from) * $plan->sheet->step),
                        ),
                    );
                    [$from, $peak] = [null, 0.0];
                }
            }
        }
        $cues[] = new self($plan->move->stop, '', Fact::of('cue.rest-figure-done'));
        usort($cues, static fn (self $a, self $b): int => $a->t <=> $b->t);

        return $cues;
    }

    /** “Run ahead”, “Up”. */
    private static function order(Finger $finger, Fact $way): Fact
    {
        return $finger === Finger::Climb
            ? Fact::of('cue.order-climb', way: $way)
            : Fact::of('cue.order', finger: $finger->value, way: $way);
    }
}
