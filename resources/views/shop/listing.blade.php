@extends('shop.frame')
@use('App\Format')
@use('Lokum\Lineup\Control')
@section('title', ($category->name ?? 'All products').' · Quillmoor Art Supply')
@section('shop')
<div class="body" id="listing">
    <aside>
        <nav class="tree pb-4" aria-label="Categories"><a href="{{ route('shop') }}" @if ($category === null) aria-current="page" @endif>All products</a>
            @php($open = [$category?->id, $category?->parent])
            @foreach ($categories as $one)@if ($one->depth === 0 || $one->id === $category?->id || in_array($one->parent, $open, true))<a class="d{{ min(3, $one->depth) }}" href="{{ route('shop.category', $one->slug) }}" @if ($one->id === $category?->id) aria-current="page" @endif>{{ $one->name }}<span>{{ Format::number($one->products) }}</span></a>@endif @endforeach</nav>
        <form method="get" action="{{ url()->current() }}" hx-get="{{ url()->current() }}" hx-trigger="change, submit" hx-target="#listing" hx-select="#listing" hx-swap="outerHTML show:none" hx-push-url="true" aria-label="Filters" id="filters">
            @if ($address->sort !== 'name')<input type="hidden" name="sort" value="{{ $address->sort }}">@endif
            @foreach ($page->filters as $filter)
                <details class="filter" @if ($filter->open) open @endif><summary>{{ $filter->title }}</summary>@if ($filter->help)<p class="small soft">{{ $filter->help }}</p>@endif @include('shop.controls.'.$filter->control->value)</details>
            @endforeach
            <noscript><button class="button main mt-3">Show</button></noscript>
        </form>
    </aside>
    <main>
        <div class="flex items-baseline gap-4 pb-3"><h1>{{ $category->name ?? 'All products' }}</h1><span class="soft" role="status">{{ Format::count($page->products, 'product') }}</span>
            <form class="ml-auto flex gap-2 items-center" method="get" action="{{ url()->current() }}" x-data="sendsItself">
                @foreach ($address->terms as $key => $slugs)<input type="hidden" name="{{ $key }}" value="{{ implode(',', $slugs) }}">@endforeach @foreach ($address->ranges as $key => [$from, $to])<input type="hidden" name="{{ $key }}" value="{{ $from }}..{{ $to }}">@endforeach
                <label class="soft small" for="sort">Sorted by</label><select class="select small w-auto" id="sort" name="sort" x-on:change="send">@foreach ($address::SORTS as $sort => $name)<option value="{{ $sort }}" @selected($sort === $address->sort)>{{ $name }}</option>@endforeach</select><noscript><button class="button small">Sort</button></noscript></form></div>
        @if ($page->chips() !== [])<div class="flex flex-wrap gap-2 pb-3">@foreach ($page->chips() as $chip)<a class="chip" href="{{ $chip['url'] }}">{{ $chip['label'] }} <span class="x" aria-hidden="true">×</span><span class="sr-only">remove</span></a>@endforeach<a class="chip" href="{{ $address->cleared()->url() }}">Clear all</a></div>@endif
        @if ($page->shown === [])<div class="empty"><h2>Nothing has all of this at once</h2><p class="soft">Take one pick away above, or start over.</p><a class="button" href="{{ $address->cleared()->url() }}">Clear all</a></div>@endif
        @include('shop.goods', ['about' => $category->path ?? ''])
        @if ($page->pages > 1)<nav class="pager pt-5" aria-label="Pages">@if ($address->page > 1)<a class="button small" href="{{ $address->onPage($address->page - 1)->url() }}" rel="prev">Previous</a>@endif<span>Page {{ min($address->page, $page->pages) }} of {{ $page->pages }}</span>@if ($address->page < $page->pages)<a class="button small" href="{{ $address->onPage($address->page + 1)->url() }}" rel="next">Next</a>@endif</nav>@endif
    </main>
</div>
@endsection
