{{-- The page as shoppers would get it if the draft were published now. --}}
@use('App\Support\Format')
<div class="flex justify-between items-baseline gap-2">
    <p class="label">As shoppers would see it</p><span class="small soft">draft · <a
            href="{{ request()->fullUrlWithQuery(['why' => $why ? null : 1]) }}">{{ $why ? 'without reasons' : 'why these?' }}</a></span>
</div>
<div class="live shop" id="live" hx-get="{{ request()->fullUrl() }}" hx-trigger="focus from:window" hx-select="#live" hx-swap="outerHTML">
    <p class="small"><b>{{ $shop->name }}</b>{{
        $category ? ' · ' . str_replace(' > ', ' · ', $category->path) : '' }}
    <span class="soft">{{ Format::count($products, 'product') }}</span>
    </p>
    @php($address = new App\Lineups\NoPicks())
    @php($most = request()->boolean('whole') ? count($live['filters']) : App\Lineups\DraftListing::SHOWN)
    @foreach (App\Storefront\ShownFilter::grouped(array_slice($live['filters'], 0, $most)) as $group)
        <div @class(['headed' => $group[0]->group !== null])>
            @if ($group[0]->group !== null)
                <h2>{{ $group[0]->group }}</h2>
            @endif
            @foreach ($group as $filter)
                @if ($why)
                    <p class="small soft why">{{ $worth[$filter->key]->inWords() }} ·
                        {{ isset($layer?->added[$filter->key]) ? 'set here'
                            : 'from ' . $named($lineup->filters[$filter->key]->from) }}</p>
                @endif
                <div inert>@include('shop.filter')</div>
            @endforeach
        </div>
    @endforeach
    @if (count($live['filters']) > $most)
        <p class="small"><a href="{{ request()->fullUrlWithQuery(['whole' => 1]) }}">{{
            Format::count(count($live['filters']) - $most, 'more filter') }}</a> below these</p>
    @endif
    @if ($live['filters'] === [])
        <p class="soft small">No filter shows on this page.</p>
    @endif
    @if ($why)
        @foreach ($live['absent'] as $key => $absence)
            <p class="small warn">Not here: <b>{{ $lineup->filters[$key]->settings()->title }}</b>, {{ $absence->inWords() }}. <a
                    href="{{ $absence === Lokum\Lineup\Absence::NobodyCarriesIt ? route('products',
                        ['where' => ["missing:{$key}"], 'columns' => [$key]]) : route('line-ups', ['page' => $page,
                        'filter' => $key]) }}">{{ $absence === Lokum\Lineup\Absence::NobodyCarriesIt ? 'give products the value'
                        : ($absence === Lokum\Lineup\Absence::LeftOut ? 'choose its terms' : 'see the filter') }}</a>
            </p>
        @endforeach
        @foreach ($lineup->dropped as $lost)
            <p class="small warn">Not here: <b>{{ $lost->filter->settings()->title }}</b>, dropped at {{ $named($lost->by) }}.
            <a href="{{ route('line-ups', ['page' => $page]) }}">have it again</a>
            </p>
        @endforeach
    @elseif ($live['absent'] !== [])
        <p class="small soft">{{ Format::count(count($live['absent']), 'filter') }} {{ count($live['absent']) === 1 ? 'has'
            : 'have' }} nothing to offer here.</p>
    @endif
    <div class="goods small">
        @foreach ($goods as $item)
            <span class="good"><x-picture :about="($category->path ?? '') . ' ' . $item->title" :label="''" /><span
                class="title">{{ $item->title }}</span></span>
        @endforeach
    </div>
</div>
@if (Route::has('shop'))
    <a class="small" href="{{ $category ? route('shop.category', $category->slug) : route('shop') }}">The page as it is published</a>
@endif
