<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $status }} · Odd Spark</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <style>
        :root { color-scheme: light dark; --ground: #f6f1e7; --ink: #2a2622; --copper: #8a4212; }
        @media (prefers-color-scheme: dark) { :root { --ground: #211e1a; --ink: #ece5da; --copper: #e39a62; } }
        body { margin: 0; background: var(--ground); color: var(--ink); font: 18px/1.5 'Atkinson Hyperlegible', system-ui, sans-serif; }
        main { max-width: 34rem; margin: 18vh auto 0; padding: 0 1.5rem; }
        a { color: var(--copper); }
    </style>
</head>
<body>
<main>
    <h1>Odd Spark</h1>
    <p role="alert">{{ $sentence }}</p>
    <p><a href="/">Go to the start page</a></p>
</main>
</body>
</html>
