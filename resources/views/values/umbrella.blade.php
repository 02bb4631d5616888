{{-- An umbrella: its name, look and what is under it. --}}
@use('App\Format')
@php($look = $umbrella->look()) @php($colors = $look->colors)
<p class="label">Umbrella of {{ Format::count($umbrella->values->count(), 'value') }}</p><h2><x-cube :label="$umbrella->label" :look="$look"/></h2>
<form method="post" action="{{ route('values.umbrella', [$definition, $umbrella]) }}" class="grid gap-3 grow content-start">@csrf @method('put')<input type="hidden" name="version" value="{{ $errors->any() ? $umbrella->version : old('version', $umbrella->version) }}">
    <div class="field"><label for="label">Name</label><input class="input" id="label" name="label" maxlength="500" required value="{{ old('label', $umbrella->label) }}"><x-error for="label"/></div>
    <div class="field"><label for="color_count">Colors</label><div class="flex gap-3 items-center"><select class="select small w-auto" id="color_count" name="color_count">@foreach (['none', 'one', 'two', 'three'] as $n => $name)<option value="{{ $n }}" @selected((int) old('color_count', count($colors)) === $n)>{{ $name }}</option>@endforeach</select><span class="swatches">@for ($i = 0; $i < 3; $i++)<input type="color" name="colors[]" value="{{ $colors[$i] ?? $colors[0] ?? '#b9a996' }}" aria-label="Color {{ $i + 1 }}">@endfor</span></div><x-error for="colors"/></div>
    <div class="field"><span class="label">Under it</span><ul class="grid gap-1">@foreach ($umbrella->values as $value)<li><x-cube :label="$value->label" :look="$value->look()"/></li>@endforeach</ul></div>
    @can('edit')<div class="deed"><button class="button main" data-key="s">Save <kbd>S</kbd></button></div>@endcan
</form>
