@use('App\Support\Format')
@use('App\Vocabulary\MapLens')
@php($picked = $bench->picked)
<form method="get" action="{{ route('values.show', [$definition, 'lens' => 'map']) }}" x-data="map"
    class="grow pad grid gap-3 content-start">
    @if ($map->shape === 'none')
        <div class="empty">
            <h2>These values have no shape</h2>
            <p class="soft">They are no colors, sizes or measures, so there is nothing to draw. The flow shows them best.</p>
            <a class="button main"
                href="{{ route('values.show', [$definition, 'lens' => 'flow']) }}">See the flow</a>
        </div>
    @elseif ($map->shape === 'colors')
        <svg class="map" viewBox="-4 -4 {{ MapLens::WIDTH + 8 }} {{ MapLens::HEIGHT + 30 }}" role="group"
            aria-label="Colors by hue and lightness">
            <rect class="map-strip" x="0" y="0" width="70" height="{{ MapLens::HEIGHT }}" /><text class="map-mark" x="35"
                y="{{ MapLens::HEIGHT + 18 }}"
                text-anchor="middle">grays</text>
            @foreach (['red' => 30, 'yellow' => 95, 'green' => 140, 'cyan' => 205, 'blue' => 275, 'purple' => 325] as $name => $hue)
                <text class="map-mark" x="{{ round(70 + ($hue / 360) * (MapLens::WIDTH - 70)) }}" y="{{ MapLens::HEIGHT + 18 }}"
                    text-anchor="middle">{{ $name }}</text>
            @endforeach
            <text class="map-mark" x="{{ MapLens::WIDTH }}" y="10" text-anchor="end">light</text><text class="map-mark"
                x="{{ MapLens::WIDTH }}" y="{{ MapLens::HEIGHT - 4 }}"
                text-anchor="end">dark</text>
            @foreach ($umbrellas as $tray)
                @isset($map->outlines[$tray->id])
                    <a href="{{ route('values.show', [$definition, 'lens' => 'map', 'umbrella' => $tray->id]) }}" data-panel
                        aria-label="Umbrella {{ $tray->label }}">
                        <polygon class="map-outline" points="{{ implode(' ', array_map(fn($at) => round($at[0], 1) . ','
                            . round($at[1], 1), $map->outlines[$tray->id])) }}" />
                    </a>
                @endisset
            @endforeach
            @foreach ($found as $row)
                @isset($map->plane->dots[$row->id])
                    @php($at = $map->plane->dots[$row->id])<foreignObject x="{{ round($at['x'] - 13, 1) }}"
                        y="{{ round($at['y'] - 13, 1) }}" width="26" height="26"><label
                            class="map-dot" data-row
                            data-says="{{ $row->label }} · {{ Format::count($row->products,
                                'product') }}{{ $row->value->umbrella ? ' · under ' . $row->value->umbrella->label : '' }}"><input
                                class="pick sr-only" type="checkbox" name="pick[]" value="{{ $row->id }}"
                                aria-label="{{ $row->label }}, {{ Format::count($row->products, 'product') }}"
                                    @checked(in_array($row->id, $picked, true))
                                data-stop>{!! App\Support\Cube::picture($row->label, $row->value->look()) !!}</label></foreignObject>
                @endisset
            @endforeach
            @foreach ($umbrellas as $tray)
                @isset($map->outlines[$tray->id])
                    <text class="map-name" x="{{ round(array_sum(array_column($map->outlines[$tray->id],
                        0)) / count($map->outlines[$tray->id])) }}"
                        y="{{ round(min(array_column($map->outlines[$tray->id], 1)) - 3) }}" text-anchor="middle">{{ $tray->label }}</text>
                @endisset
            @endforeach
        </svg>
    @elseif ($map->shape === 'sizes')
        @foreach ($map->ladders as $ladder)
            <section class="grid gap-2">
                <h2>{{ $ladder['name'] }}</h2>
                <ol class="ladder">
                    @foreach ($ladder['rungs'] as $rows)
                        <li>
                            @foreach ($rows as $row)
                                <label class="cube boxed" data-row data-says="{{ $row->label }}"><input class="pick"
                                    type="checkbox" name="pick[]"
                                        value="{{ $row->id }}" aria-label="Select {{ $row->label }}"
                                            @checked(in_array($row->id, $picked, true)) data-stop><span
                                        class="name">{{ $row->label }}</span>
                                        <span class="soft">{{ Format::number($row->products) }}</span></label>
                            @endforeach
                        </li>
                    @endforeach
                </ol>
            </section>
        @endforeach
    @else
        @include('values.axis', ['picks' => true])
    @endif
    @if ($map->beside !== [])
        <section class="grid gap-2">
            <h2>{{ ['colors' => 'Without a color', 'sizes' => 'On no ladder', 'numbers' => 'No such measure'][$map->shape] ?? '' }} <span
                    class="soft">{{ count($map->beside) }}</span></h2>
            <div class="flex flex-wrap gap-2">
                @foreach (array_slice($map->beside, 0, 120) as $row)
                    <label class="cube boxed" data-row data-says="{{ $row->label }}"><input class="pick" type="checkbox"
                        name="pick[]" value="{{ $row->id }}"
                            aria-label="Select {{ $row->label }}" @checked(in_array($row->id, $picked, true))
                                data-stop><span class="name">{{ $row->label }}</span> <span
                            class="soft">{{ Format::number($row->products) }}</span></label>
                @endforeach
            </div>
            @if (count($map->beside) > 120)
                <p class="soft">and {{ count($map->beside) - 120 }} more</p>
            @endif
        </section>
    @endif
    @if ($map->shape !== 'none')
        <div class="bar foot -mx-5 -mb-4"><span role="status"><b x-text="picked">{{ count($picked) }}</b> selected</span><button
            type="button" class="button bare small"
                x-on:click="none">none</button><noscript><button class="button small">See what merging would
                    do</button></noscript><span class="strong" data-map-says
                aria-live="polite"></span><span class="ml-auto soft"><kbd>Space</kbd> select <kbd>M</kbd> merge
                <kbd>G</kbd> gather</span></div>
    @endif
    @php($ids = fn(array $rows) => array_map(fn($row) => $row->id, $rows))
    @include('values.elsewhere', ['inSight' => array_diff($ids($found), $ids(array_slice($map->beside, 120)))])
</form>
