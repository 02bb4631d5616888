@extends('layouts.desk')
@use('App\Format')
@use('Lokum\Vocabulary\Kind')
@use('Lokum\Vocabulary\Level')
@use('Lokum\Vocabulary\Policy')
@section('title', 'Definitions · Lokum')
@section('crumbs')<h1>Definitions</h1>@endsection
@section('lens')@include('definitions.lens')@endsection
@section('find')<form role="search"><input class="input" type="search" name="q" value="{{ request('q') }}" placeholder="Find a definition  /" aria-label="Find a definition" data-find></form>@endsection
@section('work')
<form method="post" action="{{ route('definitions.several') }}" id="several">@csrf</form>
@foreach ($groups as $name => $group)
    @continue($group->isEmpty())
    <section>
        <div class="bar"><h2>{{ $name }}</h2><span class="soft">{{ count($group) }}</span>
            @if ($name === 'Proposed')@can('edit')<span class="ml-auto flex gap-2"><button class="button small main" form="several" name="state" value="accepted">Accept the ticked ones</button><button class="button small" form="several" name="state" value="aside">Leave them aside</button></span>@endcan
            @elseif ($name === 'In use')<a class="button small ml-auto" href="{{ route('definitions', ['open' => 'new']) }}" data-key="n" title="New definition (N)"><x-icon name="plus" small/>New definition</a>@endif</div>
        <table class="grid-table"><thead><tr>@if ($name === 'Proposed')<th scope="col"><span class="sr-only">Tick</span></th>@endif<th scope="col">Definition</th><th scope="col">Holds</th><th scope="col">Spellings, for example</th><th scope="col">Covers</th><th scope="col" class="num">Values</th><th scope="col">Filter</th></tr></thead><tbody>
        @foreach ($group as $definition)
            @php($share = Format::share($products[$definition->id] ?? 0, $total))
            <tr data-row @class(['open' => $editing?->id === $definition->id])>
                @if ($name === 'Proposed')<td><input class="pick" type="checkbox" name="ids[]" value="{{ $definition->id }}" form="several" aria-label="Tick {{ $definition->label }}" checked></td>@endif
                <td><a class="name" data-stop href="{{ route('definitions', ['open' => $definition->slug]) }}">{{ $definition->label }}</a><div class="small soft mono">{{ $definition->slug }}</div></td>
                <td>{{ $definition->kind->label() }}{{ $definition->unit ? ", {$definition->unit}" : '' }}{{ $definition->multiple ? ', several' : '' }}<div class="small soft">{{ $definition->level->value }}{{ $definition->reason && $name === 'Proposed' ? ' · '.$definition->reason : '' }}</div></td>
                <td class="max-w-[220px]"><div class="cut mono soft">@foreach ($samples[$definition->id] as $sample){{ Format::spelling(mb_strimwidth($sample, 0, 30, '…')) }}@if (! $loop->last) · @endif @endforeach</div></td>
                <td class="whitespace-nowrap"><x-meter :share="$share" :label="$share.' % of products'"/> {{ $share }} %</td>
                <td class="num">@if ($definition->kind->isAttribute())<a href="{{ route('values.show', $definition) }}">{{ Format::number($definition->values_count) }}<span class="sr-only"> values of {{ $definition->label }}</span></a>@endif</td>
                <td>{{ $filters[$definition->id] ?? '' }}</td>
            </tr>
        @endforeach</tbody></table>
    </section>
@endforeach
@if (collect($groups)->every->isEmpty())<div class="empty"><h2>{{ request('q') ? 'No definition is called that' : 'No definitions yet' }}</h2><p class="soft">They arise from the columns of a feed, or by hand.</p><p class="flex gap-2"><a class="button" href="{{ route('feeds') }}">Read a feed</a><a class="button" href="{{ route('definitions', ['open' => 'new']) }}">Define one by hand</a></p></div>@endif
@endsection
@section('panel')
@if ($editing || $open === 'new')
    @php($kind = Kind::tryFrom((string) old('kind', request('kind', $editing?->kind->value ?? 'choice'))) ?? Kind::Choice)
    <p class="label">{{ $editing ? $editing->state->label() : 'By hand' }}</p><h2>{{ $editing?->label ?? 'New definition' }}</h2>
    <form method="post" action="{{ $editing ? route('definitions.update', $editing) : route('definitions.store') }}" class="grid gap-3" id="definition">@csrf @if ($editing)@method('put')<input type="hidden" name="version" value="{{ $errors->any() ? $editing->version : old('version', $editing->version) }}">@endif
        <div class="field"><label for="label">Label</label><input class="input" id="label" name="label" required maxlength="200" value="{{ old('label', $editing?->label) }}" @error('label') aria-invalid="true" aria-describedby="error-label" @enderror><x-error for="label"/></div>
        <div class="field"><label for="kind">Holds</label><select class="select" id="kind" name="kind" hx-get="{{ url()->current() }}" hx-include="#definition" hx-vals='{"open": "{{ $open }}"}' hx-select="#found" hx-target="#found" hx-swap="outerHTML" hx-params="open,kind,unit">@foreach (Kind::cases() as $one)<option value="{{ $one->value }}" @selected($one === $kind)>{{ $one->label() }}</option>@endforeach</select><x-error for="kind"/></div>
        <div id="found" class="grid gap-3">
            @if ($kind === Kind::Number)<div class="field"><label for="unit">Unit</label><input class="input" id="unit" name="unit" list="units" value="{{ old('unit', $editing?->unit) }}" placeholder="none"><datalist id="units">@foreach (Lokum\Quantity\Unit::symbols() as $symbol)<option value="{{ $symbol }}">@endforeach</datalist><x-error for="unit"/></div>@endif
            @if ($kind === Kind::Choice)<label class="check"><input type="checkbox" name="multiple" value="1" @checked(old('multiple', $editing?->multiple))><span>Several values on one product</span></label>
            <div class="field"><label for="separator">Several in one cell are parted by</label><input class="input small" id="separator" name="separator" maxlength="5" value="{{ old('separator', $editing->separator ?? '|') }}"></div>
            <div class="field"><label for="policy">A new spelling from a feed</label><select class="select" id="policy" name="policy">@foreach (Policy::cases() as $policy)<option value="{{ $policy->value }}" @selected(old('policy', $editing?->policy->value) === $policy->value)>{{ $policy->label() }}</option>@endforeach</select></div>@endif
            @if ($change && $change['kind'] !== $editing->kind)
                <p @class(['note', 'harm' => $change['unread'] > 0])>As {{ mb_strtolower($kind->label()) }}: @if ($change['values'])<b>{{ Format::count($change['values'], 'value') }}</b> arise{{ $change['unread'] ? ', ' : '.' }}@endif @if ($change['unread'])<b>{{ Format::count($change['unread'], 'text') }}</b> cannot be read and stay as text, such as {{ implode('; ', $change['samples']) }}.@elseif (! $change['values'])every text can be read.@endif</p>
            @endif
        </div>
        <div class="field"><span class="label">Belongs to</span><div class="choices">@foreach (Level::cases() as $level)<label><input type="radio" name="level" value="{{ $level->value }}" @checked(old('level', $editing?->level->value ?? 'product') === $level->value)>the {{ $level->value }}</label>@endforeach</div></div>
        <div class="field"><label for="help">Help for shoppers</label><input class="input" id="help" name="help" maxlength="300" value="{{ old('help', $editing?->help) }}"></div>
        @if ($editing)<dl class="figures"><div><dt>Products that carry it</dt><dd>{{ Format::number($products[$editing->id] ?? 0) }} of {{ Format::number($total) }}</dd></div><div><dt>Filter</dt><dd>{{ $filters[$editing->id] ?? 'none' }}</dd></div></dl>
        <p class="small soft">Changing what it belongs to counts the cells already read at that level; read the feed again to bring in the others.</p>@endif
    </form>
    @can('edit')<div class="deed">
        @if ($editing && $editing->state !== App\Definitions\State::Accepted)<button class="button main" form="definition" name="state" value="accepted" data-key="s">Accept <kbd>S</kbd></button>@else<button class="button main" form="definition" data-key="s">{{ $editing ? 'Save' : 'Define' }} <kbd>S</kbd></button>@endif
        @if ($editing && $editing->state !== App\Definitions\State::Aside)<button class="button" form="definition" name="state" value="aside" formnovalidate>Leave aside</button>@endif
    </div>@endcan
@else
    <h2>Choose a definition</h2><p class="soft">Its settings open here. A proposal can be accepted as it is, changed first, or left aside; its data is kept either way.</p>
    @can('edit')<a class="button" href="{{ route('definitions', ['open' => 'new']) }}"><x-icon name="plus" small/>New definition</a>@endcan
@endif
@endsection
