<?php

/** Writes every package that ships, with its licence as it comes with it: licences.php OUT. Run when the pages are built. */

declare(strict_types=1);

$root = dirname(__DIR__, 2);

/** The text of a licence that lies beside a package; empty where none does. */
function licenceText(string $folder): string
{
    foreach (scandir($folder) ?: [] as $name) {
        if (preg_match('/^(licen[cs]e|copying|ofl|unlicense)([.-].*)?$/i', $name) === 1 && is_file("$folder/$name")) {
            return trim((string) file_get_contents("$folder/$name"));
        }
    }

    return '';
}

$packages = [];
$lock = json_decode((string) file_get_contents($root.'/package-lock.json'), true, flags: JSON_THROW_ON_ERROR);
foreach ($lock['packages'] as $path => $one) {
    $folder = $root.'/'.$path;
    // What only builds or tests does not ship; what is for another machine was not installed.
    if ($path === '' || ($one['dev'] ?? false) || ($one['devOptional'] ?? false) || ! is_dir($folder)) {
        continue;
    }
    $said = json_decode((string) file_get_contents($folder.'/package.json'), true);
    $name = substr($path, (int) strrpos($path, 'node_modules/') + 13);
    $packages[] = [
        'name' => $name, 'version' => $one['version'] ?? '', 'kind' => str_contains($name, 'font') ? 'font' : 'script',
        'licence' => is_string($said['license'] ?? null) ? $said['license'] : (
            $one['license'] ?? 'see its text'
        ), 'text' => licenceText($folder),
    ];
}
$installed = json_decode((string) file_get_contents($root.'/vendor/composer/installed.json'), true, flags: JSON_THROW_ON_ERROR);
foreach ($installed['packages'] as $one) {
    if (in_array($one['name'], $installed['dev-package-names'] ?? [], true) || str_starts_with($one['name'], 'larkspur/')) {
        continue;
    }
    $packages[] = [
        'name' => $one['name'], 'version' => ltrim($one['version'], 'v'), 'kind' => 'PHP', 'licence' => implode(
            ' or ', $one['license'] ?? [],
        ),
        'text' => licenceText($root.'/vendor/'.$one['name']),
    ];
}
$packages[] = [
    'name' => 'common passwords', 'version' => '', 'kind' => 'list', 'licence' => 'MIT', 'text' => trim(
        (string) file_get_contents($root.'/resources/passwords/LICENSE.txt'),
    ),
];
usort($packages, static fn (array $a, array $b): int => strcasecmp($a['name'], $b['name']));
$packages = array_values(array_unique($packages, SORT_REGULAR));
file_put_contents($argv[1], json_encode($packages, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");
