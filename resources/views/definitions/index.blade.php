@extends('layouts.desk')
@use('App\Support\Format')
@use('Lokum\Vocabulary\Kind')
@use('Lokum\Vocabulary\Level')
@use('Lokum\Vocabulary\Policy')
@section('title', 'Definitions · Lokum')
@section('crumbs')
    <h1>Definitions</h1>
@endsection
@section('lens')
    @include('definitions.lens')
@endsection
@section('find')
    <form role="search"><input class="input" type="search" name="q" value="{{ request('q') }}" placeholder="Find a definition  F"
        aria-label="Find a definition"
    data-find></form>
@endsection
@section('work')
    <form method="post" action="{{ route('definitions.several') }}" id="several">@csrf</form>
    @foreach ($alike as $group)
        <p class="note mx-5 mt-3">
            @foreach ($group as $one)
                <b>{{ $one->label }}</b> <span class="mono">{{ $one->slug }}</span>{{ $loop->last ? '' : ', ' }}
            @endforeach would be {{ count($group) }} filters where shoppers expect one. <a
                href="{{ route('definitions', ['open' => $group[1]->slug, 'into' => $group[0]->slug]) }}">Make them one</a>
        </p>
    @endforeach
    @foreach ($groups as $name => $group)
        @continue($group->isEmpty())
        <section>
            <div class="bar">
                <h2>{{ $name }}</h2><span class="soft">{{ count($group) }}</span>
                @if ($name === 'Proposed')
                    @can('edit')
                        <span class="ml-auto flex gap-2"><button class="button small main" form="several" name="state"
                            value="accepted">Accept the ticked ones</button><button
                                class="button small" form="several" name="state" value="aside">Leave them aside</button></span>
                    @endcan
                @elseif ($name === 'In use')
                    <x-csv class="ml-auto" /><a class="button small" href="{{ route('definitions', ['open' => 'new']) }}" data-key="n"
                        title="New definition (N)"><x-icon name="plus" small />New
                        definition</a>
                @endif
            </div>
            <table class="grid-table">
                <thead>
                    <tr>
                        @if ($name === 'Proposed')
                            <th scope="col"><span class="sr-only">Tick</span></th>
                        @endif
                        <th scope="col">
                            Definition</th>
                        <th scope="col">Holds</th>
                        <th scope="col">Spellings, for example</th>
                        <th scope="col">Covers</th>
                        <th scope="col" class="num">Values</th>
                        <th scope="col">Filter</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($group as $definition)
                        @php($share = Format::share($products[$definition->id] ?? 0, $total))
                        <tr data-row @class(['open' => $editing?->id === $definition->id])>
                            @if ($name === 'Proposed')
                                <td><input class="pick" type="checkbox" name="ids[]" value="{{ $definition->id }}" form="several"
                                    aria-label="Tick {{ $definition->label }}"
                                        checked></td>
                            @endif
                            <td><a class="name" data-stop
                                href="{{ route('definitions', ['open' => $definition->slug]) }}">{{ $definition->label }}</a>
                                @if ($definition->section)
                                    <span class="tag">{{ $definition->section }}</span>
                                @endif
                                <div class="small soft mono">
                                    {{ $definition->slug }}</div>
                            </td>
                            <td>{{ $definition->kind->label() }}{{ $definition->unit ? ", {$definition->unit}"
                                : '' }}{{ $definition->multiple ? ', several' : '' }}<div
                                    class="small soft">{{ $definition->level->value }}{{ $definition->reason
                                        && $name === 'Proposed' ? ' · ' . $definition->reason : '' }}</div>
                            </td>
                            <td class="max-w-[220px]">
                                <div class="cut mono soft">
                                    @foreach ($samples[$definition->id] as $sample)
                                        {{ Format::spelling(mb_strimwidth($sample, 0, 30, '…')) }}@if (!$loop->last)
                                            ·
                                        @endif
                                    @endforeach
                                </div>
                                @if ($odd[$definition->id] ?? 0)
                                    <a class="small" href="{{ route('values.unread',
                                        $definition) }}">{{ Format::count((int) $odd[$definition->id], 'odd one') }} out</a>
                                @endif
                            </td>
                            <td class="whitespace-nowrap"><x-strip :strip="$strips[$definition->id] ?? []" /> {{ $share }} %</td>
                            <td class="num">
                                @if ($definition->kind->isAttribute())
                                    <a href="{{ route('values.show',
                                        $definition) }}">{{ Format::number($definition->values_count) }}<span class="sr-only"> values of
                                            {{ $definition->label }}</span></a>
                                @endif
                            </td>
                            <td>{{ $filters[$definition->id] ?? '' }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </section>
    @endforeach
    @if (collect($groups)->every->isEmpty())
        <div class="empty">
            <h2>{{ request('q') ? 'No definition is called that' : 'No definitions yet' }}</h2>
            <p class="soft">They arise from the columns of a feed, or by hand.</p>
            <p class="flex gap-2"><a class="button" href="{{ route('feeds') }}">Read a feed</a><a class="button"
                href="{{ route('definitions', ['open' => 'new']) }}">Define one by
                    hand</a></p>
        </div>
    @endif
@endsection
@section('panel')
    @include('definitions.panel')
@endsection
