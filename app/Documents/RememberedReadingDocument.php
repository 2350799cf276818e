<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\RememberedReading;
use Documents\Document;
use Larkspur\Fact;
use Larkspur\Telemetry\Reading;

/** How the places and heights of one maker's logs are meant, as somebody said it. */
final readonly class RememberedReadingDocument implements Document
{
    /** @param  string  $fileName  of the log over which it was said */
    public function __construct(public int $id, public string $reading, public Fact $words, public string $fileName, public string $saidAt)
    {
    }

    public static function of(RememberedReading $known): self
    {
        return new self(
            $known->id, $known->reading, Reading::from($known->reading)->words(), $known->file_name,
            $known->updated_at?->toIso8601ZuluString() ?? '',
        );
    }
}
