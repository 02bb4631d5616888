{{-- An umbrella: its name, look and what is under it. --}}
@use('App\Support\Format')
@php($look = $umbrella->look())
<p class="label">
    Umbrella of {{ Format::count($umbrella->values->count(), 'value') }}</p>
<h2><x-cube :label="$umbrella->label" :look="$look" /></h2>
<form method="post" action="{{ route('values.umbrella', [$definition, $umbrella]) }}" class="grid gap-3 grow content-start"
    enctype="multipart/form-data">@csrf @method('put')<input
        type="hidden" name="lens" value="{{ $bench->lens }}"><input type="hidden" name="version"
        value="{{ $errors->any() ? $umbrella->version : old('version', $umbrella->version) }}">
    <div class="field"><label for="label">Name</label><input class="input" id="label" name="label" maxlength="500" required
            value="{{ old('label', $umbrella->label) }}"><x-error for="label" /></div>
    @include('values.look', ['label' => $umbrella->label])
    <fieldset class="field"><legend class="label">Under it</legend>
        <div class="choose-terms under">
            @foreach ($bench->all as $row)
                @if ($row->umbrella === $umbrella->id)
                    <label class="choose-term"><input type="hidden" name="listed[]" value="{{ $row->id }}"><input
                            type="checkbox" name="stays[]" value="{{ $row->id }}" checked @cannot('edit') disabled @endcannot><x-cube
                            :label="$row->label" :look="$row->value->look()" /><span
                            class="small soft ml-auto">{{ Format::number($row->products) }}</span></label>
                @endif
            @endforeach
        </div>
        @can('edit')
            <input class="input small" type="search" name="join" placeholder="add a value: find it" aria-label="Find values to add"
                autocomplete="off" hx-get="{{ route('values.show', [$definition, 'lens' => $bench->lens, 'umbrella' => $umbrella->id]) }}"
                hx-include="#joining" hx-trigger="input changed delay:200ms" hx-select="#joining" hx-target="#joining"
                hx-swap="outerHTML" hx-sync="this:replace">
            <div id="joining" class="choose-terms under">
                @php($chosen = App\Support\Ids::in(request(), 'add'))
                @forelse ($bench->joining($umbrella) as $row)
                    <label class="choose-term"><input type="checkbox" name="add[]" value="{{ $row->id }}"
                            @checked(in_array($row->id, $chosen, true))><x-cube :label="$row->label"
                            :look="$row->value->look()" /><span class="small soft">{{ $row->value->umbrella ? 'now under ' .
                                $row->value->umbrella->label : '' }}</span><span
                            class="small soft ml-auto">{{ Format::number($row->products) }}</span></label>
                @empty
                    @if (request('join'))
                        <p class="small soft">No other value is called or spelled like that.</p>
                    @endif
                @endforelse
            </div>
        @endcan
        <a class="small" href="{{ route('values.show', [$definition, 'lens' => 'flow', 'in' => $umbrella->id]) }}">See them in the
            flow</a>
    </fieldset>
    @can('edit')
        <div class="deed"><button class="button main" data-key="s">Save <kbd>S</kbd></button></div>
    @endcan
</form>
