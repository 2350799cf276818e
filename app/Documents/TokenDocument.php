<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\PersonalAccessToken;

/** A bearer token, without its secret. */
final readonly class TokenDocument implements Document
{
    /**
     * @param  'read'|'write'  $scope  what it may do: look, or change things too
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $scope,
        public ?string $until,
        public ?string $used,
    ) {
    }

    public static function of(PersonalAccessToken $token): self
    {
        return new self(
            (int) $token->getKey(), (string) $token->getAttribute('name'), $token->can('write') ? 'write' : 'read',
            self::time($token, 'expires_at'), self::time($token, 'last_used_at'),
        );
    }

    private static function time(PersonalAccessToken $token, string $name): ?string
    {
        $time = $token->getAttribute($name);

        return $time instanceof Carbon ? $time->toIso8601ZuluString() : null;
    }
}
