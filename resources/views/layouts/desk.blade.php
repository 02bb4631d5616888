@extends('layouts.page')
@section('body')
    @php($rooms = [['today', 'sun', 'Today', 'today'], ['products', 'package', 'Products', 'products*'], ['definitions', 'ruler',
        'Definitions', ['definitions*', 'expected*', 'rules*']], ['values', 'shapes', 'Values', 'values*'], ['line-ups',
        'list-ordered', 'Line-ups', 'line-ups*'], ['shop', 'store', 'Storefront', 'shop*'], ['feeds', 'truck', 'Feeds', ['feeds*',
        'readings*']], ['history', 'history', 'History', 'history*']])

    <body>
        <a class="skip" href="#work">Skip to the work</a>
        <x-icon name="grip-vertical" symbol="grip" />
        <div class="desk">
            <nav class="rail" aria-label="Rooms">
                <a class="mark" href="{{ route('today') }}" aria-label="Lokum, Today"><svg width="24" height="24"
                    viewBox="0 0 24 24" aria-hidden="true">
                        <rect x="9" y="2" width="11" height="11" rx="3" fill="#f3e9e2" />
                        <rect x="3" y="11" width="11" height="11" rx="3" fill="#d98aa6" />
                    </svg></a>
                @foreach ($rooms as $i => [$route, $icon, $name, $pattern])
                    <a href="{{ route($route) }}" @if (request()->routeIs($pattern)) aria-current="page" @endif data-key="alt+{{ $i + 1 }}"
                        title="{{ $name }} (Alt {{ $i + 1 }})"><x-icon :name="$icon" />{{ $name }}</a>
                @endforeach
                <div class="rail-foot">
                    <a href="{{ route('search') }}" data-opens="search" data-key="/" title="Search everything (/)"><x-icon
                        name="search" />Search</a>
                    <a href="{{ route('guide', App\Guide\GuidePage::forRoom((string) request()->route()?->getName())) }}"
                        @if (request()->routeIs('guide*')) aria-current="page" @endif title="How this is done"><x-icon
                            name="book-open" />Guide</a>
                    @can('manage')
                        <a href="{{ route('settings') }}" @if (request()->routeIs('settings*')) aria-current="page" @endif><x-icon
                            name="settings" />Settings</a>
                        <a href="{{ route('people') }}" @if (request()->routeIs('people*')) aria-current="page" @endif><x-icon
                            name="users" />People</a>
                    @endcan
                    <a href="{{ route('account') }}" @if (request()->routeIs('account*')) aria-current="page" @endif
                        title="Your password"><x-icon name="key-round" />You</a>
                    <form method="post" action="{{ route('sign-out') }}">@csrf<button
                        title="{{ auth()->user()->name }}, {{ auth()->user()->role->value }}"><x-icon
                                name="log-out" />Sign out</button></form>
                </div>
            </nav>
            <header class="topbar">
                <div class="crumbs">@yield('crumbs')</div>
                @hasSection('lens')
                    @yield('lens')
                @endif
                @hasSection('find')
                    <div class="find">@yield('find')</div>
                @endif
            </header>
            <div class="status" role="status" aria-label="Edition"
                data-status="{{ route('publishing.status') }}">@include('publishing.status-bar')</div>
            <main class="work" id="work" tabindex="0">
                @error('refused')
                    <p class="note harm pad" role="alert">{{ $message }}</p>
                @enderror
                @yield('work')
            </main>
            <aside class="panel" id="panel" aria-label="@yield('panel-label', 'Consequences')" aria-live="polite">@yield('panel')</aside>
        </div>
        <x-toast />
        <x-keys />
        <x-search />
    </body>
@endsection
