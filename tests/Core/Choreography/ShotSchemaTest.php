<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Larkspur\Choreography\Shot;
use Larkspur\Choreography\ShotSchema;
use Larkspur\Fields;
use Larkspur\Refusal;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;

/** The published schemas say what the readers do: a validator that knows nothing of Larkspur agrees with them. */
final class ShotSchemaTest extends TestCase
{
    public function test_the_example_is_valid_and_can_be_read(): void
    {
        self::assertTrue(self::valid(self::example()));
        self::assertSame('Lapwing 250', Shot::read(Fields::of(self::example()))->rig->craft);
    }

    public function test_what_a_shot_writes_of_itself_is_valid(): void
    {
        self::assertTrue(self::valid(Shot::read(Fields::of(self::example()))->toArray()));
    }

    public function test_every_range_and_every_required_part_is_the_readers_own(): void
    {
        $tried = 0;
        foreach (self::leaves(ShotSchema::shot()) as [$path, $leaf, $required]) {
            $wrong = [];
            [$least, $most] = [$leaf['minimum'] ?? null, $leaf['maximum'] ?? null];
            if ((is_int($least) || is_float($least)) && (is_int($most) || is_float($most))) {
                $wrong = [$least - 0.01 * max(1, abs($least)), $most * 1.01 + 0.01, 'wide'];
            } elseif (isset($leaf['enum'])) {
                $wrong = ['neither of these'];
            }
            foreach ($wrong as $value) {
                $document = self::with(self::example(), $path, $value);
                self::assertFalse(self::valid($document), implode('.', $path).' takes '.$value);
                self::assertTrue(self::refused($document), implode('.', $path).' is read as '.$value);
                $tried++;
            }
            if ($required) {
                $document = self::with(self::example(), $path, null);
                self::assertFalse(self::valid($document), implode('.', $path).' may be left out');
                self::assertTrue(self::refused($document), implode('.', $path).' is not missed');
            }
        }
        self::assertGreaterThan(150, $tried);
    }

    /**
     * Every leaf of a schema with its path and whether its group needs it.
     *
     * @param  array<string, mixed>  $schema
     * @param  list<string|int>  $path
     * @return iterable<array{list<string|int>, array<string, mixed>, bool}>
     */
    private static function leaves(array $schema, array $path = [], bool $required = false): iterable
    {
        if (is_array($schema['properties'] ?? null)) {
            foreach ($schema['properties'] as $name => $property) {
                assert(is_string($name) && is_array($property) && is_array($schema['required'] ?? null));
                yield from self::leaves($property, [...$path, $name], in_array($name, $schema['required'], true));
            }
        } elseif (is_array($schema['items'] ?? null)) {
            yield from self::leaves($schema['items'], [...$path, 0]);
        } elseif (! isset($schema['const']) && $path !== ['rig', 'craft']) {
            yield [$path, $schema, $required];
        }
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @param  list<string|int>  $path
     * @return array<array-key, mixed>
     */
    private static function with(array $document, array $path, mixed $value): array
    {
        $name = array_shift($path);
        assert($name !== null);
        if ($path !== []) {
            $inner = $document[$name] ?? [];
            $document[$name] = self::with(is_array($inner) ? $inner : [], $path, $value);
        } elseif ($value === null) {
            unset($document[$name]);
        } else {
            $document[$name] = $value;
        }

        return $document;
    }

    /** @param  array<array-key, mixed>  $document */
    private static function refused(array $document): bool
    {
        try {
            Shot::read(Fields::of($document));

            return false;
        } catch (Refusal) {
            return true;
        }
    }

    /** @param  array<array-key, mixed>  $document */
    private static function valid(array $document): bool
    {
        return (new Validator)->validate(Helper::toJSON($document), Helper::toJSON(ShotSchema::shot()))->isValid();
    }

    /** @return array<string, mixed> */
    private static function example(): array
    {
        return json_decode(
            (string) file_get_contents(dirname(__DIR__, 3).'/docs/examples/lime-kiln.shot.json'), true, flags: JSON_THROW_ON_ERROR,
        );
    }
}
