<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** How a take was practised: with what in the hands, and with which help. */
final readonly class PracticeNote implements Document
{
    /**
     * @param  list<string>  $aids
     * @param  string  $purpose  of the session; empty where nobody said
     */
    public function __construct(public string $device, public array $aids, public bool $brokenOff, public int $seed, public string $purpose)
    {
    }

    /** @param  array<string, mixed>  $how */
    public static function of(array $how): self
    {
        return new self(
            $how['device'] ?? 'none', $how['aids'] ?? [], $how['broken_off'] ?? false, $how['seed'] ?? 0, $how['purpose'] ?? '',
        );
    }
}
