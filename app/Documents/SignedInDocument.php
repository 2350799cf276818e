<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\SignIn;
use Documents\Document;

/** A place where somebody is signed in. */
final readonly class SignedInDocument implements Document
{
    /**
     * @param  string  $agent  what the browser calls itself
     * @param  bool  $current  whether it is this one
     */
    public function __construct(
        public int $id,
        public string $address,
        public string $agent,
        public string $since,
        public string $seen,
        public bool $current,
    ) {
    }

    public static function of(SignIn $one, ?int $current): self
    {
        return new self(
            $one->id, $one->address, $one->agent, $one->created_at->toIso8601ZuluString(), $one->seen_at->toIso8601ZuluString(), $one
                ->id === $current,
        );
    }
}
