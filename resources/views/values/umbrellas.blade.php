@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Umbrellas · ' . $definition->label . ' · Lokum')
@section('crumbs')
    <a href="{{ route('values.show', $definition) }}">{{ $definition->label }}</a><span class="before">/</span>
    <h1>Umbrellas</h1>
@endsection
@section('lens')
    <nav class="lens" aria-label="Ways to gather">
        @foreach (App\Vocabulary\ProposeUmbrellas::WAYS as $by => $name)
            <a href="{{ route('values.umbrellas', [$definition, 'by' => $by]) }}" @if ($way === $by) aria-current="page"
                @endif>{{ $name }}</a>
        @endforeach
    </nav>
@endsection
@section('work')
    @if ($proposals === [])
        <div class="empty">
            <h2>Nothing to gather this way</h2>
            <p class="soft">
                @switch($way)
                    @case('color')
                        No two values with one color of the same kind are left outside an umbrella.
                        Give values their colors first, or gather them by hand.
                    @break
                    @case('words')
                        No two values outside an umbrella share a word.
                    @break
                    @default
                        Fewer than four values outside an umbrella are measures of one kind.
                @endswitch
            </p><a class="button" href="{{ route('values.show', $definition) }}">All values</a>
        </div>
    @else
        <form method="post" action="{{ route('values.umbrellas.store', $definition) }}" id="umbrellas" class="pad grid gap-4"
            x-data="ticked">@csrf
            <x-find-in in="#umbrellas" :count="count($proposals)" what="an umbrella" class="w-64" data-find />
            @foreach ($proposals as $label => $values)
                <fieldset class="card" data-group>
                    <legend class="strong px-1">{{ $label }} <span class="soft" data-group-count>{{ count($values) }}</span></legend>
                    <div class="flex flex-wrap gap-x-5 gap-y-2">
                        @foreach ($values as $value)
                            <label class="check" data-row><input class="pick" type="checkbox" name="groups[{{ $label }}][]"
                                value="{{ $value->id }}" checked
                                    data-stop><x-cube :label="$value->label" :look="$value->look()"> <span
                                        class="soft">{{ Format::number($products[$value->id] ?? 0) }}</span></x-cube></label>
                        @endforeach
                    </div>
                </fieldset>
            @endforeach
        </form>
    @endif
@endsection
@section('panel')
    <h2>Few terms instead of many</h2>
    <p class="soft">Shoppers tick one and find all that is under it; each product keeps its own value. Take a tick away where one
        belongs elsewhere.</p>
    @if ($proposals !== [])
        <dl class="figures">
            <div>
                <dt>Umbrellas</dt>
                <dd data-ticked-groups>{{ count($proposals) }}</dd>
            </div>
            <div>
                <dt>Values under them</dt>
                <dd data-ticked>{{ array_sum(array_map(count(...), $proposals)) }}</dd>
            </div>
        </dl>
        @can('edit')
            <div class="deed"><button class="button main" form="umbrellas" data-key="g">Gather the ticked ones <kbd>G</kbd></button>
                <p class="small soft text-center">One step in History. Can be taken back.</p>
            </div>
        @endcan
    @endif
@endsection
