@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Vocabulary · ' . $definition->label . ' · Lokum')
@section('crumbs')
    <a href="{{ route('values') }}">Values</a><span class="before">/</span><a
        href="{{ route('values.show', $definition) }}">{{ $definition->label }}</a><span class="before">/</span>
    <h1>Vocabulary</h1>
@endsection
@section('work')
    <div class="pad grid gap-6 max-w-[720px]">
        <section class="grid gap-2">
            <h2>Take it along</h2>
            <p class="soft">{{ Format::count($values, 'value') }} with spellings, umbrellas, looks and pages; spellings in another language
                carry its tag where it is known.</p>
            <div class="flex gap-2 flex-wrap">
                @foreach (['csv' => 'CSV, a spelling a line', 'turtle' => 'SKOS, Turtle', 'jsonld' => 'SKOS, JSON-LD'] as $format => $name)
                    <a class="button" download href="{{ route('values.vocabulary.export', [$definition, $format]) }}">{{ $name }}</a>
                @endforeach
                @if ($pictures)
                    <a class="button" download href="{{ route('values.vocabulary.pictures', $definition) }}">CSV with
                        {{ Format::count($pictures, 'picture') }}, as an archive</a>
                @endif
            </div>
            <p class="small soft">All attributes in one archive, out and in: <a href="{{ route('values') }}">Values</a></p>
        </section>
        @can('edit')
            <section class="grid gap-2">
                <h2>Take a list in</h2>
                <p class="soft">CSV with a column <span class="mono">value</span> and, where they are known, <span
                    class="mono">umbrella</span>, <span class="mono">spelling</span>, <span class="mono">colors</span>, <span
                        class="mono">help</span>, <span class="mono">hidden</span> and what else a list from here has; with
                    pictures as the archive; or SKOS in Turtle or JSON-LD. Values that are there are known by their letters;
                    spellings that stand for another value here move to the one that the list says.</p>
                <form method="post" action="{{ route('values.vocabulary.look', $definition) }}" enctype="multipart/form-data"
                    class="flex gap-2 items-center flex-wrap">@csrf<input class="input" type="file" name="list" required
                        accept=".csv,.tsv,.txt,.zip,.ttl,.jsonld,.json,text/csv" aria-label="List of values"><button
                            class="button">Look at it</button></form>
                <x-error for="list" />
            </section>
        @endcan
    </div>
@endsection
@section('panel')
    @if ($figures === null)
        <h2>Nothing is being taken in</h2>
        <p class="soft">What a list would bring and move is counted here before anything is done.</p>
    @else
        <h2>Take this list in?</h2>
        <dl class="figures">
            @foreach (['values' => 'New values', 'spellings' => 'New spellings', 'moved' => 'Spellings that move',
                'umbrellas' => 'New umbrellas'] as $figure => $name)
                <div>
                    <dt>{{ $name }}</dt>
                    <dd>{{ Format::number($figures[$figure]) }}</dd>
                </div>
            @endforeach
        </dl>
        @can('edit')
            <form class="deed" method="post" action="{{ route('values.vocabulary.take-in', $definition) }}">@csrf<input type="hidden"
                name="list" value="{{ $kept }}"><button class="button main" data-key="s">Take it in <kbd>S</kbd></button>
                <p class="small soft text-center">One step in History. Can be taken back.</p>
            </form>
        @endcan
    @endif
@endsection
