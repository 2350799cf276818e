<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta http-equiv="refresh" content="5">
    <title>Larkspur is just starting again</title>
    <style>body { font: 1.125rem/1.5 system-ui, sans-serif; max-width: 34rem; margin: 15vh auto; padding: 0 1.25rem; color: #24303a; background: #f6f4ee }</style>
</head>
<body>
    <h1>Larkspur is just starting again</h1>
    <p>It answers in a few seconds; this page looks again by itself. What was saved is safe.</p>
</body>
</html>
