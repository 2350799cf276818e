<?php

/**
 * Drags a handle of a shot, presses a key on a dial and pulls a curve of a rig, each a hundred times, in a real Chromium and prints how
 * long each took, from the input event to the redrawn picture: bench_drag.php ADDRESS EMAIL PASSWORD
 */

declare(strict_types=1);

use Larkspur\Measure\Statistics;
use Tests\Browser\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$_, $address, $email, $password] = $argv;
$chrome = Chrome::open($address);
$chrome->signIn($email, $password);

/** A hundred drags, ms each; $step does one of them. */
$drag = static function (string $what, string $name, callable $step) use ($chrome): array {
    $measures = static fn (): array => $chrome->script('return performance.getEntriesByName(arguments[0]).map((entry) => entry.duration)', [$name]);
    // Ten that are not counted: php-fpm has just started and compiles what is called often.
    for ($i = -10, $before = 0; $i < 100; $i++) {
        $before = $i === 0 ? count($measures()) : $before;
        $step($i + 10);
        usleep(400_000);
    }
    $chrome->waitUntil(static fn (): bool => count($measures()) - $before >= 95, $what.' was not redrawn');

    return array_map(floatval(...), array_values(array_slice($measures(), $before)));
};
// The browser’s own input events, one after the other without a question in between, which would take time of its own.
$mouse = static fn (string $type, float $x, float $y) => $chrome->devTools(
    'Input.dispatchMouseEvent',
    ['type' => $type, 'x' => $x, 'y' => $y, 'button' => 'left', 'buttons' => $type === 'mouseReleased' ? 0 : 1, 'clickCount' => 1],
);
/** A handle pulled about by a pointer: $way gives how far from where it was taken, px, at each event. */
$pull = static function (string $what, string $name, string $handle, float $grip, callable $way) use ($chrome, $drag, $mouse): array {
    $chrome->see($handle);
    [$x, $y] = $chrome->script('const box = document.querySelector(arguments[0]).getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height * arguments[1]]', [$handle, $grip]);
    $mouse('mousePressed', $x, $y);
    $spent = $drag($what, $name, static function (int $i) use ($mouse, $way, $x, $y): void {
        [$dx, $dy] = $way($i);
        $mouse('mouseMoved', $x + $dx, $y + $dy);
    });
    $mouse('mouseReleased', $x, $y);

    return $spent;
};
// Radius and bearing change at every event.
$there = static fn (int $i): array => [0.4 * ($i % 40), 1 + 0.7 * ($i % 25)];

$rigs = $chrome->api('/rigs');
$orbit = static fn (string $title, int $site, string $subject): array => $chrome->api('/shots', [
    'title' => $title, 'site_id' => $site, 'rig_id' => $rigs[0]['id'], 'mode' => 'standard', 'move' => 'orbit', 'subject_id' => $subject,
    'parameters' => ['radius_m' => 30, 'height_m' => 14],
]);
// The sheet of the demo with the most on it; not the one of three hundred things that an earlier run left.
[$ring] = array_values(array_filter($chrome->api('/sites'), static fn (array $site): bool => $site['name'] === 'The ring of seven stones'));
$demo = $chrome->api('/sites/'.$ring['id']);
$shot = $orbit('A drag measured', $demo['id'], $demo['subjects'][0]['id']);
$chrome->visit('/plan/'.$shot['id'])->see('[data-picture=frame-strip] svg');
$handle = $pull('The start handle', 'larkspur:redraw', '[data-handle=start]', 0.5, $there);
// Arrow keys on the pace dial.
$chrome->script("document.querySelector('[role=slider][aria-label=\"Pace\"]').focus()");
$keys = $drag('The pace dial', 'larkspur:redraw', static function (int $i) use ($chrome): void {
    $key = $i % 20 < 10
        ? ['key' => 'ArrowRight', 'code' => 'ArrowRight', 'windowsVirtualKeyCode' => 39]
        : ['key' => 'ArrowLeft', 'code' => 'ArrowLeft', 'windowsVirtualKeyCode' => 37];
    $chrome->devTools('Input.dispatchKeyEvent', ['type' => 'rawKeyDown', ...$key]);
    $chrome->devTools('Input.dispatchKeyEvent', ['type' => 'keyUp', ...$key]);
});
// The same handle on a site of 300 obstacles.
$solids = [];
mt_srand(5);
for ($i = 0; $i < 300; $i++) {
    $solids[] = [
        'id' => "thing-$i", 'name' => "thing $i", 'role' => 'obstacle', 'shape' => 'box', 'east_m' => mt_rand(-2500, 2500) / 10,
        'north_m' => mt_rand(-2500, 2500) / 10, 'base_m' => 0, 'width_m' => 3, 'length_m' => 5, 'height_m' => mt_rand(20, 90) / 10,
        'heading_deg' => 0,
    ];
}
$site = $chrome->api(
    '/sites',
    [
        'name' => 'Three hundred things',
        'document' => [
            'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'ceiling_m' => 120, 'sight_line_m' => 300, 'solids' => $solids,
        ],
        'subjects' => [['id' => 'stone', 'name' => 'stone', 'east_m' => 20, 'north_m' => 40, 'up_m' => 2, 'base_m' => 0]],
    ],
);
$chrome->visit('/plan/'.$orbit('Among three hundred things', $site['id'], 'stone')['id']);
$many = $pull('The start handle among 300', 'larkspur:redraw', '[data-handle=start]', 0.5, $there);
// A pointer that pulls the curve of the turn up and down.
$chrome->visit('/rig');
$curve = $pull(
    'The curve', 'larkspur:rig', '[data-finger=turn] [data-handle=curve]', 0.55,
    static fn (int $i): array => [0.5 * ($i % 30), -0.6 * ($i % 33)],
);
$chrome->close();
foreach ([
    'drag of the start handle to redrawn picture' => [$handle, 100], 'arrow key on the pace dial to redrawn picture' => [$keys, 100],
    'drag of the start handle among 300 obstacles' => [$many, 150], 'drag of a curve to redrawn response' => [$curve, 60],
] as $what => [$spent, $bar]) {
    printf("%-64s median %8.1f ms   95 %% %8.1f ms   bar 95 %% under %d ms (%d drags)\n", $what, Statistics::median($spent), Statistics::percentile($spent, 95), $bar, count($spent));
}
