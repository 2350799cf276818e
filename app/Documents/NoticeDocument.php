<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Illuminate\Support\Carbon;
use Larkspur\Fact;

/** Something that came back while one was away. */
final readonly class NoticeDocument implements Document
{
    /**
     * @param  string  $at  UTC
     * @param  string  $path  of the page where it stands
     */
    public function __construct(public string|Fact $said, public string $at, public string $path)
    {
    }

    public static function of(Fact $said, Carbon $at, string $path): self
    {
        return new self($said, $at->toIso8601ZuluString(), $path);
    }
}
