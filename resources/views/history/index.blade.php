@extends('layouts.desk')
@section('title', 'History · Lokum')
@section('crumbs')
    <h1>History</h1>
@endsection
@section('find')
    <form role="search"><input class="input" type="search" name="q" value="{{ request('q') }}" placeholder="Find an entry  F"
        aria-label="Find an entry" data-find>
    </form>
@endsection
@section('work')
    <div class="bar"><span class="lens">
            @foreach (['' => 'All', ...$rooms->mapWithKeys(fn($room) => [$room => $room])] as $room => $name)
                <a href="{{ route('history', array_filter(['room' => $room])) }}" @if ((string) request('room') === $room)
                    aria-current="true" @endif>{{ $name }}</a>
            @endforeach
        </span><x-csv class="ml-auto" />
    </div>
    @forelse ($changes as $change)
        <a class="history-line {{ $open?->id === $change->id ? 'open' : '' }} {{ $change->taken_back_by ? 'taken' : '' }}"
            href="{{ route('history', [...request()->only('q', 'room', 'cursor'), 'entry' => $change->id]) }}" data-row data-stop>
            <span class="mono soft">{{ $change->id }}</span>
            <span><span class="what">{{ $change->summary }}</span>
            <br><span class="small soft">{{ $change->who() }} · {{ $change->room->value }} · <x-when
                        :at="$change->created_at" /></span></span>
            <span>
                @if ($change->taken_back_by)
                    <span class="tag">taken back</span>
                @elseif ($change->takes_back)
                    <span class="tag">way back</span>
                @elseif (!$change->has_way_back)
                <span class="tag">stays</span>@else<span class="tag settled">can be taken back</span>
                @endif
            </span>
        </a>
    @empty
        <div class="empty">
            <h2>Nothing happened yet</h2>
            <p class="soft">Every change is entered here, with who made it and its way back.</p>
        </div>
    @endforelse
    @if ($changes->hasPages())
        <div class="bar foot pager">
            @if ($changes->previousPageUrl())
                <a class="button small" href="{{ $changes->previousPageUrl() }}">Newer</a>
                @endif @if ($changes->nextPageUrl())
                    <a class="button small" href="{{ $changes->nextPageUrl() }}">Older</a>
                @endif
        </div>
    @endif
@endsection
@section('panel')
    @if ($way === null)
        <h2>Choose an entry</h2>
        <p class="soft">It shows here what taking it back would do, before anything is done.</p>
    @else
        <p class="label">Entry {{ $open->id }} · {{ $open->who() }}</p>
        <h2>{{ $way->isOpen() ? 'Take this back?' : 'What happened' }}</h2>
        <p>{{ $open->summary }}</p>
        @if ($open->has_way_back)
            <dl class="figures">
                @foreach ($way->consequences() as $what => $figure)
                    <div>
                        <dt>{{ $what }}</dt>
                        <dd>{{ $figure }}</dd>
                    </div>
                @endforeach
            </dl>
        @endif
        @if (!$way->isOpen())
            @foreach ($way->obstacles as $obstacle)
                <p class="note">{{ $obstacle }}</p>
            @endforeach
            @if (!$open->has_way_back && $open->room === App\Models\Room::Feeds)
                <p class="soft">A reading writes too much to be set back row by row. Read the delivery before it again: its cells
                    come back as they were.</p>
            @endif
            @if ($open->room === App\Models\Room::Publishing)
                <p class="soft">Editions never change. To show shoppers an earlier state, take the changes back and publish again.</p>
            @endif
        @endif
        @can('edit')
            @if ($since === null)
                <a class="button small self-start" href="{{ request()->fullUrlWithQuery(['since' => 1]) }}">Everything since then …</a>
            @elseif ($since->isEmpty())
                <p class="soft">Nothing that came since can be taken back.</p>
            @else
                <h3>Back to before entry {{ $open->id }}?</h3>
                <p>{{ count($since) > App\History\TakeBackTo::MOST ? 'More than ' . App\History\TakeBackTo::MOST : count($since) }}
                    {{ count($since) === 1 ? 'entry' : 'entries' }} would be taken back, the newest first, all of them or none. Editions and
                    accounts stay.</p>
                <ol class="grid gap-0.5 max-h-[240px] overflow-auto">
                    @foreach ($since->take(60) as $one)
                        <li class="small"><span class="mono soft">{{ $one->id }}</span> {{ $one->summary }}</li>
                    @endforeach
                </ol>
                <a class="button small self-start" href="{{ request()->fullUrlWithQuery(['since' => null]) }}">Only this entry</a>
            @endif
            @if ($since?->isNotEmpty())
                <form class="deed" method="post" data-busy="Taking back …"
                    action="{{ route('history.take-back-to', $open) }}">@csrf<input type="hidden" name="counted"
                        value="{{ count($since) }}"><button class="button main">Take all of it back</button></form>
            @elseif ($way->isOpen())
                <form class="deed" method="post" data-busy="Taking back …" action="{{ route('history.take-back',
                    $open) }}">@csrf<button class="button main" data-key="u">Take back <kbd>U</kbd></button>
                    <p class="small soft text-center">This becomes an entry of its own, and can be taken back in turn.</p>
                </form>
            @endif
        @endcan
    @endif
@endsection
