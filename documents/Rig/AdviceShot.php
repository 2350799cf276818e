<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;

/** One shot under the numbers of now and under those that are advised. */
final readonly class AdviceShot implements Document
{
    public function __construct(public string $shot, public AdviceReading $now, public AdviceReading $advised)
    {
    }
}
