{{-- A field over a list that is longer than twenty: what is called like what is typed stays in sight. --}}
@props(['in', 'count', 'what'])
@if ($count > 20)
    <input {{ $attributes->merge(['class' => 'input small']) }} type="search" data-finds="{{ $in }}" placeholder="Find {{ $what }}"
        aria-label="Find {{ $what }}" autocomplete="off">
@endif
