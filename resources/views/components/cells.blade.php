@props(['cells', 'definition', 'most' => 2])
@php($unique = collect($cells)->unique(fn ($cell) => $cell->valueId ?? $cell->text))
@foreach ($unique->take($most) as $cell)
    @if ($cell->valueId !== null && $definition->kind === Lokum\Vocabulary\Kind::Choice)<x-cube :label="mb_strimwidth($cell->shown(), 0, 40, '…')" :look="$cell->look"/>@else<span @class(['text-(--brick)' => $cell->problem !== null]) @if ($cell->problem) title="{{ $cell->problem }}" @endif>{{ mb_strimwidth($cell->shown($definition->unit), 0, 60, '…') }}</span>@endif
    @if ($cell->isByHand())<span class="mark-hand" title="Set by hand: feeds and rules leave it"><span class="sr-only">set by hand</span></span>@elseif ($cell->isByRule())<a class="tag" href="{{ route('rules', ['rule' => $cell->origin]) }}" title="From fill rule {{ $cell->origin }}">rule</a>@endif
@endforeach
@if ($unique->count() > $most)<span class="soft">+ {{ $unique->count() - $most }}</span>@endif
