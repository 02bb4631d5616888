{{-- What went wrong, in words that say what to do; for every status that is an error. --}}
@extends('layouts.page')
@php([$title, $words] = match ($status) {
    403 => ['This is not open to you', 'Your role lets you look but not change this. A manager can change roles under People.'],
    404 => ['There is nothing here',
        'The address may be mistyped, or what it led to was merged, renamed or deleted. History tells what happened.'],
    405 => ['This address only takes a form', 'Open the page that it belongs to and use its button.'],
    413 => ['That is too large', 'The server takes files up to ' . ini_get('upload_max_filesize')
        . '. Split it, or read it by command: bin/lokum feed:read.'],
    400, 414 => ['This cannot be read', ($said ?? '') . ' Nothing was changed.'],
    422 => ['That cannot be done', $said ?? ''],
    503 => ['This cannot be done now', $said ?? ''],
    409 => ['This cannot be shown now', $said ?? ''],
    419 => ['The page was open for too long', 'Go back, reload it and try again. Nothing was changed.'],
    429 => ['Too many tries', 'Wait a minute, then try again.'],
    500 => ['Something went wrong here',
        'Nothing was half changed. What happened is written in storage/logs; try again, or go on elsewhere.'],
    default => ['That did not work', 'Go back and try again. Nothing was changed.'],
})
@section('title', "{$title} · Lokum")
@section('body')

    <body>
        <main class="empty">
            <p class="label">{{ $status }}</p>
            <h1>{{ $title }}</h1>
            <p class="soft">{{ $words }}</p>
            <p class="flex gap-2 justify-center">
                @if (Route::has('today'))
                    <a class="button main" href="{{ route('today') }}">To Today</a>
                @endif
                <a class="button" href="{{ route('shop') }}">To the storefront</a>
            </p>
        </main>
    </body>
@endsection
