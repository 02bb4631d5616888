@extends('layouts.desk')
@use('App\Support\Format')
@section('title', $definition->label . ' · Values · Lokum')
@section('crumbs')
    <a href="{{ route('values') }}">Values</a><span class="before">/</span>
    <h1>{{ $definition->label }}</h1>
@endsection
@section('work')
    <div class="grid gap-3 content-start">
        @if ($map->points === [])
            <div class="empty">
                <h2>No numbers yet</h2>
                <p class="soft">No product carries {{ $definition->label }}.</p>
        </div>@else<div class="pad grid gap-3">@include('values.axis', ['picks' => false])</div>
        @endif
    </div>
@endsection
@section('panel')
    <h2>Numbers as they are written</h2>
    <p class="soft">One dot for each number in {{ $definition->unit ?: 'its unit' }}, as large as its products. Texts that mean
        the same number stand together already; nothing needs
        to be merged.</p>
    <dl class="figures">
        <div>
            <dt>Numbers</dt>
            <dd>{{ Format::number(count($map->points)) }}</dd>
        </div>
        <div>
            <dt>Ways of writing them</dt>
            <dd>{{ Format::number(array_sum(array_map(fn($point) => count($point['members']), $map->points))) }}</dd>
        </div>
        <div>
            <dt>Far from the rest</dt>
            <dd>{{ Format::number(count(array_filter($map->points, fn($point) => $point['outlier']))) }}</dd>
        </div>
    </dl>
    <a class="button" href="{{ route('values.unread', $definition) }}">Texts that cannot be read</a>
@endsection
