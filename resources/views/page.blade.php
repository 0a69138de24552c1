<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Pocket Plot</title>
    <link rel="icon" href="/peg.svg" type="image/svg+xml">
    <script src="/light.js"></script>
    @viteReactRefresh
    @vite(['resources/js/main.tsx'])
</head>
<body>
<div id="page"></div>
<noscript>Pocket Plot needs JavaScript to show its pages.</noscript>
</body>
</html>
