<!doctype html>
<html lang="en">
<body style="font-family: sans-serif; color: #24303a; line-height: 1.5">
    <p>{{ $inviter }} invites you to {{ $school }} in Larkspur, where shots are planned and takes are judged.</p>
    <p><a href="{{ $link }}">Come in</a></p>
    <p>The link is good once, until {{ $until }}. If you expected nothing of the kind, do nothing.</p>
</body>
</html>
