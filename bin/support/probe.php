<?php

/**
 * What bin/probe asks of a server that runs on loopback: probe.php ADDRESS PART [HOW MUCH]. Every part has fixed seeds, prints what it
 * found
 * and exits with 1 where something was lost, doubled, stuck, cut, or answered with an error of the server's own.
 */

declare(strict_types=1);

use Demo\Rigs;
use Larkspur\Flight\Recorder;
use Larkspur\Telemetry\Formats;
use Larkspur\Training\Lesson;

require dirname(__DIR__, 2).'/vendor/autoload.php';

/** Somebody at a browser: signs in once, keeps cookies, sends what they are told to. */
final class Visitor
{
    /** @var non-empty-string */
    private string $cookies;

    public float $seconds = 0.0;

    public string $raw = '';

    public function __construct(private readonly string $address)
    {
        $this->cookies = tempnam(sys_get_temp_dir(), 'visitor') ?: throw new RuntimeException('No file for cookies.');
    }

    public function __destruct()
    {
        @unlink($this->cookies);
    }

    public function signIn(string $email, string $password = 'kelp-and-stone'): self
    {
        $this->send('GET', '/sanctum/csrf-cookie');
        $status = $this->send('POST', '/api/v1/session', ['email' => $email, 'password' => $password])[0];
        $status === 200 || throw new RuntimeException("$email could not sign in: $status $this->raw");

        return $this;
    }

    /**
     * @param  mixed  $body  JSON where an array or a scalar; sent as it is where a string that begins with "raw:"
     * @param  array<string, array{string, string}>  $files  name => [file name, bytes]: then the body goes as a form
     * @return array{int, mixed} status (0 without a whole answer) and what was answered
     */
    public function send(string $method, string $path, mixed $body = null, array $files = [], float $patience = 130.0): array
    {
        $curl = $this->prepared($method, $path, $body, $files, $patience);
        $began = hrtime(true);
        $answer = curl_exec($curl);
        $this->seconds = (hrtime(true) - $began) / 1e9;
        $this->raw = is_string($answer) ? $answer : '';
        // An answer whose server was ended between its first line and its last is none: nobody has read what it said.
        $status = is_string($answer) ? (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE) : 0;
        curl_close($curl);

        return [$status, json_decode($this->raw, true)];
    }

    /** @param  array<string, array{string, string}>  $files */
    public function prepared(string $method, string $path, mixed $body = null, array $files = [], float $patience = 130.0): CurlHandle
    {
        $curl = curl_init($this->address.$path);
        $headers = ['Accept: application/json', 'Origin: '.$this->address, 'X-XSRF-TOKEN: '.$this->token()];
        if ($files !== []) {
            $parts = is_array($body) ? array_map(strval(...), $body) : [];
            foreach ($files as $name => [$file, $bytes]) {
                $parts[$name] = new CURLStringFile($bytes, $file, 'application/octet-stream');
            }
            curl_setopt($curl, CURLOPT_POSTFIELDS, $parts);
        } elseif ($body !== null) {
            $headers[] = 'Content-Type: application/json';
            curl_setopt(
                $curl, CURLOPT_POSTFIELDS,
                is_string($body) && str_starts_with($body, 'raw:') ? substr($body, 4) : (string) json_encode(
                    $body, JSON_PARTIAL_OUTPUT_ON_ERROR,
                ),
            );
        }
        curl_setopt_array($curl, [
            CURLOPT_CUSTOMREQUEST => $method === ''
                ? 'GET' : $method, CURLOPT_HTTPHEADER => $headers, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $this->cookies,
            CURLOPT_COOKIEFILE => $this->cookies, CURLOPT_TIMEOUT_MS => (int) (1000 * $patience),
        ]);

        return $curl;
    }

    private function token(): string
    {
        return preg_match('/XSRF-TOKEN\t(\S+)/', (string) @file_get_contents($this->cookies), $match) === 1 ? urldecode($match[1]) : '';
    }
}

/** Whether a machine is quiet enough for times to count. */
function onQuietMachine(): bool
{
    return getenv('PROBE_TIMED') !== 'no';
}

/** A log that any operator could have flown; another one for each number. */
function aLog(int $seed): string
{
    static $plan = null;
    $rig = Rigs::all()['lapwing'];
    $plan ??= Lesson::planned('orbit', $rig, 'standard', $rig['camera']);

    return implode(
        '', [...Formats::writer('pass.csv')->write(Recorder::fair()->record($plan->move->flight, $plan->shot->site->frame(), $seed))],
    );
}

/** @return list<mixed> what nobody types, and somebody sends */
function nasties(): array
{
    return [
        null, '', 0, -1, 1e308, -1e20, 9223372036854775807, 1.5, true, [], [[]], ['x' => 1], 'x', str_repeat('long ', 2000), '99999-01-01',
        '0000-00-00', '2026-02-30', '<script>alert(1)</script>', "' OR 1=1 --", '../../../etc/passwd',
        "nul\0byte", '😀', array_fill(0, 3000, 1),
        ['a' => ['b' => ['c' => ['d' => ['e' => 1]]]]], '-1e400', 'NaN', '%00', 'eyJpZCI6MX0', '{"id":[1]}', 1e-320, ['$gt' => ''],
    ];
}

/** @return array<string, int> records that a bad request must not add to */
function records(Visitor $visitor): array
{
    $many = [];
    foreach (
        ['shots', 'sites', 'days', 'rigs', 'crafts', 'takes', 'imports', 'people', 'invitations', 'tokens', 'column-mappings'] as $list
    ) {
        $many[$list] = count($visitor->send('GET', "/api/v1/$list")[1] ?? []);
    }

    return $many;
}

/** Requests of every route, each with something wrong in it. */
function requests(string $address, int $many): int
{
    mt_srand(14);
    $api = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true);
    $visitors = [
        (new Visitor($address))->signIn('ines@skerrow.example'), (new Visitor($address))->signIn('tobias@skerrow.example'),
        new Visitor($address),
    ];
    $operations = [];
    foreach ($api['paths'] as $path => $methods) {
        foreach ($methods as $method => $operation) {
            // What ends the session or the people that the probe needs is left alone.
            $ends = in_array("$method $path", ['delete /session', 'delete /demo-school', 'put /school'], true)
                || ($method !== 'get' && str_starts_with($path, '/account'));
            if (! $ends && ! str_starts_with($path, '/people')) {
                $operations[] = [strtoupper($method), $path, $operation];
            }
        }
    }
    $nasty = nasties();
    $one = static fn () => $nasty[mt_rand(0, count($nasty) - 1)];
    $filled = static function (array $schema, int $depth) use (&$filled, $api, $one): mixed {
        if (isset($schema['$ref'])) {
            $schema = $api['components']['schemas'][basename($schema['$ref'])] ?? [];
        }
        if ($depth > 4 || mt_rand(0, 9) < 3) {
            return $one();
        }
        if (isset($schema['enum'])) {
            return $schema['enum'][0];
        }

        return match ($schema['type'] ?? '') {
            'object' => array_map(static fn (array $property): mixed => $filled($property, $depth + 1), $schema['properties'] ?? []),
            'array' => array_map(static fn (): mixed => $filled($schema['items'] ?? [], $depth + 1), range(1, mt_rand(1, 3))),
            'integer' => mt_rand(0, 3) === 0 ? $one() : mt_rand(1, 5), 'number' => mt_rand(0, 3) === 0 ? $one() : mt_rand(1, 50) / 2,
            'boolean' => (bool) mt_rand(0, 1), 'string' => mt_rand(0, 2) === 0 ? $one() : 'x', default => $one(),
        };
    };
    $before = records($visitors[0]);
    $statuses = [];
    $bad = [];
    $slow = [0.0, ''];
    for ($n = 0; $n < $many; $n++) {
        [$method, $path, $operation] = $operations[$n % count($operations)];
        $query = [];
        foreach ($operation['parameters'] ?? [] as $parameter) {
            $value = $parameter['in'] === 'path' && mt_rand(0, 3) > 0 ? mt_rand(1, 4) : $one();
            $text = is_array($value) ? 'a' : (string) json_encode($value, JSON_PARTIAL_OUTPUT_ON_ERROR);
            if ($parameter['in'] === 'path') {
                $path = str_replace('{'.$parameter['name'].'}', rawurlencode(trim($text, '"')), $path);
            } else {
                $query[$parameter['name']] = is_array($value) ? $value : trim($text, '"');
            }
        }
        $content = $operation['requestBody']['content'] ?? [];
        $body = $method === 'GET' ? null : ($content === [] ? $one() : $filled(array_values($content)[0]['schema'] ?? [], 0));
        if ($method !== 'GET' && mt_rand(0, 14) === 0) {
            $body = ['raw:{"a":', "raw:\xFF\xFE\x00", 'raw:'.str_repeat('[', 600), 'raw:[]', 'raw:null', 'raw:"text"'][mt_rand(0, 5)];
        }
        $visitor = $visitors[$n % 7 === 0 ? 2 : $n % 2];
        $full = '/api/v1'.$path.($query === [] ? '' : '?'.http_build_query($query));
        [$status] = $visitor->send($method, $full, $body);
        $statuses[$status] = ($statuses[$status] ?? 0) + 1;
        if ($visitor->seconds > $slow[0]) {
            $slow = [$visitor->seconds, "$method $path"];
        }
        if (($status >= 500 || $status === 0) || str_contains($visitor->raw, 'Stack trace') || str_contains($visitor->raw, '/vendor/')) {
            $bad[] = "$status $method $full ".substr((string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 300);
        }
    }
    ksort($statuses);
    foreach ($statuses as $status => $count) {
        printf("   %d: %d\n", $status, $count);
    }
    printf("   slowest %.2f s: %s\n", ...$slow);
    foreach (array_slice(array_unique($bad), 0, 20) as $line) {
        echo "   ! $line\n";
    }
    // Whatever was taken can be read: no list is down.
    foreach ($before as $list => $_) {
        [$status] = $visitors[0]->send('GET', "/api/v1/$list");
        if ($status !== 200) {
            $bad[] = $list;
            echo "   ! GET $list answers $status afterwards\n";
        }
    }

    return $bad === [] && ($slow[0] < 2.5 || ! onQuietMachine()) ? 0 : 1;
}

/** @return array<string, string> logs that were made to break something, by file name */
function hostileLogs(): array
{
    $header = "t,lat,lon,alt_m,heading_deg,gimbal_tilt_deg\n";
    $row = static fn (float|string $t, float|string $more = 0): string => "$t,57.6,-0.4,20,".(
        is_string($more) ? $more : fmod(10 * (float) $more, 360)
    ).",-20\n";
    $rows = static fn (int $n, callable $t): string => implode(
        '', array_map(static fn (int $i): string => $row($t($i), $i), range(0, $n - 1)),
    );
    $good = aLog(1);

    return [
        'empty.csv' => '', 'header.csv' => $header, 'one.csv' => $header.$row(0), 'nul.csv' => str_repeat("\0", 100000),
        'years.csv' => $header.$rows(
            300, static fn (int $i): float => $i * 31536000.0,
        ), 'apart.csv' => $header.$rows(600, static fn (int $i): float => $i * 10000.0),
        'gap.csv' => $header.$rows(300, static fn (int $i): float => $i * 0.1 + ($i > 150 ? 100000.0 : 0.0)),
        'back.csv' => $header.$rows(
            300, static fn (int $i): float => (300 - $i) * 0.1,
        ), 'same.csv' => $header.$rows(3000, static fn (int $i): float => 1.0),
        'infinite.csv' => $header.$row('1e400').$row('-1e400').$row('nan'), 'huge.csv' => $header.$row('1'.str_repeat('0', 5000)),
        'wide.csv' => 't,'.implode(
            ',', array_map(static fn (int $i): string => "c$i", range(1, 5000)),
        )."\n".implode(',', range(0, 5000))."\n",
        'quote.csv' => $header.'"'.str_repeat('x', 500000), 'one-line.csv' => str_repeat('x', 3000000), 'poles.csv' => $header.str_repeat(
            "1,90,180,1e9,0,0\n2,-90,-180,-1e9,0,0\n", 300,
        ),
        'wild.csv' => $header.implode(
            '', array_map(static fn (int $i): string => ($i / 10).','.(57 + sin($i) * 9).','.cos($i) * 99 .",20,0,-20\n", range(0, 3000)),
        ),
        'utf16.csv' => mb_convert_encoding($header.$row(1), 'UTF-16'), 'bom.csv' => "\xEF\xBB\xBF".$good, 'cut.csv' => substr($good, 0, -7),
        'binary.csv' => random_bytes(50000), 'dense.csv' => $header.$rows(60000, static fn (int $i): float => $i * 0.001),
        'entity.gpx' => '<?xml version="1.0"?><!DOCTYPE g [<!ENTITY a "x"><!ENTITY b "'.str_repeat('&a;', 1000).'"><!ENTITY c "'.str_repeat('&b;', 1000).'">]><gpx>&c;</gpx>',
        'outside.gpx' => '<?xml version="1.0"?><!DOCTYPE g [<!ENTITY a SYSTEM "file:///etc/passwd">]><gpx>&a;</gpx>',
        'deep.gpx' => str_repeat('<a>', 20000),
        'deep.geojson' => str_repeat('[', 20000), 'null.geojson' => 'null', 'open.kml' => '<kml><Document>',
        'track.geojson' => (string) json_encode(
            [
                'type' => 'Feature', 'geometry' => ['type' => 'LineString', 'coordinates' => array_fill(0, 50000, [0, 0, 0])],
                'properties' => null,
            ],
        ),
    ];
}

/** Hostile logs, with good ones between them: each ends, with words, and the good ones are judged meanwhile. */
function logs(string $address): int
{
    $visitor = (new Visitor($address))->signIn('tobias@skerrow.example');
    $bad = 0;
    $ids = [];
    foreach (hostileLogs() as $name => $bytes) {
        [$status, $said] = $visitor->send('POST', '/api/v1/imports', [], ['log' => [$name, $bytes]]);
        if ($status === 202) {
            $ids[$name] = $said['id'];
        } elseif ($status !== 422) {
            $bad++;
            echo "   ! $name is answered with $status\n";
        }
    }
    $began = microtime(true);
    $good = $visitor->send('POST', '/api/v1/imports', [], ['log' => ['good.csv', aLog(77)]])[1]['id'];
    $state = static fn (int $id): array => $visitor->send('GET', "/api/v1/imports/$id")[1] ?? [];
    while (in_array($state($good)['state'] ?? '', ['waiting', 'reading', 'judging'], true) && microtime(true) - $began < 90) {
        usleep(300000);
    }
    printf(
        "   a good log behind %d hostile ones is %s after %.1f s\n", count($ids), $state($good)['state'] ?? '?', microtime(true) - $began,
    );
    $bad += ($state($good)['state'] ?? '') === 'done' ? 0 : 1;
    $ends = [];
    foreach ($ids as $name => $id) {
        $one = $state($id);
        $ends[$one['state'] ?? '?'] = ($ends[$one['state'] ?? '?'] ?? 0) + 1;
        if (
            ! in_array($one['state'] ?? '', ['done', 'refused', 'columns', 'place'], true) || (
                ($one['state'] ?? '') === 'refused' && ($one['message'] ?? '') === ''
            )
        ) {
            $bad++;
            echo "   ! $name: ".json_encode(array_intersect_key($one, ['state' => 1, 'message' => 1]))."\n";
        }
        foreach ($one['takes'] ?? [] as $take) {
            [$status] = $visitor->send('GET', "/api/v1/takes/$take/replay");
            if (($visitor->seconds > 2.0 && onQuietMachine()) || $status >= 500) {
                $bad++;
                printf("   ! the replay of %s: %d in %.1f s\n", $name, $status, $visitor->seconds);
            }
        }
    }
    echo '   '.json_encode($ends)."\n";

    return $bad === 0 ? 0 : 1;
}

/** The dearest that may be asked, each within its limits: none takes more than two seconds. */
function costs(string $address): int
{
    $visitor = (new Visitor($address))->signIn('ines@skerrow.example');
    $site = $visitor->send('GET', '/api/v1/sites')[1][0]['id'];
    $drawn = $visitor->send('GET', "/api/v1/sites/$site")[1];
    $rig = $visitor->send('GET', '/api/v1/rigs')[1][0]['id'];
    $shots = $visitor->send('GET', '/api/v1/shots')[1];
    mt_srand(5);
    $ring = static function (float $e, float $n, int $corners, callable $r): array {
        $points = [];
        for ($k = 0; $k < $corners; $k++) {
            $a = 2 * M_PI * $k / $corners;
            $points[] = [round($e + $r($k, $a) * cos($a), 2), round($n + $r($k, $a) * sin($a), 2)];
        }

        return $points;
    };
    $wood = static fn (int $i, callable $r): array => [
        'id' => "w$i", 'name' => "Wood $i", 'role' => 'obstacle', 'shape' => 'canopy', 'base_m' => 0, 'height_m' => 9, 'clear_m' => 2,
        'points' => $ring(mt_rand(-400, 400), mt_rand(-400, 400), 400, $r),
    ];
    $box = static fn (int $i): array => [
        'id' => "b$i", 'name' => "Box $i", 'role' => 'obstacle', 'shape' => 'box',
        'east_m' => mt_rand(-300, 300), 'north_m' => mt_rand(-300, 300),
        'base_m' => 0, 'width_m' => 3, 'length_m' => 4, 'height_m' => 5,
    ];
    $with = static fn (array $solids, array $more = []): array => [
        ...$drawn, 'name' => 'A dear one', 'document' => [...$drawn['document'], 'solids' => $solids, ...$more],
    ];
    $woods = array_map(
        static fn (int $i): array => $wood($i, static fn (int $k, float $a): float => 12 * (1 + 0.1 * sin(7 * $a))), range(1, 300),
    );
    $stars = array_map(static fn (int $i): array => $wood($i, static fn (int $k): float => $k % 2 === 0 ? 40.0 : 4.0), range(1, 300));
    $tangle = array_map(static fn (): array => [mt_rand(-200, 200), mt_rand(-200, 200)], range(1, 400));
    $entry = ['uuid' => 'no', 'kind' => 'x', 'item' => 7, 'payload' => 'x', 'device' => null, 'made_at' => 'never'];
    $steps = "t,lat,lon,alt_m,heading_deg,gimbal_tilt_deg,stick_climb,stick_turn,stick_run,stick_slide,stick_tilt\n".implode('', array_map(
        static fn (int $i): string => ($i / 50).',57.6,'.(-0.4 + $i * 1e-7).',20,'.fmod($i * 0.3, 360).',-20,0,'.(
            $i % 200 < 100 ? 1 : 0
        ).",0,0,0\n", range(0, 60000),
    ));
    $made = $visitor->send('POST', '/api/v1/sites', $with($woods))[1];
    $draft = [
        'site_id' => $made['id'] ?? $site, 'rig_id' => $rig, 'mode' => 'standard', 'move' => 'orbit',
        'subject_id' => $drawn['subjects'][0]['id'], 'parameters' => ['radius_m' => 24],
    ];
    $day = $visitor->send('POST', '/api/v1/days', [
        'title' => 'Dear', 'date' => '2027-06-01', 'site_id' => $shots[0]['site_id'], 'document' => [
            'from' => '05:00', 'to' => '22:00', 'batteries' => [
                'count' => 12, 'minutes' => 25,
            ], 'shots' => array_slice(array_merge(...array_fill(0, 60, array_map(
                static fn (array $shot): array => ['shot_id' => $shot['id'], 'passes' => 3], array_values(
                    array_filter($shots, static fn (array $one): bool => $one['site_id'] === $shots[0]['site_id']),
                ),
            ))), 0, 60),
        ]])[1];
    $asked = [
        'a site of 300 woods of 400 corners' => [
            'POST', '/sites', $with($woods),
        ], 'its plan' => ['POST', '/plans', $draft], 'its plan again' => ['POST', '/plans', $draft],
        'its readings' => ['POST', '/readings', $draft], 'what its plan would score' => ['POST', '/expectations', $draft],
        'a picture wanted there' => [
            'POST', '/compositions', [...$draft, 'picture' => ['subject_m' => 4.0, 'fills' => 0.4, 'hold_s' => 8]],
        ],
        'a site of 300 stars of 400 corners' => ['POST', '/sites', $with($stars)],
        'a tangle to be read' => [
            'POST', '/site-readings', [...$drawn['document'], 'solids' => [['shape' => 'polygon', 'points' => $tangle, 'height_m' => 3]]],
        ],
        '5,000 boxes' => [
            'POST', '/sites', $with(array_map($box, range(1, 5000))),
        ], '500 boxes' => ['POST', '/sites', $with(array_map($box, range(1, 500)))],
        'a site of arrays' => [
            'POST', '/sites', [...$drawn, 'subjects' => array_fill(0, 20000, []), 'document' => array_fill(0, 20000, [[]])],
        ],
        '20,000 bad entries' => ['POST', "/days/{$day['id']}/entries", ['entries' => array_fill(0, 20000, $entry)]],
        '500 bad entries' => ['POST', "/days/{$day['id']}/entries", ['entries' => array_fill(0, 500, $entry)]],
        'a day of sixty' => ['GET', "/days/{$day['id']}", null], 'the same day again' => ['GET', "/days/{$day['id']}", null],
        'it on paper' => ['GET', "/days/{$day['id']}/sheet", null],
        'advice for all shots' => [
            'POST', "/rigs/$rig/advice", ['mode' => 'standard', 'shots' => array_slice(array_column($shots, 'id'), 0, 40)],
        ],
        'a long flight of a shot' => ['POST', "/shots/{$shots[0]['id']}/flights", ['operator' => 'flicker', 'seed' => 5]],
        'a card' => ['GET', "/shots/{$shots[0]['id']}/card", null], 'a body of 6 MB' => [
            'POST', '/plans', ['x' => str_repeat('x', 6000000)],
        ],
        'a password of 6 MB, forgotten' => ['POST', '/password/forgot', ['email' => str_repeat('x', 6000000)]],
    ];
    $bad = 0;
    $tell = static function (string $name, int $status) use ($visitor, &$bad): void {
        $over = ($visitor->seconds > 2.0 && onQuietMachine()) || $status >= 500 || $status === 0;
        $bad += $over ? 1 : 0;
        printf("   %s %-36s %3d in %6.2f s\n", $over ? '!' : ' ', $name, $status, $visitor->seconds);
    };
    foreach ($asked as $name => [$method, $path, $body]) {
        $tell($name, $visitor->send($method, '/api/v1'.$path, $body)[0]);
    }
    $craft = $visitor->send('GET', '/api/v1/crafts')[1][0]['id'];
    $tell(
        'a step test of twenty minutes',
        $visitor->send('POST', "/api/v1/crafts/$craft/step-tests", ['mode' => 'standard'], ['log' => ['steps.csv', $steps]])[0],
    );
    $tell('a hover log of twenty minutes', $visitor->send('POST', '/api/v1/hover-points', [], ['log' => ['hover.csv', $steps]])[0]);
    $kml = '<kml>'.str_repeat('<Placemark><Polygon><outerBoundaryIs><LinearRing><coordinates>'.implode(' ', array_map(
        static fn (array $p): string => (-0.4 + $p[0] * 1e-5).','.(57.6 + $p[1] * 1e-5).',0', $tangle,
    )).'</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark>', 300).'</kml>';
    $tell(
        '300 tangles from a file',
        $visitor->send('POST', '/api/v1/site-imports', ['site_id' => $site], ['file' => ['places.kml', $kml]])[0],
    );
    foreach ($visitor->send('GET', '/api/v1/sites?find=dear')[1] ?? [] as $one) {
        $visitor->send('DELETE', "/api/v1/sites/{$one['id']}");
    }

    return $bad === 0 ? 0 : 1;
}

/** Logs and shots go in while masters are killed: what was answered is written down, and checked afterwards. */
function busy(string $address, string $what, string $much): int
{
    $notes = dirname(__DIR__, 2).'/var/probe-notes.json';
    $enough = dirname(__DIR__, 2).'/var/probe-enough';
    if ($what === 'check') {
        return checkBusy($address, $notes);
    }
    $visitor = (new Visitor($address))->signIn('tobias@skerrow.example');
    $shot = $visitor->send('GET', '/api/v1/shots')[1][0];
    $draft = array_intersect_key($shot, array_flip(['site_id', 'rig_id', 'mode', 'move', 'subject_id', 'wind', 'brief']));
    $kept = ['imports' => [], 'shots' => [], 'asked' => 0, 'unanswered' => 0];
    $limit = $what === 'once' ? 3 : 4000;
    for ($n = 0; $n < $limit && ! is_file($enough); $n++) {
        $kept['asked'] += 2;
        [$status, $said] = $visitor->send('POST', '/api/v1/imports', [], ['log' => ["busy-$n.csv", aLog(1000 + $n)]], 20);
        if ($status === 202) {
            $kept['imports'][] = $said['id'];
        } else {
            $kept['unanswered']++;
        }
        [$status, $said] = $visitor->send(
            'POST', '/api/v1/shots', [...$draft, 'parameters' => (object) $shot['intent']['parameters'], 'title' => "Busy $n"], [], 20,
        );
        if ($status === 201) {
            $kept['shots'][] = $said['id'];
        } else {
            $kept['unanswered']++;
            usleep(300000);
        }
        file_put_contents($notes, json_encode($kept));
    }
    printf("   %d asked, %d not answered while a master was away\n", $kept['asked'], $kept['unanswered']);

    return 0;
}

function checkBusy(string $address, string $notes): int
{
    $visitor = (new Visitor($address))->signIn('tobias@skerrow.example');
    $kept = json_decode((string) file_get_contents($notes), true);
    $bad = 0;
    $began = microtime(true);
    do {
        usleep(500000);
        $ends = [];
        foreach ($kept['imports'] as $id) {
            $state = $visitor->send('GET', "/api/v1/imports/$id")[1]['state'] ?? 'lost';
            $ends[$state] = ($ends[$state] ?? 0) + 1;
        }
        $open = array_sum(array_intersect_key($ends, ['waiting' => 1, 'reading' => 1, 'judging' => 1]));
    } while ($open > 0 && microtime(true) - $began < 240);
    printf("   imports that were answered: %s\n", json_encode($ends));
    $bad += $open + ($ends['lost'] ?? 0) + ($ends['failed'] ?? 0);
    $takes = [];
    foreach ($kept['imports'] as $id) {
        $one = $visitor->send('GET', "/api/v1/imports/$id")[1];
        if (($one['state'] ?? '') === 'done') {
            $takes[] = count($one['takes']);
            foreach ($one['takes'] as $take) {
                $bad += $visitor->send('GET', "/api/v1/takes/$take")[0] === 200 ? 0 : 1;
            }
        }
    }
    printf("   %d of them kept %d takes\n", count($takes), array_sum($takes));
    $gone = 0;
    foreach ($kept['shots'] as $id) {
        $gone += $visitor->send('GET', "/api/v1/shots/$id")[0] === 200 ? 0 : 1;
    }
    printf("   shots that were answered: %d, gone: %d\n", count($kept['shots']), $gone);
    @unlink($notes);

    return $bad + $gone === 0 ? 0 : 1;
}

/** Logs until the disk is full, and a few more. */
function full(string $address): int
{
    $visitor = (new Visitor($address))->signIn('mairi@skerrow.example');
    $statuses = [];
    $ids = [];
    $long = aLog(3);
    for ($n = 0; $n < 60; $n++) {
        $bytes = $long.str_repeat("\n", 400000 + $n);
        [$status, $said] = $visitor->send('POST', '/api/v1/imports', [], ['log' => ["full-$n.csv", $bytes]]);
        $statuses[$status] = ($statuses[$status] ?? 0) + 1;
        if ($status === 202) {
            $ids[] = $said['id'];
        }
        if ($status === 507) {
            $n += 10;
        }
    }
    sleep(8);
    $ends = [];
    $cut = 0;
    foreach ($ids as $id) {
        $one = $visitor->send('GET', "/api/v1/imports/$id")[1];
        $ends[$one['state']] = ($ends[$one['state']] ?? 0) + 1;
        foreach ($one['takes'] as $take) {
            $cut += $visitor->send('GET', "/api/v1/takes/$take/log")[0] === 200 ? 0 : 1;
        }
    }
    ksort($statuses);
    printf("   answers %s, imports %s, cut %d\n", json_encode($statuses), json_encode($ends), $cut);
    $fine = ($statuses[507] ?? 0) > 0 && ($statuses[202] ?? 0) > 0 && $cut === 0 && array_diff(array_keys($statuses), [202, 507]) === []
        && array_sum(array_intersect_key($ends, ['waiting' => 1, 'reading' => 1, 'judging' => 1])) === 0;

    return $fine ? 0 : 1;
}

/** What a school has, in a line: every list that a restore must bring back. */
function fingerprint(string $address): int
{
    $visitor = (new Visitor($address))->signIn('ines@skerrow.example');
    $parts = [];
    foreach (['shots', 'sites', 'rigs', 'crafts', 'days', 'people'] as $list) {
        $parts[] = $list.' '.count($visitor->send('GET', "/api/v1/$list")[1] ?? []);
    }
    $cursor = '';
    $hash = hash_init('sha256');
    $many = 0;
    do {
        $page = $visitor->send('GET', '/api/v1/takes'.($cursor === '' ? '' : '?cursor='.urlencode($cursor)))[1];
        foreach ($page['takes'] as $take) {
            $many++;
            hash_update($hash, $take['id'].' '.$take['score']);
        }
        $cursor = $page['next'] ?? '';
    } while ($cursor !== '');
    $last = $visitor->send('GET', '/api/v1/takes')[1]['takes'][0]['id'];
    $visitor->send('GET', "/api/v1/takes/$last/log");
    hash_update($hash, hash('sha256', $visitor->raw));
    echo implode(', ', $parts).", takes $many, ".substr(hash_final($hash), 0, 16)."\n";

    return 0;
}

/** Fifty people at once, each at a desk: they look, plan, keep and send logs, some of them costly. */
function load(string $address, int $seconds): int
{
    $people = [];
    $names = ['ines', 'tobias', 'mairi', 'juno', 'anselm'];
    for ($i = 0; $i < 50; $i++) {
        $people[] = (new Visitor($address))->signIn($names[$i % 5].'@skerrow.example');
    }
    $shots = $people[0]->send('GET', '/api/v1/shots')[1];
    $mine = [];
    foreach ($names as $k => $name) {
        $mine[$k] = $people[$k]->send('GET', '/api/v1/shots')[1][0] ?? $shots[0];
    }
    $log = aLog(5);
    mt_srand(50);
    $next = static function (int $i) use ($people, $mine, $log): CurlHandle {
        $shot = $mine[$i % 5];
        $draft = [
            ...array_intersect_key($shot, array_flip(['site_id', 'rig_id', 'mode', 'move', 'subject_id'])),
            'parameters' => ['radius_m' => mt_rand(15, 40)],
        ];
        $roll = mt_rand(1, 100);

        return match (true) {
            $roll <= 15 => $people[$i]->prepared('GET', '/api/v1/today'), $roll <= 35 => $people[$i]->prepared('GET', '/api/v1/takes'),
            $roll <= 45 => $people[$i]->prepared('GET', '/api/v1/progress'), $roll <= 55 => $people[$i]->prepared('GET', '/api/v1/shots'),
            $roll <= 80 => $people[$i]->prepared('POST', '/api/v1/plans', [...$draft, 'move' => 'orbit']), $roll <= 85 => $people[$i]
                ->prepared('GET', "/api/v1/rigs/{$shot['rig_id']}"),
            $roll <= 90 => $people[$i]->prepared('GET', '/api/v1/imports'), $roll <= 97 => $people[$i]
                ->prepared('PATCH', '/api/v1/me', ['theme' => 'light']),
            default => $people[$i]->prepared(
                'POST', '/api/v1/imports', [], ['log' => ['load-'.mt_rand().'.csv', $log.str_repeat("\n", mt_rand(1, 9999))]],
            ),
        };
    };
    $multi = curl_multi_init();
    $began = [];
    $add = static function (int $i) use ($multi, $next, &$began): void {
        $handle = $next($i);
        curl_setopt($handle, CURLOPT_PRIVATE, (string) $i);
        $began[$i] = hrtime(true);
        curl_multi_add_handle($multi, $handle);
    };
    $wait = [];
    foreach (array_keys($people) as $i) {
        $wait[$i] = microtime(true) + mt_rand(0, 2000) / 1000;
    }
    $until = microtime(true) + $seconds;
    $times = [];
    $kinds = [];
    $statuses = [];
    $running = 0;
    do {
        foreach ($wait as $i => $at) {
            if ($at <= microtime(true) && microtime(true) < $until) {
                unset($wait[$i]);
                $add($i);
            }
        }
        curl_multi_exec($multi, $running);
        while (($done = curl_multi_info_read($multi)) !== false) {
            $handle = $done['handle'];
            $i = (int) curl_getinfo($handle, CURLINFO_PRIVATE);
            $status = (int) curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            $times[] = (hrtime(true) - $began[$i]) / 1e9;
            $kind = (string) preg_replace('~^.*/api/v1/|/\d+~', '', (string) curl_getinfo($handle, CURLINFO_EFFECTIVE_URL));
            $kinds[$kind][] = end($times);
            curl_multi_remove_handle($multi, $handle);
            // A person looks at what came for a second or three.
            $wait[$i] = microtime(true) + mt_rand(1000, 3000) / 1000;
        }
        curl_multi_select($multi, 0.05);
    } while (microtime(true) < $until || $running > 0);
    sort($times);
    $at = static fn (float $share): float => $times[(int) floor($share * (count($times) - 1))];
    ksort($statuses);
    foreach ($kinds as $kind => $some) {
        sort($some);
        printf(
            "   %-10s %5d times, median %.3f s, 99 %% %.3f s\n", $kind, count($some), $some[intdiv(count($some), 2)],
            $some[(int) (0.99 * (count($some) - 1))],
        );
    }
    printf(
        "   %d requests in %d s by 50 people: median %.3f s, 95 %% %.3f s, 99 %% %.3f s, most %.3f s; answers %s\n", count($times),
        $seconds, $at(0.5), $at(0.95), $at(0.99), $at(1.0), json_encode($statuses),
    );
    $errors = array_sum(
        array_filter($statuses, static fn (int $status): bool => $status >= 500 || $status === 0 || $status === 429, ARRAY_FILTER_USE_KEY),
    );

    return $errors === 0 && $at(0.99) < 1.5 ? 0 : 1;
}

[$_, $address, $part] = $argv;
exit(match ($part) {
    'requests' => requests(
        $address, (int) ($argv[3] ?? 3000),
    ), 'logs' => logs($address), 'costs' => costs($address), 'full' => full($address),
    'busy' => busy(
        $address, $argv[3] ?? 'start', $argv[4] ?? '',
    ), 'fingerprint' => fingerprint($address), 'load' => load($address, (int) ($argv[3] ?? 300)),
    default => 2,
});
