<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Judging\Role;

/** One instruction of a thumb sheet: when which finger does what. */
final readonly class Cue
{
    /** A touch that lasts no longer, s, stops a leg and is none of its own. */
    private const STOP = 1.0;

    /** What takes longer, s, swells. */
    private const SWELL = 3.0;

    private function __construct(public float $t, public string $finger, public Fact $text)
    {
    }

    /** Which thumb it is for, in the reader's stick mode; null for all of them. */
    public function thumb(): ?Fact
    {
        return $this->finger === '' ? null : Fact::of('cue.thumb', finger: $this->finger);
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
        $judging = Catalogue::move($phases->intent->move)->judging($phases->intent);
        // What turns about the middle of the picture has its subject there before anything moves.
        $centred = $judging->straightDown && $judging->role(Axis::Turn) !== Role::Still && $phases->subject !== null;
        $cues = [new self(0.0, '', Fact::all(
            $centred ? Fact::of('cue.centre-first') : null,
            Fact::of('cue.record-rest-press-must', onset: Quantity::seconds($phases->onset)),
        ))];
        foreach ($plan->parts as $press) {
            $cues = [...$cues, ...self::ofFinger($plan, $press)];
        }
        $cues[] = new self($phases->holdFrom, '', self::hold($plan));
        if (array_filter($plan->parts, static fn (FingerPart $press): bool => ! $press->rests()) !== []) {
            $cues[] = new self($phases->holdTo, '', self::off($plan));
        }
        $cues[] = new self($phases->stop, '', Fact::of('cue.rest-count-two-before'));
        usort($cues, static fn (self $a, self $b): int => [$a->t, $a->finger !== ''] <=> [$b->t, $b->finger !== '']);

        return $cues;
    }

    /**
     * What one finger does: how it leaves its rest, and how it goes on where it is not held still.
     *
     * @return list<self>
     */
    private static function ofFinger(Plan $plan, FingerPart $press): array
    {
        if ($press->onset === null) {
            return [];
        }
        $finger = $press->finger;
        $course = $press->course;
        $cue = static fn (float $t, ?Fact ...$text): self => new self($t, $finger->value, Fact::all(...$text));
        $share = static fn (float $travel): Quantity => Quantity::share(abs($travel));
        if ($press->isTouch()) {
            return [$cue($press->onset, Fact::of(
                $finger->rotates() ? 'cue.touch-holds-mark' : 'cue.touch-holds-path', finger: $finger->value,
                way: self::way($finger, $press->hold), hold: $share($press->hold),
            ))];
        }
        // What it is pressed to first: where it stands when the hold begins, or, where it comes later or goes on, what it swells to.
        $late = abs($course->from) <= FingerPart::RESTS;
        // One that dies away may have been at its most while it was still being pressed.
        $peaks = $course->kind === Course::FADES && abs($press->peak) > abs($course->from) + FingerPart::RESTS;
        $to = match (true) {
            $course->isHeld() => $course->most,
            $course->kind === Course::SWELLS => $course->turn,
            $peaks => $press->peak,
            $late => $course->kind === Course::CROSSES ? $press->peak : $course->most,
            default => $course->from,
        };
        $over = max(0.1, ($press->settledAt($plan->sheet, $to) ?? $plan->move->holdFrom) - $press->onset);
        $cues = [$cue(
            $press->onset, Fact::of(
                $over > self::SWELL ? 'cue.swells-to' : 'cue.to-over', order: self::order($finger, self::way($finger, $to)),
                hold: $share($to), over: Quantity::seconds($over),
            ), self::sight($plan, $press),
        )];
        $fades = static fn (float $from, float $to): Fact => abs($to) <= FingerPart::RESTS
            ? Fact::of('cue.fades-out', finger: $finger->value, from: $share($from))
            : Fact::of('cue.fades-to', finger: $finger->value, from: $share($from), to: $share($to));
        $holdFrom = $plan->move->holdFrom;

        return [...$cues, ...match ($course->kind) {
            Course::GROWS => $late ? [] : [$cue($holdFrom, Fact::of(
                'cue.grows-to', finger: $finger->value, from: $share($course->from), to: $share($course->to),
            ))],
            Course::FADES => [$cue($peaks ? $press->onset + $over : $holdFrom, $fades($to, $course->to))],
            Course::SWELLS => [$cue($course->at, $fades($course->turn, $course->to))],
            Course::DIPS => [$cue($holdFrom, Fact::of(
                'cue.dips-to', finger: $finger->value, least: $share($course->turn), after: Quantity::seconds($course->at - $holdFrom),
                to: $share($course->to),
            ))],
            Course::CROSSES => [$cue($course->at, Fact::of(
                'cue.crosses-to', finger: $finger->value, way: self::way($finger, $course->turn), to: $share($course->turn),
            ))],
            default => [],
        }];
    }

    /** What the hold asks: that every finger stays where it is, or some of them. */
    private static function hold(Plan $plan): Fact
    {
        $seconds = Quantity::seconds(max(0.0, $plan->move->holdTo - $plan->move->holdFrom));
        $pressed = array_filter($plan->parts, static fn (FingerPart $press): bool => ! $press->rests());
        $moving = array_filter($pressed, static fn (FingerPart $press): bool => ! $press->course->isHeld());
        $still = array_filter($pressed, static fn (FingerPart $press): bool => $press->course->isHeld()
            && abs($press->course->most) > FingerPart::RESTS);

        return match (true) {
            $pressed === [] => Fact::of('cue.hold-hands-off', hold: $seconds),
            $moving === [] => Fact::of('cue.hold-nothing-moves', hold: $seconds),
            $still === [] => Fact::of('cue.hold-goes-on', hold: $seconds, moving: self::names($moving)),
            default => Fact::of('cue.hold-some-move', hold: $seconds, still: self::names($still), moving: self::names($moving)),
        };
    }

    /** How the hold ends: which fingers come back to rest. */
    private static function off(Plan $plan): Fact
    {
        $over = Quantity::seconds(max(0.1, $plan->move->stop - $plan->move->holdTo));
        $pressed = array_values(array_filter(
            $plan->parts, static fn (FingerPart $press): bool => ! $press->rests() && abs($press->course->to) > FingerPart::RESTS,
        ));

        return match (count($pressed)) {
            0 => Fact::of('cue.all-at-rest'),
            1 => Fact::of('cue.bring-one-back', finger: $pressed[0]->finger->value, over: $over),
            default => Fact::of('cue.bring-back-together', fingers: self::names($pressed), over: $over),
        };
    }

    /**
     * “Climb, run and tilt”.
     *
     * @param  array<FingerPart>  $parts
     */
    private static function names(array $parts): Fact
    {
        $names = array_values(array_map(
            static fn (FingerPart $press): Fact => Fact::of('cue.finger', finger: $press->finger->value), $parts,
        ));
        $last = array_pop($names);

        return $last === null || $names === [] ? $last ?? Fact::of('axis.all') : Fact::of('cue.fingers', most: $names, last: $last);
    }

    private static function way(Finger $finger, float $travel): Fact
    {
        return $finger->ends()[$travel >= 0 ? 1 : 0];
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
                    $seconds = ($k - $from) * $plan->sheet->step;
                    // A touch the other way that stops what went before is part of letting it go.
                    if (abs($peak) >= FingerPart::TOUCH || $seconds > self::STOP) {
                        $cues[] = new self(
                            $plan->sheet->t[$from], $name,
                            Fact::of(
                                'cue.back-rest-after', order: self::order($finger, self::way($finger, $peak)),
                                hold: Quantity::share(abs($peak)), after: Quantity::seconds($seconds),
                            ),
                        );
                    }
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
