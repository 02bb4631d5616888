@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Newcomers · Lokum')
@section('crumbs')
    <a href="{{ route('values') }}">Values</a><span class="before">/</span>
    @if ($definition)
        <a href="{{ route('values.show', $definition) }}">{{ $definition->label }}</a><span class="before">/</span>
    @endif
    <h1>Newcomers</h1>
@endsection
@section('work')
    @if ($waiting !== [])
        <div class="bar">
            @foreach ($waiting as $one)
                <a class="chip" href="{{ route('newcomers', $one['definition']) }}"
                    @if ($definition?->id === $one['definition']->id) aria-current="page" @endif>{{ $one['definition']->label }}
                    <b>{{ Format::number($one['new']) }}</b></a>
            @endforeach
            @if ($definition)
                <x-csv class="ml-auto" />
            @endif
            @if ($definition && count($feeds) > 1)
                <form method="get" class="flex items-center gap-2" x-data="sendsItself"><label class="label"
                    for="feed">From</label><select class="select small w-auto"
                        id="feed" name="feed" x-on:change="send" data-acts>
                        <option value="">all feeds</option>
                        @foreach ($feeds as $one)
                            <option @selected($one === $feed)>{{ $one }}</option>
                        @endforeach
                    </select>
                    <noscript><button class="button small">Show</button></noscript>
                </form>
            @endif
        </div>
    @endif
    @if ($total === 0)
        <div class="empty">
            <h2>No newcomers</h2>
            <p class="soft">{{ $definition ? "Nobody has to decide on anything in {$definition->label}."
                : 'Every spelling of the newest deliveries has its place.' }} @if ($lastRead)
                    The last file was read <x-when :at="$lastRead->finished_at" />.
                @endif
            </p>
            @if ($waiting !== [])
            <a class="button" href="{{ route('newcomers') }}">{{ $waiting[0]['definition']->label }} has some</a>@else<a
                class="button" href="{{ route('feeds') }}">Feeds</a>
            @endif
        </div>
    @else
        <form method="post" action="{{ route('newcomers.store', $definition) }}" id="newcomers" x-data="selection"
            data-only-counts>@csrf<input type="hidden" name="feed"
                value="{{ $feed }}">
            @if ($open !== [])
                <x-find-in in="#newcomer-rows" :count="count($open)" what="a newcomer" class="mx-5 my-3 w-64" data-find />
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col"><input type="checkbox" aria-label="Select all" x-on:change="all"></th>
                            <th scope="col">Came in as</th>
                            <th scope="col" class="num">Products</th>
                            <th scope="col">It seems to be</th>
                            <th scope="col">One key</th>
                        </tr>
                    </thead>
                    <tbody id="newcomer-rows">
                        @foreach ($open as $i => $one)
                            <tr data-row>
                                <td><input class="pick" type="checkbox" name="pick[]" value="{{ $one->spelling }}" data-stop
                                    @if ($i === 0) autofocus @endif
                                        aria-label="Select {{ $one->text }}"><input type="hidden"
                                            name="same[{{ $one->spelling }}]" value="{{ $one->same?->id ?? 0 }}"></td>
                                <td><a class="name" href="{{ route('values.show', [$definition,
                                    'value' => $one->value->id]) }}"><x-cube :label="$one->value->label" :look="$one->value->look()" /></a>
                                    @if ($one->text !== $one->value->label)
                                        <span class="mono soft">{{ Format::spelling(mb_strimwidth($one->text, 0, 60, '…')) }}</span>
                                        @endif @if ($one->value->held)
                                            <span class="tag waiting">held</span>
                                        @endif
                                        @if ($one->also !== [])
                                            <span class="block small soft">also
                                            <span class="mono">{{ Format::spelling(mb_strimwidth(implode(' / ', $one->also), 0,
                                                90, '…')) }}</span></span>
                                        @endif
                                        <span class="block small soft whitespace-nowrap">{{ implode(', ', array_filter([$one->feed,
                                            substr((string) $one->when, 0, 10)])) }}</span>
                                </td>
                                <td class="num">{{ Format::number($one->products) }}</td>
                                <td>
                                    @if ($one->same)
                                        <x-cube boxed :label="$one->same->label" :look="$one->same->look()" />
                                        @if ($one->certain)
                                            <span class="tag settled">certain</span>
                                        @endif
                                        <span class="block small soft">{{ mb_strimwidth($one->evidence, 0, 90, '…') }}</span>
                                    @elseif ($one->under)
                                    <span class="soft">under</span> <span class="tray">{{ $one->under }}</span>@else<span
                                        class="soft">nothing that is here</span>
                                    @endif
                                </td>
                                <td>
                                    @can('edit')
                                        <div class="flex flex-wrap gap-1">
                                            @if ($one->same)
                                                <button class="button small" name="do" value="merge:{{ $one->spelling }}" data-row-key="m"
                                                    title="The same as {{ $one->same->label }} (M)">Same <kbd>M</kbd></button>
                                                @endif @if ($one->under)
                                                    <button class="button small" name="do" value="gather:{{ $one->spelling }}"
                                                        data-row-key="g"
                                                        title="Under {{ $one->under }} (G)">Gather <kbd>G</kbd></button>
                                                @endif
                                                <button class="button small" name="do" value="keep:{{ $one->spelling }}"
                                                    data-row-key="n" title="A value of its own (N)">
                                                    New <kbd>N</kbd></button>
                                                <label class="sr-only" for="is-{{ $one->spelling }}" data-row-key="i">{{ $one->text }} is
                                                    the value</label><x-value-field class="small w-36" form="said"
                                                    :definition="$definition" id="is-{{ $one->spelling }}"
                                                    name="is[{{ $one->spelling }}]" value="{{ old('is.' . $one->spelling) }}"
                                                    placeholder="is another  I" title="Type the value that it is, Enter (I)" />
                                        </div>
                                        <x-error for="is.{{ $one->spelling }}" />
                                    @endcan
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
            @if ($resolved !== [])
                <h2 class="pad pb-1">Found their place by themselves <span class="soft">{{ Format::number($resolvedCount) }}</span></h2>
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col"><span class="sr-only">Select</span></th>
                            <th scope="col">Came in as</th>
                            <th scope="col" class="num">Products</th>
                            <th scope="col">Landed on</th>
                            <th scope="col"><span class="sr-only">Correct</span></th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($resolved as $one)
                            <tr data-row>
                                <td><input class="pick" type="checkbox" name="pick[]" value="{{ $one->spelling }}" data-stop
                                    aria-label="Select {{ $one->text }}"></td>
                                <td class="mono">{{ Format::spelling(mb_strimwidth($one->text, 0, 60, '…')) }}<span
                                    class="block small soft">{{ $one->feed }}</span></td>
                                <td class="num">{{ Format::number($one->products) }}</td>
                                <td><x-cube :label="$one->value->label" :look="$one->value->look()" /></td>
                                <td><a class="button small bare" href="{{ route('values.show', [$definition,
                                    'spelling' => $one->spelling]) }}">wrong?</a></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
            <div class="bar foot"><span role="status"><b x-text="picked">0</b> selected</span>
                @can('edit')
                    <button class="button small" name="do" value="proposed" data-key="t">Take the proposals of the selected
                    <kbd>T</kbd></button><button class="button small"
                        name="do" value="keep">They are what they are</button>
                @endcan
                <span class="ml-auto soft">
                    <kbd>↑ ↓</kbd> move <kbd>M</kbd> same <kbd>G</kbd> gather <kbd>N</kbd> new <kbd>I</kbd> is another</span>
            </div>
        </form>
        {{-- Enter in any of the rows' fields sends what was typed in all of them. --}}
        <form method="post" action="{{ route('newcomers.store', $definition) }}" id="said">@csrf<input type="hidden" name="feed"
            value="{{ $feed }}"><button hidden name="do" value="said">They are what was typed</button></form>
    @endif
@endsection
@section('panel')
    <h2>What came since</h2>
    <p class="soft">Spellings of newer deliveries that nobody has decided on. What you decide is kept: the next time they land by
        themselves.</p>
    @if ($definition && $total > 0)
        <dl class="figures">
            <div>
                <dt>Need a decision</dt>
                <dd>{{ Format::number($total - $resolvedCount) }}</dd>
            </div>
            <div>
                <dt>With a certain proposal</dt>
                <dd>{{ Format::number($certain) }}</dd>
            </div>
            <div>
                <dt>Found their place by themselves</dt>
                <dd>{{ Format::number($resolvedCount) }}</dd>
            </div>
            <div>
                <dt>Newcomers of {{ $definition->label }}</dt>
                <dd>{{ mb_strtolower($definition->policy->label()) }}</dd>
            </div>
        </dl>
        @can('edit')
            <div class="deed">
                @if ($certain)
                    <button class="button main" form="newcomers" name="do" value="certain"
                        data-key="c">{{ $certain === 1 ? 'Take the certain one' : "Take all {$certain} certain ones" }}
                        <kbd>C</kbd></button>
                    @endif @if ($resolvedCount)
                        <button class="button" form="newcomers" name="do" value="resolved"
                            data-key="w">All {{ Format::number($resolvedCount) }} landed right
                            <kbd>W</kbd></button>
                    @endif
                    <p class="small soft text-center">One step in History each. Can be taken back.</p>
            </div>
        @endcan
    @endif
@endsection
