@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Look-alikes · ' . $definition->label . ' · Lokum')
@section('crumbs')
    <a href="{{ route('values.show', $definition) }}">{{ $definition->label }}</a><span class="before">/</span>
    <h1>Look-alikes</h1>
@endsection
@section('lens')
    <span class="lens"><a href="{{ route('values.review', $definition) }}" @if ($batch === '') aria-current="true" @endif>One by one
        <b>{{ $waiting }}</b></a><a href="{{ route('values.review', [$definition, 'batch' => 1]) }}" @if ($batch === '1')
            aria-current="true" @endif>Certain ones
    <b>{{ count($certain) }}</b></a><a href="{{ route('values.review', [$definition, 'batch' => 'likely']) }}"
            @if ($batch === 'likely') aria-current="true" @endif>Likely ones <b>{{ count($likely) }}</b></a></span>
@endsection
@section('work')
    @php($listed = $batch === 'likely' ? $likely : $certain)
    @if ($batch !== '')
        @if ($listed === [])
            <div class="empty">
                <h2>{{ $batch === 'likely' ? 'No likely ones are left' : 'No certain ones are left' }}</h2>
                <a class="button" href="{{ route('values.review', $definition) }}">Look at the others one by one</a>
            </div>
        @else
            <form method="post" action="{{ route('values.review.batch', $definition) }}" id="batch">@csrf
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col"><span class="sr-only">Tick</span></th>
                            <th scope="col">Stays</th>
                            <th scope="col">Moves there</th>
                            <th scope="col">Because</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($listed as $group)
                            <tr data-row>
                                <td><input class="pick" type="checkbox" name="groups[]" value="{{ $group->name() }}"
                                    @checked($batch === '1') data-stop
                                        aria-label="Merge into {{ $labels[$group->values[0]] }}"></td>
                                <td class="strong">{{ $labels[$group->values[0]] }}</td>
                                <td>
                                    @foreach (array_slice($group->values, 1) as $id)
                                        <span class="mono">{{ Format::spelling($labels[$id]) }}</span>{{ $loop->last ? '' : ', ' }}
                                    @endforeach
                                </td>
                                <td class="soft">{{ mb_strimwidth(implode('; ', $group->evidence), 0, 90, '…') }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </form>
        @endif
    @elseif ($proposal === null)
        <div class="empty">
            <h2>{{ $proposals === [] ? 'No look-alikes' : 'Nothing is left but what you put off' }}</h2>
            <p class="soft">
                {{ $proposals === [] ? 'No two values of ' . $definition->label
                    . ' look like the same thing. New ones come with the next delivery.' : Format::count(count($later), 'group')
                    . ' for later.' }}
            </p>
            @if ($later !== [])
            <a class="button" href="{{ route('values.review', $definition) }}">Look at them now</a>@else<a class="button"
                href="{{ route('values.show', $definition) }}">All
                    values</a>
            @endif
        </div>
    @else
        <div class="pad grid gap-4 max-w-[760px]">
            <p class="soft">{{ Format::count($waiting, 'group') }} to decide on · {{ implode('; ',
                array_slice($proposal->evidence, 0, 3)) }}</p>
            <form method="get" action="{{ route('values.review', $definition) }}" id="group" class="grid gap-2"
                hx-sync="this:replace" hx-get="{{ route('values.review', $definition) }}"
                hx-trigger="change" hx-select="#panel" hx-target="#panel" hx-swap="outerHTML"><input type="hidden" name="later"
                    value="{{ implode(',', $later) }}">
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col">Same</th>
                            <th scope="col">Stays</th>
                            <th scope="col">Value</th>
                            <th scope="col">Products</th>
                            <th scope="col">For example</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($proposal->values as $id)
                            @php($value = $values[$id])<tr data-row>
                                <td><input class="pick" type="checkbox" name="pick[]" value="{{ $id }}"
                                    @checked(in_array($id, $ticked, true)) data-stop
                                        aria-label="{{ $value->label }} is the same"></td>
                                <td><input type="radio" name="keep" value="{{ $id }}" @checked($id === $keep)
                                    aria-label="{{ $value->label }} stays"></td>
                                <td><x-cube :label="$value->label" :look="$value->look()" class="strong" /></td>
                                <td class="num">{{ Format::number($known[$id]->products ?? 0) }}</td>
                                <td class="soft small">{{ mb_strimwidth(implode(', ', $samples[$id]), 0, 90, '…') }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </form>
            @if ($next !== [])
                <section class="grid gap-1">
                    <h2 class="label">Then</h2>
                    <ol class="grid gap-1">
                        @foreach ($next as $one)
                            <li class="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-3 small"><span>{{ implode(' · ',
                                array_map(fn (int $id): string => $labels[$id] ?? '', $one->values)) }}</span>
                                <span class="soft">{{ implode('; ', array_slice($one->evidence, 0, 2)) }}</span>
                            </li>
                        @endforeach
                    </ol>
                    @if ($waiting > 1 + count($next))
                        <p class="small soft">and {{ Format::count($waiting - 1 - count($next), 'group') }} more</p>
                    @endif
                </section>
            @endif
        </div>
    @endif
@endsection
@section('panel')
    @if ($batch !== '')
        <h2>{{ $batch === 'likely' ? 'Take those that hold' : 'Take the certain ones' }}</h2>
        <p class="soft">
            @if ($batch === 'likely')
                Groups just below certain: known spellings and abbreviations, codes set apart differently, a second name in
                parentheses. Tick those that hold, and merge them in one step.
            @else
                Groups whose members have the same letters, the same words or the same measure. Look over the list, take a tick away
                where it is wrong, and merge all of them in one step.
            @endif
        </p>
        @can('edit')
            @if ($listed !== [])
                <div class="deed"><button class="button main" form="batch" data-key="m">Merge the ticked groups <kbd>M</kbd></button>
                    <p class="small soft text-center">One step in History. Can be taken back.</p>
                </div>
            @endif
        @endcan
    @elseif ($proposal !== null)
        <p class="label">{{ Format::count(count($ticked), 'value') }} ticked</p>
        <h2>The same thing?</h2>
        @php($next = implode(',', [...$later, $proposal->name()]))
        @if ($merge)
            @include('values.merge-figures')
        @else<p class="note">Tick at least two values that are the same.</p>
        @endif
        @can('edit')
            <form method="post" action="{{ route('values.review.store', $definition) }}" class="deed">@csrf<input type="hidden" name="later"
                    value="{{ implode(',', $later) }}"><input type="hidden" name="keep" value="{{ $keep }}">
                @foreach ($ticked as $id)
                    <input type="hidden" name="pick[]" value="{{ $id }}">
                @endforeach
                <div class="field"><label for="label">Called</label><input class="input" id="label" name="label" maxlength="500"
                    value="{{ $called }}"></div>
                <button class="button main" name="do" value="merge" data-key="m" @disabled($merge === null)>Merge <kbd>M</kbd></button>
                <button class="button" name="do" value="gather" data-key="g" @disabled($ticked === [])
                    title="They stay what they are; shoppers tick them as one, under this name">Gather under this name <kbd>G</kbd></button>
                <button class="button" name="do" value="apart" data-key="a" @disabled(count($ticked) < 2)>Keep apart <kbd>A</kbd></button>
                <a class="button" href="{{ route('values.review', [$definition, 'later' => $next]) }}" data-key="l">Later <kbd>L</kbd></a>
            </form>
        @endcan
    @else<h2>All looked over</h2>
        <p class="soft">What was merged lands by itself in later deliveries; what was kept apart is not proposed again.</p>
    @endif
@endsection
