<?php

/**
 * Drags the radius of an orbit, and a curve of a rig, a hundred times in a real Chromium and prints how long each drag took, from the input
 * event to the redrawn picture: bench_drag.php ADDRESS EMAIL PASSWORD
 */

declare(strict_types=1);

use Larkspur\Measure\Statistics;
use Tests\Browser\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$_, $address, $email, $password] = $argv;
$chrome = Chrome::open($address);
$chrome->signIn($email, $password)->visit('/plan');
$chrome->see('[data-picture=frame-strip] svg');
$measures = static fn (string $name): array => $chrome->script('return performance.getEntriesByName(arguments[0]).map((entry) => entry.duration)', [$name]);
// The browser’s own input events, one after the other without a question in between, which would take time of its own.
$drag = static function (string $what, string $name, callable $step) use ($chrome, $measures): array {
    // Ten that are not counted: php-fpm has just started and compiles what is called often.
    for ($i = -10, $before = 0; $i < 100; $i++) {
        $before = $i === 0 ? count($measures($name)) : $before;
        $step($i);
        usleep(400_000);
    }
    $chrome->waitUntil(static fn (): bool => count($measures($name)) - $before >= 95, $what.' was not redrawn');

    return array_map(floatval(...), array_values(array_slice($measures($name), $before)));
};
$mouse = static fn (string $type, float $x, float $y) => $chrome->devTools('Input.dispatchMouseEvent', ['type' => $type, 'x' => $x, 'y' => $y, 'button' => 'left', 'buttons' => $type === 'mouseReleased' ? 0 : 1, 'clickCount' => 1]);
// A pointer that goes back and forth with the start handle: radius and bearing change at every event.
[$x, $y] = $chrome->script("const box = document.querySelector('[data-handle=start]').getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height / 2]");
$mouse('mousePressed', $x, $y);
$handle = $drag('The start handle', 'larkspur:redraw', static fn (int $i) => $mouse('mouseMoved', $x + 0.4 * (($i + 10) % 40), $y + 1 + 0.7 * (($i + 10) % 25)));
$mouse('mouseReleased', $x, $y);
// Arrow keys on the pace dial.
$chrome->script("document.querySelector('[role=slider][aria-label=\"Pace\"]').focus()");
$keys = $drag('The pace dial', 'larkspur:redraw', static function (int $i) use ($chrome): void {
    $key = $i % 20 < 10 ? ['key' => 'ArrowRight', 'code' => 'ArrowRight', 'windowsVirtualKeyCode' => 39] : ['key' => 'ArrowLeft', 'code' => 'ArrowLeft', 'windowsVirtualKeyCode' => 37];
    $chrome->devTools('Input.dispatchKeyEvent', ['type' => 'rawKeyDown', ...$key]);
    $chrome->devTools('Input.dispatchKeyEvent', ['type' => 'keyUp', ...$key]);
});
// The same start handle on a site of 300 obstacles.
$solids = [];
mt_srand(5);
for ($i = 0; $i < 300; $i++) {
    $solids[] = ['id' => "thing-$i", 'name' => "thing $i", 'role' => 'obstacle', 'shape' => 'box', 'east_m' => mt_rand(-2500, 2500) / 10, 'north_m' => mt_rand(-2500, 2500) / 10, 'base_m' => 0, 'width_m' => 3, 'length_m' => 5, 'height_m' => mt_rand(20, 90) / 10, 'heading_deg' => 0];
}
$site = $chrome->api('/sites', ['name' => 'Three hundred things', 'document' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'ceiling_m' => 120, 'sight_line_m' => 300, 'solids' => $solids], 'subjects' => [['id' => 'stone', 'name' => 'stone', 'east_m' => 20, 'north_m' => 40, 'up_m' => 2, 'base_m' => 0]]]);
$rigs = $chrome->api('/rigs');
$shot = $chrome->api('/shots', ['title' => 'Among three hundred things', 'site_id' => $site['id'], 'rig_id' => $rigs[0]['id'], 'mode' => 'standard', 'move' => 'orbit', 'subject_id' => 'stone', 'parameters' => ['radius_m' => 30, 'height_m' => 14]]);
$chrome->visit('/plan/'.$shot['id'])->see('[data-handle=start]');
[$x, $y] = $chrome->script("const box = document.querySelector('[data-handle=start]').getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height / 2]");
$mouse('mousePressed', $x, $y);
$many = $drag('The start handle among 300', 'larkspur:redraw', static fn (int $i) => $mouse('mouseMoved', $x + 0.4 * (($i + 10) % 40), $y + 1 + 0.7 * (($i + 10) % 25)));
$mouse('mouseReleased', $x, $y);
// A pointer that pulls the curve of the turn up and down.
$chrome->visit('/rig')->see('[data-finger=turn] [data-handle=curve]');
[$x, $y] = $chrome->script("const box = document.querySelector('[data-finger=turn] [data-handle=curve]').getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height * 0.55]");
$mouse('mousePressed', $x, $y);
$curve = $drag('The curve', 'larkspur:rig', static fn (int $i) => $mouse('mouseMoved', $x + 0.5 * (($i + 10) % 30), $y - 0.6 * (($i + 10) % 33)));
$mouse('mouseReleased', $x, $y);
$chrome->close();
foreach (['drag of the start handle to redrawn picture' => [$handle, 100], 'arrow key on the pace dial to redrawn picture' => [$keys, 100], 'drag of the start handle among 300 obstacles' => [$many, 150], 'drag of a curve to redrawn response' => [$curve, 60]] as $what => [$spent, $bar]) {
    printf("%-64s median %8.1f ms   95 %% %8.1f ms   bar 95 %% under %d ms (%d drags)\n", $what, Statistics::median($spent), Statistics::percentile($spent, 95), $bar, count($spent));
}
