<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** How far the axes of a move miss each other where they should set out, or come to rest, together. */
final readonly class Sync
{
    /**
     * @param  float  $seconds  as it is judged: rotation ahead of translation counts double
     * @param  float  $lag  s, between the first of them and the last, less the planned lead
     * @param  float  $t  s, in the log's time: when the last of them came
     * @param  'start'|'stop'  $phase
     */
    public function __construct(public float $seconds, public float $lag, public float $t, public string $phase)
    {
    }

    public static function worse(self $a, self $b): self
    {
        return $b->seconds > $a->seconds ? $b : $a;
    }
}
