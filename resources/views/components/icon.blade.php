@props(['name', 'small' => false])
@php($svg = (string) file_get_contents(resource_path("icons/{$name}.svg")))
{!! preg_replace(
    ['/<!--.*?-->/s', '/<svg\s[^>]*>/s'],
    [
        '',
        '<svg class="' .
        ($small ? 'icon-s' : 'icon') .
        '" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="1.8"' .
        ' stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">',
    ],
    $svg,
) !!}
