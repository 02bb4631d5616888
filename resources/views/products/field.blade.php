{{-- One field of a product or variant. What is not changed is not sent on. --}}
@use('Lokum\Vocabulary\Kind')
@php($key = "{$owner->id}-{$definition->id}")
@php($cell = $page->cell($owner, $definition))
@php($now = $cell->text())
@php($typed = old("cells.{$key}.text", $now))
@php($about = "{$definition->label} of {$owner->sku}" . ($definition->unit ? " in {$definition->unit}" : ''))
@can('edit')
    <input type="hidden" name="cells[{{ $key }}][item]" value="{{ $owner->id }}"><input type="hidden"
        name="cells[{{ $key }}][definition]" value="{{ $definition->slug }}"><input type="hidden" name="cells[{{ $key }}][was]"
        value="{{ old("cells.{$key}.was", $cell->token()) }}"><input type="hidden" name="cells[{{ $key }}][now]" value="{{ $now }}">
    @if ($definition->kind === Kind::Flag)
        <select class="select small" name="cells[{{ $key }}][text]" aria-label="{{ $about }}">
            <option value=""></option>
            @foreach (['Yes', 'No'] as $flag)
                <option @selected($typed === $flag)>{{ $flag }}</option>
            @endforeach
        </select>
    @else
        <input class="input small w-full" name="cells[{{ $key }}][text]" value="{{ $typed }}" aria-label="{{ $about }}"
            @if ($definition->kind->isAttribute()) list="values-{{ $definition->id }}" @endif autocomplete="off" data-stop>
    @endif
@else
    {{ $now }}
@endcan
