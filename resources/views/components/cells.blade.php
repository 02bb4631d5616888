@props(['cells', 'definition', 'most' => 2])
{!! App\Catalog\CellMarkup::values($cells, $definition, $most) !!}
