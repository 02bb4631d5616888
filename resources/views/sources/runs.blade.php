{{-- Everything that ran by itself. --}}
@extends('layouts.desk')
@use('App\Models\RunState')
@section('title', 'Runs · Lokum')
@section('crumbs')
    <a href="{{ route('feeds') }}">Feeds</a><span class="before">/</span>
    <h1>Runs</h1>
@endsection
@section('work')
    <form class="bar" method="get" action="{{ route('runs') }}" role="search">
        <label class="small soft" for="run-feed">Feed</label>
        <select class="select small w-auto" id="run-feed" name="feed">
            <option value="">all</option>
            @foreach ($feeds as $one)
                <option value="{{ $one->id }}" @selected($feed === $one->id)>{{ $one->name }}</option>
            @endforeach
        </select>
        <label class="small soft" for="run-state">State</label>
        <select class="select small w-auto" id="run-state" name="state">
            <option value="">all</option>
            @foreach (RunState::cases() as $one)
                <option value="{{ $one->value }}" @selected($state === $one)>{{ $one->label() }}</option>
            @endforeach
        </select>
        <button class="button small">Show</button>
    </form>
    <div class="pad grid gap-3">
        @include('sources.list', ['of' => 'feed'])
        <div class="pager">
            @if ($runs->previousPageUrl())
                <a class="button small" href="{{ $runs->previousPageUrl() }}">Newer</a>
            @endif
            @if ($runs->nextPageUrl())
                <a class="button small" href="{{ $runs->nextPageUrl() }}">Older</a>
            @endif
        </div>
    </div>
@endsection
@section('panel')
    <h2>What runs by itself</h2>
    <p class="soft">Sources are looked at in their times. What is within a feed's bounds is read; what is not is held, with its
        reasons, until somebody reads it or puts it aside.</p>
    <a class="button" href="{{ route('outbox') }}">Outbox</a>
@endsection
