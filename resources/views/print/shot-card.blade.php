{{-- Field card of one shot: thumb sheet, numbers to set, frame strip, three cautions. A5, one page, read at arm's length with gloves on. --}}
@php
    $speed = static fn (float $mps): string => $feet ? number_format($mps / 0.44704, 1).' mph' : number_format($mps, 1).' m/s';
    $length = static fn (float $m): string => $feet ? number_format($m / 0.3048, 0).' ft' : number_format($m, 1).' m';
    $words = [];
    foreach (\Larkspur\Move\Parameter::dials(\Larkspur\Move\Catalogue::move($plan['move']['id'])) as $parameter) {
        $value = ((array) $plan['intent']['parameters'])[$parameter->id] ?? null;
        // A lean of nothing and a following of no time are no news.
        if ($value !== null && ! in_array($parameter->id, $plan['decided'], true) && ! (in_array($parameter->id, ['bias_deg', 'follow_s'], true) && abs((float) $value) < 1e-9)) {
            $words[\App\Spoken::to()->say($parameter->label())] = is_string($value) ? $value : match ($parameter->unit) { 'm' => $length($value), 'm/s' => $speed($value), 'deg' => number_format($value, 0).'°', 'deg/s' => number_format($value, 1).'°/s', 's' => number_format($value, 1).' s', default => number_format($value, 2) };
        }
    }
    // Where it would not fit on one page, pictures and cues make room: the staves, the numbers and the cautions stay.
    $frames = array_chunk($plan['frames'], $tight < 2 ? 3 : 6);
    $frameWidth = [38, 30, 20, 20][$tight];
    // A figure of many legs has more than fit: its first ones, and that there are more.
    $shown = array_slice($plan['cues'], 0, 9);
    $cues = array_chunk($shown, (int) ceil(count($shown) / 2));
@endphp
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $shot->title }}</title>
<style>
    @page { margin: 6mm 8mm; }
    body { font-family: 'DejaVu Sans', sans-serif; color: #1E1B3A; font-size: 10.5pt; margin: 0; }
    h1 { font-size: 16pt; margin: 0; line-height: 1; }
    .sub { font-size: 9pt; margin: 0.8mm 0 1.2mm; color: #5C5878; }
    table { width: 100%; border-collapse: collapse; table-layout: fixed; }
    td { padding: 0.5mm 0.8mm; line-height: 1.05; border-bottom: 0.3mm solid #E4DFD2; vertical-align: middle; }
    .name { width: 31%; font-size: 9.5pt; }
    .value { width: 19%; font-size: 13pt; font-weight: bold; text-align: right; padding-right: 2mm; }
    .word { font-size: 10.5pt; }
    .frames td { border: 0; padding: 0.6mm; text-align: center; font-size: 8.5pt; }
    .cautions { font-size: {{ [10, 10, 9.5, 9][$tight] }}pt; margin: {{ $tight < 2 ? 1.6 : 0.8 }}mm 0 0; padding: {{ $tight < 2 ? 1.2 : 0.6 }}mm 1.6mm; line-height: {{ $tight < 2 ? 1.2 : 1.05 }}; border: 0.5mm solid #B33A26; }
    .numbers { font-size: {{ [9.5, 9, 8.5, 8][$tight] }}pt; margin: 1mm 0; line-height: 1.2; }
    .cue { font-size: {{ [9, 8.5, 8.5, 8][$tight] }}pt; margin: 0.5mm 0; line-height: 1.1; }
    .cues { margin: 0.6mm 0; }
    .cues td { width: 50%; vertical-align: top; border: 0; padding: 0 1.5mm 0 0; }
    .foot { font-size: 8pt; color: #5C5878; margin: 1mm 0 0; line-height: 1.1; }
</style>
</head>
<body>
<h1>{{ $shot->title }}</h1>
<p class="sub">{{ $plan['move']['name'] }}, {{ $shot->site->name }}. {{ $shot->rig->craft }}, {{ $shot->mode }} mode, rig version {{ $shot->rig->version }}. {{ $shot->operator->name }}. Printed {{ $date }}.</p>
<img src="{{ \App\Paper\StaveSvg::image($plan) }}" style="width: 132mm">
<table>
    @foreach (array_chunk($words, 2, true) as $pair)
        <tr>@foreach ($pair as $label => $value)<td class="name">{{ $label }}</td><td class="value{{ is_numeric($value[0]) || $value[0] === '-' ? '' : ' word' }}">{{ $value }}</td>@endforeach @if (count($pair) === 1)<td class="name"></td><td class="value"></td>@endif</tr>
    @endforeach
</table>
<p class="numbers">@foreach ($numbers as $name => $value){{ $loop->first ? '' : ' · ' }}{{ $name }} <b>{{ $value }}</b>@endforeach</p>
{{-- What does not fit with its pictures is flown without them: the numbers and the cautions stay. --}}
@if ($tight < 3)
<table class="frames">
    @foreach ($frames as $row)
        <tr>@foreach ($row as $frame)<td><img src="{{ \App\Paper\FrameSvg::image($frame, $plan['camera']['aspect']) }}" style="width: {{ $frameWidth }}mm"><br>{{ number_format($frame['t'], 1) }} s</td>@endforeach</tr>
    @endforeach
</table>
@endif
<table class="cues"><tr>
    @foreach ($cues as $half)
        <td>@foreach ($half as $cue)<p class="cue"><b>{{ number_format($cue['t'], 1) }} s{{ $cue['thumb'] === null ? '' : ' '.$cue['thumb'] }}</b> {{ $cue['text'] }}</p>@endforeach</td>
    @endforeach
</tr></table>
@if (count($plan['cues']) > count($shown))<p class="foot">And {{ count($plan['cues']) - count($shown) }} more: they are on the thumb sheet above.</p>@endif
<div class="cautions">
    @foreach ($cautions as $caution)<div>{{ $caution }}</div>@endforeach
</div>
@if ($plan['subject_brief'] !== [])<p class="cue"><b>Tell who is filmed:</b> {{ implode(' ', $plan['subject_brief']) }}</p>@endif
@if (($exposure = \App\Actions\TellExposure::ofShot($shot)) !== null)<p class="cue"><b>Camera:</b> {{ \App\Spoken::to()->say($exposure->words()) }}</p>@endif
@foreach ($sound as $sentence)<p class="cue">{{ $sentence }}</p>@endforeach
<p class="foot">Larkspur plans and judges; it flies nothing. Keep the craft in sight, and check the rules of your local authority.</p>
</body>
</html>
