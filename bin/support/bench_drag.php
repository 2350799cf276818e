<?php

/**
 * Drags the radius of an orbit a hundred times in a real Chromium and prints how long each drag took, from the input
 * event to the redrawn picture: bench_drag.php ADDRESS EMAIL PASSWORD
 */

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Larkspur\Measure\Statistics;
use Tests\Browser\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$_, $address, $email, $password] = $argv;
$chrome = Chrome::open($address);
$chrome->signIn($email, $password)->visit('/plan');
$chrome->see('[data-picture=frame-strip] svg');
$measures = static fn (): array => $chrome->script("return performance.getEntriesByName('larkspur:redraw').map((entry) => entry.duration)");
$drag = static function (string $handle, callable $step) use ($chrome, $measures): array {
    $before = count($measures());
    for ($i = 0; $i < 100; $i++) {
        $seen = count($measures());
        $step($i);
        $chrome->waitUntil(static fn (): bool => count($measures()) > $seen, $handle.' was not redrawn');
    }

    return array_map(floatval(...), array_values(array_slice($measures(), $before)));
};
// A pointer that goes back and forth with the start handle: radius and bearing change at every event.
$point = $chrome->script("const box = document.querySelector('[data-handle=start]').getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height / 2]");
$event = static fn (string $type, float $x, float $y) => $chrome->script(
    "document.querySelector('[data-handle=start]').dispatchEvent(new PointerEvent(arguments[0], { bubbles: true, pointerId: 1, clientX: arguments[1], clientY: arguments[2], isPrimary: true }))",
    [$type, $x, $y],
);
$chrome->script('Element.prototype.setPointerCapture = () => {}');
$event('pointerdown', $point[0], $point[1]);
$handle = $drag('the start handle', static fn (int $i) => $event('pointermove', $point[0] + 0.4 * ($i % 40), $point[1] + 0.7 * ($i % 25)));
$event('pointerup', $point[0], $point[1]);
// Arrow keys on the pace dial.
$dial = $chrome->driver->findElement(Facebook\WebDriver\WebDriverBy::cssSelector('[role=slider][aria-label="Pace"]'));
$keys = $drag('the pace dial', static fn (int $i) => $dial->sendKeys($i % 20 < 10 ? WebDriverKeys::ARROW_RIGHT : WebDriverKeys::ARROW_LEFT));
$chrome->close();
foreach (['drag of the start handle to redrawn picture' => $handle, 'arrow key on the pace dial to redrawn picture' => $keys] as $what => $spent) {
    printf("%-64s median %8.1f ms   95 %% %8.1f ms   bar 95 %% under 100 ms (%d drags)\n", $what, Statistics::median($spent), Statistics::percentile($spent, 95), count($spent));
}
