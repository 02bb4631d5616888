{{-- The selection, for a form that shows other values. --}}
@foreach ($bench->picked as $id)
    <input type="hidden" name="pick[]" value="{{ $id }}">
@endforeach
