{{-- What takes a while to find in a large catalog, fetched when the page is there. --}}
@use('App\Support\Format')
@if ($alike !== [])
    <section class="card waits">
        <h3>{{ Format::count(array_sum(array_column($alike, 'groups')), 'group') }} of look-alikes</h3>
        <p class="flex flex-wrap gap-2">
            @foreach (array_slice($alike, 0, 6) as $one)
                <a class="chip" href="{{ route('values.review', $one['slug']) }}">{{ $one['label'] }} <b>{{ $one['groups'] }}</b></a>
            @endforeach
        </p>
    </section>
@endif
@if ($gaps !== [])
    <section class="card waits">
        <h3>{{ Format::count(array_sum(array_column($gaps, 'missing')), 'expected value') }} missing</h3>
        <p class="flex flex-wrap gap-2">
            @foreach (array_slice($gaps, 0, 6) as $gap)
                <a class="chip" href="{{ route('products', ['where' => ["gap:{$gap['slug']}"],
                    'columns' => [$gap['slug']]]) }}">{{ $gap['label'] }}
                    <b>{{ Format::number($gap['missing']) }}</b></a>
            @endforeach
        </p><a class="button small justify-self-start" href="{{ route('rules') }}">Fill by rules</a>
    </section>
@endif
