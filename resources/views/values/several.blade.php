{{-- What else can be done with the selected values. --}}
@can('edit')
    <form method="post" action="{{ route('values.several', $definition) }}" class="grid gap-2 border-t border-(--line) pt-3">
        @csrf<input type="hidden" name="lens" value="{{ $bench->lens }}">
        @foreach ($picked as $id)
            <input type="hidden" name="pick[]" value="{{ $id }}">
        @endforeach
        @php($rows = array_values(array_filter(array_map($bench->row(...), $picked))))
        @php($onProducts = count(array_filter($rows, fn($row) => $row->value->showing() === Lokum\Vocabulary\Showing::Products)))
        @php($nowhere = count(array_filter($rows, fn($row) => $row->value->showing() === Lokum\Vocabulary\Showing::Nowhere)))
        @php($heldBack = count(array_filter($rows, fn($row) => $row->held)))
        <div class="flex flex-wrap gap-2">
            @if ($onProducts < count($rows))
                <button class="button small" name="do" value="products"
                    title="Products tell it on their pages; filters have no term for it">On products only</button>
            @endif
            @if ($nowhere < count($rows))
                <button class="button small" name="do" value="hide"
                    title="Products keep the value; shoppers see it nowhere">Hide from shoppers</button>
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
