@extends('layouts.desk')
@use('App\Format')
@section('title', 'Umbrellas · '.$definition->label.' · Lokum')
@section('crumbs')<a href="{{ route('values.show', $definition) }}">{{ $definition->label }}</a><span class="before">/</span><h1>Umbrellas by color</h1>@endsection
@section('work')
@if ($proposals === [])<div class="empty"><h2>Nothing to gather by color</h2><p class="soft">No two values with one color of the same kind are left outside an umbrella. Give values their colors first, or gather them by hand.</p><a class="button" href="{{ route('values.show', $definition) }}">All values</a></div>
@else
<form method="post" action="{{ route('values.umbrellas.store', $definition) }}" id="umbrellas" class="pad grid gap-4">@csrf
@foreach ($proposals as $label => $values)<fieldset class="card"><legend class="strong px-1">{{ $label }} <span class="soft">{{ count($values) }}</span></legend><div class="flex flex-wrap gap-x-5 gap-y-2">
    @foreach ($values as $value)<label class="check" data-row><input class="pick" type="checkbox" name="groups[{{ $label }}][]" value="{{ $value->id }}" checked data-stop><x-cube :label="$value->label" :look="$value->look()"> <span class="soft">{{ Format::number($products[$value->id] ?? 0) }}</span></x-cube></label>@endforeach</div></fieldset>
@endforeach</form>
@endif
@endsection
@section('panel')
<h2>Few terms instead of many</h2><p class="soft">Shoppers tick one color and find all its shades; each product keeps its own. Take a tick away where a shade belongs elsewhere.</p>
@if ($proposals !== [])<dl class="figures"><div><dt>Umbrellas</dt><dd>{{ count($proposals) }}</dd></div><div><dt>Values under them</dt><dd>{{ array_sum(array_map(count(...), $proposals)) }}</dd></div></dl>
@can('edit')<div class="deed"><button class="button main" form="umbrellas" data-key="g">Gather the ticked ones <kbd>G</kbd></button><p class="small soft text-center">One step in History. Can be taken back.</p></div>@endcan @endif
@endsection
