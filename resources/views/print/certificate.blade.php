{{-- What an operator has passed on the ladder of their school, and what each step rests on. A4. --}}
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $operator }}: steps passed</title>
<style>
    @page { margin: 18mm 16mm; }
    body { font-family: 'DejaVu Sans', sans-serif; color: #1E1B3A; font-size: 10pt; margin: 0; }
    h1 { font-size: 20pt; margin: 0 0 1mm; }
    .sub { color: #5C5878; margin: 0 0 5mm; }
    table { width: 100%; border-collapse: collapse; }
    th, td { text-align: left; padding: 1.4mm 2mm 1.4mm 0; vertical-align: top; border-bottom: 0.2mm solid #E4DFD2; }
    th { border-bottom: 0.5mm solid #1E1B3A; }
    .soft { color: #5C5878; }
    .foot { font-size: 8.5pt; color: #5C5878; margin-top: 6mm; line-height: 1.3; }
</style>
</head>
<body>
<h1>{{ $operator }}</h1>
<p class="sub">{{ $school }}. Steps passed, as they stood on {{ $date }}.</p>
@if ($steps === [])
    <p>No step is passed yet.</p>
@else
<table>
    <tr><th>Step</th><th>What it rests on</th><th>Who says so</th></tr>
    @foreach ($steps as $step)
        <tr>
            <td><strong>{{ $step['name'] }}</strong><br><span class="soft">level {{ $step['level'] }}{{ $step['stale'] ? ', not shown of late' : '' }}</span></td>
            <td>
                @if ($step['passes'] === 0)
                    <span class="soft">no take kept here</span>
                @else
                    {{ $step['passes'] === 1 ? 'one pass' : $step['passes'].' passes' }}, {{ $step['score'] }} on average,
                    {{ $step['from'] === $step['to'] ? $step['from'] : $step['from'].' to '.$step['to'] }}@if ($step['practised'] > 0); {{ $step['practised'] }} of them practised without a craft @endif
                @endif
                @if ($step['overruled'])<br><span class="soft">Signed against the evidence: {{ $step['reason'] }}</span>@endif
            </td>
            <td>
                @if ($step['word'])the operator<br>@endif
                @if ($step['signed_on'] !== null){{ $step['signed_by'] }}, {{ $step['signed_on'] }}@endif
            </td>
        </tr>
    @endforeach
</table>
@endif
<p class="foot">
    This tells what was practised at this school and how it was judged. It is no licence and no permission to fly: local rules and licensed
    practice come first.@if ($simulated) Some of the takes were flown by simulated hands.@endif
</p>
</body>
</html>
