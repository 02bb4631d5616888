{{-- What is to be done to the chosen products, counted before it is done. --}}
@use('App\Support\Format')
@use('App\Cells\CellMode')
@if ($bulk === null)
    <h2>Select products</h2>
    <p class="soft">Tick products, or take all that match, and change a value of all of them here. What it would change is counted
        before anything is done.</p>
    <p class="soft">A single cell is changed in its place: go there with the arrow keys and type.</p>
@else
    @php($definition = $bulk->definition)
    @php($ask = ['hx-get' => route('products'), 'hx-include' => '#give', 'hx-select' => '#figures', 'hx-target' => '#figures',
        'hx-swap' => 'outerHTML', 'hx-trigger' => 'input changed delay:250ms'])
    @php($again = ['hx-get' => route('products'), 'hx-include' => '#give', 'hx-select' => '#panel', 'hx-target' => '#panel',
        'hx-swap' => 'outerHTML'])
    <p class="label">
        {{ $bulk->all ? 'All that match: ' : '' }}{{ $bulk->all && $many ? 'more than 10,000 products'
            : Format::count($bulk->count, 'product') }}{{ $bulk->all ? '' : ' selected' }}
    </p>
    <h2>Change a value</h2>
    <form method="post" action="{{ route('products.give') }}" id="give" hx-sync="this:replace" class="grid gap-3 grow content-start"
        data-busy="Changing {{ $bulk->figures ? Format::number($bulk->figures->change) : '' }} …">@csrf
        <input type="hidden" name="back" value="{{ route('products', $query + request()->only('cursor') + ($bulk->all ? []
            : ['pick' => array_slice($picked, 0, 200)]), false) }}">
        @foreach ($narrowing->lines() as $line)
            <input type="hidden" name="where[]" value="{{ $line }}">
        @endforeach
        @if ($bulk->all)<input type="hidden" name="all" value="1">
            @unless ($many)
                <input type="hidden" name="products" value="{{ $bulk->count }}">
            @endunless
        @else
            @foreach ($picked as $id)
                <input type="hidden" name="pick[]" value="{{ $id }}">
            @endforeach
        @endif
        <div class="field"><label for="give-what">Definition</label><select class="select" id="give-what" name="give" required
                {{ new Illuminate\View\ComponentAttributeBag($again) }}>
                <option value="">choose …</option>
                @if ($definitions->where('kind', Lokum\Vocabulary\Kind::Flag)->count() > 1)
                    <option value="{{ App\Products\BulkForm::FLAGS }}" @selected($bulk->flags !== null)>several yes/no fields at
                        once</option>
                @endif
                @foreach ($definitions as $one)
                    <option value="{{ $one->slug }}" @selected($definition?->id === $one->id)>{{ $one->label }}</option>
                @endforeach
            </select>
        </div>
        @includeWhen($bulk->flags !== null, 'products.flags')
        @if ($definition)
            <div class="field"><label for="give-mode">What to do</label><select class="select" id="give-mode" name="mode"
                    {{ new Illuminate\View\ComponentAttributeBag($again) }}>
                    @foreach (CellMode::cases() as $mode)
                        @continue(!$mode->isFor($definition))
                        <option value="{{ $mode->value }}" @selected($mode === $bulk->mode)>{{ $mode->label() }}</option>
                    @endforeach
                </select>
            </div>
            @if ($bulk->mode === CellMode::Copy)
                <div class="field"><label for="give-source">From</label><select class="select" id="give-source" name="source"
                        {{ new Illuminate\View\ComponentAttributeBag(['hx-trigger' => 'change'] + $ask) }}>
                        <option value="">choose …</option>
                        @foreach ($definitions as $one)
                            @continue($one->id === $definition->id)
                            <option value="{{ $one->slug }}" @selected(request('source') === $one->slug)>{{ $one->label }}</option>
                        @endforeach
                    </select>
                </div>
            @elseif ($bulk->mode === CellMode::Replace)
                <div class="field"><label for="give-find">Find</label><input class="input" id="give-find" name="find"
                    value="{{ request('find') }}"
                        {{ new Illuminate\View\ComponentAttributeBag($ask) }}></div>
                <div class="field"><label for="give-replace">Put in its place</label><input class="input" id="give-replace"
                    name="replace" value="{{ request('replace') }}"
                        {{ new Illuminate\View\ComponentAttributeBag($ask) }}></div>
            @elseif ($bulk->mode->isAboutNumbers())
                <div class="field"><label
                        for="give-amount">{{ $bulk->mode === CellMode::Percent ? 'Per cent, less than 0 lowers'
                            : ($bulk->mode === CellMode::Round ? 'Step' : 'Amount, less than 0 lowers') . ($definition->unit
                            ? ", in {$definition->unit}" : '') }}</label><input
                        class="input" id="give-amount" name="amount" inputmode="decimal" value="{{ request('amount') }}"
                            {{ new Illuminate\View\ComponentAttributeBag($ask) }}>
                </div>
            @elseif ($bulk->mode !== CellMode::Clear)
                <div class="field"><label
                        for="give-value">Value{{ $definition->unit ? " in {$definition->unit}" : '' }}{{ $definition->multiple
                            ? ", several parted by {$definition->separator}" : '' }}</label>
                    <input class="input" id="give-value" name="value[]" list="give-values" autocomplete="off"
                        value="{{ implode(Lokum\Feed\Separator::of($definition->separator)->first(),
                            array_filter((array) request('value'), is_string(...))) }}"
                        {{ new Illuminate\View\ComponentAttributeBag($ask) }}>
                    @if ($definition->kind->isAttribute())<datalist id="give-values">
                            @foreach ($bulk->labels as $label)
                                <option value="{{ $label }}">
                            @endforeach
                        </datalist>
                    @endif
                </div>
            @endif
            @if ($bulk->mode !== CellMode::Clear && $bulk->mode !== CellMode::Remove && !$bulk->mode->isAboutNumbers())
                <label class="check"><input type="checkbox" name="empty_only" value="1" @checked(request('empty_only'))
                        {{ new Illuminate\View\ComponentAttributeBag(['hx-trigger' => 'change'] + $ask) }}><span>Only where there
                            is none yet</span></label>
            @endif
            <label class="check"><input type="checkbox" name="spare_hand" value="1" @checked(request('spare_hand'))
                    {{ new Illuminate\View\ComponentAttributeBag(['hx-trigger' => 'change'] + $ask) }}><span>Leave what was set by
                        hand</span></label>
            <div id="figures" class="grid gap-3 grow content-start">
                @if ($bulk->problem)
                    <p class="note {{ in_array($bulk->mode, [CellMode::Set, CellMode::Clear], true) ? 'harm' : '' }}"
                        role="status">{{ $bulk->problem }}</p>
                @elseif ($bulk->figures)
                    @php($figures = $bulk->figures)
                    <input type="hidden" name="counted" value="{{ $figures->items }}">
                    <dl class="figures">
                        <div>
                            <dt>Change</dt>
                            <dd>{{ Format::number($figures->change) }}</dd>
                        </div>
                        <div>
                            <dt>Stay as they are</dt>
                            <dd>{{ Format::number($figures->have) }}</dd>
                        </div>
                        <div>
                            <dt>Lose another value</dt>
                            <dd>{{ Format::number($figures->replaced) }}</dd>
                        </div>
                        <div>
                            <dt>Of these, set by hand</dt>
                            <dd>{{ Format::number($figures->byHand) }}</dd>
                        </div>
                        @if ($figures->skipped)
                            <div>
                                <dt>Left: several to choose from</dt>
                                <dd>{{ Format::number($figures->skipped) }}</dd>
                            </div>
                        @endif
                        <div>
                            <dt>Counted as</dt>
                            <dd>{{ $definition->level->value }}s, {{ Format::number($figures->items) }}</dd>
                        </div>
                    </dl>
                    @if ($figures->new !== [])
                        <p class="note">{{ $definition->label }} has no {{ count($figures->new) === 1 ? 'value' : 'values' }}
                            “{{ mb_strimwidth(implode('”, “', $figures->new), 0, 200, '…') }}” yet.
                            {{ count($figures->new) === 1 ? 'It is made, and becomes a term.' : 'They are made, and become terms.' }}</p>
                    @endif
                    @if ($figures->unread !== [])
                        <p class="note harm">{{ Format::count(count($figures->unread), 'text') }} cannot be taken over:
                            {{ mb_strimwidth(implode(' ', $figures->unread), 0, 260, '…') }}</p>
                    @endif
                    @if ($figures->samples !== [])
                        <x-samples :samples="$figures->samples" />
                    @endif
                @endif
                @can('edit')
                    <div class="deed"><button class="button main" data-key="s"
                            @disabled($bulk->problem !== null || ($bulk->figures?->change
                                ?? 0) === 0)>{{ $bulk->mode->label() }}{{ $bulk->figures ? ': '
                                . Format::count($bulk->figures->change, $definition->level->value) : '' }} <kbd>S</kbd></button>
                        <p class="small soft text-center">One step in History. Can be taken back.</p>
                    </div>
                @endcan
            </div>
        @endif
    </form>
    @can('edit')
        @if ($categories !== [])
            <details @if ($errors->has('category')) open @endif>
                <summary class="label">Put into a further category</summary>
                <div class="grid gap-2 py-2">
                    <div class="field"><label for="further">Category</label><select class="select" id="further" name="category"
                        form="give">
                            <option value="">choose …</option>
                            @foreach ($categories as [$one, $depth])
                                <option value="{{ $one->slug }}">{{ str_repeat('  ', $depth) }}{{ $one->name }}</option>
                            @endforeach
                        </select><x-error for="category" /></div>
                    <div class="flex gap-2"><button class="button small" form="give" formaction="{{ route('products.category') }}"
                        formnovalidate name="in" value="in">Put in, too</button><button class="button small" form="give"
                            formaction="{{ route('products.category') }}" formnovalidate name="in" value="out">Take out again</button></div>
                    <p class="small soft">They stay where they belong, and stand on its page as well. Feeds leave it so.</p>
                </div>
            </details>
        @endif
        @php($back = $narrowing->named('gone') !== null)
        <details>
            <summary class="label">{{ $back ? 'Bring back into the shop' : 'Take out of the shop' }}</summary>
            <p class="small soft py-2">{{ $back ? 'They stand on their pages again with the next edition.'
                : 'They keep all their values, and leave every page, filter and count with the next edition. '
                . 'Feeds leave them out until somebody brings them back.' }}</p>
            <button class="button" form="give" formaction="{{ route('products.out') }}" formnovalidate name="out"
                value="{{ $back ? 'back' : 'out' }}">{{ $back ? 'Bring back' : 'Take out' }}: {{ $bulk->all && $many
                    ? 'more than 10,000 products' : Format::count($bulk->count, 'product') }}</button>
        </details>
        @if ($back && auth()->user()?->can('manage'))
            @include('products.delete')
        @endif
    @endcan
@endif
