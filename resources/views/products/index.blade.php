@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Products · Lokum')
@section('crumbs')
    <h1>Products</h1>
@endsection
@php($query = ['where' => $narrowing->lines()] + request()->only('sort', 'down', 'columns', 'variants', 'size'))
@section('find')
    <form role="search" action="{{ route('products') }}">
            @foreach ($narrowing->lines() as $line)
                @continue(str_starts_with($line, 'words:'))
                <input type="hidden" name="where[]" value="{{ $line }}">
                @endforeach @foreach (request()->only('sort', 'variants') as $name => $value)
                    <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                @endforeach
                <input class="input" type="search" name="q" value="{{ $narrowing->named('words')?->value }}"
                    placeholder="Words or sku  F" aria-label="Find by words or sku"
                    data-find>
    </form>
@endsection
@section('work')
    @include('products.narrow')
    @if ($products->isEmpty())
        <div class="empty">
            <h2>{{ $total === 0 ? 'No products yet' : 'No product is left' }}</h2>
            <p class="soft">{{ $total === 0 ? 'They come with a supplier\'s file.' : 'Nothing has all of this at once.' }}</p>
            <a class="button"
                href="{{ $total === 0 ? route('feeds') : route('products') }}">{{ $total === 0 ? 'Read a feed' : 'Show all products' }}</a>
        </div>
    @else
        <form method="get" action="{{ route('products') }}" x-data="selection" class="contents">
            @foreach ($query as $name => $values)
                @foreach ((array) $values as $value)
                    <input type="hidden" name="{{ $name }}{{ is_array($values) ? '[]' : '' }}" value="{{ $value }}">
                @endforeach
            @endforeach
            @include('products.grid')
            <div class="bar foot"><span role="status"><b x-text="picked">{{ count($picked) }}</b> selected</span><button
                type="button" class="button bare small"
                    x-on:click="none">none</button>
                <a class="button bare small" href="{{ route('products', [...$query, 'all' => 1]) }}" data-key="a"
                    title="Select all that match (A)">all
                    {{ $many ? 'that match' : Format::number($found) }}</a>
                <noscript><button class="button small" name="give" value="{{ $columns->first()?->slug }}">Change the
                    selected</button></noscript>
                <span class="pager">
                    @if ($products->previousPageUrl())
                        <a class="button small" href="{{ $products->previousPageUrl() }}" rel="prev">Previous</a>
                        @endif @if ($products->nextPageUrl())
                            <a class="button small" href="{{ $products->nextPageUrl() }}" rel="next">Next</a>
                        @endif
                </span>
                <span class="ml-auto soft"><kbd>Space</kbd> select <kbd>Shift</kbd> a range <kbd>A</kbd> all <kbd>?</kbd> keys</span>
            </div>
        </form>
    @endif
@endsection
@section('panel')
    @include('products.bulk')
@endsection
