{{-- Terms, the first of them at once and the others behind "more"; picked ones are always seen. --}}
@php($most = $filter->settings->more)
@php($first = $most === 0 || count($filter->terms) <= $most + 2 ? $filter->terms : array_slice($filter->terms, 0, $most))
@php($rest = array_slice($filter->terms, count($first)))
@foreach ($first as $term)
    {!! App\Storefront\TermMarkup::{$each}($filter, $term) !!}
@endforeach
@if ($rest !== [])
    </div>
    <details class="more" id="more-{{ $filter->key }}" @if (array_filter($rest, fn($term) => $term->picked) !== []) open @endif>
        <summary>{{ count($rest) }} more</summary>
        <x-find-in in="#rest-{{ $filter->key }}" :count="count($rest)" what="in {{ $filter->title }}" class="mt-2" />
        <div class="{{ $class }}" id="rest-{{ $filter->key }}">
            @foreach ($rest as $term)
                {!! App\Storefront\TermMarkup::{$each}($filter, $term) !!}
            @endforeach
        </div>
    </details>
    <div hidden>
@endif
