{{-- A heading that orders the list by its column; once more, the other way round. --}}
@props(['key', 'sort', 'query'])
@php($is = $sort->key === $key)
<a href="{{ route('products', [...$query, 'sort' => $key, 'down' => $is && !$sort->down ? 1 : null]) }}"
    @if ($is) aria-label="{{ $slot }}, ordered {{ $sort->down ? 'downwards' : 'upwards' }}" @endif>{{ $slot }}{{ $is ? ($sort->down
    ? ' ↓' : ' ↑') : '' }}</a>
