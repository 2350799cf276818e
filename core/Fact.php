<?php

declare(strict_types=1);

namespace Larkspur;

use Larkspur\Measure\Quantity;

/**
 * Something that is so, before anyone has said it: a code, and the values that go with it. The phrase book (words/) says it to a reader, in
 * the reader's units, language and stick mode.
 *
 * Values are quantities with their dimension, whole numbers, names that people gave, other facts, or lists of these. A name that ends in
 * `finger` holds the id of a finger; the book then also knows the thumb that plays it.
 *
 * @phpstan-type FactValue Quantity|self|string|int|float|list<Quantity|self|string|int|float>
 */
final readonly class Fact implements \JsonSerializable
{
    /** Several facts, said one after another. */
    public const ALL = 'all';

    /**
     * @param  string  $code  key of the phrase book, such as "clearance.too-near"
     * @param  array<string, FactValue>  $values
     */
    private function __construct(public string $code, public array $values)
    {
    }

    /** @param  FactValue  ...$values  by name */
    public static function of(string $code, Quantity|self|string|int|float|array ...$values): self
    {
        /** @var array<string, FactValue> $values */
        return new self($code, $values);
    }

    /** Said one after another; those that are null are left out. */
    public static function all(?self ...$facts): self
    {
        $said = array_values(array_filter($facts));

        return count($said) === 1 ? $said[0] : new self(self::ALL, ['facts' => $said]);
    }

    /** A name that somebody gave, said as it is. */
    public static function name(string $name): self
    {
        return new self('name', ['name' => $name]);
    }

    /**
     * Whether the same is said by one of others.
     *
     * @param  list<self>  $others
     */
    public function isAmong(array $others): bool
    {
        foreach ($others as $other) {
            if ($other->code === $this->code && json_encode($other) === json_encode($this)) {
                return true;
            }
        }

        return false;
    }

    /**
     * The same facts, each once.
     *
     * @param  list<self>  $facts
     * @return list<self>
     */
    public static function unique(array $facts): array
    {
        $unique = [];
        foreach ($facts as $fact) {
            if (! $fact->isAmong($unique)) {
                $unique[] = $fact;
            }
        }

        return $unique;
    }

    /** @return FactValue|null */
    public function value(string $name): Quantity|self|string|int|float|array|null
    {
        return $this->values[$name] ?? null;
    }

    /**
     * A fact that was kept as JSON; null for anything else.
     *
     * @param  mixed  $kept  decoded JSON
     */
    public static function read(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_string($kept['say'] ?? null)) {
            return null;
        }
        $values = [];
        foreach (is_array($kept['with'] ?? null) ? $kept['with'] : [] as $name => $value) {
            $read = self::valueOf($value);
            if ($read !== null) {
                $values[(string) $name] = $read;
            }
        }

        return new self($kept['say'], $values);
    }

    /** @return FactValue|null */
    private static function valueOf(mixed $kept): Quantity|self|string|int|float|array|null
    {
        if (is_array($kept) && array_is_list($kept)) {
            $list = [];
            foreach ($kept as $one) {
                $read = self::valueOf($one);
                if ($read !== null && ! is_array($read)) {
                    $list[] = $read;
                }
            }

            return $list;
        }

        return is_string($kept) || is_int($kept) || is_float($kept) ? $kept : Quantity::read($kept) ?? self::read($kept);
    }

    /** @return array{say: string, with: array<string, FactValue>|\stdClass} */
    public function jsonSerialize(): array
    {
        return ['say' => $this->code, 'with' => $this->values === [] ? new \stdClass : $this->values];
    }
}
