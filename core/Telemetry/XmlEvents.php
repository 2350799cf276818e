<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Refusal;

/**
 * Reads XML piece by piece and tells of its elements. No document type, no entities but the five of XML itself, no
 * network: a file that declares any is refused before it is parsed, and the work is bounded by the file's size.
 */
final class XmlEvents
{
    private const PIECE = 65536;

    /** Longest text of one element, bytes; deepest nesting. */
    private const LONGEST_TEXT = 262144;

    private const DEEPEST = 64;

    /**
     * @param  resource  $stream
     * @param  callable(string, array<string, string>, int): void  $opens  element as "namespace name" or "name", attributes, line
     * @param  callable(string, string, int): void  $closes  element, the text directly in it, line
     * @param  ?callable(int): void  $progress  told the bytes read so far
     */
    public static function read(mixed $stream, callable $opens, callable $closes, ?callable $progress = null): void
    {
        $parser = xml_parser_create_ns('UTF-8', ' ');
        xml_parser_set_option($parser, XML_OPTION_CASE_FOLDING, 0);
        $texts = [];
        xml_set_element_handler(
            $parser,
            static function (mixed $parser, string $name, array $attributes) use ($opens, &$texts): void {
                if (count($texts) >= self::DEEPEST) {
                    throw new Refusal('The elements of this file are nested without end.', 'line '.xml_get_current_line_number($parser), 'a flight log');
                }
                $texts[] = '';
                $opens($name, $attributes, xml_get_current_line_number($parser));
            },
            static function (mixed $parser, string $name) use ($closes, &$texts): void {
                $closes($name, trim((string) array_pop($texts)), xml_get_current_line_number($parser));
            },
        );
        xml_set_character_data_handler($parser, static function (mixed $parser, string $text) use (&$texts): void {
            $last = count($texts) - 1;
            // The white space between elements would add up.
            if ($last >= 0 && ($texts[$last] !== '' || trim($text) !== '')) {
                $texts[$last] .= $text;
                if (strlen($texts[$last]) > self::LONGEST_TEXT) {
                    throw new Refusal('An element of this file holds text without end.', 'line '.xml_get_current_line_number($parser), 'a flight log');
                }
            }
        });
        $bytes = 0;
        $tail = '';
        while (! feof($stream)) {
            $piece = (string) fread($stream, self::PIECE);
            if ($bytes === 0) {
                self::checkStart($piece);
            }
            // A declaration may lie across two pieces.
            if (preg_match('/<!\s*(DOCTYPE|ENTITY)/i', $tail.$piece) === 1) {
                throw new Refusal('This file declares a document type or entities, which a flight log does not need.', 'line '.xml_get_current_line_number($parser), 'a file without <!DOCTYPE');
            }
            $tail = substr($piece, -32);
            $bytes += strlen($piece);
            if (xml_parse($parser, $piece, feof($stream)) === 0) {
                throw new Refusal(
                    sprintf('This is not well-formed XML: %s.', lcfirst((string) xml_error_string(xml_get_error_code($parser)))),
                    sprintf('line %d, column %d', xml_get_current_line_number($parser), xml_get_current_column_number($parser)), 'a whole file',
                );
            }
            $progress === null || $progress($bytes);
        }
        if ($bytes === 0) {
            throw new Refusal('This file is empty.', 'line 1', 'a flight log');
        }
    }

    /** An encoding that could hide a declaration from the check above is refused. */
    private static function checkStart(string $piece): void
    {
        if (str_starts_with($piece, "\xFF\xFE") || str_starts_with($piece, "\xFE\xFF") || str_contains(substr($piece, 0, 4), "\0")) {
            throw new Refusal('This file is written in UTF-16.', 'line 1', 'UTF-8 text');
        }
        if (preg_match('/^\s*(\xEF\xBB\xBF)?<\?xml[^>]*encoding\s*=\s*["\']([^"\']+)["\']/i', $piece, $m) === 1 && ! in_array(strtoupper($m[2]), ['UTF-8', 'US-ASCII', 'ASCII', 'ISO-8859-1'], true)) {
            throw new Refusal(sprintf('This file says it is written in %s.', $m[2]), 'line 1', 'UTF-8 text');
        }
    }
}
