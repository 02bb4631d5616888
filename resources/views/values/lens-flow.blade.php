@use('App\Support\Format')
@use('App\Vocabulary\FlowLens')
@php($picked = $bench->picked)
@php([$x1, $x2, $x3, $x4] = FlowLens::COLUMNS)
@php($drawing = $flow->flow)
@php($height = max(120, (int) ceil($drawing->height) + 4))
@php($tint = fn($row) => $row->value->look()->colors[0] ?? ($row->value->umbrella?->look()->colors[0] ?? '#cbbba6'))
<form method="get" action="{{ route('values.show', [$definition, 'lens' => 'flow']) }}" x-data="flow" class="grow">
    <div class="flow-head"><span>As suppliers write it</span><span>What the product is</span><span>What shoppers tick</span></div>
    <div class="flow-scroll"><svg class="flow" viewBox="0 0 860 {{ $height }}" width="860" height="{{ $height }}" role="group"
            aria-label="Spellings, values and what shoppers tick">
            @foreach ([$drawing->left, $drawing->right] as $ribbons)
                @foreach ($ribbons as $ribbon)
                    <path class="ribbon" data-of="{{ $ribbon['value'] }}" d="{{ $ribbon['path'] }}"
                        fill="{{ $tint($flow->rows[$ribbon['value']]) }}" />
                @endforeach
            @endforeach
            @foreach ($drawing->spellings as $box)
                <rect x="{{ $x1 - 6 }}" y="{{ round($box->middle() - max(6, $box->thick) / 2, 1) }}" width="5"
                    height="{{ round(max(6, $box->thick), 1) }}"
                    rx="2" fill="{{ $tint($flow->rows[$box->value]) }}" />
                <foreignObject x="0" y="{{ round($box->middle() - 10, 1) }}" width="{{ $x1 - 10 }}" height="20"><a
                    class="flow-spelling" draggable="false"
                        href="{{ route('values.show', [$definition, 'lens' => 'flow', ...request()->only('q', 'show', 'sort',
                            'shown', 'in'), 'spelling' => $box->id]) }}"
                        data-drag="spelling:{{ $box->id }}" data-panel><span
                            class="mono">{{ Format::spelling(mb_strimwidth($flow->texts[$box->id] ?? '', 0, 60, '…')) }}</span><span
                            class="n">{{ Format::number($box->products) }}</span></a></foreignObject>
            @endforeach
            @foreach ($drawing->others as $box)
                <foreignObject x="0" y="{{ round($box->middle() - 10, 1) }}" width="{{ $x1 - 10 }}" height="20"><a
                    class="flow-spelling others"
                        href="{{ request()->fullUrlWithQuery(['value' => $box->value]) }}#value-{{ $box->value }}"
                        >{{ Format::count($box->members, 'more spelling') }}<span
                            class="n">{{ Format::number($box->products) }}</span></a></foreignObject>
            @endforeach
            @foreach ($drawing->values as $box)
                @php($row = $flow->rows[$box->id])<foreignObject x="{{ $x2 }}" y="{{ round($box->top, 1) }}" width="{{ $x3 - $x2 }}"
                    height="{{ round($box->height, 1) }}" id="value-{{ $box->id }}">
                    <div @class(['flow-value', 'held' => $row->held]) data-row data-drag="value:{{ $box->id }}"
                        data-drop="value:{{ $box->id }}"><input class="pick" type="checkbox"
                            name="pick[]" value="{{ $box->id }}" aria-label="Select {{ $row->label }}"
                                @checked(in_array($box->id, $picked, true)) data-stop><a class="name"
                            draggable="false"
                            href="{{ route('values.show', [$definition, 'lens' => 'flow', ...request()->only('q', 'show', 'sort',
                                'shown', 'in'), 'value' => $box->id]) }}#value-{{ $box->id }}"><x-cube
                                :label="$row->label" :look="$row->value->look()" /></a><span
                                    class="n">{{ Format::number($box->products) }}</span></div>
                </foreignObject>
            @endforeach
            @foreach ($drawing->terms as $box)
                @php($row = $flow->rows[$box->value])
                @php($tray = $row->value->umbrella)<foreignObject x="{{ $x4 }}" y="{{ round($tray ? $box->top : $box->middle() - 13, 1) }}"
                    width="{{ 860 - $x4 }}" height="{{ round($tray ? $box->height : 26, 1) }}">
                    @if ($tray)
                        <a class="flow-term" draggable="false"
                            href="{{ route('values.show', [$definition, 'lens' => 'flow', ...request()->only('q', 'show', 'sort',
                                'shown', 'in'), 'umbrella' => $tray->id]) }}"
                            data-drop="umbrella:{{ $tray->label }}" data-panel><x-cube :label="$tray->label" :look="$tray->look()" /><span
                            class="n">{{ Format::count($box->products, 'product') }} · {{ $box->members }}</span></a>@else<span
                            class="flow-self @if ($row->held) held @endif">{{ $row->held ? ($row->value->on_products
                                ? 'not in filters' : 'hidden from shoppers') : $row->value->look()->label ?? $row->label }}</span>
                    @endif
                </foreignObject>
            @endforeach
        </svg></div>
    @if ($flow->rest > 0)
        <p class="pad"><a class="button"
                href="{{ request()->fullUrlWithQuery(['shown' => $flow->shown
                    + 2 * FlowLens::STEP]) }}">{{ Format::count(min($flow->rest, 2 * FlowLens::STEP), 'more value') }}
                of {{ Format::number($flow->rest) }}, with {{ Format::count($flow->restProducts, 'product') }} in all</a></p>
    @endif
    @if (request('in'))
        <p class="pad"><a class="button" href="{{ route('values.show', [$definition, 'lens' => 'flow']) }}">Back to all values</a></p>
    @endif
    <div class="flow-zone" data-drop="own" hidden>A value of its own</div>
    <div class="bar foot"><span role="status"><b x-text="picked">{{ count($picked) }}</b> selected</span><button type="button"
        class="button bare small"
            x-on:click="none">none</button><noscript><button class="button small">See what merging would
                do</button></noscript><span class="ml-auto soft"><kbd>Space</kbd> select
            <kbd>M</kbd> merge <kbd>G</kbd> gather <kbd>O</kbd> own value · or drag one onto another</span></div>
    @include('values.elsewhere', ['inSight' => array_map(fn($box) => $box->id, $drawing->values)])
</form>
