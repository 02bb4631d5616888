@if ($problem !== null)
    <span class="dot drifted"></span><span><b>{{ $edition === null ? 'The shop is closed'
        : "Shoppers see edition {$edition->id}" }}</b> · <a href="{{ route('publishing') }}"
            data-key="p" title="{{ $problem }}">publish again</a></span>
@elseif ($edition === null)
    <span class="dot none"></span><span><a href="{{ route('publishing') }}" data-key="p"
        title="Look at what would be published (P)">Nothing published yet</a></span>
@elseif ($differences === 0)
    <span class="dot"></span><span><b>Edition {{ $edition->id }}</b> is live · <a href="{{ route('publishing') }}" data-key="p"
        title="Editions (P)">no drift</a></span>
@else
    <span class="dot drifted"></span><span><b>Edition {{ $edition->id }}</b> is live · <a href="{{ route('publishing') }}" data-key="p"
            title="Look at the drift and publish (P)">{{ App\Support\Format::count($differences, 'difference') }}</a></span>
@endif
