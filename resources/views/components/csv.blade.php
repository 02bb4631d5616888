{{-- The list as a file for spreadsheets: all of it, as it is narrowed and ordered here. --}}
<a {{ $attributes->merge(['class' => 'button small']) }} download
    href="{{ request()->fullUrlWithQuery(['as' => 'csv', 'page' => null, 'cursor' => null]) }}" title="The whole list, as it is narrowed and
    ordered here">CSV</a>
