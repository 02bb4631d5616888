{{-- One filter of the page, opened. --}}
@use('App\Support\Format')
@use('Lokum\Lineup\Control')
@use('Lokum\Lineup\EmptyTerms')
@use('Lokum\Lineup\TermChoice')
@use('Lokum\Vocabulary\TermOrder')
@php($token = App\Lineups\ChangeFilter::token($open->given))
@php($attribute = $settings->kind->isAttribute())
@php($own = isset($layer?->added[$open->key]))
<section class="card filter-card" id="filter-card">
    <div class="flex items-baseline gap-3">
        <h3>{{ $settings->title }}</h3><span class="small soft">{{ $worth[$open->key]->inWords() }}</span><a class="small ml-auto"
            href="{{ route('line-ups', ['page' => $page, 'at' => request('at')]) }}">close</a>
    </div>
    @if (!$own)
        <p class="small soft">It comes from {{ $named($open->from) }}; what you change is kept for
            {{ App\Draft\Placement::of($at, $tree)->name($tree) }}.
            @php($layerId = collect($all->layers())->search(fn($one) => $one->id === $open->from))
            @php($giver = App\Lineups\LineupLedger::pageOf($layerId))
            <a href="{{ route('line-ups', ['page' => $giver, 'filter' => $open->key]) }}">Change it there</a></p>
        @php($mine = $layer?->changed[$open->key] ?? [])@if ($mine !== [])
            <div class="flex flex-wrap gap-2">
                @can('edit')
                    @foreach (array_keys($mine) as $name)
                        <form method="post" action="{{ route('line-ups.inherit', $open->key) }}">@csrf<input type="hidden"
                            name="page" value="{{ $page }}"><input
                                type="hidden" name="at" value="{{ request('at') }}"><button class="chip" name="property" value="{{ $name }}"
                                title="As inherited again">{{ str_replace('_', ' ', $name) }}
                                <span class="x">as inherited</span></button></form>
                    @endforeach
                    <form method="post" action="{{ route('line-ups.inherit', $open->key) }}">
                        @csrf<input type="hidden" name="page" value="{{ $page }}"><input type="hidden" name="at"
                            value="{{ request('at') }}"><button
                            class="chip">all as inherited</button></form>
                @endcan
            </div>
        @endif
    @endif
    @if ($alsoIn !== [])
        <div class="flex flex-wrap gap-2 items-center small soft"><span>Shared with {{ implode(', ', $alsoIn) }}: what you change
            here is changed there.</span>
            @can('edit')
                <form method="post" action="{{ route('line-ups.part', $open->key) }}">@csrf<input type="hidden" name="page"
                    value="{{ $page }}"><input type="hidden" name="at" value="{{ request('at') }}"><button class="chip">its own from
                        now on</button></form>
            @endcan
        </div>
    @endif
    @if ($open->key === Lokum\Lineup\ProductField::Stock->value)
        <p class="small soft">Variants count: a product with one variant in stock and one sold out is in both.</p>
    @endif
    @php($dressed = collect($terms)->firstWhere('id', (int) request('dress')))
    @if ($attribute && $dressed !== null)
        @include('lineups.dress')
    @else
    <form method="post" action="{{ route('line-ups.update', $open->key) }}" class="grid gap-3" id="filter"
        x-data="bands">@csrf @method('put')<button hidden tabindex="-1">Save</button><input type="hidden"
            name="page" value="{{ $page }}"><input type="hidden" name="at" value="{{ request('at') }}"><input type="hidden" name="token"
            value="{{ $errors->any() ? $token : old('token', $token) }}"><input type="hidden" name="shown" value="1">
        <div class="form-grid">
            <div class="field"><label for="title">Title</label><input class="input small" id="title" name="title" required maxlength="100"
                    value="{{ old('title', $settings->title) }}" @error('title') aria-invalid="true" @enderror></div>
            <div class="field"><label for="group">Under the heading</label><input class="input small" id="group" name="group"
                maxlength="100" list="groups" placeholder="none" value="{{ old('group', $settings->group) }}"><datalist id="groups">
                    @foreach (array_unique(array_filter(array_map(fn($one) => $one->settings()->group, $lineup->filters))) as $group)
                        <option value="{{ $group }}">
                    @endforeach
                </datalist></div>
            <div class="field"><label for="control">Control</label><select class="select small" id="control" name="control">
                    @foreach (Control::fitting($settings->kind) as $control)
                        @php($isChosen = old('control', $settings->control->value) === $control->value)
                        <option value="{{ $control->value }}" @selected($isChosen)>{{ $control->label() }}</option>
                    @endforeach
                </select>
            </div>
            @if ($attribute || $settings->control === Control::Bands)
                <div class="field"><label for="combine">Picks</label><select class="select small" id="combine" name="combine">
                        @foreach (['any' => 'Several: any of them', 'all' => 'Several: all of them',
                            'one' => 'One at a time'] as $value => $name)
                            <option value="{{ $value }}"
                                @selected(old('combine', $settings->combine->value) === $value)>{{ $name }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="field"><label for="empty_terms">Terms with nothing</label>
                <select class="select small" id="empty_terms" name="empty_terms">
                        @foreach (EmptyTerms::cases() as $case)
                            <option value="{{ $case->value }}"
                                @selected(old('empty_terms', $settings->emptyTerms->value) === $case->value)>{{ $case->label() }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="field"><label for="more">Terms before “more”</label><input class="input small" id="more" name="more"
                    inputmode="numeric"
                        value="{{ old('more', $settings->more) }}"></div>
                <div class="field"><label for="columns">Columns of cubes</label><input class="input small" id="columns"
                    name="columns" inputmode="numeric"
                        value="{{ old('columns', $settings->columns) }}"></div>
            @endif
            @if ($attribute)
                <div class="field"><label for="order">Order of terms</label><select class="select small" id="order" name="order">
                        <option value="">as the attribute: {{ $definition?->term_order->label() }}</option>
                        @foreach (TermOrder::cases() as $order_)
                            <option value="{{ $order_->value }}"
                                @selected(old('order', $settings->order?->value) === $order_->value)>{{ $order_->label() }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="field"><label for="terms">Terms</label><select class="select small" id="terms" name="terms">
                        @foreach (TermChoice::cases() as $case)
                            <option value="{{ $case->value }}"
                                @selected(old('terms', $settings->terms->value) === $case->value)>{{ $case->label() }}</option>
                        @endforeach
                    </select>
                </div>
            @endif
            @if (in_array($settings->kind->value, ['number', 'date'], true))
                <div class="field"><label for="unit">Unit</label><input class="input small" id="unit" name="unit" maxlength="20"
                        value="{{ old('unit', $settings->unit) }}" placeholder="{{ $open->key === Lokum\Lineup\ProductField::Price->value
                            ? Format::unit(config('lokum.currency')) : '' }}"></div>
                <div class="field"><label for="prefix">Before it</label><input class="input small" id="prefix" name="prefix" maxlength="20"
                        value="{{ old('prefix', $settings->prefix) }}"></div>
                <div class="field"><label for="decimals">Decimals</label><input class="input small" id="decimals" name="decimals"
                    inputmode="numeric"
                        value="{{ old('decimals', $settings->decimals) }}" placeholder="as they are"></div>
                <div class="field"><label for="step">Step</label><input class="input small" id="step" name="step" inputmode="decimal"
                        value="{{ old('step', $settings->step) }}" placeholder="1" @error('step') aria-invalid="true" @enderror></div>
                <div class="field"><label for="from">Scale from</label><input class="input small" id="from" name="from" inputmode="decimal"
                        value="{{ old('from', $settings->from) }}" placeholder="from the data"></div>
                <div class="field"><label for="to_">Scale to</label><input class="input small" id="to_" name="to" inputmode="decimal"
                        value="{{ old('to', $settings->to) }}" placeholder="from the data" @error('to') aria-invalid="true" @enderror></div>
            @endif
            @if ($settings->control === Control::Words)
                <div class="field"><label for="match">Finds</label><select class="select small" id="match" name="match">
                        <option value="contains">texts that contain it</option>
                        <option value="whole" @selected($settings->wholeText)>the whole text only</option>
                    </select></div>
            @endif
            <div class="field wide"><label for="help">Help for shoppers</label><input class="input small" id="help" name="help"
                maxlength="300"
                    value="{{ old('help', $settings->help) }}"></div>
        </div>
        <div class="flex gap-4">
            @foreach ([['open', 'Starts open', $settings->open], ['title_shown', 'Title shown', $settings->titleShown], ['counts',
                'Counts shown', $settings->counts]] as [$name, $label, $on])
                <label class="check"><input type="checkbox" name="{{ $name }}" value="1" @checked($errors->any() ? old($name)
                    : $on)><span>{{ $label }}</span></label>
            @endforeach
        </div>
        @if ($settings->kind->value === 'number')
            @include('lineups.bands')
        @endif
        @if ($attribute && $terms !== [])
            <details @if ($settings->terms !== TermChoice::Follow || $errors->has('looks') || $settings->chosen !== []) open @endif>
                <summary class="label">{{ Format::count(count($terms), 'term') }}: choose, pin, dress for this filter alone</summary>
                @if (count($terms) > 20)
                    <input class="input small" type="search" placeholder="find a term" aria-label="Find a term" autocomplete="off"
                        data-finds="#choose-terms">
                @endif
                <div class="choose-terms" id="choose-terms"
                    @if (count($terms) > App\Lineups\FilterForm::LISTED) data-more="{{ route('line-ups',
                    ['page' => $page, 'at' => request('at'), 'filter' => $open->key, 'term' => '']) }}" @endif>
                    @php($chosen = array_map(intval(...), (array) ($errors->any() ? old('chosen', []) : $settings->chosen)))
                    @php($pinned = array_map(intval(...), (array) ($errors->any() ? old('pinned', []) : $settings->pinned)))
                    @php($marked = array_flip([...$chosen, ...$pinned, ...$settings->chosen, ...$settings->pinned,
                        ...array_keys($settings->looks)]))
                    @php($key = Lokum\Text\StrictKey::of((string) request('term')))
                    @php($called = fn($term) => $key === '' || str_contains(Lokum\Text\StrictKey::of($term['label']), $key))
                    @php($listed = [...array_filter($terms, fn($term) => isset($marked[$term['id']])),
                        ...array_slice(array_filter($terms, fn($term) => !isset($marked[$term['id']]) && $called($term)), 0,
                            App\Lineups\FilterForm::LISTED)])
                    @php($ids = array_column($listed, 'id'))
                    @foreach (array_diff($settings->chosen, $ids) as $id)
                        <input type="hidden" name="chosen[]" value="{{ $id }}">
                        @endforeach @foreach (array_diff($settings->pinned, $ids) as $id)
                            <input type="hidden" name="pinned[]" value="{{ $id }}">
                        @endforeach
                        @foreach ($listed as $term)
                            @php($id = $term['id'])
                            @php($look = $settings->looks[$id] ?? null)
                            @php($waits = App\Lineups\FilterForm::isWaiting($settings, $id))
                            <div class="choose-term" id="choose-{{ $id }}"><label class="check"><input
                                        type="checkbox" name="chosen[]" value="{{ $id }}" @checked(in_array($id, $chosen, true))
                                        aria-label="{{ $term['label'] }} is one of these"></label><x-cube class="min-w-0 grow"
                                            :label="$look->label ?? $term['label']"
                                            :look="Lokum\Vocabulary\Look::fromJson($term['look'])->under($look)" />
                                @if ($waits)
                                    <span class="tag waiting">new</span>
                                @endif
                                <span class="soft small">{{ Format::number($facts->counts[$id] ?? 0) }}</span><label
                                    class="check small" title="Comes first"><input type="checkbox" name="pinned[]"
                                        value="{{ $id }}" @checked(in_array($id, $pinned, true))><span>first</span></label><a
                                            class="small" aria-label="Dress {{ $term['label'] }} for this filter alone"
                                    href="{{ route('line-ups', ['page' => $page, 'at' => request('at'), 'filter' => $open->key,
                                        'dress' => $id]) }}">{{ $look === null ? 'dress' : 'dressed here' }}</a>
                            </div>
                        @endforeach
                </div>
                @if (count($terms) > count($listed))
                    <p class="small soft">and {{ count($terms) - count($listed) }} more, found by their name; what is not listed stays
                        as it is.</p>
                    @endif @if ($settings->looks !== [])
                        <p class="small soft">{{ Format::count(count($settings->looks), 'look') }} of its own.</p>
                    @endif
            </details>
        @endif
        @can('edit')
            <div class="flex gap-2"><button class="button main small" data-key="s">Save
            <kbd>S</kbd></button><button class="button small harm"
                    form="drop">{{ $own ? 'Take it out' : 'Drop it here' }}</button><span
                        class="small soft self-center">Shoppers see it with the next edition.</span></div>
        @endcan
    </form>
    @endif
    <form method="post" action="{{ route('line-ups.destroy', $open->key) }}" id="drop">@csrf @method('delete')<input type="hidden"
        name="page"
            value="{{ $page }}"><input type="hidden" name="at" value="{{ request('at') }}"></form>
    @php($waitingTerms = array_values(array_filter($terms, fn($term) => App\Lineups\FilterForm::isWaiting($settings, $term['id']))))
    @if ($waitingTerms !== [])@can('edit')
        <form method="post" action="{{ route('line-ups.admit', $open->key) }}"
            class="note flex flex-wrap gap-2 items-center">@csrf<input type="hidden" name="page"
                value="{{ $page }}"><input type="hidden" name="at" value="{{ request('at') }}"><span>New, and not shown yet:</span>
            @foreach ($waitingTerms as $term)
                <button class="chip" name="admit[]" value="{{ $term['id'] }}" title="Show it">{{ $term['label'] }} <b>+</b></button>
            @endforeach
            <button class="button small bare" name="all" value="1">leave them all out</button>
        </form>
    @endcan
@endif
</section>
