@props(['cells', 'definition', 'most' => 2])
@php($unique = collect($cells)->unique(fn ($cell) => $cell->valueId ?? $cell->text))
@foreach ($unique->take($most) as $cell)
    @if ($cell->valueId !== null && $definition->kind === Lokum\Vocabulary\Kind::Choice)<x-cube :label="mb_strimwidth($cell->shown(), 0, 40, '…')" :look="$cell->look"/>@else<span @class(['text-(--brick)' => $cell->problem !== null]) @if ($cell->problem) title="{{ $cell->problem }}" @endif>{{ mb_strimwidth($cell->shown($definition->unit), 0, 60, '…') }}</span>@endif
    @if ($cell->byHand)<span class="tag" title="Set by hand; feeds leave it">hand</span>@endif
@endforeach
@if ($unique->count() > $most)<span class="soft">+ {{ $unique->count() - $most }}</span>@endif
