<?php

declare(strict_types=1);

namespace App\Documents;

/** An intent that was kept, as the API promises it: where it has no parameters they are an empty object, not an empty list. */
final class WrittenIntent
{
    /**
     * @param  array<string, mixed>  $intent  as it was decoded
     * @return array<string, mixed>
     */
    public static function of(array $intent): array
    {
        $intent['parameters'] = (object) ($intent['parameters'] ?? []);
        if (isset($intent['parts']) && is_array($intent['parts'])) {
            $intent['parts'] = array_map(
                static fn (array $part): array => [...$part, 'parameters' => (object) ($part['parameters'] ?? [])], $intent['parts'],
            );
        }

        return $intent;
    }
}
