{{-- What a listing shows: how many, what is picked, the products, the pages. --}}
@use('App\Support\Format')
<div class="flex items-baseline gap-4 pb-3 flex-wrap">
    <h1>{{ $address->page->title }}</h1><span class="soft" role="status">{{ Format::count($page->products, 'product') }}</span>
    <a class="button small drawer-open-it" id="narrow-it" href="#narrow" x-on:click.prevent="show">Filters @if (count($page->chips()) > 0)
            <b>{{ count($page->chips()) }}</b>
        @endif
    </a>
    <form class="ml-auto flex gap-2 items-center" method="get" action="{{ $address->page->path }}" x-data="sendsItself">
        @foreach ($address->fields() as $name => $text)
            <input type="hidden" name="{{ $name }}" value="{{ $text }}">
        @endforeach
                    <label class="soft small" for="sort">Sorted by</label>
                    <select class="select small w-auto" id="sort" name="sort" x-on:change="send" data-acts>
                        @foreach ($page->sorts as $sort)
                            <option value="{{ $sort->slug }}" @selected($sort->slug === $address->sort)>{{ $sort->name }}</option>
                        @endforeach
                    </select>
                    <noscript><button class="button small">Sort</button></noscript>
    </form>
</div>
@foreach ($page->remarks() as $remark)
    <p class="note mb-2" role="status">{{ $remark }}</p>
@endforeach
@if ($page->chips() !== [])
    <div class="flex flex-wrap gap-2 pb-3">
        @foreach ($page->chips() as $chip)
            <a class="chip" href="{{ $chip['url'] }}">{{ $chip['label'] }} <span class="x" aria-hidden="true">×</span><span
                class="sr-only">remove</span></a>
        @endforeach
        <a class="chip" href="{{ $address->cleared()->url() }}">
            Clear all</a>
    </div>
@endif
@if ($page->shown === [])
    <div class="empty">
        <h2>{{ $address->isNarrowed() ? 'Nothing has all of this at once' : 'Nothing was found' }}</h2>
        @if ($page->remedies() !== [])
            <p class="soft">Without one of these there is more:</p>
            <p class="flex flex-wrap gap-2 justify-center">
                @foreach ($page->remedies() as $one)
                    <a class="chip" href="{{ $one['url'] }}">without {{ $one['title'] }} <b>{{ Format::number($one['products']) }}</b></a>
                @endforeach
            </p>
        @elseif (!$address->isNarrowed())
            <p class="soft">Try fewer or other words, or look through the departments.</p>
        @endif
        @if ($address->isNarrowed())
        <a class="button" href="{{ $address->cleared()->url() }}">Clear all</a>@else<a class="button"
            href="{{ route('shop') }}">All products</a>
        @endif
    </div>
@endif
@include('shop.goods', ['about' => $category->path ?? ''])
@if ($page->hidden > 0)
    <p class="pt-4"><a href="{{ $address->withSoldOut(true)->url() }}"
        >Show {{ Format::count($page->hidden, 'sold-out product') }} too</a></p>
@elseif ($address->soldOut)
    <p class="pt-4"><a href="{{ $address->withSoldOut(false)->url() }}">Hide what is sold out</a></p>
@endif
@if ($page->pages > 1)
    <nav class="pager pt-5" aria-label="Pages">
        @if ($page->number > 1)
            <a class="button small" href="{{ $address->onPage($page->number - 1)->url() }}" rel="prev">Previous</a>
        @endif
        <span>
            Page {{ $page->number }} of {{ $page->pages }}</span>
        @if ($page->number < $page->pages)
            <a class="button small" href="{{ $address->onPage($page->number + 1)->url() }}" rel="next">Next</a>
        @endif
    </nav>
@endif
