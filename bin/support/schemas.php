<?php

/** Writes the published schemas: schemas.php FOLDER */

declare(strict_types=1);

use Larkspur\Choreography\ShotSchema;
use Larkspur\Rig\RigSchema;

require dirname(__DIR__, 2).'/vendor/autoload.php';

foreach ([
    'shot-1' => ShotSchema::shot(), 'intent-1' => ShotSchema::intent(), 'rig-1' => RigSchema::file(), 'craft-1' => RigSchema::craft(),
] as $name => $schema) {
    file_put_contents(
        "{$argv[1]}/$name.schema.json", json_encode($schema, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n",
    );
}
