{{-- Day sheet, A4. The first page is the day at a glance: the map, and by the clock each shot with its move, subject, first and last picture,
     height, camera and passes. Behind it the way home, lists to tick, cautions, permissions. --}}
@php
    $length = static fn (float $m): string => $feet ? number_format($m / 0.3048, 0).' ft' : number_format($m, 0).' m';
    $clock = $day->site->sheet()->zone;
    $hour = static fn (?string $time): string => $time === null ? '–' : $clock->hour((float) strtotime($time));
    $permission = (array) ($day->document['permission'] ?? []);
    $cards = [];
    foreach ($plan['cards'] as $card) {
        $cards[$card['shot_id']] = $card;
    }
    $height = static fn (array $card): string => implode(' to ', array_map(
        static fn (array $one): string => $length($one['value']),
        array_values(array_filter($card['numbers'], static fn (array $one): bool => $one['id'] === 'height_above_takeoff_m')),
    ));
    // A shot is flown where the clock first has it; what is left or not planned stands below without a number.
    $numbered = [];
    foreach ($plan['timetable']['slots'] ?? [] as $slot) {
        $numbered[$slot['shot_id']] ??= count($numbered) + 1;
    }
    $ways = [];
    foreach ($numbered as $id => $number) {
        $ways[] = ['number' => $number, 'east' => $cards[$id]['samples']['east_m'], 'north' => $cards[$id]['samples']['north_m']];
    }
    // However many, they are on one page: the pictures make room first.
    $slots = count($plan['timetable']['slots'] ?? []);
    [$frameWidth, $mapHeight] = match (true) { $slots <= 6 => [26, 420], $slots <= 10 => [19, 300], $slots <= 16 => [13, 260], default => [8, 200] };
    [$to, $then] = $slots <= 16 ? ['<br>', '<br>'] : [' to ', '. '];
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $day->title }}</title>
<style>
    @page { margin: 10mm 12mm; }
    body { font-family: 'DejaVu Sans', sans-serif; color: #1E1B3A; font-size: 10pt; margin: 0; }
    h1 { font-size: 18pt; margin: 0; }
    h2 { font-size: 12pt; margin: 4mm 0 1mm; }
    .sub { color: #5C5878; margin: 1mm 0 0; }
    table { width: 100%; border-collapse: collapse; }
    th, td { text-align: left; padding: 1mm 1.5mm; border-bottom: 0.3mm solid #E4DFD2; vertical-align: top; }
    th { border-bottom: 0.6mm solid #1E1B3A; }
    .tick { width: 6mm; }
    .box { display: inline-block; width: 3.4mm; height: 3.4mm; border: 0.4mm solid #1E1B3A; }
    .number { white-space: nowrap; font-weight: bold; }
    .small { font-size: {{ $slots <= 10 ? 8.5 : ($slots <= 16 ? 7.5 : 7) }}pt; line-height: 1.1; }
    .small td { padding: {{ $slots <= 16 ? 1 : 0.45 }}mm 1.5mm; }
    .small img { vertical-align: top; margin-top: 0.5mm; }
    .lists { font-size: 8pt; line-height: 1.1; }
    .lists > tr > td, .lists > tbody > tr > td { width: 50%; border: 0; padding: 0 2mm 0 0; }
    .rest { font-size: 8pt; line-height: 1.15; }
    .rest td, .lists td td { padding: 0.6mm 1.5mm; }
    .behind { page-break-before: always; }
    .foot { font-size: 8pt; color: #5C5878; margin-top: 4mm; }
</style>
</head>
<body>
<h1>{{ $day->title }}</h1>
<p class="sub">{{ $day->date->format('l j F Y') }}, {{ $day->site->name }}. {{ $day->operator->name }}. Times in {{ $clock->name }}. Sunrise {{ $hour($plan['light']['rise']) }}, sunset {{ $hour($plan['light']['set']) }}. Printed {{ $date }}.</p>
@if ($plan['problem'] !== null)<p><b>{{ $plan['problem']['message'] }}</b> {{ $plan['problem']['expected'] }}</p>@endif
@if ($plan['timetable'] !== null)
@if ($ways !== [])<img src="{{ \App\Paper\MapSvg::image($day->site->sheet(), $ways, $feet, 900, $mapHeight) }}" style="width: 184mm; margin-top: 2mm">@endif
<h2>Timetable</h2>
<table>
    <tr class="small"><th></th><th>From, to</th><th>Battery</th><th>Shot, move, subject</th><th>First and last picture</th><th>Above take-off</th><th>Camera</th><th>Passes</th></tr>
    @foreach ($plan['timetable']['slots'] as $slot)
        @php $card = $cards[$slot['shot_id']]; @endphp
        <tr class="small"><td class="number">{{ $numbered[$slot['shot_id']] }}</td><td class="number">{{ $hour($slot['from']) }}{!! $to !!}{{ $hour($slot['to']) }}</td><td class="number">{{ $slot['battery'] }}</td><td><b>{{ $slot['title'] }}</b>{{ $slot['must'] ? ' (must)' : '' }}{!! $then !!}{{ $card['move']['name'] }}{{ $card['subject'] === null ? '' : ': '.$card['subject'] }}</td><td class="number">@foreach ([$card['frames'][0], $card['frames'][count($card['frames']) - 1]] as $frame)<img src="{{ \App\Paper\FrameSvg::image($frame, $card['camera']['aspect']) }}" style="width: {{ $frameWidth }}mm"> @endforeach</td><td class="number">{{ $height($card) }}</td><td>{{ $card['exposure'] ?? 'not set' }}</td><td class="number">{{ $slot['passes'] }}</td></tr>
    @endforeach
</table>
@foreach ($plan['timetable']['left'] as $left)<p><b>{{ $left['title'] }}</b> does not fit: {{ $left['why'] }}</p>@endforeach
@endif
<h2 class="behind">Return height {{ $length($plan['return']['height_m']) }}</h2>
<p>{{ $plan['return']['sentence'] }}</p>
<table class="lists"><tr>
    @foreach (array_chunk($plan['lists'], 2) as $half)
        <td>@foreach ($half as $list)
            <h2>{{ $list['title'] }}</h2>
            <table>@foreach ($list['items'] as $item)<tr><td class="tick"><span class="box"></span></td><td>{{ $item['text'] }}</td></tr>@endforeach</table>
        @endforeach</td>
    @endforeach
</tr></table>
<h2>Cautions</h2>
<table class="rest">
    @foreach ($plan['cautions'] as $caution)
        <tr><td>{{ $caution['text'] }}@if ($caution['shots'] !== []) ({{ implode(', ', $caution['shots']) }})@endif</td><td>Ask {{ $caution['ask'] }}, {{ $caution['dated'] }}</td></tr>
    @endforeach
</table>
<h2>Permission</h2>
<table class="rest">
    @foreach (['airspace' => 'Airspace', 'authority' => 'Authority', 'owner' => 'Land owner', 'rule_source' => 'Source of the rules', 'rule_date' => 'Dated'] as $key => $label)
        <tr><td>{{ $label }}</td><td>{{ ($permission[$key] ?? '') !== '' ? $permission[$key] : 'not filled in' }}</td></tr>
    @endforeach
</table>
<p class="foot">Limits are common defaults, not legal advice. Rules differ between countries and change; the rules of your local authority apply. Larkspur flies nothing.</p>
</body>
</html>
