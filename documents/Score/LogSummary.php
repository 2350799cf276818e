<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\LogSummary as Summary;

/** The log that a judgement rests on. */
final readonly class LogSummary implements Document
{
    public function __construct(
        public int $samples,
        public float $rateHz,
        public float $durationS,
        public string $sha256,
    ) {
    }

    public static function of(Summary $log): self
    {
        return new self($log->samples, round($log->rate, 2), round($log->duration, 2), $log->sha256);
    }
}
