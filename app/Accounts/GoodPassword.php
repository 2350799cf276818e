<?php

declare(strict_types=1);

namespace App\Accounts;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * What a password must be: long, and none that is tried first (NIST SP 800-63B, 5.1.1.2; OWASP ASVS 4.0, 2.1.1 and 2.1.7). No kinds of
 * characters are asked for (ASVS 2.1.9). The list is resources/passwords/common.txt:
 * sixteen hexadecimal digits of the SHA-256 of each, since it is full of names and of words that nobody wants to read.
 */
final readonly class GoodPassword implements ValidationRule
{
    public const SHORTEST = 12;

    public const LONGEST = 128;

    /** Digits and signs that stand for letters. */
    private const STANDS_FOR = ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i'];

    /** @param  list<string>  $own  words that whoever knows the person tries: name, address, school */
    public function __construct(private array $own = [])
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $why = is_string($value) ? $this->weakness($value) : 'A password is a text.';
        if ($why !== null) {
            $fail($why);
        }
    }

    private function weakness(string $password): ?string
    {
        $length = mb_strlen($password);
        if ($length < self::SHORTEST) {
            return 'A password has at least '.self::SHORTEST.' characters; a few words in a row are easy to keep in mind.';
        }
        if ($length > self::LONGEST) {
            return 'A password has at most '.self::LONGEST.' characters.';
        }
        if (count(array_unique(mb_str_split($password))) < 5) {
            return 'This repeats a few characters: it would be guessed at once.';
        }
        if ($this->isCommon($password)) {
            return 'This is among the first that anybody tries. Take a few words that belong together for nobody but you.';
        }
        foreach ($this->own as $word) {
            if (mb_strlen($word) > 3 && mb_strlen($password) - mb_strlen($word) < 8 && mb_stripos($password, $word) !== false) {
                return 'This is little more than your own name, address or school.';
            }
        }

        return null;
    }

    /** Whether it is on the list, or is one of it said twice, with a number behind it, or with signs in the place of letters. */
    private function isCommon(string $password): bool
    {
        $low = mb_strtolower($password);
        $bare = trim((string) preg_replace('/^[^a-z]+|[^a-z]+$/', '', $low));
        $half = intdiv(strlen($low), 2);
        $tried = [$low, $bare, strtr($low, self::STANDS_FOR), strtr($bare, self::STANDS_FOR)];
        if (str_repeat(substr($low, 0, $half), 2) === $low) {
            $tried[] = substr($low, 0, $half);
        }
        if (self::isRow($low)) {
            return true;
        }
        $tried = array_map(
            static fn (string $one): string => substr(hash('sha256', $one), 0, 16),
            array_filter(array_unique($tried), static fn (string $one): bool => strlen($one) >= 5),
        );
        $list = fopen(resource_path('passwords/common.txt'), 'rb');
        if ($list === false) {
            return false;
        }
        try {
            while (($line = fgets($list)) !== false) {
                if (in_array(rtrim($line), $tried, true)) {
                    return true;
                }
            }
        } finally {
            fclose($list);
        }

        return false;
    }

    /** Whether each character follows the one before: 123456789012, abcdefghijkl, or backwards. */
    private static function isRow(string $text): bool
    {
        $steps = [];
        for ($i = 1; $i < strlen($text); $i++) {
            $steps[] = (ord($text[$i]) - ord($text[$i - 1]) + 10) % 10;
        }

        return count(array_unique($steps)) === 1;
    }

    /** @return list<string> the words of a person that they should not take */
    public static function wordsOf(string $name, string $email, string $school): array
    {
        return array_values(array_unique([
            ...explode(' ', $name), explode('@', $email)[0],
            str_replace(' ', '', $name), ...explode(' ', $school), str_replace(' ', '', $school), 'larkspur',
        ]));
    }
}
