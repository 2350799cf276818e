<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Measure\Statistics;
use Larkspur\Rig\Finger;

/** One instruction of a thumb sheet: when which finger does what. */
final readonly class Cue
{
    private function __construct(public float $t, public string $finger, public string $text)
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
        $cues = [new self(0.0, '', sprintf('Record, and rest for %.0f s: the press must not shake the shot.', $phases->onset))];
        foreach ($plan->presses as $press) {
            if ($press->onset === null) {
                continue;
            }
            $way = $press->finger->ends()[$press->hold >= 0 ? 1 : 0];
            $cues[] = $press->isTouch()
                ? new self($press->onset, $press->finger->value, sprintf('A touch of %s %s, about %.0f %%, holds %s.', self::verb($press->finger), $way, 100 * abs($press->hold), $press->finger->rotates() ? 'the subject on its mark' : 'the path'))
                : new self($press->onset, $press->finger->value, sprintf('%s to %.0f %% over %.1f s.', self::order($press->finger, $way), 100 * abs($press->hold), ($press->settled ?? $press->onset) - $press->onset).self::sight($plan, $press));
        }
        $cues[] = new self($phases->holdFrom, '', sprintf('Hold: nothing moves for %.1f s.', max(0.0, $phases->holdTo - $phases->holdFrom)));
        $cues[] = new self($phases->holdTo, '', sprintf('Bring every finger back together over %.1f s.', $phases->stop - $phases->holdTo));
        $cues[] = new self($phases->stop, '', 'At rest. Count two before you end the recording.');
        usort($cues, static fn (self $a, self $b): int => $a->t <=> $b->t);

        return $cues;
    }

    /**
     * What is seen when the wheel sets out: where the subject stands in the picture by then.
     */
    private static function sight(Plan $plan, Press $press): string
    {
        if ($press->finger !== Finger::Tilt || $press->onset === null || $plan->move->subject === null || $press->onset < $plan->move->onset + 0.3) {
            return '';
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
            return sprintf(' Then the foot of %s stands %.0f %% above the lower edge.', $lowest[1], 100 * ($lowest[0] + 0.5));
        }

        return $mark === null || abs($mark->u) > 0.5 || abs($mark->v) > 0.5
            ? ' The subject is not in the picture yet.'
            : sprintf(' Then the subject stands %.0f %% above the lower edge.', 100 * ($mark->v + 0.5));
    }

    /**
     * The cues of a figure: one for each press of each finger, in order of time.
     *
     * @return list<self>
     */
    private static function ofLegs(Plan $plan): array
    {
        $cues = [new self(0.0, '', sprintf('Rest for %.0f s before the first leg.', $plan->move->onset))];
        foreach ($plan->sheet->travel as $name => $travel) {
            $finger = Finger::from($name);
            $from = null;
            $peak = 0.0;
            foreach ([...$travel, 0.0] as $k => $x) {
                if (abs($x) > Press::RESTS) {
                    $from ??= $k;
                    $peak = abs($x) > abs($peak) ? $x : $peak;
                } elseif ($from !== null) {
                    $cues[] = new self(
                        $plan->sheet->t[$from], $name,
                        sprintf('%s to %.0f %%, back at rest after %.1f s.', self::order($finger, $finger->ends()[$peak >= 0 ? 1 : 0]), 100 * abs($peak), ($k - $from) * $plan->sheet->step),
                    );
                    [$from, $peak] = [null, 0.0];
                }
            }
        }
        $cues[] = new self($plan->move->stop, '', 'At rest. The figure is done.');
        usort($cues, static fn (self $a, self $b): int => $a->t <=> $b->t);

        return $cues;
    }

    /** “Run ahead”, “Up”. */
    private static function order(Finger $finger, string $way): string
    {
        return ucfirst($finger === Finger::Climb ? $way : self::verb($finger).' '.$way);
    }

    private static function verb(Finger $finger): string
    {
        return match ($finger) {
            Finger::Climb => 'climb',
            Finger::Turn => 'turn',
            Finger::Run => 'run',
            Finger::Slide => 'slide',
            Finger::Tilt => 'tilt',
        };
    }

    /** @return array{t: float, finger: string, text: string} */
    public function toArray(): array
    {
        return ['t' => round($this->t, 2), 'finger' => $this->finger, 'text' => $this->text];
    }
}
