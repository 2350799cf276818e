<!doctype html>
<html lang="en">
<body style="font: 16px/1.5 sans-serif; color: #1E1B3A;">
    <p>Hello {{ $name }},</p>
    <p>someone asked for a new Larkspur password for this address. If it was you, choose one here within the hour:</p>
    <p><a href="{{ $url }}">{{ $url }}</a></p>
    <p>If it was not you, do nothing: your password stays as it is.</p>
</body>
</html>
