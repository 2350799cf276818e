<?php

declare(strict_types=1);

namespace Words;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use MessageFormatter;

/**
 * Says facts: the one place where Larkspur's sentences are. A phrase is an ICU message (plurals and choices by ext-intl) under the code of
 * a fact, in words/<language>/. Beside ICU's own, {distance:1} asks for one digit behind the point, {finger} names a finger and
 * {finger_thumb} what plays it in the reader's stick mode; {turn_thumb} and the like are known in every phrase.
 */
final class PhraseBook
{
    /** The language that every phrase exists in. */
    public const FIRST = 'en';

    /** @var array<string, array<string, string>> phrases by language */
    private array $phrases = [];

    /** @var array<string, MessageFormatter> */
    private array $formatters = [];

    /** @param  array<string, array<string, string>>  $more  phrases of languages that lie in no folder of their own */
    public function __construct(private readonly array $more = [])
    {
    }

    public function say(Fact $fact, Reader $reader): string
    {
        if ($fact->code === Fact::ALL) {
            return implode(
                ' ', array_filter($this->list($fact->value('facts') ?? [], $reader), static fn (string $said): bool => $said !== ''),
            );
        }
        if ($fact->code === 'name') {
            return $this->plain($fact->value('name') ?? '', $reader);
        }
        $phrase = $this->phrase($fact->code, $reader->language);
        if ($phrase === null) {
            return $fact->code;
        }
        $said = [];
        $phrase = (string) preg_replace_callback('/\{(\w+):(\d)\}/', function (array $found) use ($fact, $reader, &$said): string {
            $name = $found[1].'_'.$found[2];
            $said[$name] = $this->plain($fact->value($found[1]) ?? '', $reader, (int) $found[2]);

            return '{'.$name.'}';
        }, $phrase);
        foreach ($fact->values as $name => $value) {
            $said[$name] = is_int($value) ? $value : $this->plain($value, $reader);
            if (is_string($value) && str_ends_with($name, 'finger')) {
                $said += $this->finger($name, $value, $reader);
            }
        }
        if (str_contains($phrase, '_thumb')) {
            foreach (Finger::cases() as $finger) {
                $said[$finger->value.'_thumb'] = (string) $this->phrase($reader->thumb($finger), $reader->language);
            }
        }

        $sentence = $this->formatted($phrase, $reader->language, $said);

        // What ends like a sentence begins like one, whatever name or number it begins with.
        return str_ends_with($phrase, '.') ? mb_strtoupper(mb_substr($sentence, 0, 1)).mb_substr($sentence, 1) : $sentence;
    }

    /** Whether there are words for a code. */
    public function knows(string $code, string $language = self::FIRST): bool
    {
        return $this->phrase($code, $language) !== null;
    }

    /** @return array<string, string> every phrase of a language by its code */
    public function all(string $language = self::FIRST): array
    {
        if (! isset($this->phrases[$language])) {
            $phrases = [];
            $files = glob(__DIR__.'/'.$language.'/*.php');
            foreach ($files === false ? [] : $files as $file) {
                /** @var array<string, string> $own */
                $own = require $file;
                $phrases += $own;
            }
            $this->phrases[$language] = $phrases + ($this->more[$language] ?? []);
        }

        return $this->phrases[$language];
    }

    private function phrase(string $code, string $language): ?string
    {
        return $this->all($language)[$code] ?? ($language === self::FIRST ? null : $this->all()[$code] ?? null);
    }

    /**
     * The words for a finger's axis, and for what plays it.
     *
     * @return array<string, string>
     */
    private function finger(string $name, string $id, Reader $reader): array
    {
        $finger = Finger::tryFrom($id);
        $axis = $this->phrase('axis.'.$id, $reader->language) ?? $id;

        return $finger === null ? [$name.'_axis' => $axis] : [
            $name.'_axis' => $axis, $name.'_thumb' => (string) $this->phrase($reader->thumb($finger), $reader->language),
        ];
    }

    /** @param  Quantity|Fact|string|int|float|list<Quantity|Fact|string|int|float>  $value */
    private function plain(Quantity|Fact|string|int|float|array $value, Reader $reader, ?int $places = null): string
    {
        return match (true) {
            $value instanceof Quantity => Measures::say($value, $reader, $places),
            $value instanceof Fact => $this->say($value, $reader),
            is_array($value) => implode(', ', $this->list($value, $reader)),
            is_float($value) => Measures::digits($value, $places),
            default => (string) $value,
        };
    }

    /**
     * @param  Quantity|Fact|string|int|float|list<Quantity|Fact|string|int|float>  $values
     * @return list<string>
     */
    private function list(Quantity|Fact|string|int|float|array $values, Reader $reader): array
    {
        return array_map(
            fn (Quantity|Fact|string|int|float $one): string => $this->plain($one, $reader), is_array($values) ? $values : [$values],
        );
    }

    /** @param  array<string, string|int>  $values */
    private function formatted(string $phrase, string $language, array $values): string
    {
        // Most phrases only have places to fill: a plan has some forty of them, and is said at every drag.
        if (! str_contains($phrase, ', plural,') && ! str_contains($phrase, ', select,') && ! str_contains($phrase, "'")) {
            return strtr($phrase, self::places($values));
        }
        $formatter = $this->formatters[$language.$phrase] ??= new MessageFormatter($language, $phrase);
        $said = $formatter->format($values);

        return $said === false
            ? throw new \LogicException(sprintf('The phrase “%s” can’t be said: %s', $phrase, $formatter->getErrorMessage()))
            : $said;
    }

    /**
     * @param  array<string, string|int>  $values
     * @return array<string, string> by the place that each fills
     */
    private static function places(array $values): array
    {
        $places = [];
        foreach ($values as $name => $value) {
            $places['{'.$name.'}'] = (string) $value;
        }

        return $places;
    }
}
