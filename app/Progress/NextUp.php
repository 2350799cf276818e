<?php

declare(strict_types=1);

namespace App\Progress;

use Larkspur\Training\Next\Circumstances;
use Larkspur\Training\Next\Suggestion;

/** What is suggested for today, and what else was weighed. */
final readonly class NextUp
{
    /**
     * @param  bool  $simulated  whether the wind that was reckoned with is
     * @param  list<Suggestion>  $said
     * @param  list<Suggestion>  $weighed
     */
    public function __construct(public Circumstances $now, public bool $simulated, public array $said, public array $weighed)
    {
    }
}
