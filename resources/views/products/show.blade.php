@extends('layouts.desk')
@use('App\Support\Format')
@section('title', $item->title . ' · Products · Lokum')
@section('crumbs')
    <a href="{{ route('products', $list) }}">Products</a><span class="before">/</span>
    <h1 class="cut">{{ $item->title }}</h1>
@endsection
@section('lens')
    <nav class="flex gap-2" aria-label="In this list">
        @if ($before)
            <a class="button small" href="{{ route('products.show', [$before->id, ...$list]) }}" data-key="k" rel="prev"
                title="{{ $before->title }} (K)">Previous</a>
        @endif
        @if ($after)
            <a class="button small" href="{{ route('products.show', [$after->id, ...$list]) }}" data-key="j" rel="next"
                title="{{ $after->title }} (J)">Next</a>
        @endif
    </nav>
@endsection
@php([$first, $more] = $page->own()->partition(fn($definition) => $page->expects($definition) || $page->carries($definition)))
@section('work')
    <div class="bar"><span class="mono">{{ $item->sku }}</span>
        @if ($item->category)
            <a class="chip" href="{{ route('products', ['where' => ['category:'
                . $item->category->slug]]) }}">{{ $item->category->path }}</a>
        @endif
        @foreach ($alsoIn as $category)
            <form method="post" action="{{ route('products.category') }}">@csrf<input type="hidden" name="pick[]"
                value="{{ $item->id }}"><input type="hidden" name="category" value="{{ $category->slug }}"><input type="hidden"
                    name="back" value="{{ request()->getRequestUri() }}"><span class="chip">also in {{ $category->path }}
                    @can('edit')
                        <button class="x" name="in" value="out" aria-label="Take it out of {{ $category->path }}">×</button>
                    @endcan
                </span></form>
        @endforeach
        @can('edit')
            @if ($item->parent_id === null)
                <form method="post" action="{{ route('products.category') }}" class="flex gap-1">@csrf<input type="hidden"
                    name="pick[]" value="{{ $item->id }}"><input type="hidden" name="back"
                        value="{{ request()->getRequestUri() }}"><select class="select small w-[170px]" name="category" required
                        aria-label="Put it into a further category">
                        <option value="">also in …</option>
                        @foreach ($categories as [$one, $depth])
                            <option value="{{ $one->slug }}">{{ str_repeat('  ', $depth) }}{{ $one->name }}</option>
                        @endforeach
                    </select><button class="button small" name="in" value="in">Put in</button></form>
            @endif
        @endcan
        <span>{{ Format::count($item->variants->count(), 'variant') }}</span>
        @if ($item->variants->isEmpty() && $item->price !== null)
            <span>{{ Format::money($item->price, $item->currency) }}</span><span class="soft">{{ $item->stock ?? 'unknown' }} in
                stock</span>
        @endif
    </div>
    @if ($item->description)
        <p class="pad max-w-[70ch] whitespace-pre-line break-words">{{ mb_strimwidth($item->description, 0, 1200, '…') }}</p>
    @endif
    <form method="post" action="{{ route('products.update', $item) }}" id="fields">@csrf @method('put')
        <input type="hidden" name="back" value="{{ request()->getRequestUri() }}">
        @error('make')
            <input type="hidden" name="make" value="1">
        @enderror
        <section>
            <h2 class="pad">What it carries and should carry</h2>
            @if ($first->isEmpty())
                <p class="pad soft">Nothing yet, and nothing is expected in its category.</p>
            @else
                @include('products.fields', ['rows' => $first])
            @endif
        </section>
        @if ($item->variants->isNotEmpty() && $page->ofVariants()->isNotEmpty())
            @php([$columns, $others] = $page->ofVariants()->partition(fn($definition) => $page->expects($definition)
                || $page->carries($definition)))
            <section>
                <h2 class="pad">Its variants</h2>
                @foreach ([[$columns, true], [$others, false]] as [$some, $shown])
                    @continue($some->isEmpty() && !$shown)
                    <details @if ($shown) open @endif class="scroll-x">
                        <summary class="pad soft">{{ $shown ? Format::count($item->variants->count(), 'variant')
                            : Format::count($some->count(), 'more definition') }}</summary>
                        <table class="grid-table">
                            <thead>
                                <tr>
                                    <th scope="col">Variant</th>
                                    @if ($shown)
                                        <th scope="col" class="num">Price</th>
                                        <th scope="col" class="num">Stock</th>
                                    @endif
                                    @foreach ($some as $definition)
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
                                        @if ($shown)
                                            <td class="num">{{ Format::money($variant->price, $variant->currency) }}</td>
                                            <td class="num">{{ $variant->stock }}</td>
                                        @endif
                                        @foreach ($some as $definition)
                                            @php($held = $page->cells[$variant->id][$definition->id] ?? [])
                                            <td @class(['missing' => $held === [] && $page->expects($definition)])>
                                                @if ($held !== [])
                                                    <div><x-cells :cells="$held" :definition="$definition" :most="9" /></div>
                                                @endif
                                                @include('products.field', ['owner' => $variant])
                                            </td>
                                        @endforeach
                                    </tr>
                                @endforeach
                            </tbody>
                        </table>
                    </details>
                @endforeach
            </section>
        @endif
        @if ($more->isNotEmpty())
            <details>
                <summary class="pad soft" data-key="m" title="More definitions (M)">{{ Format::count($more->count(),
                    'more definition') }} it could carry</summary>
                @include('products.fields', ['rows' => $more])
            </details>
        @endif
        @can('edit')
            <div class="bar foot"><button class="button main" data-key="s">Save <kbd>S</kbd></button><span
                class="soft">What is set by hand stays: feeds that are read later leave these cells alone. An empty field clears
                    the value.</span></div>
        @endcan
    </form>
    @foreach ($labels as $id => $some)
        <datalist id="values-{{ $id }}">
            @foreach ($some as $label)
                <option value="{{ $label }}">
            @endforeach
        </datalist>
    @endforeach
@endsection
@section('panel')
    <x-errors />
    @php($gaps = $page->gaps())
    <h2>{{ $gaps->isEmpty() ? 'Nothing is missing' : Format::count($gaps->count(), 'gap') }}</h2>
    <dl class="figures">
        <div>
            <dt>Expected in its category</dt>
            <dd>{{ count($expected) }}</dd>
        </div>
        <div>
            <dt>Of these, missing</dt>
            <dd>{{ count($gaps) }}</dd>
        </div>
        <div>
            <dt>Definitions in use</dt>
            <dd>{{ count($definitions) }}</dd>
        </div>
    </dl>
    @if ($gaps->isNotEmpty())
        <p class="note">Missing: {{ $gaps->pluck('label')->join(', ', ' and ') }}</p>
    @endif
    @if ($notInUse->isNotEmpty())
        <h3>Carried, and not in use</h3>
        <ul class="grid gap-2">
            @foreach ($notInUse as $definition)
                @php($held = collect([$item, ...$item->variants])->flatMap(fn($owner) => $cells[$owner->id][$definition->id] ?? []))
                @php($texts = $held->map(fn($cell) => $cell->shown($definition))->unique()->implode(', '))
                <li class="flex gap-2 items-baseline"><span class="grow"><a
                    href="{{ route('definitions', ['open' => $definition->slug]) }}">{{ $definition->label }}</a>
                        <span class="soft">{{ mb_strimwidth($texts, 0, 80, '…') }}</span></span>
                    @can('edit')
                        <form method="post" action="{{ route('definitions.several') }}">@csrf<input type="hidden" name="ids[]"
                            value="{{ $definition->id }}"><input type="hidden" name="state" value="accepted"><input type="hidden"
                                name="back" value="{{ request()->getRequestUri() }}"><button class="button small">Take into use<span
                                    class="sr-only"> {{ $definition->label }}</span></button></form>
                    @endcan
                </li>
            @endforeach
        </ul>
    @endif
    @if ($senders->feeds->isNotEmpty())
        <h3>Sent by</h3>
        <p>
            @foreach ($senders->feeds as $feed)
                <a href="{{ route('sources.show', $feed) }}">{{ $feed->name }}</a>{{ $loop->last ? '' : ', ' }}
            @endforeach
        </p>
        @php($words = $senders->feeds->count() > 1 ? $senders->words($definitions) : [])
        @if ($words !== [])
            <dl class="figures">
                @foreach ($words as $what => $who)
                    <div>
                        <dt>{{ $what }}</dt>
                        <dd class="small">{{ $who }}</dd>
                    </div>
                @endforeach
            </dl>
        @endif
    @endif
@endsection
