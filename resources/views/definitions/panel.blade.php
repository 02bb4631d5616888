{{-- The open definition: its settings, and what becomes of the rest when it goes. --}}
@use('App\Support\Format')
@use('Lokum\Vocabulary\Kind')
@use('Lokum\Vocabulary\Level')
@use('Lokum\Vocabulary\Policy')
@if ($editing && ($merging || $mergeProblem))
    @include('definitions.merge')
@elseif ($editing && $ending)
    @include('definitions.end')
@elseif ($editing || $open === 'new')
    @php($kind = Kind::tryFrom((string) old('kind', request('kind', $editing?->kind->value ?? 'choice'))) ?? Kind::Choice)
    <p class="label">{{ $editing ? $editing->state->label() : 'By hand' }}</p>
    <h2>{{ $editing?->label ?? 'New definition' }}</h2>
    <form method="post" action="{{ $editing ? route('definitions.update', $editing) : route('definitions.store') }}"
        class="grid gap-3" id="definition" hx-sync="this:replace">@csrf @if ($editing)
            @method('put')<input type="hidden" name="version" value="{{ $errors->any() ? $editing->version : old('version',
                $editing->version) }}">
        @endif
        <div class="field"><label for="label">Label</label><input class="input" id="label" name="label" required maxlength="200"
                value="{{ old('label', $editing?->label) }}" @error('label') aria-invalid="true" aria-describedby="error-label"
                    @enderror><x-error for="label" /></div>
        <div class="field"><label for="kind">Holds</label>
        <select class="select" id="kind" name="kind" hx-get="{{ url()->current() }}" hx-include="#definition"
                hx-vals='{"open": "{{ $open }}"}' hx-select="#found" hx-target="#found" hx-swap="outerHTML" hx-params="open,kind,unit">
                @foreach (Kind::cases() as $one)
                    <option value="{{ $one->value }}" @selected($one === $kind)>{{ $one->label() }}</option>
                @endforeach
            </select>
            <x-error for="kind" />
        </div>
        <div id="found" class="grid gap-3">
            @if ($kind === Kind::Number)
                <div class="field"><label for="unit">Unit</label><input class="input" id="unit" name="unit" list="units"
                    value="{{ old('unit', $editing?->unit) }}"
                        placeholder="none"><datalist id="units">
                        @foreach (Lokum\Quantity\Unit::symbols() as $symbol)
                            <option value="{{ $symbol }}">
                        @endforeach
                    </datalist>
                    <x-error for="unit" />
                    <p class="small soft">Numbers without a unit of their own are read in this one.</p>
                </div>
                <div class="field"><label for="decimals">Shown with decimals</label><input class="input small w-20" id="decimals"
                    name="decimals" inputmode="numeric" value="{{ old('decimals', $editing?->decimals) }}"
                        placeholder="as many as needed"><x-error for="decimals" /></div>
            @endif
            @if ($kind === Kind::Date)
                <div class="field"><label for="day_order">Digits with slashes or hyphens</label>
                <select class="select" id="day_order" name="day_order">
                        <option value="">only where the numbers tell</option>
                        @foreach (Lokum\Vocabulary\DayOrder::cases() as $order)
                            <option value="{{ $order->value }}" @selected(old('day_order', $editing?->day_order?->value) ===
                                $order->value)>{{ $order->label() }}</option>
                        @endforeach
                    </select>
                </div>
            @endif
            @if ($kind === Kind::Choice)<label class="check"><input type="checkbox" name="multiple" value="1"
                        @checked(old('multiple', $editing?->multiple))><span>Several values on one product</span></label>
                @if ($editing && !$editing->multiple && $joined)
                    <p class="note"><b>{{ Format::count($joined, 'spelling') }}</b> hold “{{ $editing->separator }}”. As several,
                        each part becomes a value of its own; the
                        cells come back whole when that is taken back.</p>
                @endif
                <div class="field"><label for="dress">New values look like</label><select class="select" id="dress" name="dress">
                        @foreach (['' => 'what fits: colors where it is about colors', 'colors' => 'the colors of their names',
                            'letters' => 'their first letters'] as $dress => $name)
                            <option value="{{ $dress }}" @selected((string) old('dress',
                                $editing?->dress) === (string) $dress)>{{ $name }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="field"><label for="term_order">Terms stand</label><select class="select" id="term_order" name="term_order">
                        @if (!$editing)
                            <option value="">as fits</option>
                            @endif @foreach (Lokum\Vocabulary\TermOrder::cases() as $order)
                                <option value="{{ $order->value }}"
                                    @selected(old('term_order',
                                    $editing?->term_order->value) === $order->value)>{{ $order->label() }}</option>
                            @endforeach
                    </select>
                </div>
                <label class="check"><input type="checkbox" name="has_pages" value="1"
                    @checked(old('has_pages', $editing?->has_pages))><span>Each value has a page in the shop</span></label>
                <div class="field"><label for="separator">Several in one cell are parted by</label><input class="input small"
                    id="separator" name="separator" maxlength="30"
                        aria-describedby="separators"
                        value="{{ old('separator', $editing->separator ?? '|') }}">
                    <p class="small soft" id="separators">Several of them as “; or ,”.</p></div>
                <div class="field"><label for="policy">A new spelling from a feed</label><select class="select" id="policy" name="policy">
                        @foreach (Policy::cases() as $policy)
                            <option value="{{ $policy->value }}"
                                @selected(old('policy', $editing?->policy->value) === $policy->value)>{{ $policy->label() }}</option>
                        @endforeach
                    </select>
                </div>
            @endif
            @if ($again && $kind === Kind::Text)
                <p class="note"><b>{{ Format::count($again['texts'], 'text') }}</b> come again and again, on
                    {{ Format::count($again['items'], 'product or variant', 'products or variants') }}. As a choice they can be
                    ticked, merged and dressed. <a href="{{ route('definitions', ['open' => $editing->slug,
                        'kind' => Kind::Choice->value]) }}">Look at it as a choice</a></p>
            @endif
            @if ($change && $change['kind'] !== $editing->kind)
                <p @class(['note', 'harm' => $change['unread'] > 0])>As {{ mb_strtolower($kind->label()) }}: @if ($change['values'])
                        <b>{{ Format::count($change['values'], 'value') }}</b> arise{{ $change['unread'] ? ', ' : '.' }}
                        @endif @if ($change['unread'])
                            <b>{{ Format::count($change['unread'], 'text') }}</b> cannot be read and stay as text, such as
                                {{ implode('; ', $change['samples']) }}.
                        @elseif (!$change['values'])
                            every text can be read.
                        @endif
                </p>
            @endif
        </div>
        <div class="field"><span class="label">Belongs to</span>
            <div class="choices">
                @foreach (Level::cases() as $level)
                    <label><input type="radio" name="level" value="{{ $level->value }}"
                        @checked(old('level', $editing?->level->value ?? 'product') === $level->value)>the {{ $level->value }}</label>
                @endforeach
            </div>
        </div>
        <div class="field"><label for="help">Help for shoppers</label><input class="input" id="help" name="help" maxlength="300"
                value="{{ old('help', $editing?->help) }}"></div>
        <details @if ($errors->any()) open @endif>
            <summary class="label">For the team</summary>
            <div class="grid gap-3 pt-2">
                <div class="field"><label for="team_help">Help for the team</label>
                    <textarea class="input" id="team_help" name="team_help" rows="2" maxlength="1000">{{ old('team_help',
                        $editing?->team_help) }}</textarea>
                </div>
                <div class="field"><label for="section">Section</label><input class="input" id="section" name="section"
                    maxlength="100" list="sections"
                        value="{{ old('section', $editing?->section) }}"><datalist id="sections">
                        @foreach ($sections as $section)
                            <option value="{{ $section }}">
                        @endforeach
                    </datalist>
                </div>
                <div class="field"><label for="edited_by">Its values are changed by</label>
                <select class="select" id="edited_by" name="edited_by">
                        @foreach (['editor' => 'editors and managers', 'manager' => 'managers only'] as $role => $name)
                            <option value="{{ $role }}"
                                @selected(old('edited_by', $editing?->edited_by->value) === $role)>{{ $name }}</option>
                        @endforeach
                    </select></div>
            </div>
        </details>
        @if ($editing)
            <dl class="figures">
                <div>
                    <dt>Products that carry it</dt>
                    <dd>{{ Format::number($products[$editing->id] ?? 0) }} of {{ Format::number($total) }}</dd>
                </div>
                <div>
                    <dt>Filter</dt>
                    <dd>{{ $filters[$editing->id] ?? 'none' }}</dd>
                </div>
            </dl>
            <p class="small soft">
                {{ $editing->level === Level::Product ? 'Given to the variants, every variant gets what its product carries.'
                    : 'Given to the product, it gets what its variants agree on.' . ($differing ? ' ' . Format::count($differing,
                    'product') . ' with variants that differ keep' . ($differing === 1 ? 's' : '') . ' them there, uncounted.' : '') }}
            </p>
        @endif
    </form>
    @if ($editing && auth()->user()?->can('edit'))
        <details @if ($errors->has('address')) open @endif>
            <summary class="label">Its word in addresses</summary>
            <form method="post" action="{{ route('definitions.address', $editing) }}" class="grid gap-2 pt-2">@csrf
                @method('put')
                <div class="field"><label for="address">Word in addresses</label><input class="input mono" id="address"
                    name="address" maxlength="100" value="{{ old('address', $editing->slug) }}" @error('address')
                        aria-invalid="true" aria-describedby="error-address" @enderror><x-error for="address" /></div>
                <p class="small soft">Filters, typed conditions and commands go by it.
                    {{ $editing->former_slugs === [] ? 'The one it has now leads on.'
                        : 'What it was called before leads on: ' . implode(', ', $editing->former_slugs) . '.' }}</p>
                <button class="button">Change the address</button>
            </form>
        </details>
    @endif
    @can('edit')
        <div class="deed">
            @if ($editing && $editing->state !== App\Models\State::Accepted)
            <button class="button main" form="definition" name="state" value="accepted" data-key="s">Accept
            <kbd>S</kbd></button>@else<button class="button main"
                    form="definition" data-key="s">{{ $editing ? 'Save' : 'Define' }} <kbd>S</kbd></button>
            @endif
            @if ($editing && $editing->state === App\Models\State::Proposed)
                <button class="button" form="definition" name="state" value="aside" formnovalidate>Leave aside</button>
            @endif
            @if ($editing)
                <a class="button" href="{{ route('definitions', ['open' => $editing->slug, 'end' => 1]) }}">Merge, retire or delete …</a>
            @endif
        </div>
    @endcan
@else
    <h2>Choose a definition</h2>
    <p class="soft">Its settings open here. A proposal can be accepted as it is, changed first, or left aside; its data is kept
        either way.</p>
    @can('edit')
        <a class="button" href="{{ route('definitions', ['open' => 'new']) }}"><x-icon name="plus" small />New definition</a>
    @endcan
@endif
