@php($build = json_decode((string) @file_get_contents(public_path('build/sources.json')), true)['version'] ?? '0')
<!doctype html>
<html lang="en">

<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="htmx-config" content='{"includeIndicatorStyles": false, "allowEval": false}'>
    <title>@yield('title', 'Lokum')</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/build/app.css?v={{ $build }}">
    <script src="/build/app.js?v={{ $build }}" defer></script>
</head>
@yield('body')

</html>
