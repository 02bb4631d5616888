@extends('shop.frame')
@use('App\Format')
@section('title', $term->label.' · Quillmoor Art Supply')
@section('shop')
<main class="max-w-[1040px] mx-auto p-7 grid gap-5">
    <nav aria-label="Where this is" class="soft"><a href="{{ route('shop') }}">All products</a> / <a href="{{ route('shop.directory', $attribute->slug) }}">{{ $attribute->label }}</a></nav>
    <div class="flex gap-6 items-start">@if ($about['picture'] ?? null)<img class="value-picture" src="{{ route('shop.picture', $about['picture']) }}" alt="{{ $term->label }}">@endif
        <div class="grid gap-3"><h1>{{ $term->label }}</h1>@if ($about['description'] ?? null)<p class="max-w-[64ch] whitespace-pre-line break-words">{{ $about['description'] }}</p>@endif
            <p class="soft">{{ Format::count($page->products, 'product') }}</p>@if ($filtered)<p><a class="button" href="{{ route('shop', [$attribute->slug => $term->slug]) }}">Narrow them by filters</a></p>@endif</div></div>
    @include('shop.goods', ['about' => $term->label])
    @if ($page->pages > 1)<nav class="pager pt-5" aria-label="Pages">@if ($page->at > 1)<a class="button small" href="{{ route('shop.value', [$attribute->slug, $term->slug, 'page' => $page->at - 1]) }}" rel="prev">Previous</a>@endif<span>Page {{ $page->at }} of {{ $page->pages }}</span>@if ($page->at < $page->pages)<a class="button small" href="{{ route('shop.value', [$attribute->slug, $term->slug, 'page' => $page->at + 1]) }}" rel="next">Next</a>@endif</nav>@endif
</main>
@endsection
