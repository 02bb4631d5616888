{{-- How long ago something was; the clock of the shop's place on resting the pointer. --}}
@props(['at', 'never' => 'never'])
@if ($at)
    <time datetime="{{ $at->toIso8601String() }}" title="{{ App\Support\Format::moment($at) }}">{{ $at->diffForHumans() }}</time>
@else
    {{ $never }}
@endif
