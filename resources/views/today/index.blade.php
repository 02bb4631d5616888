@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Today · Lokum')
@section('crumbs')
    <h1>Today</h1>
@endsection
@section('work')
    <div class="pad grid gap-5">
        <div class="flex gap-10 items-end">
            <div>
                <div class="big">{{ Format::number($products) }}</div><span class="soft">products</span>
            </div>
            <div>
                <div class="big">{{ Format::number($variants) }}</div><span class="soft">variants</span>
            </div>
            <div>
                <div class="big">{{ Format::number($filters) }}</div><span class="soft">filters in the line-up</span>
            </div>
            <div>
                <div class="big">{{ $edition?->id ?? '–' }}</div><span class="soft">edition that shoppers see</span>
            </div>
        </div>
        @if ($path)
            @include('today.path')
        @endif
        @unless ($path || $night->isEmpty())
            @include('today.night')
        @endunless
        @php($quiet = $night->held->isEmpty() && $inbox === []
            && $proposed->isEmpty() && $held->isEmpty() && $newcomers === [] && $running->isEmpty()
            && $broken->isEmpty() && $unread === [] && $silent === [] && ($drift ?? 0) === 0 && $products > 0 && $filters > 0)
        @unless ($path && $products === 0)
        <h2 @class(['beside-path' => $path])>{{ $quiet ? 'Nothing waits for a decision' : 'What waits for you' }}</h2>
        @endunless
        <div class="cards">
            @foreach ($path ? [] : $running as $reading)
                <section class="card waits">
                    <h3>{{ $reading->feed->name }} is {{ $reading->state->label() }}</h3>
                    <p class="soft">{{ $reading->file_name }}</p><a class="button small justify-self-start"
                        href="{{ route('readings.show', $reading) }}">{{ $reading->state->isRunning() ? 'See how far it is'
                            : 'Read it' }}</a>
                </section>
            @endforeach
            @foreach ($night->held as $reading)
                <section class="card waits">
                    <h3>{{ $reading->feed->name }} is held</h3>
                    <p class="soft">{{ $reading->file_name }}: {{ implode('; ', $reading->held ?? []) }}.</p>
                    <div class="flex gap-2">
                        <a class="button small" href="{{ route('readings.show', $reading) }}">Look at it</a>
                        @can('edit')
                            <form method="post" action="{{ route('readings.aside', $reading) }}">@csrf<button
                                class="button small">Put aside<span class="sr-only"> {{ $reading->file_name }}</span></button></form>
                        @endcan
                    </div>
                </section>
            @endforeach
            @foreach ($broken as $reading)
                <section class="card waits">
                    <h3>{{ $reading->feed->name }} was not read</h3>
                    <p class="soft">{{ $reading->file_name }}. {{ $reading->message }}</p>
                    <a class="button small justify-self-start" href="{{ route('readings.show', $reading) }}">Do it
                        again</a>
                </section>
            @endforeach
            @if ($inbox !== [] && !$path)
                <section class="card waits">
                    <h3>{{ Format::count(count($inbox), 'file') }} in the inbox</h3>
                    <p class="soft cut">{{ implode(', ', $inbox) }}</p>
                    <a class="button small justify-self-start" href="{{ route('feeds') }}">Check and read</a>
                </section>
            @endif
            @if ($proposed->isNotEmpty() && !$path)
                <section class="card waits">
                    <h3>{{ Format::count($proposed->count(), 'proposed definition') }}</h3>
                    <p class="soft">{{ $proposed->pluck('label')->take(6)->join(', ') }}{{ $proposed->count() > 6 ? ' …'
                        : '' }}</p><a class="button small justify-self-start"
                        href="{{ route('definitions') }}">Accept or leave aside</a>
                </section>
            @endif
            @if ($newcomers !== [])
                <section class="card waits">
                    <h3>{{ Format::count(array_sum(array_column($newcomers, 'new')), 'newcomer') }}</h3>
                    <p class="flex flex-wrap gap-2">
                        @foreach (array_slice($newcomers, 0, 6) as $one)
                            <a class="chip" href="{{ route('newcomers', $one['definition']) }}">{{ $one['definition']->label }}
                                <b>{{ $one['new'] }}</b></a>
                        @endforeach
                    </p>
                    <p class="soft">{{ Format::count(array_sum(array_column($newcomers, 'resolved')), 'spelling') }} found their
                        place by themselves.</p><a
                        class="button small justify-self-start" href="{{ route('newcomers') }}">Decide</a>
                </section>
            @endif
            @if ($held->isNotEmpty())
                <section class="card waits">
                    <h3>{{ Format::count($held->count(), 'value') }} held back from shoppers</h3>
                    <p class="flex flex-wrap gap-2">
                        @foreach ($held->take(8) as $value)
                            <a class="chip" href="{{ route('values.show', [$value->definition,
                                'value' => $value->id]) }}">{{ $value->label }} <span
                                    class="soft">{{ $value->definition->label }}</span></a>
                        @endforeach
                    </p>
                </section>
            @endif
            @if ($products > 0 && !$path)
                <div class="contents" hx-get="{{ route('today.found') }}" hx-trigger="load" hx-swap="outerHTML"><noscript><a
                    class="button" href="{{ route('expected') }}">Look for
                            gaps</a></noscript></div>
            @endif
            @foreach ($unread as $field)
                <section class="card waits">
                    <h3>{{ Format::count((int) $field->texts, 'text') }} that {{ $field->label }} cannot read</h3>
                    <p class="soft">For example: {{ $field->sample }}</p>
                    <a class="button small justify-self-start" href="{{ route('values.unread', $field->slug) }}">Say what they
                        mean</a>
                </section>
            @endforeach
            @if ($silent !== [])
                <section class="card waits">
                    <h3>{{ Format::count(count($silent), 'filter') }} that shoppers do not see</h3>
                    @foreach ($silent as $title => $absence)
                        <p class="soft">{{ $title }}: {{ $absence->inWords() }}</p>
                    @endforeach
                    <a class="button small justify-self-start" href="{{ route('line-ups') }}">Open the line-up</a>
                </section>
            @endif
            @if ($edition !== null && $filters === 0)
                <section class="card waits">
                    <h3>The line-up has no filters</h3>
                    <p class="soft">Shoppers see products and nothing to narrow them by.</p>
                    <a class="button small justify-self-start" href="{{ route('line-ups') }}">Add filters</a>
                </section>
            @endif
            @if ($edition !== null && $drift)
                <section class="card waits">
                    <h3>{{ Format::count($drift, 'difference') }} since edition {{ $edition->id }}</h3>
                    <p class="soft">Shoppers do not see them yet.</p>
                    <a class="button small justify-self-start" href="{{ route('publishing') }}">Look and publish</a>
                </section>
            @endif
        </div>
    </div>
@endsection
@section('panel-label', 'Latest changes')
@section('panel')
    <h2>Latest changes</h2>
    @forelse ($latest as $change)
        <a class="grid gap-0.5 no-underline border-b pb-2 border-(--line)"
            href="{{ route('history', ['entry' => $change->id]) }}"><span>{{ $change->summary }}</span><span
                class="small soft">{{ $change->who() }} · <x-when :at="$change->created_at" /></span></a>
    @empty
        <p class="soft">What people do is listed here, with its way back.</p>
    @endforelse
@endsection
