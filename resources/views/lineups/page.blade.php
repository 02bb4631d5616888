{{-- What holds for the page itself, and what can be done with the whole line-up. --}}
@can('edit')
    <details class="card" @if ($errors->has('sorts')) open @endif>
        <summary class="strong">Sorting, sold-out products, copying</summary>
        <form method="post" action="{{ route('line-ups.settings') }}" class="grid gap-3">@csrf<input type="hidden" name="page"
            value="{{ $page }}"><input type="hidden"
                name="at" value="{{ request('at') }}">
            <div class="flex flex-wrap gap-4">
                <div class="field"><label for="sold_out">Sold-out products</label>
                <select class="select small" id="sold_out" name="sold_out">
                        @foreach (['' => 'as inherited', 'shown' => 'shown like others', 'last' => 'shown last',
                            'hidden' => 'hidden until the shopper asks'] as $value => $name)
                            <option value="{{ $value }}" @selected(($layer?->settings['sold_out'] ?? '') === $value)>{{ $name }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="field"><label for="most">Warn above</label><input class="input small w-20" id="most" name="most"
                    inputmode="numeric"
                        value="{{ $layer?->settings['most'] ?? '' }}" placeholder="{{ App\Lineups\LineupWarnings::MOST }}"></div>
            </div>
            <fieldset class="grid gap-1">
                <legend class="label">Sort orders, in the order of the menu; the first active one is the usual</legend>
                <label class="check"><input type="checkbox" name="own_sorts"
                        value="1" @checked(isset($layer?->settings['sorts']))><span>Say them here</span></label>
                @php($typed = $errors->has('sorts') ? array_values((array) old('sorts', [])) : [])
                @foreach ([...$sorts, null, null] as $i => $order)
                    <div class="flex flex-wrap gap-2 items-center"><input type="hidden" name="sorts[{{ $i }}][slug]"
                        value="{{ $order?->slug }}"><input class="input small w-44"
                            name="sorts[{{ $i }}][name]" value="{{ $typed[$i]['name'] ?? $order?->name }}" maxlength="60"
                                aria-label="Name of sort order {{ $i + 1 }}"
                            placeholder="{{ $order ? '' : 'another one' }}">
                        @foreach ([0, 1] as $n)
                            <select class="select small w-40" name="sorts[{{ $i }}][by][]"
                                aria-label="{{ $n ? 'Then by' : 'By' }}, sort order {{ $i + 1 }}">
                                <option value="">{{ $n ? 'then by …' : 'by …' }}</option>
                                @foreach ($sortFields as $field => $name)
                                    @foreach (['' => ' ↑', ' down' => ' ↓'] as $way => $arrow)
                                        <option value="{{ $field }}{{ $way }}" @selected($typed !== [] ? ($typed[$i]['by'][$n]
                                            ?? '') === $field . $way : isset($order?->by[$n]) && $order->by[$n] === [$field,
                                            $way !== ''])>{{ $name }}{{ $arrow }}</option>
                                    @endforeach
                                @endforeach
                            </select>
                        @endforeach
                        <label class="check">
                            <input type="checkbox" name="sorts[{{ $i }}][active]" value="1"
                                @checked($order === null || $order->active)><span>active</span></label>
                    </div>
                @endforeach
            </fieldset>
            <button class="button small justify-self-start">Save sorting and stock</button>
        </form>
        <div class="flex flex-wrap gap-3 items-end">
            @if ($layer)
                <form method="post" action="{{ route('line-ups.copy') }}" class="flex gap-2 items-end">@csrf<input type="hidden"
                    name="page" value="{{ $page }}"><input
                        type="hidden" name="at" value="{{ request('at') }}">
                    <div class="field"><label for="to">What is said here, to</label>
                    <input class="input small w-44" id="to" name="to" list="page-names" required placeholder="a page"
                            autocomplete="off"></div><button class="button small">Copy</button>
                    @if ($page !== 'shop')
                        <button class="button small" name="move" value="1">Move</button>
                    @endif
                </form>
            @endif
            <datalist id="page-names">
                @foreach (array_keys(App\Lineups\AskedPage::NAMES) as $name)
                    <option>{{ $name }}</option>
                @endforeach
                @foreach ($tree->flat() as [$one])
                    <option>{{ $one->path }}</option>
                @endforeach
            </datalist>
            <form method="get" action="{{ route('line-ups') }}" class="flex gap-2 items-end"><input type="hidden" name="page"
                value="{{ $page }}">
                <div class="field"><label for="with">Compare with</label><input class="input small w-44" id="with" name="with"
                    list="page-names" value="{{ request('with', 'Whole shop') }}" autocomplete="off"></div>
                <button class="button small">Compare</button>
            </form>
            @if ($layer && $page !== 'shop')
                <form method="post" action="{{ route('line-ups.remove') }}">@csrf @method('delete')<input type="hidden"
                    name="page" value="{{ $page }}"><input
                        type="hidden" name="at" value="{{ request('at') }}"><button class="button small harm"
                        title="{{ count($layer->added) }} added, {{ count($layer->changed) }} changed, {{ count($layer->dropped) }} dropped"
                        >Say nothing here</button></form>
            @endif
            @if ($category)
                <form method="post" action="{{ route('line-ups.own', $category) }}">@csrf<input type="hidden" name="page"
                    value="{{ $page }}"><input type="hidden"
                        name="own_only" value="{{ $category->own_only ? 0 : 1 }}"><button
                        class="button small">{{ $category->own_only ? 'List everything below, too'
                            : 'List its own products only' }}</button></form>
            @endif
        </div>
    </details>
@endcan
