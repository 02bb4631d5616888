@props(['label', 'look' => null, 'boxed' => false, 'stays' => false])
<span {{ $attributes->class(['cube', 'boxed' => $boxed, 'stays' => $stays]) }}>{!! App\Support\Cube::picture($label, $look) !!}<span
    class="name">{{ $label }}</span>{{ $slot }}</span>
