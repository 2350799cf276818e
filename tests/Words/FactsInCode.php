<?php

declare(strict_types=1);

namespace Tests\Words;

use Larkspur\Controls\Finger;
use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Every `Fact::of('code', name: …)` that stands in the code, with the names of its values. */
final class FactsInCode
{
    private const ROOMS = ['core', 'app', 'documents', 'bin/support'];

    /**
     * @return iterable<array{string, string, ?list<string>}> place, code, and names of the values; null where they are spread from an array
     */
    public static function all(): iterable
    {
        foreach (self::ROOMS as $room) {
            foreach (self::files($room) as $path => $name) {
                yield from self::inFile($path, $name);
            }
        }
    }

    /** @return iterable<string, string> names from the root of the project, by path */
    private static function files(string $room): iterable
    {
        $root = dirname(__DIR__, 2);
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
            "$root/$room", RecursiveDirectoryIterator::SKIP_DOTS,
        )) as $file) {
            if ($file->getExtension() === 'php') {
                yield $file->getPathname() => substr($file->getPathname(), strlen($root) + 1);
            }
        }
    }

    /** Whether a phrase is said anywhere: by its code, or as one of a family whose codes are put together. */
    public static function says(string $code): bool
    {
        static $text = null;
        static $families = null;
        if ($text === null) {
            $text = '';
            foreach ([...self::ROOMS, 'words'] as $room) {
                foreach (self::files($room) as $path => $name) {
                    $text .= str_starts_with($name, 'words/en/') ? '' : file_get_contents($path);
                }
            }
            preg_match_all('/["\']([a-z][a-z-]*[.-](?:[a-z-]+[.-])*)(?:\$|\{\$|["\'] ?\.)/', $text, $found);
            $families = array_unique($found[1]);
        }

        return str_contains($text, "'$code'") || str_contains($text, "\"$code\"")
            || array_filter($families, static fn (string $family): bool => str_starts_with($code, $family)) !== [];
    }

    /**
     * Names that a phrase asks for; what the book knows by itself is left out.
     *
     * @return list<string>
     */
    public static function placeholders(string $phrase): array
    {
        // Braces in quotes are braces.
        $found = self::namesIn((string) preg_replace("/'[{}]'/", '', $phrase));
        $own = array_map(static fn (Finger $finger): string => $finger->value.'_thumb', Finger::cases());
        $names = array_map(
            static fn (string $name): string => (string) preg_replace('/^(.*finger)_(axis|thumb)$/', '$1', $name), array_diff($found, $own),
        );

        return array_values(array_unique($names));
    }

    /** @return list<string> */
    private static function namesIn(string $message): array
    {
        $names = [];
        foreach (self::braced($message) as $argument) {
            [$name, $kind, $choices] = array_map(trim(...), explode(',', $argument, 3)) + [1 => '', 2 => ''];
            $names[] = explode(':', $name)[0];
            // The texts of a plural or a choice are messages of their own.
            array_push($names, ...$kind === '' ? [] : array_merge(...array_map(self::namesIn(...), self::braced($choices))));
        }

        return $names;
    }

    /** @return list<string> what stands between braces, outermost first */
    private static function braced(string $text): array
    {
        preg_match_all('/\{((?:[^{}]|(?R))*)\}/', $text, $found);

        return $found[1];
    }

    /** @return iterable<array{string, string, ?list<string>}> */
    private static function inFile(string $path, string $name): iterable
    {
        $tokens = array_values(array_filter(
            PhpToken::tokenize((string) file_get_contents($path)),
            static fn (PhpToken $token): bool => ! $token->is([T_WHITESPACE, T_COMMENT, T_DOC_COMMENT]),
        ));
        foreach ($tokens as $i => $token) {
            if (
                $token->text !== 'Fact'
                || implode('', array_map(static fn (PhpToken $one): string => $one->text, array_slice($tokens, $i + 1, 3))) !== '::of('
            ) {
                continue;
            }
            $first = $tokens[$i + 4] ?? null;
            $next = $tokens[$i + 5] ?? null;
            // A code that is put together is one of a family, which has a test of its own.
            if ($first !== null && $next !== null && $first->is(T_CONSTANT_ENCAPSED_STRING) && in_array($next->text, [',', ')'], true)) {
                yield [$name.':'.$token->line, substr($first->text, 1, -1), self::names($tokens, $i + 5)];
            }
        }
    }

    /**
     * @param  list<PhpToken>  $tokens
     * @return ?list<string>
     */
    private static function names(array $tokens, int $at): ?array
    {
        $names = [];
        for ($depth = 0, $k = $at; isset($tokens[$k]); $k++) {
            $text = $tokens[$k]->text;
            if ($depth === 0 && $text === ')') {
                break;
            }
            $depth += match ($text) {
                '(', '[', '{' => 1,
                ')', ']', '}' => -1,
                default => 0,
            };
            if ($depth === 0 && $text === '...') {
                return null;
            }
            if ($depth === 0 && $text === ':' && ($tokens[$k - 2]->text ?? '') === ',') {
                $names[] = $tokens[$k - 1]->text;
            }
        }

        return $names;
    }
}
