<?php

declare(strict_types=1);

namespace Larkspur;

/**
 * The few forms that the published schemas are put together from (JSON Schema, draft 2020-12).
 *
 * @phpstan-type Schema array<string, mixed>
 */
final class JsonSchema
{
    /**
     * @param  list<string>  $required
     * @param  Schema  $properties
     * @return Schema
     */
    public static function document(string $schema, string $description, array $required, array $properties): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => $schema, 'description' => $description,
            ...self::group($required, ['schema' => ['const' => $schema], ...$properties]),
        ];
    }

    /**
     * A group in which every property has to be there.
     *
     * @param  Schema  $properties
     * @return Schema
     */
    public static function whole(array $properties): array
    {
        return self::group(array_keys($properties), $properties);
    }

    /**
     * @param  list<string>  $required
     * @param  Schema  $properties
     * @return array{type: string, required: list<string>, properties: Schema}
     */
    public static function group(array $required, array $properties): array
    {
        return ['type' => 'object', 'required' => $required, 'properties' => $properties];
    }

    /** @return Schema */
    public static function number(float $least, float $most): array
    {
        return ['type' => 'number', 'minimum' => $least, 'maximum' => $most];
    }
}
