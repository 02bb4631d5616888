@use('App\Support\Format')
@use('Lokum\Vocabulary\Kind')
@php($merge = $bench->merge())
@php($picked = $bench->picked)
@php($spelling = $bench->spelling())
@php($umbrella = $bench->umbrella())
@php($open = $bench->opened())
@if ($merge)
    @include('values.merge')
    @include('values.gather')
    @include('values.several')
@elseif ($spelling)
    @include('values.spelling')
@elseif ($umbrella)
    @include('values.umbrella')
@elseif ($open)
    @include('values.value')
@else
    <h2>Select values</h2>
    <p class="soft">Two or more: what merging them would do shows here. One opened by its name: its spellings and look.</p>
    @if (count($picked) === 1)
        <p class="note">{{ $bench->row($picked[0])?->value->label ?? 'One value' }} is selected. Select another to see what
            merging them would do.</p>
        @include('values.gather')@include('values.several')
    @endif
    @if ($definition->kind === Kind::Choice)
        @can('edit')
            <form method="post" action="{{ route('values.store', $definition) }}"
                class="grid gap-2 border-t border-(--line) pt-3">@csrf<div class="field"><label for="new">New
                        value</label><input class="input" id="new" name="label" maxlength="500" required
                            value="{{ old('label') }}"><x-error for="label" /></div><button
                    class="button">Make it</button></form>
        @endcan
    @endif
    <div class="grid gap-2 border-t border-(--line) pt-3">
        <span class="label">The list</span>
        <div class="flex gap-2"><x-csv /><a class="button small" href="{{ route('values.vocabulary', $definition) }}"
            title="Take the vocabulary along, or take a list in">Vocabulary</a></div>
    </div>
@endif
