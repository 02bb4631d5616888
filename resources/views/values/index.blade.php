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
    <h2>Choose an attribute</h2>
    <p class="soft">Its values open with the spellings that suppliers use for them. Two that mean the same are merged there, and
        looks are given.</p>
@endsection
