@props(['cells', 'definition', 'most' => 2])
{!! App\Products\CellMarkup::values($cells, $definition, $most) !!}
