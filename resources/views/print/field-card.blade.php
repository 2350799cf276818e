{{-- Field card of one rig: every number to set, in the craft's own convention, with what it means beside it. A5, one page. --}}
@php
    $speed = static fn (float $mps): string => $feet ? number_format($mps / 0.44704, 1).' mph' : number_format($mps, 1).' m/s';
    $length = static fn (float $m): string => $feet ? number_format($m / 0.3048, 0).' ft' : number_format($m, 1).' m';
    $rate = static fn (array $finger, float $value): string => $finger['unit'] === 'm/s' ? $speed($value) : number_format($value, 0).'°/s';
    $curve = static fn (array $curve): string => match ($curve['kind']) {
        'rates' => number_format($curve['centre'], 0).' / '.number_format($curve['end'], 0),
        'half-stick-percent' => number_format($curve['value'], 0),
        'drawn' => 'drawn',
        default => number_format($curve['value'], 2),
    };
    $names = ['climb' => 'Climb', 'turn' => 'Turn', 'run' => 'Run', 'slide' => 'Slide', 'tilt' => 'Tilt'];
    // A camera that is fixed to its craft has no wheel.
    $names = $modes[0]['ducted'] === null ? $names : array_diff_key($names, ['tilt' => 0]);
    $hands = $modes[0]['hands'];
    $obstacles = array_map(static fn (array $mode): ?string => $mode['settings']['modes'][$mode['mode']]['obstacles'] ?? null, $modes);
    $response = static fn (?string $one): string => $one === null ? 'not said' : \App\Spoken::to()->say(\Larkspur\Fact::of("obstacles.$one"));
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $rig->craft }}, version {{ $rig->version }}</title>
<style>
    @page { margin: 6mm 8mm; }
    body { font-family: 'DejaVu Sans', sans-serif; color: #1E1B3A; font-size: 11pt; margin: 0; }
    h1 { font-size: 17pt; margin: 0; line-height: 1; }
    .sub { font-size: 9pt; margin: 0.6mm 0 1mm; color: #5C5878; }
    table { width: 100%; border-collapse: collapse; table-layout: fixed; }
    th:first-child, td:first-child { width: 19%; }
    th, td { text-align: right; padding: 0.4mm 0.6mm; line-height: 1.05; border-bottom: 0.3mm solid #E4DFD2; vertical-align: middle; }
    th:first-child, td:first-child { text-align: left; font-weight: bold; }
    thead th { border-bottom: 0.6mm solid #1E1B3A; font-size: 11pt; text-transform: capitalize; }
    .big { font-size: 14.5pt; font-weight: bold; }
    .own { font-size: 8.5pt; color: #5C5878; }
    h2 { font-size: 10pt; margin: 1.7mm 0 0.2mm; }
    .cautions { font-size: 9.5pt; margin: 1.8mm 0 0; padding: 1mm 1.6mm; line-height: 1.15; border: 0.5mm solid #B33A26; }
    .foot { font-size: 8pt; color: #5C5878; margin: 1mm 0 0; line-height: 1.1; }
</style>
</head>
<body>
<h1>{{ $rig->craft }}</h1>
<p class="sub">{{ $rig->operator->name ?? 'The school’s rig' }}, version {{ $rig->version }}: {{ $rig->reason }}. Printed {{ $date }}.</p>

<h2>Curves: {{ lcfirst($modes[1]['fingers'][1]['convention']) }}</h2>
<table>
    <thead><tr><th></th>@foreach ($modes as $mode)<th>{{ $mode['mode'] }}</th>@endforeach</tr></thead>
    @foreach ($names as $id => $name)
        <tr><td>{{ $name }}</td>@foreach ($modes as $mode)<td class="big">{{ $curve(collect($mode['fingers'])->firstWhere('finger', $id)['curve']) }}</td>@endforeach</tr>
    @endforeach
</table>

<h2>Top rates</h2>
<table>
    @foreach ($names as $id => $name)
        <tr><td>{{ $name }}</td>
            @foreach ($modes as $mode)
                @php $finger = collect($mode['fingers'])->firstWhere('finger', $id); @endphp
                <td class="big">{{ $rate($finger, $finger['top']) }}@if ($finger['own'] !== null) <span class="own">[{{ $finger['own']['rate'] }}]</span>@endif</td>
            @endforeach
        </tr>
        @if ($id === 'climb')
            <tr><td>Sink</td>@foreach ($modes as $mode)<td class="big">{{ $speed(collect($mode['fingers'])->firstWhere('finger', 'climb')['top_back']) }}</td>@endforeach</tr>
        @endif
    @endforeach
</table>

<h2>Cushion, and the way to rest</h2>
<table>
    @foreach (array_intersect_key($names, ['turn' => 0, 'tilt' => 0]) as $id => $name)
        <tr><td>{{ $name }}</td>
            @foreach ($modes as $mode)
                @php $finger = collect($mode['fingers'])->firstWhere('finger', $id); @endphp
                <td class="big">{{ number_format($finger['cushion_s'], 1) }} s <span class="own">[{{ $finger['own']['cushion'] }}]</span></td>
            @endforeach
        </tr>
    @endforeach
    @if (array_filter($obstacles) !== [])<tr><td>Before an obstacle</td>@foreach ($obstacles as $one)<td>{{ $response($one) }}</td>@endforeach</tr>@endif
    <tr><td>Braking</td>@foreach ($modes as $mode)<td class="big">{{ $length($mode['brake_m']) }} <span class="own">{{ number_format($mode['brake_s'], 1) }} s</span></td>@endforeach</tr>
</table>

@if ($modes[0]['ducted'] !== null)
    <table><tr><td>Throttle</td><td>hover <span class="big">{{ number_format(100 * $modes[0]['ducted']['hover'], 0) }} %</span></td><td>limit <span class="big">{{ number_format(100 * $modes[0]['ducted']['limit'], 0) }} %</span></td><td>camera <span class="big">{{ number_format($modes[0]['ducted']['camera_deg'], 0) }}°</span></td></tr></table>
@endif

<p class="cautions">Hover 10 to 15 s first; look and listen. Change modes at rest: the sticks answer otherwise. Keep the craft in sight, and more than the braking way clear. Ask your local authority; its rules come first.</p>
<p class="foot">In brackets the craft’s own numbers. Sticks mode {{ $hands['stick_mode'] }}, wheel {{ $hands['wheel_up'] }} for up, {{ $hands['grip_words'] }}, {{ number_format($hands['stick_mm'], 0) }} mm.</p>
</body>
</html>
