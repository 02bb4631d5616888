@props(['strip'])
<svg class="strip" viewBox="0 0 {{ max(1, count($strip)) * 11 }} 16" role="img"
    aria-label="{{ implode(', ', array_map(fn($one) => "{$one['name']} {$one['share']} %" . ($one['expected'] ? ', expected'
        : ''), $strip)) }}">
    @foreach ($strip as $i => $one)
        <g>
            <title>{{ $one['name'] }}: {{ $one['share'] }} %{{ $one['expected'] ? ', expected' : '' }}</title>
            <rect x="{{ $i * 11 }}" y="0" width="10" height="12" rx="2" class="back" />
            <rect x="{{ $i * 11 }}" y="{{ 12 - round(0.12 * $one['share'], 1) }}" width="10"
                height="{{ round(0.12 * $one['share'], 1) }}" rx="1"
                class="{{ $one['expected'] && $one['share'] < 95 ? 'short' : 'full' }}" />
            @if ($one['expected'])
                <rect x="{{ $i * 11 }}" y="14" width="10" height="2" rx="1" class="wanted" />
            @endif
        </g>
    @endforeach
</svg>
