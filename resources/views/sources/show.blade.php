{{-- Where a feed's files come from, when, and what may happen with them by itself. --}}
@extends('layouts.desk')
@use('App\Support\Format')
@use('App\Sources\SourceKind')
@use('App\Models\RunState')
@use('Lokum\Feed\Bounds')
@use('Lokum\Feed\Gone')
@section('title', $feed->name . ' · Source · Lokum')
@section('crumbs')
    <a href="{{ route('feeds') }}">Feeds</a><span class="before">/</span>
    <h1>{{ $feed->name }}</h1>
@endsection
@section('work')
    @php($kind = SourceKind::tryFrom((string) old('kind', $source->kind->value)) ?? SourceKind::Hand)
    @php($own = (bool) old('own_bounds', $feed->bounds !== null))
    <form method="post" action="{{ route('sources.update', $feed) }}" id="source" class="pad grid gap-5 max-w-[760px]">@csrf
        @method('put')<input type="hidden" name="version" value="{{ $feed->version }}">
        <fieldset class="grid gap-3">
            <legend class="heading">Where its files come from</legend>
            <div class="choices">
                @foreach (SourceKind::cases() as $one)
                    <label><input type="radio" name="kind" value="{{ $one->value }}"
                        @checked($kind === $one)>{{ $one->label() }}</label>
                @endforeach
            </div>
            <x-error for="kind" />
            <div class="grid grid-cols-2 gap-3">
                <div class="field of-inbox of-address of-server"><label for="pattern">Names that are meant, there or in an
                    archive</label>
                    <input class="input"
                    id="pattern" name="pattern" maxlength="200" value="{{ old('pattern', $source->pattern) }}"
                        placeholder="tarnbeck-*.csv"><x-error for="pattern" /></div>
                <div class="field of-inbox of-address of-server"><label for="times">When it is looked for</label>
                    <input class="input" id="times" name="times"
                    maxlength="100" value="{{ old('times', $feed->times) }}" placeholder="only when somebody asks"
                        list="usual-times"><datalist id="usual-times">
                        @foreach (['every 20 minutes', 'every hour', '05:30', 'weekdays 05:30', '05:30, 17:00'] as $time)
                            <option value="{{ $time }}">
                        @endforeach
                    </datalist><x-error for="times" /></div>
                <div class="field col-span-2 of-address of-server"><label for="url">Address</label><input class="input" id="url" name="url"
                    maxlength="2000" value="{{ old('url', $source->url) }}" placeholder="https://…, or sftp://host/folder"
                    ><x-error for="url" /></div>
                <div class="field of-address of-server"><label for="user">Name there, where it asks for one</label>
                    <input class="input" id="user"
                    name="user" maxlength="200" value="{{ old('user', $source->user) }}" autocomplete="off"><x-error for="user" /></div>
                <div class="field of-address of-server"><label for="secret">Password, a token without a name, or a key</label>
                    <input class="input" id="secret"
                    name="secret" type="password" autocomplete="new-password"
                        placeholder="{{ $feed->secret === null ? 'none' : 'kept; type another to change it' }}"></div>
            </div>
            @if ($feed->secret !== null)
                <label class="check of-address of-server"><input type="checkbox" name="no_secret" value="1"
                    @checked(old('no_secret'))><span>Forget what is kept. Another machine than {{ parse_url($source->url,
                    PHP_URL_HOST) }} is never told it.</span></label>
            @endif
            @isset($feed->seen['host key'])
                <label class="check of-server"><input type="checkbox" name="new_key" value="1"
                    @checked(old('new_key'))><span>It has a new key instead of <span class="mono small">{{ $feed->seen['host key']
                    }}</span>, and its owner says so</span></label>
            @endisset
            <label class="check of-address of-server"><input type="checkbox" name="private" value="1"
                @checked(old('private', $source->private))><span>The address may lie in a private network</span></label>
            <x-error for="private" />
        </fieldset>
        <fieldset class="grid gap-3">
            <legend class="heading">What a delivery means</legend>
            <label class="check"><input type="checkbox" name="whole" value="1"
                @checked(old('whole', $feed->whole))><span>It has all products each time</span></label>
            <div class="field"><label for="gone">What it sends no longer, and no other feed sends</label>
                <select class="select" id="gone" name="gone">
                    @foreach (Gone::cases() as $one)
                        <option value="{{ $one->value }}" @selected(old('gone', $feed->gone->value) === $one->value)>
                            {{ $one->label() }}</option>
                    @endforeach
                </select>
                <p class="small soft">A single variant of a product that is still sent is sold out. What comes again comes back.</p>
            </div>
            @if ($choices !== [] && $others)
                @php($left = (array) old('leaves', $errors->any() ? [] : $feed->leaves ?? []))
                <details @if ($left !== []) open @endif>
                    <summary class="label">Left to another feed where it sends the same product:
                        {{ $left === [] ? 'nothing' : Format::count(count($left), 'column') }}</summary>
                    <p class="small soft py-2">A column that is not left is said by whichever feed was read last.</p>
                    <input type="hidden" name="leaves[]" value="">
                    <div class="grid grid-cols-3 gap-x-4">
                        @foreach ($choices as $key => $name)
                            <label class="check"><input type="checkbox" name="leaves[]" value="{{ $key }}"
                                @checked(in_array($key, $left, true))><span>{{ $name }}</span></label>
                        @endforeach
                    </div>
                </details>
            @endif
        </fieldset>
        <fieldset class="grid gap-3">
            <legend class="heading">What may happen by itself</legend>
            <label class="check"><input type="checkbox" name="by_itself" value="1"
                @checked(old('by_itself', $feed->by_itself))><span>What is within the bounds is read without anybody</span></label>
            <p>{{ $bounds->inWords() }}</p>
            <label class="check">
                <input type="checkbox" id="own-bounds" name="own_bounds" value="1" @checked($own)><span>Bounds of my own, instead
                of those proposed from what it has sent</span></label>
            @php($data = $bounds->toArray())
            @php($usual = $proposed->toArray())
            <table class="plain own-bounds">
                <thead>
                    <tr>
                        <th scope="col" class="text-left">Held where</th>
                        <th scope="col" class="num">bound</th>
                        <th scope="col" class="num">proposed</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach (['least_rows' => 'rows are fewer than', 'most_rows' => 'rows are more than',
                        ...array_map(fn($words) => "{$words}, more than", Bounds::figures())] as $figure => $words)
                        <tr>
                            <td><label for="bound-{{ $figure }}">{{ $words }}</label><x-error for="bounds.{{ $figure }}" /></td>
                            <td class="num"><input class="input small w-24" id="bound-{{ $figure }}" name="bounds[{{ $figure }}]"
                                inputmode="numeric" value="{{ old("bounds.{$figure}", $data[$figure] ?? '') }}"
                                    placeholder="any"></td>
                            <td class="num soft">{{ isset($usual[$figure]) ? Format::number($usual[$figure]) : 'any' }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </fieldset>
    </form>
    <section class="pad grid gap-2" id="runs">
        <h2>Its last runs</h2>
        @include('sources.list', ['of' => null])
    </section>
@endsection
@section('panel')
    @if (isset($progress['what']))
        <x-under-way :href="route('sources.show', $feed)" head="Looking at the source" :$progress also="#runs">You can leave this
            page; it goes on.</x-under-way>
    @endif
    <p class="label">{{ $source->kind->label() }}</p>
    <h2>{{ $feed->name }}</h2>
    <dl class="figures">
        <div>
            <dt>Comes from</dt>
            <dd>{{ $source->inWords() }}</dd>
        </div>
        <div>
            <dt>Looked for</dt>
            <dd>{{ $feed->times ?? 'when somebody asks' }}</dd>
        </div>
        @if ($next)
            <div>
                <dt>Next</dt>
                <dd><x-when :at="Illuminate\Support\Carbon::instance($next)" /></dd>
            </div>
        @endif
        <div>
            <dt>Last looked</dt>
            <dd>
                @if ($feed->looked_at)
                    <x-when :at="$feed->looked_at" />
                @else
                    never
                @endif
            </dd>
        </div>
    </dl>
    @if ($feed->failures >= App\Sources\RunFeed::MOST_FAILURES)
        <p class="note harm">It failed {{ $feed->failures }} times in a row and is left alone. Look at it now, or save it anew, to
            begin again.</p>
    @elseif ($feed->failures)
        <p class="note">It failed {{ Format::count($feed->failures, 'time') }} in a row, and is tried again.</p>
    @endif
    @if (isset($progress['stopped']))
        <p class="note harm" role="alert">{{ $progress['stopped'] }}</p>
    @elseif (!$progress && $runs->isNotEmpty() && $runs->first()->said)
        <p role="status"><span class="tag {{ $runs->first()->state->tone() }}">{{ $runs->first()->state->label() }}</span>
            {{ $runs->first()->said }}</p>
    @endif
    @can('edit')
        @if ($source->kind !== SourceKind::Hand && !isset($progress['what']))
            <form method="post" action="{{ route('sources.run', $feed) }}">@csrf<button
                class="button" data-key="r">Look now <kbd>R</kbd></button></form>
        @endif
        <div class="deed"><button class="button main" form="source" data-key="s">Save <kbd>S</kbd></button></div>
    @endcan
@endsection
