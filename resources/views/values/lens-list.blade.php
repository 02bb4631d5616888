{{-- Addresses are made once: a page has hundreds of them. --}}
@php($show = route('values.show', $definition))
@php($kept = ltrim(http_build_query(request()->only('q', 'show', 'page')) . '&', '&'))
@php($rename = route('values.rename', [$definition, 'ID']))
@php($products = route('products'))
@use('App\Support\Format')
@php($byHand = $definition->term_order === Lokum\Vocabulary\TermOrder::Hand && !request('q') && !request('show') && $pages <= 1)
@php($picked = $bench->picked)
@php($open = $bench->opened())
<div @if ($byHand) x-data="ordering" @endif>
    <form method="get" action="{{ route('values.show', $definition) }}" x-data="selection">
        <table class="grid-table dense">
            <thead>
                <tr>
                    <th scope="col"><input type="checkbox" aria-label="Select all on this page" x-on:change="all"></th>
                    @if ($byHand)
                        <th scope="col"><span class="sr-only">Move</span></th>
                    @endif
                    <th scope="col">
                        What the product is</th>
                    <th scope="col" class="num">Products</th>
                    <th scope="col">As suppliers write it</th>
                    @if ($umbrellas->isNotEmpty())
                        <th scope="col">Shoppers tick</th>
                    @endif
                    <th scope="col">
                        Used in</th>
                    <th scope="col">First seen</th>
                </tr>
            </thead>
            <tbody @if ($byHand) data-list @endif>
                @foreach ($rows as $row)
                    @php($used = $origins['used'][$row->id] ?? [])
                    @php($since = $origins['since'][$row->id] ?? null)
                    <tr data-row data-id="{{ $row->id }}" data-name="{{ $row->label }}"
                        @class(['open' => $open?->value->id === $row->id])>
                        <td><input class="pick" type="checkbox" name="pick[]" value="{{ $row->id }}"
                            aria-label="Select {{ $row->label }}"
                                @checked(in_array($row->id, $picked, true)) data-stop></td>
                        @if ($byHand)
                            <td><button type="button" class="handle" id="handle-{{ $row->id }}"
                                aria-label="Move {{ $row->label }}: Alt and arrow keys"
                                    title="Drag, or Alt and arrow keys"><x-symbol name="grip" /></button></td>
                        @endif
                        <td class="cut"><a class="name" href="{{ $show . '?' . $kept . 'value=' . $row->id }}"
                                data-rename="{{ str_replace('ID', (string) $row->id, $rename) }}"
                                    title="F2 renames it in its place"><x-cube :label="$row->label"
                                    :look="$row->value->look()" /></a>
                            @if ($row->value->retired)
                                <span class="tag">retired</span>
                            @elseif ($row->held)
                                <span class="tag waiting">{{ $row->value->on_products ? 'not in filters' : 'held' }}</span>
                            @endif
                        </td>
                        <td class="num">
                            @if ($row->products)
                                <a href="{{ $products . '?where[]=' . rawurlencode("{$definition->slug}:{$row->value->slug}") }}"
                                aria-label="{{ $row->products }} products with {{ $row->label }}"
                                >{{ Format::number($row->products) }}</a>@else<span
                                    class="soft">0</span>
                            @endif
                        </td>
                        <td>
                            <div class="spellings">@php($first = $bench->firstSpellings($row)) @foreach ($first as $spelling)
                                    <span><a class="mono"
                                            href="{{ $show . '?spelling='
                                                . $spelling['id'] }}">{{ Format::spelling(mb_strimwidth($spelling['text'], 0, 40,
                                                '…')) }}</a>
                                        <span class="n">{{ Format::number($spelling['products']) }}</span></span>
                                    @endforeach @if (count($row->spellings) > count($first))
                                        <span class="soft">+ {{ count($row->spellings) - count($first) }} more</span>
                                    @endif
                            </div>
                        </td>
                        @if ($umbrellas->isNotEmpty())
                            <td>
                                @if ($row->value->umbrella)
                                    <a class="tray" href="{{ $show . '?umbrella=' . $row->umbrella }}"><x-cube
                                        :label="$row->value->umbrella->label"
                                            :look="$row->value->umbrella->look()" /></a>
                                @endif
                            </td>
                        @endif
                        <td @class(['small soft', 'cut' => $umbrellas->isEmpty()])>{{ implode(', ', array_slice(array_map(
                            fn($name, $n) => $name . ' ' . number_format($n), array_keys($used), $used), 0, 2)) }}@if (count($used) > 2)
                                +{{ count($used) - 2 }}
                            @endif
                        </td>
                        <td class="small soft cut">{{ $since === null ? 'by hand' : $since['feed'] }}@if ($since)
                                <span class="block">{{ $since['day'] }}</span>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @include('values.elsewhere', ['inSight' => array_map(fn($row) => $row->id, $rows)])
        <div class="bar foot"><span role="status"><b x-text="picked">{{ count($picked) }}</b> selected</span><button type="button"
            class="button bare small"
                x-on:click="none">none</button><noscript><button class="button small">See what merging would do</button></noscript>
            @if ($pages > 1)<span class="pager">
                    @if ($page > 1)
                        <a class="button small" data-carries href="{{ request()->fullUrlWithQuery(['page' => $page - 1]) }}">Previous</a>
                    @endif
                    <span>
                        {{ $page }} of {{ $pages }}</span>
                    @if ($page < $pages)
                        <a class="button small" data-carries href="{{ request()->fullUrlWithQuery(['page' => $page + 1]) }}">Next</a>
                    @endif
                </span>@endif
            <span class="ml-auto soft"><kbd>Space</kbd> select <kbd>Enter</kbd> open <kbd>F2</kbd> rename <kbd>M</kbd> merge
            <kbd>?</kbd> keys</span>
        </div>
    </form>
    @if ($byHand)
        <form method="post" action="{{ route('values.order', $definition) }}" data-order hidden>@csrf<input type="hidden"
            name="order" value="hand"></form>
        <p class="sr-only" role="status" data-said></p>
    @endif
</div>
