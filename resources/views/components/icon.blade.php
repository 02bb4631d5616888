@props(['name', 'small' => false, 'symbol' => null])
{{-- Drawn where it stands; or, with a symbol's name, once for a page whose rows refer to it by <x-symbol>. --}}
@php($drawn = 'viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.8" stroke-linecap="round" stroke-linejoin="round"')
@php($head = $symbol === null ? '<svg class="' . ($small ? 'icon-s' : 'icon') . '" ' . $drawn . ' aria-hidden="true">'
    : '<svg class="absolute" width="0" height="0" aria-hidden="true"><symbol id="' . $symbol . '" ' . $drawn . '>')
{!! preg_replace(['/<!--.*?-->/s', '/<svg\s[^>]*>/s', '~</svg>\s*$~'], ['', $head, $symbol === null ? '</svg>' : '</symbol></svg>'],
    (string) file_get_contents(resource_path("icons/{$name}.svg"))) !!}
