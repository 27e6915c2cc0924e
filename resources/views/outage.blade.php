<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="refresh" content="{{ $retry }}">
<title>Warm Kettle</title>
<link rel="stylesheet" href="/outage.css">
</head>
<body>
<main>
<h1>Warm Kettle</h1>
<p>{{ $says }}</p>
<p>What was entered and kept is kept. This page looks again by itself in {{ $retry }} seconds.</p>
</main>
</body>
</html>
