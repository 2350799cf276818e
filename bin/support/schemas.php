<?php

/** Writes the published schemas, and what forms have to know of them: schemas.php FOLDER LIMITS.TS */

declare(strict_types=1);

use Larkspur\Choreography\ShotSchema;
use Larkspur\FlightDay\DayLimits;
use Larkspur\Move\Route;
use Larkspur\Practice\RecordingSchema;
use Larkspur\Rig\RigSchema;
use Larkspur\Scoring\JudgingStyle;

require dirname(__DIR__, 2).'/vendor/autoload.php';

foreach ([
    'shot-1' => ShotSchema::shot(), 'intent-1' => ShotSchema::intent(), 'rig-1' => RigSchema::file(), 'craft-1' => RigSchema::craft(),
    'recording-1' => RecordingSchema::recording(),
] as $name => $schema) {
    file_put_contents(
        "{$argv[1]}/$name.schema.json", json_encode($schema, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n",
    );
}

/**
 * The least and the most of every number, by its place.
 *
 * @param  array<string, mixed>  $schema
 * @return array<string, array{float|int, float|int}>
 */
function limitsOf(array $schema, string $path = ''): array
{
    $limits = isset($schema['minimum'], $schema['maximum']) ? [$path => [$schema['minimum'], $schema['maximum']]] : [];
    foreach ($schema['properties'] ?? [] as $name => $property) {
        $limits += limitsOf($property, ltrim("$path.$name", '.'));
    }

    return $limits + (isset($schema['items']) ? limitsOf($schema['items'], ltrim("$path.*", '.')) : []);
}

$shot = ShotSchema::shot();
$lines = "// The least and the most of every number of a form, by its place: written by bin/make-types.\n"
    ."type Limits = Record<string, [least: number, most: number]>;\n\nexport const LIMITS = {\n";
foreach ([
    'craft' => limitsOf(RigSchema::craft()), 'rig' => limitsOf(RigSchema::rig()), 'site' => limitsOf($shot['properties']['site']),
    'day' => DayLimits::PLACES, 'judging' => JudgingStyle::limits(), 'route' => Route::LIMITS,
] as $form => $limits) {
    $lines .= "  $form: {\n";
    foreach ($limits as $place => [$least, $most]) {
        $lines .= "    '$place': [$least, $most],\n";
    }
    $lines .= "  } as Limits,\n";
}
file_put_contents($argv[2], $lines."};\n");
