<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#FAF8F2">
    <title>Larkspur</title>
    <link rel="icon" href="/larkspur.svg" type="image/svg+xml">
    @vite('web/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Larkspur needs scripts to draw its pictures. Switch them on for this page.</noscript>
</body>
</html>
