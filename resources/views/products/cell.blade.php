@can('edit')
    @php($typed = old('definition') === $definition->slug && (int) old('item') === $owner->id)
    <form method="post" action="{{ route('products.update', $owner) }}" class="cell-form">
        @csrf @method('put')<input type="hidden" name="version" value="{{ $owner->version }}"><input type="hidden" name="item"
            value="{{ $owner->id }}"><input type="hidden"
            name="definition" value="{{ $definition->slug }}">@if ($typed && $errors->has('make'))<input type="hidden" name="make"
                value="1">@endif
        @php($now = $typed
            ? old('value')[0] ?? ''
            : collect($held)->map(fn($cell) => $cell->label ?? $cell->text)->unique()->implode($definition->multiple
                ? $definition->separator : ' '))
        @if ($definition->kind === Lokum\Vocabulary\Kind::Flag)
            <select class="select small" name="value[]" aria-label="{{ $definition->label }} of {{ $owner->sku }}">
                <option value=""></option>
                @foreach (['Yes', 'No'] as $flag)
                    <option @selected($now === $flag)>{{ $flag }}</option>
                @endforeach
            </select>
        @else<input class="input small" name="value[]" value="{{ $now }}" @if ($definition->kind->isAttribute())
            list="values-{{ $definition->id }}" @endif
                aria-label="{{ $definition->label }} of {{ $owner->sku }}{{ $definition->unit ? ' in ' . $definition->unit : '' }}"
                @if ($typed && $errors->isNotEmpty()) aria-invalid="true" @endif data-stop>
        @endif
        <button class="button small">Set<span class="sr-only"> {{ $definition->label }} of {{ $owner->sku }}</span></button>
    </form>
@endcan
