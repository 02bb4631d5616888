@extends('layouts.desk')
@section('title', 'Search · Lokum')
@section('crumbs')
    <h1>Search</h1>
@endsection
@section('work')
    <div class="pad grid gap-3 max-w-[640px]">
        <form role="search" action="{{ route('search') }}" class="flex gap-2"><input class="input grow" type="search" name="q"
            value="{{ $text }}" maxlength="200" aria-label="Search everything"><button class="button main">Search</button></form>
        @include('search.hits')
    </div>
@endsection
