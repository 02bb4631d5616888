@extends('layouts.desk')
@use('App\Format')
@use('App\Catalog\SetMode')
@section('title', 'Products · Lokum')
@section('crumbs')<h1>Products</h1>@endsection
@section('find')<form role="search" action="{{ route('products') }}">@foreach (request()->only('category', 'brand', 'has', 'missing', 'sort') as $name => $values)@foreach ((array) $values as $value)<input type="hidden" name="{{ $name }}{{ is_array($values) ? '[]' : '' }}" value="{{ $value }}">@endforeach @endforeach<input class="input" type="search" name="q" value="{{ request('q') }}" placeholder="Words or sku  /" aria-label="Find by words or sku" data-find></form>@endsection
@php($query = request()->only('category', 'brand', 'has', 'missing', 'q', 'sort', 'down', 'columns'))
@php($without = fn (string $name, ?string $value = null) => route('products', array_filter($value === null ? array_diff_key($query, [$name => 0]) : [...$query, $name => array_values(array_diff((array) ($query[$name] ?? []), [$value]))])))
@section('work')
<div class="bar">
    @if ($narrowing->category)<a class="chip" href="{{ $without('category') }}">in <b>{{ $narrowing->category->name }}</b> and below <span class="x" aria-label="remove">×</span></a>@endif
    @if ($narrowing->words)<a class="chip" href="{{ $without('q') }}">with the words <b>{{ implode(' ', $narrowing->words) }}</b> <span class="x" aria-label="remove">×</span></a>@endif
    @foreach ($narrowing->values as [$definition, $value])<a class="chip" href="{{ $definition->slug === 'brand' && request('brand') === $value->slug ? $without('brand') : $without('has', $definition->slug.':'.$value->slug) }}">{{ $definition->label }} <x-cube :label="$value->label" :look="$value->look()" class="strong"/> <span class="x" aria-label="remove">×</span></a>@endforeach
    @foreach ($narrowing->missing as $definition)<a class="chip" href="{{ $without('missing', $definition->slug) }}">missing <b>{{ $definition->label }}</b> <span class="x" aria-label="remove">×</span></a>@endforeach
    <details class="relative" @if ($narrowing->isOpen() && request('narrow')) open @endif><summary class="chip list-none" data-key="n" title="Narrow (N)">narrow {{ $narrowing->isOpen() ? '' : 'further ' }}+</summary>
        <form class="card absolute z-10 w-[320px] mt-1" method="get" action="{{ route('products') }}">
            <input type="hidden" name="q" value="{{ request('q') }}">@foreach ((array) request('has', []) as $has)<input type="hidden" name="has[]" value="{{ $has }}">@endforeach @foreach ((array) request('missing', []) as $slug)<input type="hidden" name="missing[]" value="{{ $slug }}">@endforeach
            <div class="field"><label for="category">Category and what is below it</label><select class="select" id="category" name="category"><option value="">any</option>@foreach ($categories as [$category, $depth])<option value="{{ $category->slug }}" @selected(request('category') === $category->slug)>{{ str_repeat("\u{2003}", $depth) }}{{ $category->name }}</option>@endforeach</select></div>
            <div class="field"><label for="brand">Brand</label><select class="select" id="brand" name="brand"><option value="">any</option>@foreach ($brands as $brand)<option value="{{ $brand->slug }}" @selected(request('brand') === $brand->slug)>{{ $brand->label }}</option>@endforeach</select></div>
            <div class="field"><label for="missing">Missing</label><select class="select" id="missing" name="missing[]"><option value="">nothing in particular</option>@foreach ($definitions as $definition)<option value="{{ $definition->slug }}">{{ $definition->label }} ({{ Format::number($total - ($covered[$definition->id] ?? 0)) }})</option>@endforeach</select></div>
            <div class="field"><label for="has">Value, as attribute:value</label><input class="input" id="has" name="has[]" placeholder="color:sap-green"></div>
            <button class="button main">Narrow</button>
        </form></details>
    <span class="ml-auto"><b class="strong">{{ $many ? 'more than '.Format::number(10000) : Format::number($found) }}</b> of {{ Format::count($total, 'product') }}</span>
</div>
@if ($products->isEmpty())
    <div class="empty"><h2>{{ $total === 0 ? 'No products yet' : 'No product is left' }}</h2><p class="soft">{{ $total === 0 ? 'They come with a supplier\'s file.' : 'Nothing has all of this at once.' }}</p><a class="button" href="{{ $total === 0 ? route('feeds') : route('products') }}">{{ $total === 0 ? 'Read a feed' : 'Show all products' }}</a></div>
@else
<form method="get" action="{{ route('products') }}" x-data="selection" class="contents">
@foreach ($query as $name => $values)@foreach ((array) $values as $value)<input type="hidden" name="{{ $name }}{{ is_array($values) ? '[]' : '' }}" value="{{ $value }}">@endforeach @endforeach
<table class="grid-table">
    <thead><tr><th scope="col"><input type="checkbox" aria-label="Select all on this page" x-on:change="all"></th>
        <th scope="col"><a href="{{ route('products', [...$query, 'sort' => 'title', 'down' => $sort === 'title' && ! request('down') ? 1 : null]) }}">Product{{ $sort === 'title' ? (request('down') ? ' ↓' : ' ↑') : '' }}</a> · <a href="{{ route('products', [...$query, 'sort' => 'sku', 'down' => $sort === 'sku' && ! request('down') ? 1 : null]) }}">sku{{ $sort === 'sku' ? (request('down') ? ' ↓' : ' ↑') : '' }}</a></th>
        @foreach ($columns as $column)@php($share = Format::share($covered[$column->id] ?? 0, $total))<th scope="col">{{ $column->label }}<div class="flex items-center gap-1.5 font-normal"><x-meter :share="$share"/>{{ $share }} %</div></th>@endforeach
        <th scope="col" class="num">Price</th><th scope="col" class="num">Stock</th></tr></thead>
    <tbody>
    @foreach ($products as $product)
        @php($own = $variants[$product->id] ?? collect())
        <tr data-row>
            <td><input class="pick" type="checkbox" name="pick[]" value="{{ $product->id }}" aria-label="Select {{ $product->title }}" data-stop @checked(in_array($product->id, $picked, true))></td>
            <td class="max-w-[270px]"><a class="name block cut" href="{{ route('products.show', $product) }}">{{ $product->title }}</a><span class="small soft mono">{{ $product->sku }}</span>@if ($own->isNotEmpty()) <span class="small soft">· {{ Format::count($own->count(), 'variant') }}</span>@endif</td>
            @foreach ($columns as $column)
                @php($held = [...($cells[$product->id][$column->id] ?? []), ...($column->level === Lokum\Vocabulary\Level::Variant ? $own->flatMap(fn ($variant) => $cells[$variant->id][$column->id] ?? [])->all() : [])])
                <td @class(['missing' => $held === [], 'max-w-[140px] cut'])>@if ($held === [])<span class="sr-only">missing</span>@else<x-cells :cells="$held" :definition="$column" :most="$own->count() > 1 ? 1 : 2"/>@endif</td>
            @endforeach
            @php($prices = $own->isEmpty() ? collect([$product->price])->filter(fn ($price) => $price !== null) : $own->pluck('price')->filter(fn ($price) => $price !== null))
            <td class="num whitespace-nowrap">@if ($prices->isNotEmpty()){{ Format::money($prices->min(), $product->currency) }}@if ($prices->max() > $prices->min())&nbsp;+@endif @endif</td>
            <td class="num">{{ $own->isEmpty() ? $product->stock : $own->sum('stock') }}</td>
        </tr>
    @endforeach
    </tbody>
</table>
<div class="bar foot"><span role="status"><b x-text="picked">{{ count($picked) }}</b> selected</span><button type="button" class="button bare small" x-on:click="none">none</button><noscript><button class="button small" name="give" value="{{ $columns->first()?->slug }}">Give the selected a value</button></noscript>
    <span class="pager">@if ($products->previousPageUrl())<a class="button small" href="{{ $products->previousPageUrl() }}" rel="prev">Previous</a>@endif @if ($products->nextPageUrl())<a class="button small" href="{{ $products->nextPageUrl() }}" rel="next">Next</a>@endif</span>
    <span class="ml-auto soft"><kbd>Space</kbd> select <kbd>Shift</kbd> a range <kbd>?</kbd> keys</span></div>
</form>
@endif
@endsection
@section('panel')
@if ($picked === [])
    <h2>Select products</h2><p class="soft">Tick products, and give all of them a value here. What it would change is counted before anything is done.</p>
@else
    <p class="label">{{ Format::count(count($picked), 'product') }} selected</p><h2>Give them a value</h2>
    <form method="post" action="{{ route('products.give') }}" id="give" class="grid gap-3 grow content-start">@csrf
        <input type="hidden" name="back" value="{{ route('products', $query, false) }}">
        @foreach ($picked as $id)<input type="hidden" name="pick[]" value="{{ $id }}">@endforeach
        @php($ask = ['hx-get' => route('products'), 'hx-include' => '#give', 'hx-params' => 'pick[],give,mode,value[]', 'hx-select' => '#figures', 'hx-target' => '#figures', 'hx-swap' => 'outerHTML'])
        <div class="field"><label for="give-what">Definition</label><select class="select" id="give-what" name="give" required hx-get="{{ route('products') }}" hx-include="#give" hx-params="pick[],give" hx-select="#panel" hx-target="#panel" hx-swap="outerHTML"><option value="">choose …</option>@foreach ($definitions as $definition)<option value="{{ $definition->slug }}" @selected(($giving['definition']->id ?? null) === $definition->id)>{{ $definition->label }}</option>@endforeach</select></div>
        @if ($giving)
            @php($definition = $giving['definition'])
            @if ($definition->multiple)<div class="choices" role="group" aria-label="How">@foreach ([['set', 'Set'], ['add', 'Add']] as [$mode, $name])<label><input type="radio" name="mode" value="{{ $mode }}" @checked($giving['mode']->value === $mode) {!! collect($ask)->map(fn ($v, $k) => $k.'="'.e($v).'"')->implode(' ') !!}>{{ $name }}</label>@endforeach</div>@endif
            <div class="field"><label for="give-value">Value{{ $definition->unit ? " in {$definition->unit}" : '' }}{{ $definition->multiple ? ", several parted by {$definition->separator}" : '' }}</label>
                <input class="input" id="give-value" name="value[]" list="give-values" autocomplete="off" value="{{ implode($definition->separator, $giving['texts']) }}" hx-trigger="input changed delay:250ms" {!! collect($ask)->map(fn ($v, $k) => $k.'="'.e($v).'"')->implode(' ') !!}>
                @if ($definition->kind->isAttribute())<datalist id="give-values">@foreach ($definition->values()->orderBy('label')->limit(2000)->pluck('label') as $label)<option value="{{ $label }}">@endforeach</datalist>@endif</div>
            <div id="figures" class="grid gap-3 grow content-start">
            @if ($giving['problem'])<p class="note harm" role="alert">{{ $giving['problem'] }}</p>
            @elseif ($giving['figures'])
                @php($figures = $giving['figures'])
                <dl class="figures">
                    <div><dt>{{ $giving['texts'] === [] ? 'Are cleared' : 'Get it' }}</dt><dd>{{ Format::number($figures['get']) }}</dd></div>
                    <div><dt>{{ $giving['texts'] === [] ? 'Have none' : 'Have it already' }}</dt><dd>{{ Format::number($figures['have']) }}</dd></div>
                    <div><dt>Other value, replaced</dt><dd>{{ Format::number($figures['replaced']) }}</dd></div>
                    <div><dt>Of these, set by hand</dt><dd>{{ Format::number($figures['by_hand']) }}</dd></div>
                    <div><dt>Counted as</dt><dd>{{ $definition->level->value }}s, {{ Format::number($figures['items']) }}</dd></div>
                </dl>
                @if ($figures['new'] !== [])<p class="note">{{ $definition->label }} has no value “{{ implode('”, “', $figures['new']) }}” yet. It is made, and becomes a term.</p>@endif
            @endif
            @can('edit')<div class="deed"><button class="button main" data-key="s" @disabled($giving['problem'] !== null)>{{ $giving['texts'] === [] ? 'Clear on' : ($giving['mode'] === SetMode::Add ? 'Add to' : 'Set on') }} {{ Format::count(count($picked), 'product') }} <kbd>S</kbd></button><p class="small soft text-center">One step in History. Can be taken back.</p></div>@endcan
            </div>
        @endif
    </form>
@endif
@endsection
