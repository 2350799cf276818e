<?php

declare(strict_types=1);

namespace Larkspur\Training;

/** What the record keeps of one take, as far as standings, steps and practice are worked out from it. */
final readonly class PastTake
{
    /**
     * @param  float  $day  when it was flown, days on any common clock
     * @param  string  $direction  clockwise, counterclockwise, left, right, or empty
     * @param  string  $mode  slow, standard, fast, or empty where nobody knows
     * @param  float  $uncertainty  one standard deviation of the score, points
     * @param  array<string, ?float>  $facets  ease, flow, hold, line, frame: 0 to 100
     * @param  array<string, ?float>  $fingers  climb, turn, run, slide, tilt: 0 to 100 (FingerMarks); null where one had nothing to do
     * @param  list<string>  $aids  help that was had
     * @param  ?float  $distance  from the subject, m
     * @param  ?float  $pace  m/s
     * @param  list<string>  $faults  ids, the costliest first
     * @param  ?int  $date  which day it was where it was flown, counted as `day` is; null where one clock is as good as another
     */
    public function __construct(
        public int $id,
        public float $day,
        public string $move,
        public string $direction,
        public string $mode,
        public float $score,
        public float $uncertainty,
        public string $verdict,
        public array $facets,
        public array $fingers,
        public bool $practised = false,
        public bool $automated = false,
        public array $aids = [],
        public ?float $distance = null,
        public ?float $pace = null,
        public array $faults = [],
        private ?int $date = null,
    ) {
    }

    /** Which day it was on the clock of those who flew: two passes before and after midnight are two days'. */
    public function date(): int
    {
        return $this->date ?? (int) floor($this->day);
    }

    /** Of a facet, of a finger, or the score ("score"); null where the take does not say. */
    public function mark(string $measure): ?float
    {
        return $measure === 'score' ? $this->score : $this->facets[$measure] ?? $this->fingers[$measure] ?? null;
    }
}
