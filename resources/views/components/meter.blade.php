@props(['share', 'label' => null])
<svg {{ $attributes->class(['meter', 'some' => $share < 50]) }} viewBox="0 0 100 6" preserveAspectRatio="none"
    @if ($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true" @endif>
    <rect width="{{ $share }}" height="6" />
</svg>
