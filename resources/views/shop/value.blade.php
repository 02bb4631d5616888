@extends('shop.frame')
@use('App\Support\Format')
@section('title', $term->label . ' · ' . $shop->fullName())
@section('skip')
    <a class="skip" href="#goods">Skip to the products</a>
@endsection
@section('shop')
    <section class="about" aria-label="About {{ $term->label }}">
        <nav aria-label="Where this is" class="soft"><a href="{{ route('shop') }}">All products</a> / <a
                href="{{ route('shop.directory', $attribute->slug) }}">{{ $attribute->label }}</a></nav>
        <div class="flex gap-6 items-start">
            @if ($about['picture'] ?? null)
                <img class="value-picture" src="{{ route('shop.picture', $about['picture']) }}" alt="{{ $term->label }}">
            @endif
            @if ($about['description'] ?? null)
                <p class="max-w-[64ch] whitespace-pre-line break-words">{{ $about['description'] }}</p>
            @endif
        </div>
    </section>
    <div class="body" id="listing">
        <div id="narrow" role="complementary" aria-label="Narrow down">
            <div class="drawer-head"><b>Narrow down</b><button class="button small" type="button" x-on:click="shut"
                x-cloak>Close</button></div>
            @include('shop.filters')
            <div class="drawer-foot"><a class="button main" href="#listing"
                x-on:click.prevent="shut">Show {{ Format::count($page->products, 'product') }}</a></div>
        </div>
        <main>@include('shop.results', ['category' => null])</main>
    </div>
@endsection
