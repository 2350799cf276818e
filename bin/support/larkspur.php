<?php

/** Entry of bin/larkspur: autoloads core/ and hands the arguments over. No framework is booted. */

declare(strict_types=1);

use Larkspur\CommandLine\CommandLine;

$autoload = dirname(__DIR__, 2).'/vendor/autoload.php';
if (! is_file($autoload)) {
    fwrite(STDERR, "Larkspur is not installed yet: run bin/start once.\n");
    exit(2);
}
require $autoload;
require __DIR__.'/CommandLine.php';

exit((new CommandLine(STDOUT, STDERR))->run(array_slice($argv, 1)));
