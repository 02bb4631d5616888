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
    <div class="field"><span class="label">Under it</span>
        <ul class="grid gap-1">
            @foreach ($umbrella->values->take(60) as $value)
                <li><x-cube :label="$value->label" :look="$value->look()" /></li>
            @endforeach
        </ul><a class="small" href="{{ route('values.show', [$definition, 'lens' => 'flow', 'in' => $umbrella->id]) }}">See them
            in the flow</a>
    </div>
    @can('edit')
        <div class="deed"><button class="button main" data-key="s">Save <kbd>S</kbd></button></div>
    @endcan
</form>
