<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

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
        $cues = [new self(0.0, '', sprintf('Record, and rest for %.0f s: the press must not shake the shot.', $phases->onset))];
        foreach ($plan->presses as $press) {
            if ($press->onset === null) {
                continue;
            }
            $way = $press->finger->ends()[$press->hold >= 0 ? 1 : 0];
            $cues[] = $press->isTouch()
                ? new self($press->onset, $press->finger->value, sprintf('A touch of %s %s, about %.0f %%, holds %s.', self::verb($press->finger), $way, 100 * abs($press->hold), $press->finger->rotates() ? 'the subject on its mark' : 'the path'))
                : new self($press->onset, $press->finger->value, sprintf('%s to %.0f %% over %.1f s.', ucfirst($press->finger === Finger::Climb ? $way : self::verb($press->finger).' '.$way), 100 * abs($press->hold), ($press->settled ?? $press->onset) - $press->onset));
        }
        $cues[] = new self($phases->holdFrom, '', sprintf('Hold: nothing moves for %.1f s.', max(0.0, $phases->holdTo - $phases->holdFrom)));
        $cues[] = new self($phases->holdTo, '', sprintf('Bring every finger back together over %.1f s.', $phases->stop - $phases->holdTo));
        $cues[] = new self($phases->stop, '', 'At rest. Count two before you end the recording.');
        usort($cues, static fn (self $a, self $b): int => $a->t <=> $b->t);

        return $cues;
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
