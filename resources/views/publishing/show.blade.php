@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Publishing · Lokum')
@section('crumbs')
    <h1>Publishing</h1>
@endsection
@section('work')
    <div class="pad grid gap-4">
        @if ($problem !== null)
            <p class="note harm" role="alert">{{ $problem }} {{ $edition === null ? 'Until then the shop is closed.'
                : "Until then shoppers see edition {$edition->id}." }}</p>
        @endif
        <h2>{{ $edition === null ? 'Everything would be new' : ($lines->isEmpty() ? 'Shoppers see the catalog as it is'
            : 'What shoppers would find different') }} @if ($lines->isNotEmpty())
                <x-csv />
            @endif
        </h2>
        @foreach ($lines as $about => $group)
            <section>
                <h3 class="pb-1">{{ ucfirst($about) }} <span class="soft">{{ count($group) }}</span></h3>
                <ul class="columns-2 gap-8">
                    @foreach ($group->take(120) as $line)
                        <li class="break-inside-avoid"><span class="mono strong" aria-hidden="true">{{ $line['sign'] }}</span> <span
                                class="sr-only">{{ App\Publishing\DriftInWords::SIGNS[$line['sign']] }}: </span>{{ $line['text'] }}</li>
                    @endforeach
                </ul>
                @if (count($group) > 120)
                    <p class="soft">… and {{ count($group) - 120 }} more</p>
                @endif
            </section>
        @endforeach
        @if ($drift->pages !== [] && $edition !== null)
            <section>
                <h3 class="pb-1">Page by page</h3>
                <ul>
                    @foreach (array_slice($drift->pages, 0, 40, true) as $slug => $page)
                        <li>{{ $slug }}: @foreach ($page['appearing'] as $title)
                                <span class="tag settled">+ {{ $title }}</span>
                                @endforeach @foreach ($page['disappearing'] as $title)
                                    <span class="tag harm">− {{ $title }}</span>
                                @endforeach
                        </li>
                    @endforeach
                </ul>
            </section>
        @endif
        <h2 class="pt-4">Editions @can('manage')
                <a class="button small ml-3" href="{{ route('outside') }}">For real shops</a>
            @endcan
        </h2>
        @if ($editions->isEmpty())
            <p class="soft">The first one opens the storefront.</p>
        @else
            <table class="grid-table">
                <thead>
                    <tr>
                        <th scope="col">Edition</th>
                        <th scope="col">When</th>
                        <th scope="col">Who</th>
                        <th scope="col" class="num">Products</th>
                        <th scope="col" class="num">Variants</th>
                        <th scope="col" class="num">Terms</th>
                        <th scope="col" class="num">Took</th>
                        <th scope="col"><span class="sr-only">Serve again</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($editions as $i => $one)
                        <tr>
                            <td class="strong">{{ $one->id }} @if ($i === 0)
                                    <span class="tag settled">served</span>
                                @endif
                            </td>
                            <td><x-when :at="$one->created_at" /></td>
                            <td>{{ $one->change?->who() }}</td>
                            <td class="num">{{ Format::number($one->products) }}</td>
                            <td class="num">{{ Format::number($one->variants) }}</td>
                            <td class="num">{{ Format::number($one->terms) }}</td>
                            <td class="num">{{ $one->seconds }} s</td>
                            <td class="num">
                                @if ($one->id !== $edition?->id && $one->isKept())
                                    <a class="button small" href="{{ route('publishing', ['again' => $one->id]) }}">Compare, serve
                                        again<span class="sr-only"> edition {{ $one->id }}</span></a>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    </div>
@endsection
@section('panel')
    @php($running = isset($progress['what']))
    @if ($running)
        <x-under-way :href="route('publishing')" head="Making an edition" :$progress :counts="false">Shoppers go on seeing
            {{ $edition === null ? 'nothing' : "edition {$edition->id}" }} until it is complete.</x-under-way>
    @elseif ($again)
        <p class="label">Edition {{ $again->id }}, <x-when :at="$again->created_at" /></p>
        <h2>Serve it again?</h2>
        <dl class="figures">
            <div>
                <dt>Differences from edition {{ $edition?->id ?? 'none' }}</dt>
                <dd>{{ Format::number($differences->differences()) }}</dd>
            </div>
            <div>
                <dt>Products</dt>
                <dd>{{ Format::difference($differences->products) }}</dd>
            </div>
            <div>
                <dt>Terms that come, and go</dt>
                <dd>{{ count($differences->new) }}, {{ count($differences->gone) }}</dd>
            </div>
            <div>
                <dt>Pages with other filters</dt>
                <dd>{{ count($differences->pages) }}</dd>
            </div>
        </dl>
        <ul class="grid gap-1 small">
            @foreach (array_slice(App\Publishing\DriftInWords::lines($differences), 0, 20) as $line)
                <li><span class="mono strong" aria-hidden="true">{{ $line['sign'] }}</span> {{ $line['text'] }}</li>
            @endforeach
        </ul>
        <p class="soft">Shoppers get it at one moment, under the next number. The catalog stays as it is: what it would publish
            comes with the next edition.</p>
        @can('publish')
            <form method="post" action="{{ route('publishing.serve', $again) }}" class="deed">@csrf<div class="field"><label
                for="why">Why, for History</label><input class="input" id="why" name="why" maxlength="200"></div><button
                    class="button main"
                data-key="s">Serve edition {{ $again->id }} again <kbd>S</kbd></button>
                <a class="button" href="{{ route('publishing') }}">Leave it</a></form>
        @endcan
    @else
        <h2>{{ $edition === null ? 'Publish edition 1' : 'Publish edition ' . ($edition->id + 1) }}</h2>
        @if (isset($progress['stopped']))
            <p class="note harm" role="alert">{{ $progress['stopped'] }}</p>
        @endif
        <dl class="figures">
            <div>
                <dt>Differences</dt>
                <dd>{{ Format::number($drift->differences()) }}</dd>
            </div>
            <div>
                <dt>Terms new</dt>
                <dd>{{ count($drift->new) }}</dd>
            </div>
            <div>
                <dt>Terms gone</dt>
                <dd>{{ count($drift->gone) }}</dd>
            </div>
            <div>
                <dt>Gathered, merged or regrouped</dt>
                <dd>{{ count($drift->ledOn) + count($drift->regrouped) }}</dd>
            </div>
            <div>
                <dt>Renamed or redressed</dt>
                <dd>{{ count($drift->renamed) + count($drift->redressed) }}</dd>
            </div>
            <div>
                <dt>Counts that differ</dt>
                <dd>{{ count($drift->recounted) }}</dd>
            </div>
            <div>
                <dt>Pages with other filters</dt>
                <dd>{{ count($drift->pages) }}</dd>
            </div>
            <div>
                <dt>Products</dt>
                <dd>{{ Format::difference($drift->products) }}</dd>
            </div>
        </dl>
        @if ($said > 0)
            <p class="soft">Prices and stock of {{ Format::count($said, 'variant') }} were said since edition {{ $edition?->id }}:
                shoppers see them, and the next edition takes them in.</p>
        @endif
        <p class="soft">Shoppers get the whole edition at one moment. Editions before it are kept in the list; what they showed
            does not come back by itself.</p>
        @if ($edition !== null)
            <p><a href="{{ route('shop') }}">Open the storefront</a></p>
        @endif
        @include('publishing.planned')
        @can('publish')
            <form class="deed" method="post" action="{{ route('publishing.store') }}">@csrf<button class="button main"
                data-key="s">Publish edition {{ ($edition?->id ?? 0) + 1 }}
                    <kbd>S</kbd></button></form>
        @endcan
    @endif
@endsection
