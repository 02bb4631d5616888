{{-- Terms, the first of them at once and the others behind "more"; picked ones are always seen. --}}
@php($most = $filter->settings->more)
@php($listed = $filter->listed())
@php($first = $most === 0 || count($listed) <= $most + 2 ? $listed : array_slice($listed, 0, $most))
@php($rest = array_slice($listed, count($first)))
@foreach ($first as $term)
    {!! App\Storefront\TermMarkup::{$each}($filter, $term) !!}
@endforeach
@if ($rest !== [])
    </div>
    <details class="more" id="more-{{ $filter->key }}" @if (array_filter($rest,
        fn($term) => $term->picked) !== [] || $address->whole === $filter->key) open @endif>
        <summary>{{ App\Support\Format::number(count($filter->terms) - count($first)) }} more</summary>
        <x-find-in in="#rest-{{ $filter->key }}" :count="count($rest)" what="in {{ $filter->title }}" class="mt-2"
            data-rows="#filter-{{ $filter->key }} .term" />
        <div class="{{ $class }}" id="rest-{{ $filter->key }}"
            @if ($filter->isCut()) data-more="{{ $address->inList($filter->key) }}" @endif>
            @foreach ($rest as $term)
                {!! App\Storefront\TermMarkup::{$each}($filter, $term) !!}
            @endforeach
        </div>
        @include('shop.controls.whole')
    </details>
    <div hidden>
@elseif ($filter->isCut())
    @include('shop.controls.whole')
@endif
