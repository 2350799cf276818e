<?php

declare(strict_types=1);

namespace Larkspur;

/**
 * Reads named, typed and bounded fields out of decoded JSON, naming the exact place of whatever is wrong.
 *
 * Every document that core/ takes in (intent, shot, rig, site) goes through here, so that all of them refuse
 * bad input in the same words.
 */
final readonly class Fields
{
    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, private string $path)
    {
    }

    public static function of(mixed $values, string $path = ''): self
    {
        if (! is_array($values)) {
            throw new Refusal(Fact::of('fields.must-group-named-fields'), $path, Fact::of('fields.json-object'));
        }

        return new self($values, $path);
    }

    public function has(string $name): bool
    {
        return ($this->values[$name] ?? null) !== null;
    }

    /** A finite number within [$least, $most]; null where the field is absent. */
    public function numberOrNull(string $name, float $least = -INF, float $most = INF, string $unit = ''): ?float
    {
        $value = $this->values[$name] ?? null;
        if ($value === null) {
            return null;
        }
        if ((! is_int($value) && ! is_float($value)) || ! is_finite((float) $value)) {
            throw new Refusal(Fact::of('fields.must-number'), $this->place($name), $this->range($least, $most, $unit));
        }
        if ($value < $least || $value > $most) {
            throw new Refusal(
                Fact::of('fields.out-range', value: self::written((float) $value)), $this->place($name), $this->range($least, $most, $unit),
            );
        }

        return (float) $value;
    }

    public function number(string $name, float $least = -INF, float $most = INF, string $unit = ''): float
    {
        return $this->numberOrNull($name, $least, $most, $unit)
            ?? throw new Refusal(Fact::of('fields.number-missing'), $this->place($name), $this->range($least, $most, $unit));
    }

    public function textOrNull(string $name): ?string
    {
        $value = $this->values[$name] ?? null;
        if ($value !== null && ! is_string($value)) {
            throw new Refusal(Fact::of('fields.must-text'), $this->place($name), Fact::of('fields.text-quotes'));
        }

        return $value;
    }

    public function text(string $name): string
    {
        return $this->textOrNull($name) ?? throw new Refusal(
            Fact::of('fields.text-missing'), $this->place($name), Fact::of('fields.text-quotes'),
        );
    }

    /**
     * @param  list<string>  $choices
     */
    public function choiceOrNull(string $name, array $choices): ?string
    {
        $value = $this->textOrNull($name);
        if ($value !== null && ! in_array($value, $choices, true)) {
            throw new Refusal(
                Fact::of('fields.not-known', value: $value), $this->place($name),
                Fact::of('fields.one-of', choices: implode(', ', $choices)),
            );
        }

        return $value;
    }

    public function group(string $name): self
    {
        if (! $this->has($name)) {
            throw new Refusal(Fact::of('fields.group-fields-missing'), $this->place($name), Fact::of('fields.json-object'));
        }

        return self::of($this->values[$name], $this->place($name));
    }

    public function groupOrNull(string $name): ?self
    {
        return $this->has($name) ? $this->group($name) : null;
    }

    /** @return list<self> */
    public function groups(string $name): array
    {
        $value = $this->values[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            throw new Refusal(Fact::of('fields.must-list'), $this->place($name), Fact::of('fields.json-array'));
        }
        $groups = [];
        foreach ($value as $index => $item) {
            $groups[] = self::of($item, $this->place($name).'.'.$index);
        }

        return $groups;
    }

    /** How many a list has; 0 where there is none. */
    public function howMany(string $name): int
    {
        $value = $this->values[$name] ?? null;

        return is_array($value) ? count($value) : 0;
    }

    /**
     * Some of them as they are written, for what is read later.
     *
     * @return array<string, mixed> those that are there
     */
    public function asWritten(string ...$names): array
    {
        return array_intersect_key($this->values, array_flip($names));
    }

    /**
     * A list of pairs of finite numbers, such as the points of a curve.
     *
     * @return list<array{float, float}>
     */
    public function pairs(string $name): array
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value) || ! array_is_list($value)) {
            throw new Refusal(Fact::of('fields.must-list-pairs'), $this->place($name), Fact::of('fields.json-array-number-number'));
        }
        $pairs = [];
        foreach ($value as $index => $pair) {
            [$a, $b] = is_array($pair) && count($pair) === 2 && array_is_list($pair) ? $pair : [null, null];
            if (
                (! is_int($a) && ! is_float($a))
                || (! is_int($b) && ! is_float($b))
                || ! is_finite((float) $a)
                || ! is_finite((float) $b)
            ) {
                throw new Refusal(Fact::of('fields.must-pair-numbers'), $this->place($name).'.'.$index, Fact::of('fields.number-number'));
            }
            $pairs[] = [(float) $a, (float) $b];
        }

        return $pairs;
    }

    /**
     * A list of one or more numbers within [$least, $most].
     *
     * @return non-empty-list<float>
     */
    public function numbers(string $name, float $least = -INF, float $most = INF, string $unit = ''): array
    {
        $value = $this->values[$name] ?? null;
        if (! is_array($value) || $value === [] || ! array_is_list($value)) {
            throw new Refusal(Fact::of('fields.must-list-numbers'), $this->place($name), Fact::of('fields.json-array-numbers'));
        }
        $list = new self($value, $this->place($name));

        return array_map(static fn (int $index): float => $list->number((string) $index, $least, $most, $unit), array_keys($value));
    }

    /** A whole number within [$least, $most]. */
    public function whole(string $name, int $least, int $most): int
    {
        $value = $this->number($name, $least, $most);
        if ($value !== floor($value)) {
            throw new Refusal(Fact::of('fields.must-whole'), $this->place($name), $this->range($least, $most, ''));
        }

        return (int) $value;
    }

    /**
     * A list of texts; empty where the field is absent.
     *
     * @return list<string>
     */
    public function texts(string $name): array
    {
        $value = $this->values[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value)) {
            throw new Refusal(Fact::of('fields.must-list'), $this->place($name), Fact::of('fields.json-array'));
        }
        $list = new self($value, $this->place($name));

        return array_map(static fn (int $index): string => $list->text((string) $index), array_keys($value));
    }

    public function flag(string $name, bool $default = false): bool
    {
        $value = $this->values[$name] ?? $default;
        if (! is_bool($value)) {
            throw new Refusal(Fact::of('fields.must-true-false'), $this->place($name), Fact::of('fields.true-false'));
        }

        return $value;
    }

    /** Whether a list is there and has nothing in it. */
    public function listIsEmpty(string $name): bool
    {
        return ($this->values[$name] ?? null) === [];
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    public function place(string $name): string
    {
        return $this->path === '' ? $name : $this->path.'.'.$name;
    }

    /** A number as people write it: no trailing zeros, never "-0". */
    public static function written(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }

    private function range(float $least, float $most, string $unit): Fact
    {
        return match (true) {
            $least === -INF && $most === INF => Fact::of('fields.a-number', unit: $unit === '' ? '' : ' '.$unit),
            $most === INF => Fact::of('fields.number-more', least: self::written($least), unit: $unit === '' ? '' : ' '.$unit),
            $least === -INF => Fact::of('fields.number-less', most: self::written($most), unit: $unit === '' ? '' : ' '.$unit),
            default => Fact::of(
                'fields.a-number-from-to', least: self::written($least), most: self::written($most), unit: $unit === '' ? '' : ' '.$unit,
            ),
        };
    }
}
