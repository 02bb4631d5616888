@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Values · Lokum')
@section('crumbs')
    <h1>Values</h1>
@endsection
@section('work')
    @if ($attributes->isEmpty())
        <div class="empty">
            <h2>No attributes yet</h2>
            <p class="soft">An attribute has a list of values: color, material, hair. They come with a feed, or are defined by
                hand.</p><a class="button"
                href="{{ route('feeds') }}">Read a feed</a>
        </div>
    @else
        <x-find-in in="#attributes" :count="count($attributes)" what="an attribute" class="mx-5 my-3 w-64" data-find />
        <table class="grid-table">
            <thead>
                <tr>
                    <th scope="col">Attribute</th>
                    <th scope="col" class="num">Spellings</th>
                    <th scope="col" class="num">Values</th>
                    <th scope="col">State</th>
                    <th scope="col" class="num">Newcomers</th>
                </tr>
            </thead>
            <tbody id="attributes">
                @foreach ($attributes as $attribute)
                    <tr data-row>
                        <td><a class="name" data-stop href="{{ route('values.show', $attribute) }}">{{ $attribute->label }}</a></td>
                        <td class="num">{{ Format::number($counts->texts($attribute->id)) }}</td>
                        <td class="num">{{ Format::number($attribute->values_count) }}</td>
                        <td><span class="tag {{ $attribute->state === App\Models\State::Accepted ? 'settled'
                            : 'waiting' }}">{{ $attribute->state->label() }}</span></td>
                        <td class="num">
                            @if ($new = $counts->newcomers($attribute->id))
                                <a href="{{ route('newcomers', $attribute) }}">{{ Format::number($new) }}</a>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($numbers->isNotEmpty())
            <h2 class="pad pb-2">Number fields</h2>
            <table class="grid-table">
                <thead>
                    <tr>
                        <th scope="col">Field</th>
                        <th scope="col" class="num">Ways of writing</th>
                        <th scope="col" class="num">Numbers</th>
                        <th scope="col">Unit</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($numbers as $field)
                        <tr data-row>
                            <td><a class="name" data-stop href="{{ route('values.show', $field) }}">{{ $field->label }}</a></td>
                            <td class="num">{{ Format::number($counts->texts($field->id)) }}</td>
                            <td class="num">{{ Format::number($counts->numbers($field->id)) }}</td>
                            <td>{{ $field->unit }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    @endif
@endsection
@section('panel')
    @if ($coming)
        <h2>Take these lists in?</h2>
        <table class="plain">
            <thead>
                <tr>
                    <th scope="col" class="text-left">Attribute</th>
                    <th scope="col" class="num">new values</th>
                    <th scope="col" class="num">spellings</th>
                    <th scope="col" class="num">move</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($coming['lists'] as $label => $figures)
                    <tr>
                        <td>{{ $label }}</td>
                        <td class="num">{{ Format::number($figures['values']) }}</td>
                        <td class="num">{{ Format::number($figures['spellings']) }}</td>
                        <td class="num">{{ Format::number($figures['moved']) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($coming['over'] !== [])
            <p class="note">Called like no attribute with a list, and passed over: {{ implode(', ', $coming['over']) }}.</p>
        @endif
        @can('edit')
            <form class="deed" method="post" action="{{ route('values.lists.take-in') }}">@csrf<input type="hidden" name="list"
                value="{{ $kept }}"><button class="button main" data-key="s">Take them in <kbd>S</kbd></button>
                <p class="small soft text-center">One step in History. Can be taken back.</p>
            </form>
        @endcan
    @else
        <h2>Choose an attribute</h2>
        <p class="soft">Its values open with the spellings that suppliers use for them. Two that mean the same are merged there, and
            looks are given.</p>
        <h3>The whole vocabulary</h3>
        <p class="soft">Lists of all attributes in one archive, with names and umbrellas; CSV has looks, pages, pictures and
            pairs kept apart as well:
            @foreach (['csv' => 'CSV', 'turtle' => 'SKOS in Turtle', 'jsonld' => 'SKOS in JSON-LD'] as $format => $name)
                <a download href="{{ route('values.vocabulary.everything', $format) }}">{{ $name }}</a>{{ $loop->last ? '' : ', ' }}
            @endforeach
        </p>
        @can('edit')
            <form method="post" action="{{ route('values.lists') }}" enctype="multipart/form-data" class="grid gap-2">@csrf
                <div class="field"><label for="list">Take such an archive in</label><input class="input" type="file" id="list"
                    name="list" accept=".zip" required><x-error for="list" /></div>
                <button class="button">Look at it</button>
            </form>
        @endcan
    @endif
@endsection
