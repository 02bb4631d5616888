@extends('layouts.desk')
@section('title', $page->title . ' · Guide · Lokum')
@section('crumbs')
    <a href="{{ route('guide') }}">Guide</a><span class="before">/</span>
    <h1 class="cut">{{ $page->title }}</h1>
@endsection
@section('find')
    <form role="search"><input class="input" type="search" name="q" value="{{ request('q') }}" placeholder="Find in the guide  F"
        aria-label="Find in the guide" data-find></form>
@endsection
@section('work')
    <article class="guide pad">{!! $html !!}</article>
@endsection
@section('panel-label', 'Pages of the guide')
@section('panel')
    <h2>{{ request('q') ? 'Pages that say so' : 'Jobs' }}</h2>
    <ul class="grid gap-1">
        @forelse ($pages as $one)
            <li data-row><a data-stop href="{{ route('guide', array_filter(['slug' => $one->slug, 'q' => request('q')])) }}"
                @if ($one->slug === $page->slug) aria-current="page" class="strong" @endif>{{ $one->title }}</a></li>
        @empty
            <li class="soft">No page has all of these words.</li>
        @endforelse
    </ul>
    <p class="soft small">Every key is listed with <kbd>?</kbd>.</p>
@endsection
