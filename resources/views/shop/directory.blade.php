@extends('shop.frame')
@use('App\Support\Format')
@section('title', $attribute->label . ' from A to Z · ' . $shop->fullName())
@section('shop')
    <main class="max-w-[1040px] mx-auto p-7 grid gap-5">
        <h1>{{ $attribute->label }} from A to Z</h1>
        <nav class="flex flex-wrap gap-2" aria-label="Letters">
            @foreach (array_keys($letters) as $letter)
                <a class="chip" href="#letter-{{ $loop->index }}">{{ $letter }}</a>
            @endforeach
        </nav>
        <div class="letters">
        @foreach ($letters as $letter => $entries)
            <section id="letter-{{ $loop->index }}" class="letter">
                <h2>{{ $letter }}</h2>
                <ul class="cards">
                    @foreach ($entries as ['term' => $term, 'page' => $about])
                        <li><a class="card no-underline" href="{{ route('shop.value', [$attribute->slug, $term->slug]) }}">
                                @if ($about['picture'] ?? null)
                                    <img class="directory-picture" src="{{ route('shop.picture', $about['picture']) }}" alt=""
                                        loading="lazy">
                                @endif
                                <span class="strong">{{ $term->label }}</span><span class="soft">{{ Format::count($term->products,
                                    'product') }}</span>
                            </a></li>
                    @endforeach
                </ul>
            </section>
        @endforeach
        </div>
    </main>
@endsection
