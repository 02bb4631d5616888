@extends('layouts.page')
@section('body')

    <body class="shop" x-data="drawer" x-on:keydown.escape="shut" x-on:keydown.tab="round">
        @yield('skip')
        <aside class="stage" aria-label="About this shop"><span>A simulated storefront, so that a line-up can be tried before a
            real shop has it.</span>
            @if (Route::has('line-ups'))
                <a href="{{ route('line-ups') }}">To the line-up</a>
            @endif
        </aside>
        <header><a class="shop-name" href="{{ route('shop') }}">
                @if ($shop->mark)
                    <img src="{{ route('shop.picture', $shop->mark) }}" alt="" class="h-8">
                @endif
                <span class="text-[24px] font-[650] [font-family:var(--display)]">{{ $shop->name }}</span>
                @if ($shop->line !== '')
                    <span class="soft">{{ $shop->line }}</span>
                @endif
            </a>
            <form class="ml-auto" role="search" action="{{ route('shop.search') }}"><input class="input small" type="search"
                name="q" value="{{ request('q') }}"
                    maxlength="200" placeholder="Find a product" aria-label="Find a product"></form>
            <nav class="flex gap-4" aria-label="Directories">
                @foreach ($directories as $directory)
                    <a href="{{ route('shop.directory', $directory->slug) }}">{{ $directory->label }} A–Z</a>
                @endforeach
            </nav>
        </header>
        @yield('shop')
    </body>
@endsection
