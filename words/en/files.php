<?php

/** Words about files, wherever they are read and written. */

declare(strict_types=1);

return [
    'file.not-there' => 'There is no such file, or it can’t be opened.',
    'file.not-json' => 'This is not JSON: {why}.',
    'file.not-writable' => 'This file can’t be written.',
    'expected.flight-log' => 'a flight log',
    'expected.json-file' => 'a JSON file',
    'expected.json-object' => 'a JSON object',
    'expected.folder-to-write-to' => 'a folder that exists and may be written to',
    'expected.or-columns' => '{expected}, or --columns (“larkspur columns” guesses them)',
];
