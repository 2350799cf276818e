<?php

/**
 * Fly in a real Chromium, slowed four times: bench_fly.php ADDRESS. A minute of an orbit in gusts among a hundred things: script time of
 * each frame, steps against the clock, the time from an input to the step that uses it, from the end of a pass to its petal, and from a
 * warm start to the cockpit. The picture is drawn in software here, so frame times are told apart.
 */

declare(strict_types=1);

use Tests\Browser\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$chrome = Chrome::open($argv[1]);
$chrome->signIn('ines@skerrow.example', 'kelp-and-stone');
$tell = static function (string $what, string $value, string $bar): void {
    printf("%-64s        %12s    %s\n", $what, $value, $bar);
};

// A site of a hundred things about an orbit.
$drawn = $chrome->api('/sites/'.$chrome->api('/sites')[0]['id']);
$rig = $chrome->api('/rigs')[0]['id'];
$solids = [];
for ($k = 0; $k < 100; $k++) {
    $solids[] = [
        'id' => "b$k", 'name' => "Box $k", 'role' => 'obstacle', 'shape' => $k % 2 === 0 ? 'box' : 'cylinder',
        'east_m' => 60 * cos($k) + $k % 7, 'north_m' => 120 + 60 * sin($k), 'base_m' => 0, 'width_m' => 2, 'length_m' => 3, 'height_m' => 3,
    ];
}
$site = $chrome->api('/sites', [
    ...$drawn, 'name' => 'A hundred things', 'document' => [...$drawn['document'], 'solids' => $solids],
])['id'];
$exercise = [
    'kind' => 'plan', 'seed' => 11,
    'draft' => [
        'site_id' => $site, 'rig_id' => $rig, 'mode' => 'standard', 'move' => 'orbit',
        'subject_at' => ['east_m' => 0, 'north_m' => 120, 'aim_m' => 2],
        'parameters' => ['radius_m' => 25, 'arc_deg' => 300, 'pace_mps' => 2],
    ],
    'conditions' => ['wind' => ['from_deg' => 240, 'mean_mps' => 5, 'gust_mps' => 8]],
];
$asked = ['exercise' => $exercise, 'aids' => ['ghost', 'ghost-fingers'], 'grid' => 'thirds'];
$address = '/cockpit?e='.rawurlencode((string) json_encode($asked));
$chrome->visit($address)->see('[data-begin]', 40);
$warm = $staged = [];
for ($k = 0; $k < 5; $k++) {
    $chrome->visit($address)->see('[data-begin]', 40);
    $seen = static fn (string $name): array => $chrome->script(
        'return performance.getEntriesByName(arguments[0]).map((one) => one.startTime)', [$name],
    );
    $chrome->waitUntil(static fn (): bool => $seen('larkspur:staged') !== [], 'No stage.', 40);
    $at = static fn (string $name): float => (float) $seen($name)[0];
    $warm[] = $at('larkspur:ready') / 1000;
    $staged[] = $at('larkspur:staged') / 1000;
}
sort($warm);
sort($staged);
$tell('Fly: the cockpit from a warm start, slowest of five', sprintf('%.2f s', $warm[4]), 'bar under 1.5 s');
$tell('Fly: its world with a hundred things, slowest of five', sprintf('%.2f s', $staged[4]), '3D in software');

/** A minute of it, slowed four times: script of a frame, time between frames, seconds flown by those of the clock. */
$minute = static function (Chrome $chrome) use ($address): array {
    $chrome->visit($address)->see('[data-begin]', 40);
    sleep(4);
    $chrome->devTools('Emulation.setCPUThrottlingRate', ['rate' => 4]);
    $chrome->script(<<<'JS'
        window.frames_ = []; window.spent_ = [];
        const ask = window.requestAnimationFrame.bind(window);
        let last = 0;
        window.requestAnimationFrame = (call) => ask((at) => {
          const began = performance.now();
          call(at);
          window.spent_.push(performance.now() - began);
          if (last > 0) window.frames_.push(at - last);
          last = at;
        });
        JS);
    $chrome->find('[data-begin]')->click();
    $chrome->waitUntil(static fn (): bool => $chrome->attribute('main', 'data-phase') === 'flying', 'It does not fly.');
    sleep(2);
    $clock = static fn (): array => $chrome->script(<<<'JS'
        const [minutes, seconds] = document.querySelector('header .figure').textContent.split(':').map(Number);
        return [60 * minutes + seconds, performance.now() / 1000];
        JS);
    $chrome->type(' ');
    sleep(1);
    [$from, $began] = $clock();
    sleep(60);
    [$to, $ended] = $clock();
    $spent = $chrome->script('return window.spent_');
    $frames = $chrome->script('return window.frames_');
    sort($spent);
    sort($frames);
    $chrome->devTools('Emulation.setCPUThrottlingRate', ['rate' => 1]);

    return [$spent[(int) (0.95 * count($spent))], $frames[intdiv(count($frames), 2)], $to - $from, $ended - $began];
};
// Without 3D: drawing is told apart, since it is done in software here.
$sheets = Chrome::open($argv[1], ['--disable-3d-apis']);
$sheets->signIn('ines@skerrow.example', 'kelp-and-stone');
[$spent, $_, $flown, $past] = $minute($sheets);
$tell('Fly: script time of a frame, 95 %, at a quarter of the speed', sprintf('%.1f ms', $spent), 'bar under 16 ms, 3D apart');
$tell('Fly: seconds flown in a minute of the clock, the same', sprintf('%.1f of %.1f', $flown, $past), 'no step missed: within 0.2 s');
for ($k = 0; $k < 120; $k++) {
    $sheets->devTools('Input.dispatchKeyEvent', [
        'type' => $k % 2 === 0 ? 'keyDown' : 'keyUp', 'key' => 'u', 'text' => $k % 2 === 0 ? 'u' : '',
    ]);
    usleep(30_000);
}
$felt = $sheets->script('return performance.getEntriesByName("larkspur:felt").map((one) => one.duration)');
sort($felt);
$tell('Fly: from a key to the step that uses it, 95 %', sprintf('%.1f ms', $felt[(int) (0.95 * count($felt))]), 'bar 20 ms');

$sheets->close();
[$spent, $frame, $flown, $past] = $minute($chrome);
$tell('Fly: the same with 3D in software: script, between frames', sprintf('%.0f, %.0f ms', $spent, $frame), 'told apart');
$tell('Fly: seconds flown in a minute of the clock, with 3D', sprintf('%.1f of %.1f', $flown, $past), 'no step missed: within 0.2 s');

/** @return float seconds from the end of a pass of 30 s to its petal, the slowest of three */
$petal = static function (Chrome $chrome) use ($address): float {
    $times = [];
    for ($k = 0; $k < 3; $k++) {
        $chrome->visit($address)->see('[data-begin]', 40);
        $chrome->waitUntil(
            static fn (): bool => $chrome->script('return performance.getEntriesByName("larkspur:ready").length > 0'), 'No stage.', 40,
        );
        $chrome->find('[data-begin]')->click();
        $chrome->waitUntil(static fn (): bool => $chrome->attribute('main', 'data-phase') === 'flying', 'It does not fly.');
        $chrome->type(' ');
        sleep(3);
        // Something has to move for a pass.
        $key = static fn (string $type): mixed => $chrome->script(
            'document.body.dispatchEvent(new KeyboardEvent(arguments[0], { key: "i", bubbles: true }))', [$type],
        );
        $key('keydown');
        sleep(5);
        $key('keyup');
        sleep(22);
        $chrome->script(<<<'JS'
            window.ended_ = performance.now();
            window.petal_ = null;
            const seen = new MutationObserver(() => {
              if (document.querySelector('section a[href^="/debrief/"]')) window.petal_ ??= performance.now();
            });
            seen.observe(document.body, { subtree: true, childList: true });
            document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
            JS);
        $chrome->waitUntil(static fn (): bool => $chrome->script('return window.petal_ !== null') === true, 'No petal.', 30);
        $times[] = (float) $chrome->script('return window.petal_ - window.ended_') / 1000;
    }

    return max($times);
};
$tell('Fly: from the end of a pass of 30 s to its petal, slowest of three', sprintf('%.2f s', $petal($chrome)), 'bar under 1.5 s');

/** MB of the heap after its rubbish was collected. */
$heap = static function (Chrome $chrome): float {
    $chrome->devTools('HeapProfiler.collectGarbage');

    return $chrome->devTools('Runtime.getHeapUsage')['usedSize'] / 1e6;
};
$free = ['kind' => 'free'] + $exercise;
$chrome->visit('/cockpit?e='.rawurlencode((string) json_encode(['exercise' => $free, 'aids' => [], 'grid' => 'none'])))
    ->see('[data-begin]', 40)->click();
sleep(20);
$before = $heap($chrome);
sleep(600);
$tell('Fly: memory that ten minutes of free flight take', sprintf('%.1f MB', $heap($chrome) - $before), 'bar 20 MB');
$chrome->close();
