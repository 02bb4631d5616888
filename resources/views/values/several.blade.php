{{-- What else can be done with the selected values. --}}
@can('edit')
    <form method="post" action="{{ route('values.several', $definition) }}" class="grid gap-2 border-t border-(--line) pt-3">
        @csrf<input type="hidden" name="lens" value="{{ $bench->lens }}">
        @foreach ($picked as $id)
            <input type="hidden" name="pick[]" value="{{ $id }}">
        @endforeach
        @php($rows = array_values(array_filter(array_map($bench->row(...), $picked))))
        @php($heldBack = count(array_filter($rows, fn($row) => $row->value->held)))
        <div class="flex flex-wrap gap-2">
            @if ($heldBack < count($rows))
                <button class="button small" name="do" value="hide"
                    title="Products keep the value; shoppers find no term for it">Hide from shoppers</button>
                @endif @if ($heldBack > 0)
                    <button class="button small" name="do" value="show">Show to shoppers</button>
                @endif
                <button class="button small" name="do" value="retire"
                    title="Hidden, and no more offered where values are typed; products keep it">Retire</button>
                @if (array_filter($rows, fn($row) => $row->value->look()->isUndressed()) !== []
                    && $bench->wearsColors())
                    <button class="button small" name="do" value="dress">Dress from {{ count($rows) === 1 ? 'its name'
                        : 'their names' }}</button>
                @endif
        </div>
    </form>
@endcan
