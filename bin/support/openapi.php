<?php

/** Writes the OpenAPI document: the paths and forms that app/ declares, and the documents as documents/ types them. openapi.php OUT */

declare(strict_types=1);

use Larkspur\CommandLine\DocumentSchemas;
use OpenApi\Generator;

require dirname(__DIR__, 2).'/vendor/autoload.php';
require __DIR__.'/DocumentSchemas.php';

$root = dirname(__DIR__, 2);
$api = (new Generator)->generate([$root.'/app'], validate: false) ?? exit("app/ declares no API.\n");
$document = json_decode($api->toJson(), true, flags: JSON_THROW_ON_ERROR);
$inferred = DocumentSchemas::all(['Documents' => $root.'/documents', 'App\\Documents' => $root.'/app/Documents']);
$twice = array_intersect_key($document['components']['schemas'], $inferred);
$twice === [] || exit('Written by hand and inferred: '.implode(', ', array_keys($twice))."\n");
$document['components']['schemas'] += $inferred;
ksort($document['components']['schemas']);
preg_match_all('~#/components/schemas/(\w+)~', json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), $asked);
$missing = array_diff(array_unique($asked[1]), array_keys($document['components']['schemas']));
$missing === [] || exit('No schema is called '.implode(', ', $missing)."\n");
$unused = array_diff(array_keys($document['components']['schemas']), $asked[1]);
$unused === [] || exit('Nothing gives or takes '.implode(', ', $unused)."\n");
file_put_contents(
    $argv[1], json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n",
);
