<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="style-nonce" content="{{ $nonce }}">
    <meta name="description" content="Plan, watch, strain, bottle and label herbs infused in oil: amounts, days and cautions worked out.">
    <title>Warm Kettle</title>
    <link rel="icon" href="/kettle.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <link rel="manifest" href="/kettle.webmanifest">
    <meta name="theme-color" content="#1f3a5f">
    <script type="module" src="/build/{{ $script }}"></script>
    @foreach ($fonts as $font)
    <link rel="preload" href="/build/{{ $font }}" as="font" type="font/woff2" crossorigin>
    @endforeach
    @foreach ($styles as $style)
    <link rel="stylesheet" href="/build/{{ $style }}">
    @endforeach
    @foreach ($asks as $path)
    <link rel="preload" href="{{ $path }}" as="fetch" crossorigin>
    @endforeach
    @foreach ($preloads as $file)
    <link rel="modulepreload" href="/build/{{ $file }}">
    @endforeach
</head>
<body>
    <div id="kettle"></div>
    <script type="application/json" id="me">@json($me)</script>
    <noscript>Warm Kettle needs JavaScript, which ships with it; please allow it for this address.</noscript>
</body>
</html>
