{{-- Measures on an axis: a dot for each number, as large as its products, with the texts that say it. --}}
@use('App\Support\Format')
@use('App\Vocabulary\MapLens')
@php($places = $map->places())
@php($height = (int) max(120, max([0, ...array_map(fn($at) => $at['y'] + $at['r'], $places)]) + 20))
@if ($map->line)<svg class="map" viewBox="0 0 {{ MapLens::WIDTH }} {{ $height + 34 }}" role="img"
        aria-label="{{ Format::count(count($map->points),
            'number') }} from {{ Format::number($map->line->from) }} to {{ Format::number($map->line->to) }} {{ $map->unit }}">
        <line class="map-axis" x1="20" x2="{{ MapLens::WIDTH - 20 }}" y1="{{ $height }}" y2="{{ $height }}" />
        @foreach ($map->line->marks() as $mark)
            @php($x = round(30 + $map->line->place($mark) * (MapLens::WIDTH - 60), 1))
            <line class="map-axis" x1="{{ $x }}" x2="{{ $x }}" y1="{{ $height }}" y2="{{ $height + 5 }}" /><text class="map-mark"
                x="{{ $x }}" y="{{ $height + 20 }}" text-anchor="middle">{{ Format::number($mark) }}</text>
        @endforeach
        @foreach ($map->points as $i => $point)
            <circle @class([
                'map-point',
                'outlier' => $point['outlier'],
                'several' => count($point['members']) > 1,
            ]) cx="{{ round($places[$i]['x'], 1) }}" cy="{{ round($height - $places[$i]['y'], 1) }}" r="{{ round($places[$i]['r'], 1) }}">
                <title>{{ $point['label'] }}: {{ Format::count($point['products'], 'product') }}</title>
            </circle>
            @if ($places[$i]['r'] > 11)
                <text class="map-mark" x="{{ round($places[$i]['x'], 1) }}" y="{{ round($height - $places[$i]['y'] + 4, 1) }}"
                    text-anchor="middle">{{ Format::number($point['number']) }}</text>
            @endif
        @endforeach
    </svg>@endif
@php($far = array_filter($map->points, fn($point) => $point['outlier']))
@if ($far !== [])
    <p class="note">Far from the rest:
        {{ implode(', ', array_map(fn($point) => $point['label'], array_slice($far, 0, 6))) }}{{ count($far) > 6 ? ' and '
            . (count($far) - 6) . ' more' : '' }}. A slip in the unit,
        or right as they are?</p>
@endif
<table class="grid-table dense">
    <thead>
        <tr>
            <th scope="col" class="num">Number</th>
            <th scope="col">As it is written</th>
            <th scope="col" class="num">Products</th>
        </tr>
    </thead>
    <tbody>
        @foreach (array_slice($map->points, 0, 400) as $point)
            <tr @if (!$picks) data-row @endif>
                <td class="num strong">{{ $point['label'] }}@if ($point['outlier'])
                        <span class="tag waiting">far</span>
                    @endif
                </td>
                <td>
                    <div class="spellings">
                        @foreach (array_slice($point['members'], 0, 12) as $member)
                            @if ($picks && $member['value'])
                                <label class="cube" data-row><input class="pick" type="checkbox" name="pick[]"
                                    value="{{ $member['value'] }}"
                                        aria-label="Select {{ $member['label'] }}" @checked(in_array($member['value'], $picked,
                                            true)) data-stop><span class="name">{{ $member['label'] }}</span> <span
                                    class="n">{{ Format::number($member['products']) }}</span></label>@else<span><span
                                        class="mono">{{ Format::spelling(mb_strimwidth($member['label'], 0, 60, '…')) }}</span> <span
                                        class="n">{{ Format::number($member['products']) }}</span></span>
                            @endif
                            @endforeach @if (count($point['members']) > 12)
                                <span class="soft">+ {{ count($point['members']) - 12 }} more</span>
                            @endif
                    </div>
                </td>
                <td class="num">{{ Format::number($point['products']) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
@if (count($map->points) > 400)
    <p class="soft pad">The first 400 of {{ Format::number(count($map->points)) }} numbers.</p>
@endif
