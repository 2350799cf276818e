<?php

declare(strict_types=1);

namespace Documents;

use Larkspur\Fact;
use ReflectionClass;
use ReflectionProperty;
use Words\Speaker;

/** Writes documents as plain arrays for JSON: facts said to a reader, or kept as facts where nobody reads them yet. */
final class Wire
{
    /** @var array<class-string, array<string, string>> names in JSON by property */
    private static array $names = [];

    /** @param  ?Speaker  $speaker  null to keep facts as facts, to be said later to whoever reads them */
    public static function write(mixed $value, ?Speaker $speaker): mixed
    {
        // Numbers and words first: there are thousands of them in a plan, and it is written at every drag.
        if (is_array($value)) {
            return self::isPlain($value) ? $value : array_map(static fn (mixed $one): mixed => self::write($one, $speaker), $value);
        }
        if (! is_object($value)) {
            return $value;
        }
        if ($value instanceof Document) {
            return self::document($value, $speaker);
        }
        if ($value instanceof Fact) {
            return $speaker === null ? $value : $speaker->say($value);
        }

        return match ($value::class) {
            Map::class => (object) array_map(static fn (mixed $one): mixed => self::write($one, $speaker), $value->values),
            InHands::class => self::write($value->value, $speaker?->to($speaker->reader->withSticks($value->sticks))),
            \stdClass::class => (object) array_map(
                static fn (mixed $one): mixed => self::write($one, $speaker), get_object_vars($value),
            ),
            default => $value,
        };
    }

    /** @return array<string, mixed> */
    public static function document(Document $document, ?Speaker $speaker): array
    {
        $written = [];
        $names = self::names($document::class);
        foreach (get_object_vars($document) as $property => $value) {
            if ($names[$property] !== '') {
                $written[$names[$property]] = self::write($value, $speaker);
            } elseif ($value instanceof Document) {
                $written = [...$written, ...self::document($value, $speaker)];
            }
        }

        return $written;
    }

    /**
     * Names in JSON by property; empty for one whose own properties stand among the others.
     *
     * @param  class-string  $class
     * @return array<string, string>
     */
    public static function names(string $class): array
    {
        if (! isset(self::$names[$class])) {
            $names = [];
            foreach ((new ReflectionClass($class))->getProperties(ReflectionProperty::IS_PUBLIC) as $property) {
                $names[$property->name] = $property->getAttributes(Merged::class) === []
                    ? strtolower((string) preg_replace('/(?<!^)[A-Z]/', '_$0', $property->name))
                    : '';
            }
            self::$names[$class] = $names;
        }

        return self::$names[$class];
    }

    /**
     * Whether a list is numbers all through, as series of samples are: by its first value, for they are long.
     *
     * @param  array<array-key, mixed>  $values
     */
    private static function isPlain(array $values): bool
    {
        $first = $values === [] ? null : $values[array_key_first($values)];

        return array_is_list($values) && (is_array($first) ? self::isPlain($first) : is_int($first) || is_float($first));
    }
}
