{{-- Values that stay what they are, and that shoppers tick as one. --}}
@use('App\Support\Format')
@can('edit')@if ($definition->kind === Lokum\Vocabulary\Kind::Choice)
    <form method="post" action="{{ route('values.gather', $definition) }}" class="grid gap-2 border-t border-(--line) pt-3"
        id="gather" hx-sync="this:replace">
        @csrf<input type="hidden" name="lens" value="{{ $bench->lens }}">
        @foreach ($picked as $id)
            <input type="hidden" name="pick[]" value="{{ $id }}">
        @endforeach
        <div class="field"><label for="under">Or let shoppers tick {{ count($picked) === 1 ? 'it' : 'them as one' }},
            under</label><input class="input" id="under"
                name="under" list="umbrellas" maxlength="500" autocomplete="off" value="{{ old('under', request('under')) }}"
                hx-get="{{ route('values.show', [$definition, 'lens' => $bench->lens]) }}" hx-include="#gather"
                    hx-params="pick[],under" hx-trigger="input changed delay:250ms"
                hx-select="#gathering" hx-target="#gathering" hx-swap="outerHTML"><datalist id="umbrellas">
                @foreach ($umbrellas as $one)
                    <option value="{{ $one->label }}">
                @endforeach
            </datalist>
            <x-error for="under" />
        </div>
        @php($gathering = $bench->gathering())<div id="gathering" class="grid gap-2">
            @if ($gathering)
                <dl class="figures">
                    <div>
                        <dt>{{ $gathering->isNew ? 'New umbrella' : 'Umbrella' }}</dt>
                        <dd>{{ $gathering->umbrella }}</dd>
                    </div>
                    <div>
                        <dt>Products under it</dt>
                        <dd>{{ Format::number($gathering->products) }}</dd>
                    </div>
                    <div>
                        <dt>Terms shoppers see</dt>
                        <dd>{{ $gathering->terms }} → {{ $gathering->termsAfter }}</dd>
                    </div>
                    @if ($gathering->joins !== null)
                        <div>
                            <dt>Joins them</dt>
                            <dd>{{ $gathering->joins }}, the value of this name</dd>
                        </div>
                    @endif
                    @if ($gathering->from !== [])
                        <div>
                            <dt>Leave</dt>
                            <dd>{{ implode(', ', $gathering->from) }}</dd>
                        </div>
                        @endif @if ($gathering->handPicked !== [])
                            <div>
                                <dt>Hand-picked lists</dt>
                                <dd>{{ implode(', ', $gathering->handPicked) }} {{ count($gathering->handPicked) === 1 ? 'follows'
                                    : 'follow' }} by itself</dd>
                            </div>
                        @endif
                </dl>
                @include('values.pages', ['pages' => $gathering->pages])
                <p class="small soft">Products and spellings keep their value. Next delivery: the same.</p>
            @endif
        </div>
        <button class="button" data-key="g">Gather under it <kbd>G</kbd></button>
        @if (array_filter($picked, fn($id) => $bench->row($id)?->value->umbrella_id !== null) !== [])
            <button class="button" name="out" value="1" formnovalidate>Take out of the umbrella</button>
        @endif
    </form>
@endif @endcan
