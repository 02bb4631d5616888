@props(['name'])
<svg class="icon-s" aria-hidden="true"><use href="#{{ $name }}" /></svg>
