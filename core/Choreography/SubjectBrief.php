<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;

/**
 * What a subject that moves has to be told before a shot of it: which way, how fast, where it stops, when it sets off, how near the craft
 * comes, which calls are used. Read off the planned way itself, so that it is what the shot was worked out with.
 */
final class SubjectBrief
{
    /** Slower than this it stands, m/s. */
    private const STANDS = 0.1;

    /** Between looks at the way, s. */
    private const STEP = 0.2;

    /** @return list<Fact> empty where nothing moves */
    public static function of(Plan $plan): array
    {
        $move = $plan->move;
        $subject = $move->subject;
        if ($subject === null || ! $subject->moves()) {
            return [];
        }
        [$from, $to] = $subject->span();
        [$length, $fastest, $nearest, $starts, $course] = [0.0, 0.0, INF, null, null];
        $stops = [];
        $stood = null;
        for ($t = max(0.0, $from); $t < min($to, $move->flight->duration()); $t += self::STEP) {
            $step = $subject->at($t + self::STEP)->minus($subject->at($t));
            $pace = $step->ground() / self::STEP;
            $nearest = min($nearest, $move->at($t)->minus($subject->at($t))->length());
            if ($pace < self::STANDS) {
                $stood ??= $t;

                continue;
            }
            if ($starts !== null && $stood !== null) {
                $stops[] = Fact::of('subject-brief.stop', seconds: Quantity::seconds($t - $stood), way: Quantity::metres($length));
            }
            $stood = null;
            $starts ??= $t;
            // Which way it sets off, once it goes.
            $course ??= $pace > 3 * self::STANDS ? $subject->course($t + self::STEP) : null;
            $length += $step->ground();
            $fastest = max($fastest, $pace);
        }
        if ($starts === null) {
            return [];
        }

        return [
            Fact::of(
                'subject-brief.way', length: Quantity::metres($length), pace: Quantity::metresPerSecond(self::usual($plan, $fastest)),
                course: Quantity::degrees(round(Angle::bearing($course ?? 0.0))),
            ),
            ...$stops,
            match (true) {
                // Who is met or passed on a straight way is under way when the recording starts.
                $starts < self::STEP => Fact::of('subject-brief.under-way'),
                $move->intent->subjectCue === '' => Fact::of('subject-brief.on-call', seconds: Quantity::seconds($starts)),
                default => Fact::of(
                    'subject-brief.on-cue', cue: Fact::name($move->intent->subjectCue), seconds: Quantity::seconds($starts),
                ),
            },
            Fact::of('subject-brief.craft', nearest: Quantity::metres($nearest)),
            Fact::of('subject-brief.calls'),
        ];
    }

    /** Its pace as it was set, or the fastest that the way shows where it goes a drawn one. */
    private static function usual(Plan $plan, float $fastest): float
    {
        return $plan->shot->intent->track === [] ? $plan->move->intent->number('subject_mps') ?? $fastest : $fastest;
    }
}
