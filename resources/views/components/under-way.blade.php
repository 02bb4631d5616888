{{-- Work in the background: how far it is, asked for again and again until it is done. --}}
@props(['href', 'head', 'progress', 'counts' => true, 'also' => null])
<div hx-get="{{ $href }}" hx-trigger="every 500ms" hx-select="#panel" hx-target="#panel" hx-swap="outerHTML"
    @if ($also) hx-select-oob="{{ $also }}" @endif class="grid gap-3">
    <h2>{{ $head }}</h2>
    <p role="status">
        @if ($counts)
            <b>{{ App\Support\Format::count($progress['count'] ?? 0, 'row') }}</b> ·
        @endif
        {{ $progress['what'] ?? 'finishing' }}
    </p>
    <x-meter class="wide rose" :share="(int) round(($progress['share'] ?? 1) * 100)" label="Progress" />
    <p class="soft">{{ $slot }}</p>
    @if (($progress['at'] ?? time()) < time() - 30)
        <p class="note">No sign of life for {{ time() - $progress['at'] }} seconds. Is the worker running?
            <code class="mono">bin/lokum serve</code> starts it.</p>
    @endif
</div>
