<!doctype html>
<html lang="en">
<body style="font-family: sans-serif; color: #24303a; line-height: 1.5">
    <p>{{ $name }}, this was the week at {{ $school }}.</p>
    @if ($own !== null)
        @if ($own['days'] === 0 && $own['takes'] + $own['practised'] === 0)
            <p>Nothing was flown and nothing practised.</p>
        @else
            <p>
                {{ $own['takes'] === 1 ? 'One take' : $own['takes'].' takes' }} with a craft and
                {{ $own['practised'] === 1 ? 'one pass' : $own['practised'].' passes' }} in Fly,
                on {{ $own['days'] === 1 ? 'one day' : $own['days'].' days' }}; {{ $own['minutes'] }} minutes in all, with what was written down by hand.
                @if ($own['goal'] !== null) Your goal of {{ $own['goal'] }} minutes was reached on {{ $own['reached'] }} of 7 days. @endif
            </p>
        @endif
        <p>{{ $own['passed'] === 1 ? 'One step of the ladder is' : $own['passed'].' steps of the ladder are' }} passed.</p>
        @if ($own['next'] !== [])
            <p>Next: {{ implode('; ', $own['next']) }}.</p>
        @endif
    @elseif ($class === [])
        <p>There is no operator yet.</p>
    @else
        <p>Who needs you most:</p>
        <ul>
            @foreach ($class as $row)
                <li>{{ $row['name'] }}: {{ $row['takes'] === 0 ? 'no take this week' : ($row['takes'] === 1 ? 'one take this week' : $row['takes'].' takes this week') }}. {{ implode(' ', $row['why']) }}</li>
            @endforeach
        </ul>
    @endif
    <p><a href="{{ $home }}/">Go there</a>. This mail comes once a week; <a href="{{ $home }}/account">switch it off</a> in your account.</p>
</body>
</html>
