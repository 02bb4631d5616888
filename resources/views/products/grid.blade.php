{{-- Products down, definitions across; variants below their product when asked for. --}}
@use('App\Support\Format')
@use('App\Products\CellMarkup')
@use('App\Products\GridCell')
<table class="grid-table sheet"
    @can('edit') x-data="grid" data-cells="{{ route('products.cells') }}" data-suggest="{{ route('products.suggest') }}"
        data-token="{{ csrf_token() }}" aria-describedby="grid-keys" @endcan>
    <thead>
        <tr>
            <th scope="col"><input type="checkbox" aria-label="Select all on this page" x-on:change="all"></th>
            <th scope="col"><x-sorts key="title" :sort="$sort" :query="$query">Product</x-sorts> · <x-sorts key="sku" :sort="$sort"
                :query="$query">sku</x-sorts></th>
            @if ($showsCategory)
                <th scope="col"><x-sorts key="category" :sort="$sort" :query="$query">Category</x-sorts></th>
            @endif
            @foreach ($columns as $column)
                @php($share = Format::share($covered[$column->id] ?? 0, $total))
                <th scope="col" data-column="{{ $column->slug }}" data-kind="{{ $column->kind->value }}"
                    data-multiple="{{ $column->multiple ? Lokum\Feed\Separator::of($column->separator)->first() : '' }}"
                        @if ($column->team_help)
                        title="{{ $column->team_help }}" @endif>
                    <x-sorts :key="$column->slug" :sort="$sort" :query="$query">{{ $column->label }}</x-sorts><div
                        class="flex items-center gap-1.5 font-normal"><x-meter :share="$share" />{{ $share }} %</div><span
                            class="column-edge" tabindex="0" role="separator"
                            aria-orientation="vertical" aria-valuemin="70" aria-valuemax="700" aria-valuenow="150"
                            aria-label="Width of {{ $column->label }}: arrow keys, Escape as it was"
                            title="Drag, or arrow keys; twice as it was"></span>
                </th>
            @endforeach
            <th scope="col" class="num"><x-sorts key="price" :sort="$sort" :query="$query">Price</x-sorts></th>
            <th scope="col" class="num"><x-sorts key="stock" :sort="$sort" :query="$query">Stock</x-sorts></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($products as $product)
            @php($own = $variants[$product->id] ?? collect())
            <tr data-row>
                <td><input class="pick" type="checkbox" name="pick[]" value="{{ $product->id }}"
                    aria-label="Select {{ $product->title }}" data-stop
                        @checked(in_array($product->id, $picked, true))></td>
                <td class="max-w-[270px]"><a class="name block cut" href="{{ route('products.show', [$product,
                    ...array_filter(Illuminate\Support\Arr::only($query, ['where', 'sort', 'down']))]) }}">{{ $product->title }}</a><span
                        class="small soft mono">{{ $product->sku }}</span>
                    @if ($own->isNotEmpty())
                        <span class="small soft">· {{ Format::count($own->count(), 'variant') }}</span>
                    @endif
                </td>
                @if ($showsCategory)
                    <td class="cut max-w-[180px] soft" title="{{ $product->category?->path }}">{{ $product->category?->path }}</td>
                @endif
                @foreach ($columns as $column)
                    {!! CellMarkup::cell(GridCell::of($product, $column, $cells, $own)) !!}
                @endforeach
                @php($prices = $own->isEmpty() ? collect([$product->price])->filter(fn($price) => $price !== null)
                    : $own->pluck('price')->filter(fn($price) => $price !== null))
                <td class="num whitespace-nowrap">
                    @if ($prices->isNotEmpty())
                        {{ Format::money($prices->min(), $product->currency) }}@if ($prices->max() > $prices->min())
                            &nbsp;+
                        @endif
                    @endif
                </td>
                <td class="num">{{ $own->isEmpty() ? $product->stock : $own->sum('stock') }}</td>
            </tr>
            @if (request('variants'))
                @foreach ($own as $variant)
                    <tr class="variant-row">
                        <td></td>
                        <td class="pl-6"><span class="mono">{{ $variant->sku }}</span></td>
                        @if ($showsCategory)
                            <td></td>
                        @endif
                        @foreach ($columns as $column)
                            @if ($column->level === Lokum\Vocabulary\Level::Variant)
                                {!! CellMarkup::cell(GridCell::of($variant, $column, $cells)) !!}@else<td></td>
                            @endif
                        @endforeach
                        <td class="num whitespace-nowrap">{{ Format::money($variant->price, $variant->currency) }}</td>
                        <td class="num">{{ $variant->stock }}</td>
                    </tr>
                @endforeach
            @endif
        @endforeach
    </tbody>
</table>
<p class="sr-only" id="grid-keys">Arrow keys move from cell to cell, Enter or typing changes a cell, Delete clears it, Control C
    and Control V copy and paste blocks, Control D
    fills down.</p>
<p class="sr-only" role="status" data-grid-said></p>
