<?php

declare(strict_types=1);

namespace Larkspur\Xml;

/** Hears of the elements of an XML file in their order (XmlEvents). Names are "namespace local" or "local". */
interface XmlListener
{
    /** @param  array<string, string>  $attributes */
    public function opens(string $name, array $attributes, int $line): void;

    /** @param  string  $text  directly in the element, trimmed */
    public function closes(string $name, string $text, int $line): void;
}
