<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/**
 * The lines of a CSV, from its header on: what stands before it (a line that names the separator, the name of a recorder, a date) is left
 * out. The header is the first line of several fields that is followed by one of as many, most of them numbers or times.
 */
final class CsvLines
{
    private const LONGEST = 65536;

    /** Lines that are looked through for a header. */
    private const LOOKED_THROUGH = 60;

    private const FEWEST_FIELDS = 3;

    /** @var list<string> lines that were looked at and not yet given */
    private array $ahead = [];

    /** Number of the line that was given last, counted from 1. */
    public int $line = 0;

    /** @var non-empty-string */
    public string $separator = ',';

    /** Lines before the header that say nothing of the flight. */
    public int $before = 0;

    /**
     * @param  resource  $stream  behind its first line
     * @param  string  $first  the first line of the file, without a byte-order mark
     */
    public function __construct(private readonly mixed $stream, string $first)
    {
        $this->ahead = [$first];
    }

    /** The header, its separator and its place found. */
    public function header(): string
    {
        $stated = preg_match('/^"?sep=(.)"?$/i', trim($this->ahead[0]), $named) === 1 ? $named[1] : null;
        if ($stated !== null) {
            $this->before = 1;
        }
        $this->look(self::LOOKED_THROUGH);
        $at = $this->before;
        foreach ($this->ahead as $i => $line) {
            $next = $this->ahead[$i + 1] ?? null;
            if ($i < $this->before || $next === null || trim($line) === '') {
                continue;
            }
            $separator = $stated ?? self::separator($line);
            $names = explode($separator, $line);
            $cells = explode($separator, $next);
            $alike = count($names) >= self::FEWEST_FIELDS && count($names) === count($cells);
            if ($alike && ! self::areValues($names) && self::areValues($cells)) {
                $at = $i;
                break;
            }
        }
        $at = min($at, count($this->ahead) - 1);
        $this->before = $at;
        $this->line = $at;
        $this->ahead = array_slice($this->ahead, $at);
        $header = $this->next() ?? '';
        $this->separator = $stated ?? self::separator($header);

        return $header;
    }

    /** The next line, without its end; null behind the last. */
    public function next(): ?string
    {
        if ($this->ahead !== []) {
            $this->line++;

            return array_shift($this->ahead);
        }
        $text = fgets($this->stream, self::LONGEST);
        if ($text === false) {
            return null;
        }
        $this->line++;

        return rtrim($text, "\r\n");
    }

    /**
     * Lines that come next, looked at without being given.
     *
     * @return list<string>
     */
    public function peek(int $count): array
    {
        $this->look($count);

        return array_slice($this->ahead, 0, $count);
    }

    private function look(int $count): void
    {
        while (count($this->ahead) < $count && ($text = fgets($this->stream, self::LONGEST)) !== false) {
            $this->ahead[] = rtrim($text, "\r\n");
        }
    }

    /** @return non-empty-string */
    private static function separator(string $line): string
    {
        $counts = [',' => substr_count($line, ','), ';' => substr_count($line, ';'), "\t" => substr_count($line, "\t")];
        arsort($counts);

        return array_key_first($counts);
    }

    /**
     * Whether most of the cells that are not empty are numbers or times.
     *
     * @param  list<string>  $cells
     */
    private static function areValues(array $cells): bool
    {
        $bare = array_map(static fn (string $cell): string => trim($cell, " \t\""), $cells);
        $filled = array_filter($bare, static fn (string $cell): bool => $cell !== '');
        $values = array_filter($filled, static fn (string $cell): bool => preg_match('/^[-+]?\d[\d.,:eE+\-\/TZ ]*$/', $cell) === 1);

        return count($values) > 0.5 * count($filled);
    }
}
