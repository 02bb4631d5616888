@extends('layouts.desk')
@use('App\Support\Format')
@use('Lokum\Vocabulary\Level')
@use('Lokum\Vocabulary\Kind')
@section('title', $item->title . ' · Products · Lokum')
@section('crumbs')
    <a href="{{ route('products') }}">Products</a><span class="before">/</span>
    <h1 class="cut">{{ $item->title }}</h1>
@endsection
@php($own = $item->variants->isEmpty() ? collect([$item]) : $item->variants)
@php($editor = function ($owner, $definition, $held) {
    return view('products.cell', ['owner' => $owner, 'definition' => $definition, 'held' => $held]);
})
@section('work')
    <div class="bar"><span class="mono">{{ $item->sku }}</span>
        @if ($item->category)
            <a class="chip" href="{{ route('products', ['where' => ['category:'
                . $item->category->slug]]) }}">{{ $item->category->path }}</a>
        @endif
        <span>{{ Format::count($item->variants->count(), 'variant') }}</span>
        @if ($item->variants->isEmpty() && $item->price !== null)
            <span>{{ Format::money($item->price, $item->currency) }}</span><span class="soft">{{ $item->stock ?? 'unknown' }} in
                stock</span>
        @endif
    </div>
    @if ($item->description)
        <p class="pad max-w-[70ch] whitespace-pre-line break-words">{{ mb_strimwidth($item->description, 0, 1200, '…') }}</p>
    @endif
    <section>
        <h2 class="pad">The product</h2>
        <table class="grid-table">
            <thead>
                <tr>
                    <th scope="col">Definition</th>
                    <th scope="col">Now</th>
                    <th scope="col">Set by hand</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($definitions->where('level', $item->variants->isEmpty() ? '!=' : '=', $item->variants->isEmpty() ? null
                    : Level::Product) as $definition)
                    @php($held = $cells[$item->id][$definition->id] ?? [])
                    <tr data-row>
                        <td @class(['strong' => in_array($definition->id, $expected, true)])>{{ $definition->label }}</td>
                        <td @class([
                            'missing' => $held === [] && in_array($definition->id, $expected, true),
                        ])>
                            @if ($held === [])
                            <span class="soft">{{ in_array($definition->id, $expected, true) ? 'missing'
                                : '' }}</span>@else<x-cells :cells="$held" :definition="$definition"
                                    :most="9" />
                            @endif
                        </td>
                        <td>{{ $editor($item, $definition, $held) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </section>
    @if ($item->variants->isNotEmpty())
        @php($columns = $definitions->where('level', Level::Variant))
        <section>
            <h2 class="pad">Its variants</h2>
            <table class="grid-table">
                <thead>
                    <tr>
                        <th scope="col">Variant</th>
                        <th scope="col" class="num">Price</th>
                        <th scope="col" class="num">Stock</th>
                        @foreach ($columns as $definition)
                            <th scope="col">{{ $definition->label }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($item->variants as $variant)
                        <tr data-row>
                            <td><span class="mono">{{ $variant->sku }}</span>
                                @if ($variant->name)
                                    <div class="small soft">{{ $variant->name }}</div>
                                @endif
                            </td>
                            <td class="num">{{ Format::money($variant->price, $variant->currency) }}</td>
                            <td class="num">{{ $variant->stock }}</td>
                            @foreach ($columns as $definition)
                                @php($held = $cells[$variant->id][$definition->id] ?? [])<td @class(['missing' => $held === []])>
                                    @if ($held !== [])
                                        <div><x-cells :cells="$held" :definition="$definition" :most="9" /></div>
                                    @endif{{ $editor($variant, $definition, $held) }}
                                </td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </section>
    @endif
    @foreach ($labels as $id => $some)
        <datalist id="values-{{ $id }}">
            @foreach ($some as $label)
                <option value="{{ $label }}">
            @endforeach
        </datalist>
    @endforeach
@endsection
@section('panel')
    <h2>What is set by hand stays</h2>
    <p class="soft">A feed that is read later leaves these cells alone. Empty the field and set it to clear a value.</p>
    @php($missing = $definitions->filter(fn($definition) => ($cells[$item->id][$definition->id] ?? []) === []
        && $item->variants->every(fn($variant) => ($cells[$variant->id][$definition->id] ?? []) === [])))
    @php($gaps = $missing->filter(fn($definition) => in_array($definition->id, $expected, true)))
    <dl class="figures">
        <div>
            <dt>Definitions in use</dt>
            <dd>{{ count($definitions) }}</dd>
        </div>
        <div>
            <dt>Expected in its category</dt>
            <dd>{{ count($expected) }}</dd>
        </div>
        <div>
            <dt>Of these, missing</dt>
            <dd>{{ count($gaps) }}</dd>
        </div>
    </dl>
    @if ($gaps->isNotEmpty())
        <p class="note">Missing: {{ $gaps->pluck('label')->join(', ', ' and ') }}</p>
    @endif
    @php($carried = $undefined->filter(fn($definition) => ($cells[$item->id][$definition->id] ?? []) !== []
        || $item->variants->contains(fn($variant) => ($cells[$variant->id][$definition->id] ?? []) !== [])))
    @if ($carried->isNotEmpty())
        <h3>Carried, and not in use</h3>
        <ul class="grid gap-1">
            @foreach ($carried as $definition)
                @php($held = collect([$item, ...$item->variants])->flatMap(fn($owner) => $cells[$owner->id][$definition->id] ?? []))
                @php($shown = $held->map(fn($cell) => $cell->shown($definition->unit))->unique()->implode(', '))
                <li><a href="{{ route('definitions', ['open' => $definition->slug]) }}">{{ $definition->label }}</a>
                    <span class="soft">{{ mb_strimwidth($shown, 0, 80, '…') }}</span></li>
            @endforeach
        </ul>
    @endif
    @if ($errors->isNotEmpty())
        @foreach ($errors->all() as $message)
            <p class="note harm" role="alert">{{ $message }}</p>
        @endforeach
    @endif
@endsection
