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
            throw new Refusal('This must be a group of named fields.', $path, 'a JSON object');
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
            throw new Refusal('This must be a number.', $this->place($name), $this->range($least, $most, $unit));
        }
        if ($value < $least || $value > $most) {
            throw new Refusal(sprintf('%s is out of range.', self::figure((float) $value)), $this->place($name), $this->range($least, $most, $unit));
        }

        return (float) $value;
    }

    public function number(string $name, float $least = -INF, float $most = INF, string $unit = ''): float
    {
        return $this->numberOrNull($name, $least, $most, $unit)
            ?? throw new Refusal('This number is missing.', $this->place($name), $this->range($least, $most, $unit));
    }

    public function textOrNull(string $name): ?string
    {
        $value = $this->values[$name] ?? null;
        if ($value !== null && ! is_string($value)) {
            throw new Refusal('This must be text.', $this->place($name), 'text in quotes');
        }

        return $value;
    }

    public function text(string $name): string
    {
        return $this->textOrNull($name) ?? throw new Refusal('This text is missing.', $this->place($name), 'text in quotes');
    }

    /**
     * @param  list<string>  $choices
     */
    public function choiceOrNull(string $name, array $choices): ?string
    {
        $value = $this->textOrNull($name);
        if ($value !== null && ! in_array($value, $choices, true)) {
            throw new Refusal(sprintf('“%s” is not known here.', $value), $this->place($name), 'one of '.implode(', ', $choices));
        }

        return $value;
    }

    public function group(string $name): self
    {
        if (! $this->has($name)) {
            throw new Refusal('This group of fields is missing.', $this->place($name), 'a JSON object');
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
            throw new Refusal('This must be a list.', $this->place($name), 'a JSON array');
        }
        $groups = [];
        foreach ($value as $index => $item) {
            $groups[] = self::of($item, $this->place($name).'.'.$index);
        }

        return $groups;
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
            throw new Refusal('This must be a list of pairs.', $this->place($name), 'a JSON array of [number, number]');
        }
        $pairs = [];
        foreach ($value as $index => $pair) {
            [$a, $b] = is_array($pair) && count($pair) === 2 && array_is_list($pair) ? $pair : [null, null];
            if ((! is_int($a) && ! is_float($a)) || (! is_int($b) && ! is_float($b)) || ! is_finite((float) $a) || ! is_finite((float) $b)) {
                throw new Refusal('This must be a pair of numbers.', $this->place($name).'.'.$index, '[number, number]');
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
            throw new Refusal('This must be a list of numbers.', $this->place($name), 'a JSON array of numbers');
        }
        $list = new self($value, $this->place($name));

        return array_map(static fn (int $index): float => $list->number((string) $index, $least, $most, $unit), array_keys($value));
    }

    public function flag(string $name, bool $default = false): bool
    {
        $value = $this->values[$name] ?? $default;
        if (! is_bool($value)) {
            throw new Refusal('This must be true or false.', $this->place($name), 'true or false');
        }

        return $value;
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
    public static function figure(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }

    private function range(float $least, float $most, string $unit): string
    {
        $tail = $unit === '' ? '' : ' '.$unit;

        return match (true) {
            $least === -INF && $most === INF => 'a number'.$tail,
            $most === INF => sprintf('a number of %s%s or more', self::figure($least), $tail),
            $least === -INF => sprintf('a number of %s%s or less', self::figure($most), $tail),
            default => sprintf('a number from %s to %s%s', self::figure($least), self::figure($most), $tail),
        };
    }
}
