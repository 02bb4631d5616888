@extends('layouts.desk')
@use('App\Format')
@use('Lokum\Vocabulary\Kind')
@section('title', $definition->label.' · Values · Lokum')
@section('crumbs')<a href="{{ route('values') }}">Values</a><span class="before">/</span><h1>{{ $definition->label }}</h1>@endsection
@section('lens')<span class="lens">@foreach (['' => 'All', 'several' => 'Several spellings', 'bare' => 'No colors', 'unused' => 'Unused', 'held' => 'Held'] as $show => $name)<a href="{{ route('values.show', [$definition, ...array_filter(['show' => $show, 'q' => request('q')])]) }}" @if ((string) request('show') === $show) aria-current="true" @endif>{{ $name }}</a>@endforeach</span>@endsection
@section('find')<form role="search"><input type="hidden" name="show" value="{{ request('show') }}"><input class="input" type="search" name="q" value="{{ request('q') }}" placeholder="Find a value or spelling  /" aria-label="Find a value or spelling" data-find></form>@endsection
@php($byHand = $definition->term_order === Lokum\Vocabulary\TermOrder::Hand && request('q') === null && request('show') === null && $pages <= 1)
@section('work')
<div class="bar">
    <span><b class="strong">{{ Format::number(array_sum(array_map(fn ($row) => count($row->spellings), $all))) }}</b> spellings</span><span><b class="strong">{{ Format::number(count($all)) }}</b> values</span><span><b class="strong">{{ Format::number(count(array_unique(array_map(fn ($row) => $row->value->umbrella_id === null ? 'v'.$row->value->id : 'u'.$row->value->umbrella_id, array_filter($all, fn ($row) => $row->products > 0 && ! $row->value->held))))) }}</b> terms shoppers see</span>
    @if ($lookAlikes)<a class="chip" href="{{ route('values.review', $definition) }}" data-key="r" title="Review look-alikes (R)"><b>{{ $lookAlikes }}</b> look-alikes to review</a>@endif
    @if ($colored > 3)<a class="chip" href="{{ route('values.umbrellas', $definition) }}">umbrellas by color</a>@endif
    <form class="ml-auto flex items-center gap-2" method="post" action="{{ route('values.order', $definition) }}" x-data="sendsItself">@csrf<label class="label" for="order">In order</label><select class="select small w-auto" id="order" name="order" x-on:change="send">@foreach ($orders as $order)<option value="{{ $order->value }}" @selected($order === $definition->term_order)>{{ $order->label() }}</option>@endforeach</select><noscript><button class="button small">Order</button></noscript></form>
</div>
<div @if ($byHand) x-data="ordering" @endif>
<form method="get" action="{{ route('values.show', $definition) }}" x-data="selection">
<table class="grid-table"><thead><tr><th scope="col"><span class="sr-only">Select</span></th>@if ($byHand)<th scope="col"><span class="sr-only">Move</span></th>@endif<th scope="col">As suppliers write it</th><th scope="col">What the product is</th>@if ($umbrellas->isNotEmpty())<th scope="col">Shoppers tick</th>@endif<th scope="col" class="num">Products</th></tr></thead>
    <tbody @if ($byHand) data-list @endif>
    @foreach ($rows as $row)
        <tr data-row data-id="{{ $row->value->id }}" data-name="{{ $row->value->label }}" @class(['open' => $open?->value->id === $row->value->id])>
            <td><input class="pick" type="checkbox" name="pick[]" value="{{ $row->value->id }}" aria-label="Select {{ $row->value->label }}" @checked(in_array($row->value->id, $picked, true)) data-stop></td>
            @if ($byHand)<td><button type="button" class="handle" id="handle-{{ $row->value->id }}" aria-label="Move {{ $row->value->label }}: Alt and arrow keys" title="Drag, or Alt and arrow keys"><x-icon name="grip-vertical" small/></button></td>@endif
            <td><div class="spellings">@foreach (array_slice($row->spellings, 0, 6) as $spelling)<span><span class="mono">{{ Format::spelling(mb_strimwidth($spelling['text'], 0, 60, '…')) }}</span> <span class="n">{{ Format::number($spelling['products']) }}</span></span>@endforeach @if (count($row->spellings) > 6)<span class="soft">+ {{ count($row->spellings) - 6 }} more</span>@endif</div></td>
            <td><a class="name" href="{{ route('values.show', [$definition, ...request()->only('q', 'show', 'page'), 'value' => $row->value->id]) }}"><x-cube :label="$row->value->label" :look="$row->value->look()"/></a>@if ($row->value->held) <span class="tag waiting">held</span>@endif</td>
            @if ($umbrellas->isNotEmpty())<td>@if ($row->value->umbrella)<a class="tray" href="{{ route('values.show', [$definition, 'umbrella' => $row->value->umbrella_id]) }}"><x-cube :label="$row->value->umbrella->label" :look="$row->value->umbrella->look()"/></a>@endif</td>@endif
            <td class="num">@if ($row->products)<a href="{{ route('products', ['where' => [$definition->slug.':'.$row->value->slug]]) }}" aria-label="{{ $row->products }} products with {{ $row->value->label }}">{{ Format::number($row->products) }}</a>@else<span class="soft">0</span>@endif</td>
        </tr>
    @endforeach
    </tbody></table>
@if ($rows === [])<div class="empty"><h2>{{ count($all) === 0 ? 'No values yet' : 'No value fits' }}</h2>@if (count($all) > 0)<a class="button" href="{{ route('values.show', $definition) }}">Show all {{ count($all) }}</a>@endif</div>@endif
<div class="bar foot"><span role="status"><b x-text="picked">{{ count($picked) }}</b> selected</span><button type="button" class="button bare small" x-on:click="none">none</button><noscript><button class="button small">See what merging would do</button></noscript>
    @if ($pages > 1)<span class="pager">@if ($page > 1)<a class="button small" href="{{ request()->fullUrlWithQuery(['page' => $page - 1]) }}">Previous</a>@endif<span>{{ $page }} of {{ $pages }}</span>@if ($page < $pages)<a class="button small" href="{{ request()->fullUrlWithQuery(['page' => $page + 1]) }}">Next</a>@endif</span>@endif
    <span class="ml-auto soft"><kbd>Space</kbd> select <kbd>Enter</kbd> open <kbd>M</kbd> merge <kbd>?</kbd> keys</span></div>
</form>
@if ($byHand)<form method="post" action="{{ route('values.order', $definition) }}" data-order hidden>@csrf<input type="hidden" name="order" value="hand"></form><p class="sr-only" role="status" data-said></p>@endif
</div>
@endsection
@section('panel')
@if ($merge)
    @php($moved = $merge->plan->moved)
    <p class="label">{{ Format::count(count($moved) + 1, 'value') }} selected</p><h2>Merge into one?</h2>
    <form method="post" action="{{ route('values.merge', $definition) }}" class="grid gap-3 grow content-start" id="merge">@csrf
        <fieldset class="grid gap-2 justify-items-start" x-data="sendsItself"><legend class="label pb-1">The one that stays</legend>
            @foreach ([$merge->plan->keep, ...$moved] as $value)
                @php($row = collect($all)->first(fn ($row) => $row->value->id === $value->id))
                <input type="hidden" name="pick[]" value="{{ $value->id }}">
                <label class="flex gap-2 items-center"><input type="radio" name="keep" value="{{ $value->id }}" @checked($value->id === $merge->plan->keep->id) hx-get="{{ route('values.show', $definition) }}" hx-include="#merge" hx-params="pick[],keep" hx-select="#panel" hx-target="#panel" hx-swap="outerHTML"><x-cube boxed :stays="$value->id === $merge->plan->keep->id" :label="$value->label" :look="$row->value->look()"> <span class="soft">{{ $value->id === $merge->plan->keep->id ? 'stays' : 'moves' }} · {{ Format::number($value->products) }}</span></x-cube></label>
            @endforeach
        </fieldset>
        <dl class="figures">
            <div><dt>Products whose value changes</dt><dd>{{ Format::number($merge->changing) }}</dd></div>
            <div><dt>{{ $merge->plan->keep->label }} afterwards</dt><dd>{{ Format::count($merge->afterwards, 'product') }}</dd></div>
            <div><dt>Values of {{ $definition->label }}</dt><dd>{{ $merge->values }} → {{ $merge->values - count($moved) }}</dd></div>
            <div><dt>Terms shoppers see</dt><dd>{{ $merge->terms }} → {{ $merge->termsAfter }}</dd></div>
            <div><dt>Filters that follow</dt><dd>{{ implode(', ', $merge->filters) ?: 'none' }}</dd></div>
            @foreach (array_slice($merge->plan->redirects(), 0, 4) as $from => $to)<div><dt>Old address</dt><dd class="mono">…/{{ $from }} leads to …/{{ $to }}</dd></div>@endforeach
            <div><dt>Next delivery</dt><dd>{{ Format::count(count($merge->plan->moves()), 'spelling') }} {{ count($merge->plan->moves()) === 1 ? 'lands' : 'land' }} here</dd></div>
        </dl>
        @can('edit')<div class="deed"><button class="button main" data-key="m">Merge, keep “{{ mb_strimwidth($merge->plan->keep->label, 0, 24, '…') }}” <kbd>M</kbd></button><p class="small soft text-center">No product is rewritten. Can be taken back at any time.</p></div>@endcan
    </form>
    @include('values.gather')
@elseif ($umbrella)
    @include('values.umbrella')
@elseif ($open)
    @php($look = $open->value->look())
    <p class="label">{{ Format::count($open->products, 'product') }} · {{ Format::count(count($open->spellings), 'spelling') }}</p><h2><x-cube :label="$open->value->label" :look="$look"/></h2>
    <form method="post" action="{{ route('values.update', [$definition, $open->value]) }}" class="grid gap-3 grow content-start" @if ($definition->has_pages) enctype="multipart/form-data" @endif>@csrf @method('put')<input type="hidden" name="version" value="{{ $errors->any() ? $open->value->version : old('version', $open->value->version) }}">
        <div class="field"><label for="label">Name</label><input class="input" id="label" name="label" maxlength="500" required value="{{ old('label', $open->value->label) }}" @error('label') aria-invalid="true" aria-describedby="error-label" @enderror><x-error for="label"/></div>
        @php($colors = old('colors', $look->colors))
        <div class="field"><label for="color_count">Colors</label>
            <div class="flex gap-3 items-center"><select class="select small w-auto" id="color_count" name="color_count">@foreach (['none', 'one', 'two', 'three'] as $n => $name)<option value="{{ $n }}" @selected((int) old('color_count', count($look->colors)) === $n)>{{ $name }}</option>@endforeach</select>
            <span class="swatches">@for ($i = 0; $i < 3; $i++)<input type="color" name="colors[]" value="{{ $colors[$i] ?? $colors[0] ?? (Lokum\Color\ColorNames::in($open->value->label)[$i] ?? '#b9a996') }}" aria-label="Color {{ $i + 1 }}">@endfor</span></div><x-error for="colors"/></div>
        <div class="field"><label for="look_label">What shoppers read</label><input class="input" id="look_label" name="look_label" maxlength="100" value="{{ old('look_label', $look->label) }}" placeholder="{{ $open->value->label }}"></div>
        <div class="field"><label for="look_help">Help for shoppers</label><input class="input" id="look_help" name="look_help" maxlength="200" value="{{ old('look_help', $look->help) }}"></div>
        <label class="check"><input type="checkbox" name="held" value="1" @checked(old('held', $open->value->held))><span>Held back from shoppers</span></label>
        @if ($definition->has_pages)
        <div class="field"><label for="description">Its page in the shop says</label><textarea class="input" id="description" name="description" rows="4" maxlength="5000">{{ old('description', $open->value->description) }}</textarea><x-error for="description"/></div>
        <div class="field"><label for="picture">Picture: PNG, JPEG or WebP</label>@if ($open->value->picture)<div class="flex gap-3 items-center"><img class="value-thumb" src="{{ route('shop.picture', $open->value->picture) }}" alt="{{ $open->value->label }}"><label class="check"><input type="checkbox" name="no_picture" value="1"><span>Take it away</span></label></div>@endif<input class="input" type="file" id="picture" name="picture" accept="image/png,image/jpeg,image/webp"><x-error for="picture"/></div>
        @endif
        <div class="field"><span class="label">Spellings</span><ul class="grid gap-1">@foreach (array_slice($open->spellings, 0, 40) as $spelling)<li class="flex justify-between gap-3"><span class="mono whitespace-pre-wrap break-all">{{ Format::spelling($spelling['text']) }}</span><span class="soft">{{ Format::number($spelling['products']) }}</span></li>@endforeach</ul></div>
        @can('edit')<div class="deed"><button class="button main" data-key="s">Save <kbd>S</kbd></button><p class="small soft text-center">Its address …/{{ $open->value->slug }} stays.</p></div>@endcan
    </form>
@else
    <h2>Select values</h2><p class="soft">Two or more: what merging them would do shows here. One opened by its name: its spellings and look.</p>
    @if (count($picked) === 1)<p class="note">One value is selected. Select another to see what merging them would do.</p>@include('values.gather')@endif
    @if ($definition->kind === Kind::Choice)@can('edit')
    <form method="post" action="{{ route('values.store', $definition) }}" class="grid gap-2 border-t border-(--line) pt-3">@csrf<div class="field"><label for="new">New value</label><input class="input" id="new" name="label" maxlength="500" required value="{{ old('label') }}"><x-error for="label"/></div><button class="button">Make it</button></form>@endcan @endif
@endif
@endsection
