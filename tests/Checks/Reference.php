<?php

declare(strict_types=1);

namespace Tests\Checks;

/** Reads the outside reference values under tests/fixtures. Places and numbers there serve tests only. */
final class Reference
{
    /** @return list<list<string|int|float>> rows of a table of check-values.json */
    public static function table(string $name): array
    {
        return self::json('check-values.json')[$name]['rows'];
    }

    /** @return array<string, mixed> */
    public static function json(string $file): array
    {
        return json_decode((string) file_get_contents(self::path($file)), true, flags: JSON_THROW_ON_ERROR);
    }

    public static function path(string $file): string
    {
        return dirname(__DIR__).'/fixtures/'.$file;
    }

    /** Seven sixths, a true minus or a plain number as the tables write them. */
    public static function number(string|int|float $cell): float
    {
        return (float) str_replace(['−', ' '], ['-', ''], (string) $cell);
    }
}
