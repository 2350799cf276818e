{{-- Day sheet: timetable by battery, the way home, lists to tick, cautions, permissions. A4. --}}
@php
    $length = static fn (float $m): string => $feet ? number_format($m / 0.3048, 0).' ft' : number_format($m, 0).' m';
    $clock = $day->site->sheet()->zone;
    $hour = static fn (?string $time): string => $time === null ? '–' : $clock->hour((float) strtotime($time));
    $permission = (array) ($day->document['permission'] ?? []);
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
    .foot { font-size: 8pt; color: #5C5878; margin-top: 4mm; }
</style>
</head>
<body>
<h1>{{ $day->title }}</h1>
<p class="sub">{{ $day->date->format('l j F Y') }}, {{ $day->site->name }}. {{ $day->operator->name }}. Times in {{ $clock->name }}. Sunrise {{ $hour($plan['light']['rise']) }}, sunset {{ $hour($plan['light']['set']) }}. Printed {{ $date }}.</p>
@if ($plan['problem'] !== null)<p><b>{{ $plan['problem']['message'] }}</b> {{ $plan['problem']['expected'] }}</p>@endif
@if ($plan['timetable'] !== null)
<h2>Timetable</h2>
<table>
    <tr><th>Battery</th><th>From</th><th>To</th><th>Shot</th><th>Passes</th></tr>
    @foreach ($plan['timetable']['slots'] as $slot)
        <tr><td class="number">{{ $slot['battery'] }}</td><td class="number">{{ $hour($slot['from']) }}</td><td class="number">{{ $hour($slot['to']) }}</td><td>{{ $slot['title'] }}{{ $slot['must'] ? ' (must)' : '' }}</td><td class="number">{{ $slot['passes'] }}</td></tr>
    @endforeach
</table>
@foreach ($plan['timetable']['left'] as $left)<p><b>{{ $left['title'] }}</b> does not fit: {{ $left['why'] }}</p>@endforeach
@endif
<h2>Return height {{ $length($plan['return']['height_m']) }}</h2>
<p>{{ $plan['return']['sentence'] }}</p>
@foreach ($plan['lists'] as $list)
    <h2>{{ $list['title'] }}</h2>
    <table>@foreach ($list['items'] as $item)<tr><td class="tick"><span class="box"></span></td><td>{{ $item['text'] }}</td></tr>@endforeach</table>
@endforeach
<h2>Cautions</h2>
<table>
    @foreach ($plan['cautions'] as $caution)
        <tr><td>{{ $caution['text'] }}@if ($caution['shots'] !== []) ({{ implode(', ', $caution['shots']) }})@endif</td><td>Ask {{ $caution['ask'] }}, {{ $caution['dated'] }}</td></tr>
    @endforeach
</table>
<h2>Permission</h2>
<table>
    @foreach (['airspace' => 'Airspace', 'authority' => 'Authority', 'owner' => 'Land owner', 'rule_source' => 'Source of the rules', 'rule_date' => 'Dated'] as $key => $label)
        <tr><td>{{ $label }}</td><td>{{ ($permission[$key] ?? '') !== '' ? $permission[$key] : 'not filled in' }}</td></tr>
    @endforeach
</table>
<p class="foot">Limits are common defaults, not legal advice. Rules differ between countries and change; the rules of your local authority apply. Larkspur flies nothing.</p>
</body>
</html>
