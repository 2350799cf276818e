<?php

declare(strict_types=1);

namespace Larkspur\Xml;

use Larkspur\Fact;
use Larkspur\Refusal;
use XMLParser;

/**
 * Reads XML piece by piece and tells a listener of its elements. No document type, no entities but the five of XML itself,
 * no network: a file that declares any is refused before it is parsed, and the work is bounded by the file's size.
 */
final class XmlEvents
{
    private const PIECE = 65536;

    /** Longest text of one element, bytes; deepest nesting. */
    private const LONGEST_TEXT = 262144;

    private const DEEPEST = 64;

    /** @var array<int, string> text gathered of each open element, by depth */
    private array $texts = [''];

    private int $depth = 0;

    private function __construct(private readonly XmlListener $listener)
    {
    }

    /**
     * @param  resource  $stream
     * @param  ?callable(int): void  $progress  told the bytes read so far
     */
    public static function read(mixed $stream, XmlListener $listener, ?callable $progress = null): void
    {
        (new self($listener))->run($stream, $progress);
    }

    /**
     * @param  resource  $stream
     * @param  ?callable(int): void  $progress
     */
    private function run(mixed $stream, ?callable $progress): void
    {
        $parser = xml_parser_create_ns('UTF-8', ' ');
        xml_parser_set_option($parser, XML_OPTION_CASE_FOLDING, 0);
        xml_set_element_handler($parser, $this->opens(...), $this->closes(...));
        xml_set_character_data_handler($parser, $this->text(...));
        $bytes = 0;
        $tail = '';
        while (! feof($stream)) {
            $piece = (string) fread($stream, self::PIECE);
            if ($bytes === 0) {
                self::checkStart($piece);
            }
            // A declaration may lie across two pieces.
            if (preg_match('/<!\s*(DOCTYPE|ENTITY)/i', $tail.$piece) === 1) {
                throw new Refusal(
                    Fact::of('xml-events.file-declares-document-type'), sprintf('line %s', xml_get_current_line_number($parser)),
                    Fact::of('xml-events.file-without-doctype'),
                );
            }
            $tail = substr($piece, -32);
            $bytes += strlen($piece);
            if (xml_parse($parser, $piece, feof($stream)) === 0) {
                throw new Refusal(
                    Fact::of('xml-events.not-well-formed-xml', parser: lcfirst((string) xml_error_string(xml_get_error_code($parser)))),
                    sprintf('line %s, column %s', xml_get_current_line_number($parser), xml_get_current_column_number($parser)),
                    Fact::of('xml-events.whole-file'),
                );
            }
            if ($progress !== null) {
                $progress($bytes);
            }
        }
        if ($bytes === 0) {
            throw new Refusal(Fact::of('xml-events.file-empty'), 'line 1', Fact::of('xml-events.flight-log'));
        }
    }

    /** @param  array<string, string>  $attributes */
    private function opens(XMLParser $parser, string $name, array $attributes): void
    {
        $line = xml_get_current_line_number($parser);
        if ($this->depth >= self::DEEPEST) {
            throw new Refusal(
                Fact::of('xml-events.elements-file-nested-without'), sprintf('line %s', $line), Fact::of('xml-events.flight-log'),
            );
        }
        $this->texts[++$this->depth] = '';
        $this->listener->opens($name, $attributes, $line);
    }

    private function closes(XMLParser $parser, string $name): void
    {
        $this->listener->closes($name, trim($this->texts[$this->depth--]), xml_get_current_line_number($parser));
    }

    private function text(XMLParser $parser, string $text): void
    {
        $gathered = $this->texts[$this->depth];
        if ($gathered === '') {
            // The white space between elements would add up.
            $this->texts[$this->depth] = ctype_space($text) ? '' : $text;
        } else {
            $this->texts[$this->depth] = $gathered.$text;
        }
        if (strlen($this->texts[$this->depth]) > self::LONGEST_TEXT) {
            throw new Refusal(
                Fact::of('xml-events.element-file-holds-text'), sprintf('line %s', xml_get_current_line_number($parser)),
                Fact::of('xml-events.flight-log'),
            );
        }
    }

    /** An encoding that could hide a declaration from the check above is refused. */
    private static function checkStart(string $piece): void
    {
        if (str_starts_with($piece, "\xFF\xFE") || str_starts_with($piece, "\xFE\xFF") || str_contains(substr($piece, 0, 4), "\0")) {
            throw new Refusal(Fact::of('xml-events.file-written-utf-16'), 'line 1', Fact::of('xml-events.utf-8-text'));
        }
        if (preg_match('/^\s*(?:\xEF\xBB\xBF)?<\?xml[^>]*encoding\s*=\s*["\']([^"\']+)["\']/i', $piece, $m) === 1 && ! in_array(strtoupper($m[1]), ['UTF-8', 'US-ASCII', 'ASCII', 'ISO-8859-1'], true)) {
            throw new Refusal(Fact::of('xml-events.file-says-written', encoding: $m[1]), 'line 1', Fact::of('xml-events.utf-8-text'));
        }
    }

    /** A name without its namespace. */
    public static function local(string $name): string
    {
        $space = strrpos($name, ' ');

        return $space === false ? $name : substr($name, $space + 1);
    }
}
