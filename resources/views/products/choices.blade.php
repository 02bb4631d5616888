{{-- What the products that are left carry of one definition, to be narrowed by. --}}
@use('App\Support\Format')
@use('Lokum\Vocabulary\Kind')
<div id="choices" class="grid gap-2">
    @if ($choices === null)
        <p class="soft small">Values come with their counts, numbers with their range.</p>
    @elseif ($choices->definition->kind->isAttribute())
        <input class="input small" type="search" name="word" value="{{ $choices->words }}" placeholder="Find a value"
            aria-label="Find a value of {{ $choices->definition->label }}" hx-get="{{ route('products.choices') }}"
            hx-include="closest form" hx-trigger="input changed delay:250ms" hx-target="#choice-list" hx-select="#choice-list"
            hx-swap="outerHTML" hx-sync="this:replace">
        <ul id="choice-list" class="grid gap-0.5 max-h-[220px] overflow-auto">
            @forelse ($choices->values as $value)
                <li><label class="check"><input type="checkbox" name="is[]" value="{{ $value['slug'] }}"><span
                    class="grow cut">{{ $value['label'] }}</span><span
                    class="soft">{{ Format::number($value['products']) }}</span></label></li>
            @empty
                <li class="soft">{{ $choices->words === '' ? 'None of these products carries it.' : 'No value has these words.' }}</li>
            @endforelse
            @if ($choices->more)
                <li class="soft small">More are found by their words.</li>
            @endif
        </ul>
    @elseif ($choices->definition->kind === Kind::Number)
        @if ($choices->bars === [])
            <p class="soft">None of these products carries it.</p>
        @else
            @php($top = max(1, ...$choices->bars))
            <svg viewBox="0 0 300 44" class="w-full h-11" role="img"
                aria-label="Products by {{ $choices->definition->label }}, from {{ Format::number($choices->from) }} to
                    {{ Format::number($choices->to) }}">
                @foreach ($choices->bars as $i => $n)
                    <rect x="{{ $i * 10 }}" y="{{ 44 - 44 * $n / $top }}" width="9" height="{{ 44 * $n / $top }}" fill="var(--rose)"
                        opacity=".55" />
                @endforeach
            </svg>
            <div class="grid grid-cols-2 gap-3">
                <div class="field"><label for="from">{{ $choices->definition->unit ? "from, {$choices->definition->unit}"
                    : 'from' }}</label><input class="input small" id="from" name="from"
                        inputmode="decimal" placeholder="{{ Format::number($choices->from) }}"></div>
                <div class="field"><label for="to">to</label><input class="input small" id="to" name="to" inputmode="decimal"
                    placeholder="{{ Format::number($choices->to) }}"></div>
            </div>
        @endif
    @else
        <div class="field"><label for="contains">Contains</label><input class="input small" id="contains" name="is[]"></div>
    @endif
</div>
