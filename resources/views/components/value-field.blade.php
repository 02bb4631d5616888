{{-- A field that takes the name of a value that is there: what is typed is found among all of them. --}}
@props(['definition'])
@php($list = 'known-' . $attributes->get('id'))
<input {{ $attributes->class('input') }} list="{{ $list }}" maxlength="500" autocomplete="off"
    data-values="{{ route('products.suggest') }}" data-definition="{{ $definition->slug }}"><datalist id="{{ $list }}"></datalist>
