<?php

declare(strict_types=1);

namespace App\Documents;

use App\Running\ServerState;
use Documents\Document;

/** How the server does, for those who teach with it. */
final readonly class RunningDocument implements Document
{
    /**
     * @param  'well'|'poor'|'down'  $word
     * @param  bool  $late  whether logs wait longer than they should
     * @param  bool  $room  whether new files can be taken
     * @param  int  $workers  that were seen within a minute
     * @param  int  $stalled  logs that should go on and show no sign of it
     * @param  ?float  $oldestS  how long the oldest log has been under way
     */
    public function __construct(
        public string $word,
        public bool $late,
        public bool $room,
        public int $workers,
        public int $stalled,
        public ?float $oldestS,
    ) {
    }

    public static function of(ServerState $state): self
    {
        return new self($state->word(), $state->isLate(), $state->hasRoom(), $state->workers, $state->stalled, $state->oldestS);
    }
}
