@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Feeds · Lokum')
@section('crumbs')
    <h1>Feeds</h1>
@endsection
@section('work')
    <div class="pad grid gap-5">
        @if ($inbox !== [])
            <section class="grid gap-2">
                <h2>In the inbox</h2>
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col">File</th>
                            <th scope="col">Feed</th>
                            <th scope="col"><span class="sr-only">Open</span></th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($inbox as $name)
                            <tr data-row>
                                <td class="mono">{{ $name }}</td>
                                <td>{{ App\Feeds\FeedName::from($name) }}</td>
                                <td class="num">
                                    <form method="post" action="{{ route('feeds.store') }}">@csrf<input type="hidden" name="inbox"
                                        value="{{ $name }}"><button
                                            class="button small" data-stop @cannot('edit') disabled @endcannot>Look at it<span
                                                class="sr-only"> ({{ $name }})</span></button>
                                    </form>
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </section>
        @endif
        @if ($feeds->isNotEmpty())
            <section class="grid gap-2">
                <div class="flex gap-3 items-baseline">
                    <h2>Feeds</h2><a class="small" href="{{ route('runs') }}">all runs</a>
                </div>
                <x-find-in in="#feeds" :count="count($feeds)" what="a feed" class="mx-5 my-3 w-64" data-find />
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col">Feed</th>
                            <th scope="col">Its files come from</th>
                            <th scope="col">Looked for</th>
                            <th scope="col">By itself</th>
                            <th scope="col" class="num">Readings</th>
                        </tr>
                    </thead>
                    <tbody id="feeds">
                        @foreach ($feeds as $feed)
                            <tr data-row>
                                <td><a class="name" data-stop href="{{ route('sources.show', $feed) }}">{{ $feed->name }}</a></td>
                                <td class="cut max-w-[260px] soft">{{ App\Sources\Source::of($feed)->inWords() }}</td>
                                <td>{{ $feed->times ?? 'when asked' }}</td>
                                <td>
                                    @if ($feed->failures)
                                        <span class="tag harm">failed {{ Format::count($feed->failures, 'time') }}</span>
                                    @elseif ($feed->by_itself)
                                        <span class="tag settled">read within bounds</span>
                                    @else
                                        <span class="tag">asks somebody</span>
                                    @endif
                                </td>
                                <td class="num">{{ Format::number($feed->readings_count) }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </section>
        @endif
        <section class="grid gap-2" id="readings">
            <h2>Readings</h2>
            @if ($readings->isEmpty())
                <div class="empty">
                    <h2>No file was read yet</h2>
                    <p class="soft">Choose a supplier's file on the right. Nothing is written before you have seen what it would do.</p>
                </div>
            @else
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col">Feed</th>
                            <th scope="col">File</th>
                            <th scope="col">State</th>
                            <th scope="col" class="num">Rows</th>
                            <th scope="col" class="num">New</th>
                            <th scope="col" class="num">Changed</th>
                            <th scope="col" class="num">Refused</th>
                            <th scope="col">When</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($readings as $reading)
                            @php($figures = $reading->figures)
                            <tr data-row>
                                <td><a class="name" data-stop href="{{ route('readings.show',
                                    $reading) }}">{{ $reading->feed->name }}</a></td>
                                <td class="mono cut">{{ $reading->file_name }}</td>
                                <td>
                                    @if (isset($takenBack[$reading->id]))
                                        <span class="tag">taken back</span>
                                    @else
                                        <span class="tag {{ ['done' => 'settled', 'failed' => 'harm', 'aside' => ''][$reading->state->value]
                                            ?? 'waiting' }}">{{ $reading->state->label() }}</span>
                                    @endif
                                </td>
                                @if ($figures)
                                    <td class="num">{{ Format::number($figures['rows']) }}</td>
                                    <td class="num">{{ Format::number($figures['products']['added'] + $figures['variants']['added']) }}</td>
                                    <td class="num">{{ Format::number($figures['products']['changed']
                                        + $figures['variants']['changed']) }}</td>
                                <td class="num">{{ Format::number($figures['refused_rows']) }}</td>@else<td class="num"></td>
                                    <td></td>
                                    <td></td>
                                    <td></td>
                                @endif
                                <td class="soft"><x-when :at="$reading->created_at" /></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                <div class="pager">
                    @if ($readings->previousPageUrl())
                        <a class="button small" href="{{ $readings->previousPageUrl() }}">Newer</a>
                        @endif @if ($readings->nextPageUrl())
                            <a class="button small" href="{{ $readings->nextPageUrl() }}">Older</a>
                        @endif
                </div>
            @endif
        </section>
    </div>
@endsection
@section('panel-label', 'Choose a file')
@section('panel')
    <h2>Read suppliers' files</h2>
    @can('edit')
        <form method="post" action="{{ route('feeds.store') }}" enctype="multipart/form-data" class="grid gap-3">@csrf
            <div class="field"><label for="file">Files: CSV, XLSX, ODS, JSON, XML, .gz, .zip</label>
                <input class="input" id="file" type="file" name="files[]"
                accept="{{ App\Feeds\FeedFile::accepted() }}" multiple required><x-error
                    for="files" /></div>
            <div class="field"><label for="feed">Feed</label><input class="input" id="feed" name="feed" list="feed-names"
                placeholder="taken from the file's name"
                    maxlength="100"><datalist id="feed-names">
                    @foreach ($feeds as $feed)
                        <option value="{{ $feed->name }}">
                    @endforeach
                </datalist>
            </div>
            <button class="button main">Look at it</button>
        </form>
        <p class="soft small">Comma, semicolon, tab or bar; UTF-8, UTF-16 or Windows-1252: Lokum finds out. Files that a supplier
            puts into <span class="mono">inbox</span> in the data
            directory are listed here by themselves.</p>
    @endcan
@endsection
