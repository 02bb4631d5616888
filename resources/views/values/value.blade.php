{{-- One value: its name, look and spellings. --}}
@use('App\Support\Format')
@php($look = $open->value->look())
<p class="label">
    {{ Format::count($open->products, 'product') }} · {{ Format::count(count($open->spellings), 'spelling') }}@if ($open->value->retired)
        · retired
    @endif
</p>
<h2><x-cube :label="$open->value->label" :look="$look" /></h2>
<form method="post" action="{{ route('values.update', [$definition, $open->value]) }}" class="grid gap-3 grow content-start"
    enctype="multipart/form-data">@csrf
    @method('put')<input type="hidden" name="lens" value="{{ $bench->lens }}"><input type="hidden" name="version"
        value="{{ $errors->any() ? $open->value->version : old('version', $open->value->version) }}">
    <div class="field"><label for="label">Name</label><input class="input" id="label" name="label" maxlength="500" required
            value="{{ old('label', $open->value->label) }}" @error('label') aria-invalid="true" aria-describedby="error-label"
                @enderror><x-error for="label" /></div>
    @include('values.look', ['label' => $open->value->label])
    <div class="field"><label for="shown">Shoppers see it</label><select class="select" id="shown" name="shown">
            @foreach (Lokum\Vocabulary\Showing::cases() as $where)
                <option value="{{ $where->value }}" @selected(old('shown', $open->value->showing()->value) ===
                    $where->value)>{{ $where->label() }}</option>
            @endforeach
        </select></div>
    @if ($definition->has_pages)
        <div class="field"><label for="description">Its page in the shop says</label>
            <textarea class="input" id="description" name="description" rows="4" maxlength="5000">{{ old('description',
                $open->value->description) }}</textarea><x-error for="description" />
        </div>
        <div class="field"><label for="picture">Picture of its page: PNG, JPEG or WebP</label>
            @if ($open->value->picture)
                <div class="flex gap-3 items-center"><img class="value-thumb"
                    src="{{ route('shop.picture', $open->value->picture) }}" alt="{{ $open->value->label }}"><label
                        class="check"><input type="checkbox" name="no_picture" value="1"><span>Take it away</span></label></div>
            @endif
            <input class="input" type="file" id="picture" name="picture" accept="image/png,image/jpeg,image/webp">
            <x-error for="picture" />
        </div>
    @endif
    <div class="field"><span class="label">Spellings: open one to take it out</span>
        <ul class="grid gap-1">
            @foreach (array_slice($open->spellings, 0, 40) as $spelling)
                <li class="flex justify-between gap-3"><a
                        class="mono whitespace-pre-wrap break-all py-0.5"
                        href="{{ route('values.show', [$definition, 'lens' => $bench->lens,
                            'spelling' => $spelling['id']]) }}">{{ Format::spelling($spelling['text']) }}</a><span
                        class="soft">{{ Format::number($spelling['products']) }}</span></li>
            @endforeach
        </ul>
        @if (count($open->spellings) > 40)
            <p class="small soft">and {{ count($open->spellings) - 40 }} more</p>
        @endif
    </div>
    @can('edit')
        <div class="deed"><button class="button main" data-key="s">Save <kbd>S</kbd></button>
            <p class="small soft text-center">Its address …/{{ $open->value->slug }} stays. Next delivery: all its spellings land
                here.</p>
        </div>
    @endcan
</form>
@if ($definition->kind === Lokum\Vocabulary\Kind::Choice && auth()->user()?->can('edit'))
    <details @if ($errors->has('address')) open @endif>
        <summary class="label">Its address in the shop</summary>
        <form method="post" action="{{ route('values.address', [$definition, $open->value]) }}" class="grid gap-2 pt-2">@csrf
            @method('put')<input type="hidden" name="lens" value="{{ $bench->lens }}">
            <div class="field"><label for="address">Word in addresses</label><input class="input mono" id="address" name="address"
                maxlength="200" value="{{ old('address', $open->value->slug) }}" @error('address') aria-invalid="true"
                    aria-describedby="error-address" @enderror><x-error for="address" /></div>
            <p class="small soft">Links to {{ $open->value->slug }} lead on, from the next edition on and for good.</p>
            <button class="button">Change the address</button>
        </form>
    </details>
@endif
