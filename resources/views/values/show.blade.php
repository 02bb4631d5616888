@extends('layouts.desk')
@use('App\Support\Format')
@use('App\Vocabulary\Workbench')
@section('title', $definition->label . ' · Values · Lokum')
@section('crumbs')
    <a href="{{ route('values') }}">Values</a><span class="before">/</span>
    <h1>{{ $definition->label }}</h1>
@endsection
@section('lens')
    <nav class="lens" aria-label="Lenses">
        @foreach (Workbench::LENSES as $lens => $name)
            <a href="{{ route('values.show', [$definition, ...$lens === 'list' ? [] : ['lens' => $lens], ...request()->only('q',
                'show', 'pick', 'value')]) }}" data-carries
                @if ($bench->lens === $lens) aria-current="page" @endif>{{ $name }}</a>
            @endforeach @if ($definition->kind === Lokum\Vocabulary\Kind::Choice)<a href="{{ route('values.review',
                $definition) }}" data-key="r"
                    title="Review look-alikes (R)">Review @if ($lookAlikes)
                        <span class="badge">{{ $lookAlikes }}</span>
                    @endif
                </a>
            @endif
    </nav>
@endsection
@section('find')
    <form role="search" data-carries>@include('values.carried')<input type="hidden" name="show"
            value="{{ request('show') }}"><input class="input" type="search" name="q"
    value="{{ request('q') }}" placeholder="Find a value or spelling  F" aria-label="Find a value or spelling" data-find></form>
@endsection
@section('work')
    @php($figures = $bench->figures())
    <div class="bar">
        <span><b class="strong">{{ Format::number($figures['spellings']) }}</b> spellings</span><span><b
            class="strong">{{ Format::number($figures['values']) }}</b>
            values</span><span><b class="strong">{{ Format::number($figures['terms']) }}</b> terms shoppers see</span>
        @if ($newcomers)
            <a class="chip" href="{{ route('newcomers', $definition) }}"><b>{{ $newcomers }}</b> newcomers</a>
        @endif
        @if ($definition->kind === Lokum\Vocabulary\Kind::Choice)
            <a class="chip" href="{{ route('values.umbrellas', [$definition, 'by' => $colored > 3 ? 'color'
                : 'words']) }}">propose umbrellas</a>
        @endif
        <form class="ml-auto flex items-center gap-2" method="get" x-data="sendsItself" data-carries>@include('values.carried')<input
            type="hidden" name="q" value="{{ request('q') }}"><label class="sr-only"
                for="show">Only</label><select class="select small w-auto max-w-[124px]" id="show" name="show" x-on:change="send" data-acts>
                @foreach (['' => 'all values', 'several' => 'several spellings', 'loose' => 'under no umbrella',
                    'bare' => 'without a look', 'unused' => 'unused', 'held' => 'hidden from shoppers'] as $show => $name)
                    <option value="{{ $show }}" @selected((string) request('show') === $show)>{{ $name }}</option>
                @endforeach
            </select>
            <noscript><button class="button small">Show</button></noscript>
        </form>
        @if ($bench->lens === 'list')
            <form class="flex items-center gap-2" method="post" action="{{ route('values.order', $definition) }}"
                x-data="sendsItself">@csrf<label class="sr-only"
                    for="order">In order</label>
                    <select class="select small w-auto max-w-[118px]" id="order" name="order" x-on:change="send" data-acts>
                    @foreach ($orders as $order)
                        <option value="{{ $order->value }}" @selected($order === $definition->term_order)>{{ $order->label() }}</option>
                    @endforeach
                </select>
                <noscript><button class="button small">Order</button></noscript>
            </form>
        @elseif ($bench->lens === 'flow')
            <form class="flex items-center gap-2" method="get" x-data="sendsItself" data-carries>@include('values.carried')
                @foreach (request()->only('q', 'show', 'in', 'shown') as $name => $given)
                    <input type="hidden" name="{{ $name }}" value="{{ $given }}">
                @endforeach
                <label class="sr-only" for="sort">By</label>
                <select class="select small w-auto" id="sort" name="sort" x-on:change="send" data-acts>
                    @foreach (['' => 'by products', 'name' => 'by name', 'order' => 'in their order'] as $sort => $name)
                        <option value="{{ $sort }}" @selected((string) request('sort') === $sort)>{{ $name }}</option>
                    @endforeach
                </select>
                <noscript><button class="button small">Sort</button></noscript>
            </form>
        @endif
    </div>
    @if ($found === [])
        <div class="empty">
            <h2>{{ $bench->all === [] ? 'No values yet' : 'No value fits' }}</h2>
            @if ($bench->all !== [])
                <a class="button" data-carries href="{{ route('values.show', [$definition, 'lens' => $bench->lens,
                    ...request()->only('pick')]) }}">Show all
                    {{ count($bench->all) }}</a>
            @endif
        </div>
    @else
        @include("values.lens-{$bench->lens}")
    @endif
@endsection
@section('panel')
    @include('values.panel')
@endsection
