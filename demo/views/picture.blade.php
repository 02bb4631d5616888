{{-- What the demo draws for its products, by what they are. --}}
@php($c = $colors[0] ?? '#b9a996')
@php($d = $colors[1] ?? $c)
@php($words = mb_strtolower($about))
@php($shape = match (true) {
    str_contains($words, 'brush') || str_contains($words, 'knife') => 'brush',
    str_contains($words, 'easel') || str_contains($words, 'furniture') => 'easel',
    (str_contains($words, 'ink') && !str_contains($words, 'print')) || str_contains($words, 'medium') || str_contains($words,
        'varnish') => 'bottle',
    str_contains($words, 'canvas') => 'canvas',
    str_contains($words, 'paper') || str_contains($words, 'pad') => 'pad',
    str_contains($words, 'pencil') || str_contains($words, 'drawing') || str_contains($words, 'charcoal') || str_contains($words,
        'pastel') => 'pencil',
    str_contains($words, 'print') || str_contains($words, 'roller') => 'roller',
    default => 'tube'
})
<svg viewBox="0 0 120 110" role="img" aria-label="{{ $label === '' ? 'Picture' : $label }}" {{ $attributes }}>
    @switch($shape)
        @case('brush')
            <rect x="54" y="6" width="12" height="58" rx="5" fill="#6b4a35" />
            <rect x="52" y="58" width="16" height="18" fill="#b9bcc0" />
            <path d="M52 76h16c2 12-2 22-8 30-6-8-10-18-8-30z" fill="{{ $c }}" />
        @break

        @case('easel')
            <path d="M60 6 34 106M60 6l26 100M60 6v92" stroke="#8a6a48" stroke-width="5" fill="none" stroke-linecap="round" />
            <rect x="32" y="30" width="56" height="40" fill="#fdfbf6" stroke="#c9b79f" />
            <rect x="28" y="70" width="64" height="5" fill="#8a6a48" />
        @break

        @case('pencil')
            <path d="M22 92 84 20l14 12-62 72-18 4z" fill="{{ $c }}" />
            <path d="m22 92 14 12-18 4z" fill="#eedcbf" />
            <path d="m19 104 5 3-6 1z" fill="#333" />
            <path d="m78 27 14 12" stroke="#fff" stroke-opacity=".6" stroke-width="2" />
        @break

        @case('bottle')
            <rect x="50" y="8" width="20" height="16" rx="3" fill="#3a333c" />
            <path d="M44 28h32c8 6 10 12 10 20v46c0 6-4 10-10 10H44c-6 0-10-4-10-10V48c0-8 2-14 10-20z" fill="{{ $c }}" />
            <rect x="40" y="56" width="40" height="28" rx="2" fill="#fffdf9" opacity=".92" />
            <rect x="46" y="64" width="28" height="3" fill="{{ $d }}" />
        @break

        @case('canvas')
            <rect x="16" y="14" width="88" height="82" fill="#fdfaf3" stroke="#c9b79f" stroke-width="3" />
            <path d="M16 14h88M20 20l80 70" stroke="#eadfcd" />
            <rect x="26" y="24" width="68" height="62" fill="none" stroke="#eadfcd" />
        @break

        @case('pad')
            <rect x="20" y="12" width="78" height="90" rx="3" fill="#e6d9c6" />
            <rect x="24" y="16" width="78" height="88" rx="2" fill="#fffdf8" stroke="#d8c8b2" />
            <rect x="24" y="16" width="78" height="24" fill="{{ $c }}" />
            <path d="M34 54h58M34 64h50M34 74h54" stroke="#eadfcd" stroke-width="2" />
        @break

        @case('roller')
            <rect x="24" y="18" width="72" height="26" rx="8" fill="{{ $c }}" />
            <path d="M96 31h10v30H60v14" stroke="#77707a" stroke-width="4" fill="none" />
            <rect x="54" y="72" width="12" height="34" rx="4" fill="#8a5f3c" />
        @break

        @default
            <rect x="49" y="4" width="22" height="14" rx="3" fill="#5b4d60" />
            <path d="M44 20h32l8 78H36z" fill="#fffdf9" stroke="#d9ccbb" stroke-width="2" />
            <path d="M40.500 54h39l2 22h-43z" fill="{{ $c }}" />
            <path d="M36 98h48v6H36z" fill="#e6dccf" />
    @endswitch
</svg>
