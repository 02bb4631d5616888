{{-- What is selected and not in sight: a search or another page left it out, not the selection. --}}
@php($elsewhere = array_filter(array_map($bench->row(...), array_diff($bench->picked, $inSight))))
@if ($elsewhere !== [])
    <div class="bar elsewhere"><span class="label">Selected, not shown here</span>
        @foreach ($elsewhere as $row)
            <label class="choose-term"><input class="pick" type="checkbox" name="pick[]" value="{{ $row->id }}" checked><x-cube
                    :label="$row->label" :look="$row->value->look()" /></label>
        @endforeach
    </div>
@endif
