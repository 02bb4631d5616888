{{-- What stands for a product without a photograph: a cube in its color; the demo brings drawings of its own. --}}
@props(['colors' => [], 'about' => '', 'label' => ''])
@if ($shop->pictures === 'demo')
    @include('demo::picture')
@else
    @php($color = $colors[0] ?? 'var(--line-strong)')
    @php($letter = mb_strtoupper(mb_substr(ltrim($label), 0, 1)))
    <svg viewBox="0 0 120 110" role="img" aria-label="{{ $label === '' ? 'Picture' : $label }}" {{ $attributes }}>
        <rect x="30" y="25" width="60" height="60" rx="14" fill="{{ $color }}" stroke="var(--line-strong)" />
        @if (isset($colors[1]))
            <path d="M30 71v0a14 14 0 0 0 14 14h32a14 14 0 0 0 14-14v-16z" fill="{{ $colors[1] }}" />
        @endif
        <rect x="44" y="39" width="32" height="32" rx="8" fill="#fffdf9" />
        <text x="60" y="62" text-anchor="middle" font-size="20" font-weight="650" fill="#2a1f2d">{{ $letter }}</text>
    </svg>
@endif
