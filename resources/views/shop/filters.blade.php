{{-- The filters beside a listing: a column, or a drawer where the window is narrow. --}}
<form method="get" action="{{ $address->page->path }}" hx-get="{{ $address->page->path }}" hx-trigger="change, submit"
    hx-sync="this:replace" hx-target="#listing" hx-select="#listing"
    hx-ext="morph" hx-swap="morph show:none" hx-push-url="true" aria-label="Filters" id="filters" data-edition="{{ $page->edition }}">
    @if ($address->page->words?->text)
        <input type="hidden" name="q" value="{{ $address->page->words->text }}">
    @endif
    @if ($address->sort !== $page->sorts[0]->slug)
        <input type="hidden" name="sort" value="{{ $address->sort }}">
    @endif
    @if ($address->soldOut)
        <input type="hidden" name="sold-out" value="1">
    @endif
    @if ($address->whole !== '')
        <input type="hidden" name="{{ Lokum\Lineup\AddressWords::WHOLE_LIST }}" value="{{ $address->whole }}">
    @endif
    @foreach (App\Storefront\ShownFilter::grouped($page->filters) as $group)
        @if ($group[0]->group !== null)
            <section class="headed" aria-label="{{ $group[0]->group }}">
                <h2>{{ $group[0]->group }}</h2>
                @foreach ($group as $filter)
                    @include('shop.filter')
                @endforeach
            </section>
        @else
            @foreach ($group as $filter)
                @include('shop.filter')
            @endforeach
        @endif
    @endforeach
    <noscript><button class="button main mt-3">Show</button></noscript>
</form>
