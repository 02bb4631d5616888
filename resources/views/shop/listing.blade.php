@extends('shop.frame')
@use('App\Support\Format')
@section('title', $address->page->title . ' · ' . $shop->fullName())
@section('skip')
    <a class="skip" href="#goods">Skip to the products</a>
@endsection
@section('shop')
    <div class="body" id="listing">
        <div id="narrow" role="complementary" aria-label="Narrow down">
            <div class="drawer-head"><b>Narrow down</b><button class="button small" type="button" x-on:click="shut"
                x-cloak>Close</button></div>
            <nav class="tree pb-4" aria-label="Categories"><a href="{{ route('shop') }}" @if ($address->page->lineup === 'shop')
                aria-current="page" @endif>All products</a>
                @php($open = [$category?->id, $category?->parent])
                @foreach ($categories as $one)
                    @if ($one->depth === 0 || $one->id === $category?->id || in_array($one->parent, $open, true))
                        <a class="d{{ min(3, $one->depth) }}" href="{{ route('shop.category', $one->slug) }}"
                            @if ($one->id === $category?->id) aria-current="page"
                                @endif>{{ $one->name }}<span>{{ Format::number($one->products) }}</span></a>
                    @endif
                @endforeach
            </nav>
            @include('shop.filters')
            <div class="drawer-foot"><a class="button main" href="#listing"
                x-on:click.prevent="shut">Show {{ Format::count($page->products, 'product') }}</a></div>
        </div>
        <main>
            @if ($address->page->lineup === 'shop' && !$address->isNarrowed() && $address->number === 1)
                <section class="welcome" aria-label="Departments">
                    <h2 class="sr-only">Departments</h2>
                    @foreach (array_filter($categories, fn($one) => $one->depth === 0 && $one->products > 0) as $one)
                        <a href="{{ route('shop.category', $one->slug) }}"><x-picture :about="$one->name"
                            :colors="[['#a8325a', '#4f7a34', '#b4740e', '#30588c', '#6a4a8c', '#8a5f3c'][$loop->index % 6]]"
                            label="" /><span>{{ $one->name }}</span></a>
                    @endforeach
                </section>
            @endif
            @include('shop.results')
        </main>
    </div>
@endsection
