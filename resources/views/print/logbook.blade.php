{{-- The logbook of an operator, by days, with what they wrote down by hand. A4. --}}
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $operator }}: logbook</title>
<style>
    @page { margin: 16mm 14mm; }
    body { font-family: 'DejaVu Sans', sans-serif; color: #1E1B3A; font-size: 9.5pt; margin: 0; }
    h1 { font-size: 18pt; margin: 0 0 1mm; }
    h2 { font-size: 12pt; margin: 6mm 0 1mm; }
    .sub { color: #5C5878; margin: 0 0 4mm; }
    table { width: 100%; border-collapse: collapse; }
    th, td { text-align: left; padding: 1mm 2mm 1mm 0; vertical-align: top; border-bottom: 0.2mm solid #E4DFD2; }
    th { border-bottom: 0.5mm solid #1E1B3A; }
    .n { text-align: right; }
    .foot { font-size: 8pt; color: #5C5878; margin-top: 5mm; line-height: 1.3; }
</style>
</head>
<body>
<h1>{{ $operator }}</h1>
<p class="sub">{{ $school }}. Logbook as it stood on {{ $date }}.</p>
<p>{{ $totals['by_hand'] }} takes by hand, {{ $totals['practised'] }} passes in Fly, {{ $totals['automated'] }} takes by automation, on {{ $totals['days'] }} days;
{{ round($totals['taken_min']) }} minutes of takes with a craft, {{ round($totals['practised_min']) }} in Fly, {{ round($totals['entered_min']) }} entered by hand.</p>
@if ($days !== [])
<table>
    <tr><th>Day</th><th class="n">By hand</th><th class="n">In Fly</th><th class="n">Automation</th><th class="n">Minutes of takes</th></tr>
    @foreach ($days as $day)
        <tr>
            <td>{{ \Illuminate\Support\Carbon::parse($day['date'])->format('j M Y') }}</td>
            <td class="n">{{ $day['by_hand'] }}</td><td class="n">{{ $day['practised'] }}</td>
            <td class="n">{{ $day['automated'] }}</td><td class="n">{{ number_format($day['minutes'], 1) }}</td>
        </tr>
    @endforeach
</table>
@endif
@if ($entries->isNotEmpty())
<h2>Flights without a log</h2>
<table>
    <tr><th>Day</th><th class="n">Minutes</th><th class="n">Batteries</th><th>Craft, place</th><th>What happened</th></tr>
    @foreach ($entries as $entry)
        <tr>
            <td>{{ $entry->flown_at->format('j M Y') }}</td><td class="n">{{ number_format($entry->minutes, 1) }}</td>
            <td class="n">{{ $entry->batteries }}</td>
            <td>{{ implode(', ', array_filter([$entry->craft, $entry->place])) }}</td><td>{{ $entry->text }}</td>
        </tr>
    @endforeach
</table>
@endif
<p class="foot">Minutes are those of takes: run-up and way home are not in them. What a law or an insurer asks of a flight log differs by place; follow the local one.</p>
</body>
</html>
