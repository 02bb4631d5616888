@extends('layouts.desk')
@use('App\Support\Format')
@use('App\Draft\Placement')
@section('title', 'Line-ups · Lokum')
@php($tree = $all->tree)
@php($category = ctype_digit($page) ? $tree->find((int) $page) : null)
@php($here = $at)
@php($layer = $all->layer($at))
@php($named = fn($id) => collect($lineup->layers)->firstWhere('id', $id)?->name ?? '')
@section('crumbs')
    <span class="before">Line-ups /</span>
    <h1>{{ $category->name ?? Placement::of($page, $tree)->name($tree) }}</h1>
@endsection
@section('lens')
    @if ($category)
        <nav class="lens" aria-label="What changes here are for"><a href="{{ route('line-ups', ['page' => $page]) }}"
            @if (str_starts_with($at, 'below')) aria-current="page" @endif
                title="Changes are for {{ $category->name }} and everything below">and below</a><a
                    href="{{ route('line-ups', ['page' => $page, 'at' => 'only']) }}"
                @if (str_starts_with($at, 'only')) aria-current="page" @endif title="Changes are for this page alone">alone</a></nav>
    @endif
@endsection
@section('panel-label', 'As shoppers would see it')
@section('work')
    <div class="lineup">
        <nav class="lineup-tree" aria-label="Pages" id="pages">
            <x-find-in in="#pages" :count="count($tree->flat())" what="a page" data-find />
            @php($mark = function ($placements) use ($all) {
                $own = array_filter(array_map(fn($one) => $all->layer($one), $placements));
                $added = array_sum(array_map(fn($one) => count($one->added), $own));
                $dropped = array_sum(array_map(fn($one) => count($one->dropped), $own));
                $changed = array_sum(array_map(fn($one) => count($one->changed) + ($one->order === null ? 0 : 1), $own));
                return trim(($added ? "+{$added} " : '') . ($dropped ? "−{$dropped} " : '') . ($changed ? "~{$changed}" : ''));
            })
            @php($number = function (string $page, int $category) use ($all, $shown) {
                $there = count($all->of($page)->filters);
                $show = $shown === null ? $there : $shown[$category] ?? 0;
                return "<b title=\"{$show} of {$there} filters show on it\">{$show}</b>";
            })
            <a href="{{ route('line-ups', ['page' => 'shop']) }}" @if ($page === 'shop') aria-current="page" @endif><i
                class="starts"></i>Whole shop
                {!! $number('shop', 0) !!}</a>
            @foreach ($tree->flat() as [$one, $depth])
                @php($said = $mark(["below:{$one->id}", "only:{$one->id}"]))<a class="d{{ min(4, $depth + 1) }}"
                    href="{{ route('line-ups', ['page' => $one->id]) }}"
                    @if ($page === (string) $one->id) aria-current="page" @endif><i
                        @class(['starts' => $said !== ''])></i>{{ $one->name }}@if ($said !== '')
                        <span class="tag">{{ $said }}</span>
                    @endif
                    {!! $number((string) $one->id, $one->id) !!}</a>
            @endforeach
            @foreach (['search' => 'Search results', 'brands' => 'Brand pages'] as $one => $name)
                @php($said = $mark([$one]))<a href="{{ route('line-ups', ['page' => $one]) }}" @if ($page === $one)
                    aria-current="page" @endif><i
                        @class(['starts' => $said !== ''])></i>{{ $name }}@if ($said !== '')
                        <span class="tag">{{ $said }}</span>
                    @endif
                    <b>{{ count($all->of($one)->filters) }}</b></a>
            @endforeach
        </nav>
        <div class="lineup-work">
            <x-errors />
            <div class="flex items-start gap-3 flex-wrap">
                <div class="grow">
                    <h2>{{ $lineup->filters === [] ? 'No filters yet' : Format::count(count($lineup->filters), 'filter') }} for
                        {{ Format::count($products, 'product') }}</h2>
                    <p class="soft small">
                        @if ($page === 'shop')
                            Every page inherits these, and can add, drop or change
                            some.@else{{ count($lineup->layers) > 1 || $layer === null ? 'From '
                                . collect($lineup->layers)->pluck('name')->reverse()->implode(', then ') . '.' : '' }}
                            {{ $layer === null ? 'Nothing is said for these pages alone.' : 'What you change is said for '
                                . Placement::of($at, $tree)->name($tree) . '.' }}
                        @endif
                        <a
                            href="{{ route('line-ups', ['page' => $page, 'at' => request('at'),
                                'propose' => $lineup->filters === [] ? 'lineup' : 'order']) }}">{{ $lineup->filters === []
                                ? 'Propose a line-up' : 'Propose a better order' }}</a>
                        · <a href="{{ route('line-ups', ['page' => $page, 'at' => request('at'), 'propose' => 'lineup']) }}">what
                            would earn its place</a>
                    </p>
                </div>
                @can('edit')<form method="post" action="{{ route('line-ups.store') }}" class="flex gap-2">@csrf<input
                    type="hidden" name="page"
                            value="{{ $page }}"><input type="hidden" name="at" value="{{ request('at') }}"><label class="sr-only"
                                for="source">What to filter
                            by</label><select class="select small w-[170px]" id="source" name="source" required>
                            <option value="">Add a filter over …</option>
                            @if ($fields !== [])
                                <optgroup label="What every product has">
                                    @foreach ($fields as $field)
                                        <option value="{{ $field->value }}">{{ $field->title() }}</option>
                                    @endforeach
                                </optgroup>
                            @endif
                            @if ($shareable->isNotEmpty())
                                <optgroup label="One of another line-up, kept the same">
                                    @foreach ($shareable as $one)
                                        <option value="shared:{{ $one->id }}">{{ $one->title }}, of
                                            {{ App\Draft\Placement::of($one->lineup->placement, $tree)->name($tree) }}</option>
                                    @endforeach
                                </optgroup>
                            @endif
                            <optgroup label="Definitions">
                                @foreach ($offers as $offer)
                                    <option value="{{ $offer->slug }}">{{ $offer->label }}</option>
                                @endforeach
                            </optgroup>
                    </select><button class="button small main" data-key="n" title="Add the chosen filter (N)">Add</button></form>@endcan
            </div>
            @foreach ($warnings[''] ?? [] as $one)
                <p class="note">{{ $one['text'] }}: <a href="{{ $one['url'] }}">{{ $one['remedy'] }}</a>.</p>
            @endforeach
            @includeWhen($order !== null, 'lineups.order') @includeWhen($proposal !== null, 'lineups.proposal')
                @includeWhen($compared !== null, 'lineups.compare')
            @if ($lineup->filters === [])
                <div class="empty">
                    <h2>Shoppers have nothing to narrow by</h2>
                    <p class="soft">Add a filter above, or let Lokum propose a line-up. Its control is proposed from what it
                        holds; everything can be changed.</p>
                </div>
            @else
                <div x-data="ordering">
                    <table class="grid-table dense">
                        <thead>
                            <tr>
                                <th scope="col"><span class="sr-only">Move</span></th>
                                <th scope="col">Filter</th>
                                <th scope="col">Comes from</th>
                                <th scope="col">Covers</th>
                                <th scope="col">Narrows</th>
                            </tr>
                        </thead>
                        <tbody data-list>
                            @foreach ($lineup->filters as $key => $filter)
                                @php($set = $filter->settings())
                                @php($one = $worth[$key])
                                @if ($set->group !== null && $set->group !== ($above ?? null))
                                    <tr class="heads">
                                        <td></td>
                                        <td colspan="4">{{ $set->group }}</td>
                                    </tr>
                                @endif
                                @php($above = $set->group)
                                <tr data-row data-id="{{ $key }}" data-name="{{ $set->title }}"
                                    @class(['open' => $open?->key === $filter->key, 'grouped' => $set->group !== null])>
                                    <td class="w-8"><button type="button" class="handle" id="handle-{{ $key }}"
                                        aria-label="Move {{ $set->title }}: Alt and arrow keys"
                                            title="Drag, or Alt and arrow keys"><x-symbol name="grip" /></button></td>
                                    <td><a class="name" data-stop href="{{ route('line-ups', ['page' => $page,
                                        'at' => request('at'), 'filter' => $key]) }}">{{ $set->title }}</a>
                                        @if ($waiting = count(array_filter(array_keys($chosenCounts[$key] ?? []),
                                            fn($term) => App\Lineups\FilterForm::isWaiting($set, $term))))
                                            <span class="tag waiting">{{ $waiting }} waiting</span>
                                        @endif
                                        <div class="small soft">
                                            {{ mb_strtolower($set->control->label()) }}{{ $set->kind->isAttribute() ? ' · '
                                                . ['any' => 'any of', 'all' => 'all of', 'one' => 'single'][$set->combine->value]
                                                . ' · ' . ['follow' => 'follows', 'except' => 'all but ' . count($set->chosen),
                                                'only' => 'only ' . count($set->chosen)][$set->terms->value] . ' · '
                                                . Format::count($offered[$key], 'term') : '' }}{{ $set->isScale() ? ' · step '
                                                . ($set->step ?? 1) . ($set->unit ? ' ' . $set->unit : '')
                                                : '' }}{{ $set->bands !== [] && $set->control->value === 'bands' ? ' · '
                                                . count($set->bands) : '' }}{{ $set->open ? '' : ' · starts closed' }}
                                        </div>
                                        @foreach ($warnings[$key] ?? [] as $warning)
                                            <div @class([
                                                'small',
                                                'warn' => !isset($warning['quiet']),
                                                'soft' => isset($warning['quiet']),
                                            ])>{{ $warning['text'] }}: <a href="{{ $warning['url'] }}">{{ $warning['remedy'] }}</a></div>
                                        @endforeach
                                    </td>
                                    <td class="small soft">
                                        @if (isset($layer?->added[$key]))
                                            <b class="set-here">set here</b>@else{{ $named($filter->from) }}
                                            @endif @if ($filter->changed !== [])
                                                <div>
                                                    @php($changing = $lineup->changing($key)){{ $changing?->id === $layer?->id
                                                        ? 'changed here' : 'changed by ' . $changing?->name }}:
                                                    {{ implode(', ', array_map(fn($name) => str_replace('_', ' ', $name),
                                                        array_keys($filter->changed))) }}</div>
                                            @endif
                                    </td>
                                    <td class="whitespace-nowrap"
                                        title="{{ $one->inWords() }}">@php($share = (int) round(100 * $one->coverage))<x-meter
                                        :share="$share" :label="$one->inWords()" />
                                        {{ $share }} %</td>
                                    <td class="whitespace-nowrap"
                                        title="{{ $one->inWords() }}">@php($share = (int) round(100 * $one->narrowing))<x-meter
                                        class="rose" :share="$share"
                                            label="one pick leaves about {{ $one->leaves }} of {{ $one->products }}" /> {{ $share }} %</td>
                                </tr>
                                @if ($open?->key === $filter->key)
                                    <tr class="opened">
                                        <td colspan="5">@include('lineups.filter')</td>
                                    </tr>
                                @endif
                            @endforeach
                        </tbody>
                    </table>
                    <form method="post" action="{{ route('line-ups.order') }}" data-order hidden>@csrf<input type="hidden"
                        name="page" value="{{ $page }}"><input
                            type="hidden" name="at" value="{{ request('at') }}"></form>
                    <p class="sr-only" role="status" data-said></p>
                </div>
            @endif
            @foreach ($lineup->dropped as $key => $lost)
                <p class="small soft">{{ $lost->filter->settings()->title }} is dropped by {{ $named($lost->by) }}. @can('edit')
                    <form class="inline" method="post" action="{{ route('line-ups.store') }}">@csrf<input type="hidden"
                        name="page" value="{{ $page }}"><input
                            type="hidden" name="at" value="{{ request('at') }}"><button class="button small bare" name="source"
                                value="{{ $key }}">Have it here
                            again</button></form>
                @endcan
                </p>
            @endforeach
            @include('lineups.page')
        </div>
    </div>
@endsection
@section('panel')
    @include('lineups.live')
@endsection
