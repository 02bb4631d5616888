{{-- What merging the selected values would do. --}}
@use('App\Support\Format')
@php($moved = $merge->plan->moved)
<p class="label">{{ Format::count(count($moved) + 1, 'value') }} selected</p>
<h2>Merge into one?</h2>
<form method="post" action="{{ route('values.merge', $definition) }}" class="grid gap-3 content-start" id="merge"
    hx-sync="this:replace">@csrf<input type="hidden" name="lens"
        value="{{ $bench->lens }}">
    <fieldset class="grid grid-cols-1 gap-2 justify-items-start">
        <legend class="label pb-1">The one that stays</legend>
        @foreach (array_slice([$merge->plan->keep, ...$moved], 0, 12) as $value)
            <label class="flex gap-2 items-center"><input type="radio" name="keep" value="{{ $value->id }}"
                @checked($value->id === $merge->plan->keep->id)
                    hx-get="{{ route('values.show', [$definition, 'lens' => $bench->lens]) }}" hx-include="#merge"
                        hx-params="pick[],keep" hx-select="#panel" hx-target="#panel"
                    hx-swap="outerHTML"><x-cube boxed :stays="$value->id === $merge->plan->keep->id" :label="$value->label"
                        :look="$bench->row($value->id)?->value->look()"> <span
                        class="soft whitespace-nowrap">{{ $value->id === $merge->plan->keep->id ? 'stays' : 'moves' }} ·
                            {{ Format::number($value->products) }}</span></x-cube></label>
        @endforeach
        @if (count($moved) > 11)
            <p class="small soft">and {{ count($moved) - 11 }} more that move</p>
        @endif
        @foreach ([$merge->plan->keep, ...$moved] as $value)
            <input type="hidden" name="pick[]" value="{{ $value->id }}">
        @endforeach
    </fieldset>
    @include('values.merge-figures')
    @can('edit')
        <div class="grid gap-2"><button class="button main" data-key="m">Merge, keep “{{ mb_strimwidth($merge->plan->keep->label,
            0, 24, '…') }}” <kbd>M</kbd></button><button
                class="button" formaction="{{ route('values.apart', $definition) }}" data-key="a">Keep apart <kbd>A</kbd></button>
            <p class="small soft text-center">No product is rewritten. Can be taken back at any time.</p>
        </div>
    @endcan
</form>
