@extends('layouts.desk')
@use('App\Format')
@use('Lokum\Facet\Combine')
@use('Lokum\Lineup\Control')
@use('Lokum\Lineup\EmptyTerms')
@section('title', 'Line-ups · Lokum')
@section('crumbs')<span class="before">Line-ups /</span><h1>Whole shop</h1>@endsection
@section('work')
<div class="pad flex items-end gap-4">
    <div class="grow"><h2>{{ $filters->isEmpty() ? 'No filters yet' : Format::count($filters->count(), 'filter').' for '.Format::count($total, 'product') }}</h2><p class="soft">Every filter follows its attribute: new values become terms, merged ones carry over, by themselves.</p></div>
    @can('edit')<form method="post" action="{{ route('line-ups.store') }}" class="flex gap-2">@csrf<label class="sr-only" for="source">What to filter by</label><select class="select w-[190px]" id="source" name="source" required><option value="">Add a filter over …</option>@if ($fields !== [])<optgroup label="Fields of every product">@foreach ($fields as $field => $label)<option value="{{ $field }}">{{ $label }}</option>@endforeach</optgroup>@endif<optgroup label="Definitions">@foreach ($offers as $offer)<option value="{{ $offer->slug }}">{{ $offer->label }} · {{ Format::share($products[$offer->id] ?? 0, $total) }} %</option>@endforeach</optgroup></select><button class="button main" data-key="n" title="Add the chosen filter (N)">Add</button></form>@endcan
</div>
@if ($filters->isEmpty())
    <div class="empty"><h2>Shoppers have nothing to narrow by</h2><p class="soft">Add a filter above. Its control is proposed from what it holds; everything can be changed.</p></div>
@else
<div x-data="ordering">
<table class="grid-table"><thead><tr><th scope="col"><span class="sr-only">Move</span></th><th scope="col">Filter</th><th scope="col">Over</th><th scope="col">Covers</th><th scope="col" class="num">Pages</th><th scope="col">Where all products are</th></tr></thead>
    <tbody data-list>
    @foreach ($filters as $i => $filter)
        @php($carrying = $filter->definition ? ($products[$filter->definition_id] ?? 0) : null)
        <tr data-row data-id="{{ $filter->id }}" data-name="{{ $filter->title }}" @class(['open' => $open?->id === $filter->id])>
            <td class="w-8"><button type="button" class="handle" id="handle-{{ $filter->id }}" aria-label="Move {{ $filter->title }}: Alt and arrow keys" title="Drag, or Alt and arrow keys"><x-icon name="grip-vertical" small/></button></td>
            <td><a class="name" data-stop href="{{ route('line-ups', ['filter' => $filter->id]) }}">{{ $filter->title }}</a><div class="small soft">{{ mb_strtolower($filter->control->label()) }}@if ($filter->control === Control::Scale) · step {{ $filter->step ?? 1 }}{{ $filter->settings()['unit'] ? ' '.$filter->settings()['unit'] : '' }}@else · {{ ['any' => 'any of', 'all' => 'all of', 'one' => 'single'][$filter->combine->value] }} · follows · {{ Format::count(isset($terms[$filter->id]) ? count($terms[$filter->id]) : 2, 'term') }}@endif{{ $filter->open ? '' : ' · starts closed' }}</div></td>
            <td class="soft">{{ $filter->definition?->label ?? ucfirst((string) $filter->field) }}</td>
            <td class="whitespace-nowrap">@if ($carrying !== null)@php($share = Format::share($carrying, $total))<x-meter :share="$share" :label="$share.' % of products'"/> {{ $share }} %@endif</td>
            <td class="num">{{ $shows[$filter->id] ?? 0 }} of {{ $pages }}</td>
            <td>@if (($absent[$filter->title] ?? null) === null)<span class="tag settled">shows</span>@else<span class="tag waiting">{{ $absent[$filter->title]->inWords() }}</span>@endif</td>
        </tr>
    @endforeach
    </tbody></table>
<form method="post" action="{{ route('line-ups.order') }}" data-order hidden>@csrf</form><p class="sr-only" role="status" data-said></p>
</div>
@endif
@endsection
@section('panel')
@if ($open)
    @php($kind = $open->kind())
    <p class="label">Filter over {{ $open->definition?->label ?? $open->field }}</p><h2>{{ $open->title }}</h2>
    @if ($errors->isNotEmpty())@foreach ($errors->all() as $message)<p class="note harm" role="alert">{{ $message }}</p>@endforeach @endif
    <form method="post" action="{{ route('line-ups.update', $open) }}" class="grid gap-3" id="filter">@csrf @method('put')<input type="hidden" name="version" value="{{ $errors->any() ? $open->version : old('version', $open->version) }}">
        <div class="field"><label for="title">Title</label><input class="input" id="title" name="title" required maxlength="100" value="{{ old('title', $open->title) }}" @error('title') aria-invalid="true" @enderror></div>
        <div class="field"><label for="control">Control</label><select class="select" id="control" name="control">@foreach (Control::fitting($kind) as $control)<option value="{{ $control->value }}" @selected(old('control', $open->control->value) === $control->value)>{{ $control->label() }}</option>@endforeach</select></div>
        @if ($open->control === Control::Scale)
            <div class="grid grid-cols-2 gap-3"><div class="field"><label for="step">Step</label><input class="input" id="step" name="step" inputmode="decimal" value="{{ old('step', $open->step) }}" placeholder="1" @error('step') aria-invalid="true" @enderror></div><div class="field"><label for="unit">Unit shown</label><input class="input" id="unit" name="unit" maxlength="20" value="{{ old('unit', $open->unit) }}" placeholder="{{ $open->field === 'price' ? Format::unit(config('lokum.currency')) : $open->definition?->unit }}"></div></div>
        @else
            <fieldset class="field"><legend class="label pb-1">Picks</legend><div class="grid gap-1">@foreach ([['any', 'Several: any of them'], ['all', 'Several: all of them'], ['one', 'One at a time']] as [$value, $name])<label class="check"><input type="radio" name="combine" value="{{ $value }}" @checked(old('combine', $open->combine->value) === $value)><span>{{ $name }}</span></label>@endforeach</div></fieldset>
            <fieldset class="field"><legend class="label pb-1">Terms with no products left</legend><div class="choices">@foreach (EmptyTerms::cases() as $case)<label><input type="radio" name="empty_terms" value="{{ $case->value }}" @checked(old('empty_terms', $open->empty_terms->value) === $case->value)>{{ $case->label() }}</label>@endforeach</div></fieldset>
        @endif
        <label class="check"><input type="checkbox" name="open" value="1" @checked(old('open', $open->open))><span>Starts open</span></label>
    </form>
    @if (isset($terms[$open->id]))<div class="field"><span class="label">Its terms now, {{ $open->definition->term_order->label() }}</span><div class="flex flex-wrap gap-1.5">@foreach (array_slice($terms[$open->id], 0, 14) as $term)<x-cube boxed :label="$term['label']" :look="Lokum\Vocabulary\Look::fromJson($term['look'])"> <span class="soft small">{{ $term['products'] }}</span></x-cube>@endforeach</div><a class="small" href="{{ route('values.show', $open->definition) }}">All {{ count($terms[$open->id]) }}, their order and looks</a></div>@endif
    @can('edit')<div class="deed"><button class="button main" form="filter" data-key="s">Save <kbd>S</kbd></button><form method="post" action="{{ route('line-ups.destroy', $open) }}">@csrf @method('delete')<button class="button harm">Take it out of the line-up</button></form><p class="small soft text-center">Shoppers see it with the next edition.</p></div>@endcan
@else
    <h2>Choose a filter</h2><p class="soft">Its settings open here. Put filters in order by their handles: drag, or Alt and the arrow keys.</p>
@endif
@endsection
