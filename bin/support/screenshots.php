<?php

/** One picture of each main view of the demo school: screenshots.php ADDRESS FOLDER */

declare(strict_types=1);

use Tests\Browser\Chrome;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[$_, $address, $folder] = $argv;
const DESK = [1280, 800];
const UPRIGHT = [820, 1180];
is_dir($folder) || mkdir($folder, recursive: true);

$debrief = static function (Chrome $chrome, callable $before): string {
    $takes = $chrome->api('/takes')['takes'];
    usort($takes, $before);

    return '/debrief/'.$takes[0]['id'];
};
$best = static fn (array $one, array $other): int => $other['score'] <=> $one['score'];
$worst = static fn (array $one, array $other): int => $one['score'] <=> $other['score'];

/**
 * @var array<string, array{
 *     who: ?string, open: string|callable(Chrome): string, sign: string, size?: array{int, int}, theme?: string, press?: string,
 * }> $views
 */
$views = [
    'today' => ['who' => 'tobias', 'open' => '/', 'sign' => 'h1'],
    'rig' => ['who' => 'tobias', 'open' => '/rig', 'sign' => '[data-picture=curve-card]'],
    'rig-try' => ['who' => 'tobias', 'open' => '/rig/try', 'sign' => '[data-pad]', 'press' => '[data-flick]'],
    'rig-advise' => ['who' => 'ines', 'open' => '/rig/advise', 'sign' => '[data-advice]'],
    'rig-history' => ['who' => 'tobias', 'open' => '/rig/history', 'sign' => '[data-version]'],
    'plan' => ['who' => 'tobias', 'open' => '/plan', 'sign' => '[data-picture=frame-strip] svg'],
    'plan-lens' => ['who' => 'tobias', 'open' => '/plan', 'sign' => '[data-picture=frame-strip] svg', 'press' => '[data-tab=lens]'],
    'plan-site' => ['who' => 'ines', 'open' => '/plan/sites', 'sign' => '[data-picture=draw-board] svg'],
    'plan-light' => ['who' => 'tobias', 'open' => '/plan/light?date=2027-05-18', 'sign' => '[data-picture=sun-day] svg', 'theme' => 'dark'],
    'plan-day' => ['who' => 'tobias', 'open' => '/plan/days/1', 'sign' => '[data-picture=day-chart] [data-slot]'],
    'field' => ['who' => 'tobias', 'open' => '/field/1', 'sign' => '[data-field=ok]', 'size' => UPRIGHT, 'theme' => 'field'],
    'moves' => ['who' => 'tobias', 'open' => '/plan/moves/pull-away', 'sign' => '[data-picture=frame-strip] svg'],
    'fly' => [
        'who' => 'tobias', 'sign' => '[data-begin]', 'press' => '[data-begin]',
        'open' => static fn (Chrome $chrome): string => '/cockpit?e='.rawurlencode((string) json_encode([
            'exercise' => ['shot_id' => $chrome->api('/shots')[0]['id'], 'seed' => 7, 'conditions' => new stdClass],
            'aids' => ['ghost', 'ghost-fingers'], 'grid' => 'thirds',
        ])),
    ],
    'debrief-clean' => ['who' => 'tobias', 'open' => static fn (Chrome $chrome) => $debrief($chrome, $best), 'sign' => '[data-role=clock]'],
    'debrief-faulty' => [
        'who' => 'anselm', 'open' => static fn (Chrome $chrome) => $debrief($chrome, $worst), 'sign' => '[data-role=clock]',
    ],
    'progress-class' => ['who' => 'ines', 'open' => '/progress?room=class', 'sign' => '[data-operator]'],
    'progress-ladder' => ['who' => 'juno', 'open' => '/progress?room=ladder', 'sign' => '[data-step]'],
    'progress-standing' => ['who' => 'wick', 'open' => '/progress?room=standing', 'sign' => '[data-picture=standing] circle'],
    'school' => ['who' => 'ines', 'open' => '/school', 'sign' => '[data-person]'],
];

$chrome = Chrome::open($address);
foreach ($views as $name => $view) {
    $chrome->forget();
    if ($view['who'] !== null) {
        $chrome->signIn($view['who'].'@skerrow.example', 'kelp-and-stone');
    }
    $chrome->resize(...($view['size'] ?? DESK));
    $chrome->visit(is_string($view['open']) ? $view['open'] : $view['open']($chrome))->see($view['sign']);
    $chrome->script('document.documentElement.dataset.theme = arguments[0]', [$view['theme'] ?? 'light']);
    isset($view['press']) && $chrome->find($view['press'])->click();
    $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, "$name stays busy.");
    usleep(900_000);
    $chrome->shoot("$folder/$name.png");
    echo "$folder/$name.png\n", implode('', array_map(static fn (string $complaint): string => "  ! $complaint\n", $chrome->complaints()));
}
$chrome->close();
