{{-- What is wrong with fields, all in one place; what was refused as a whole stands at the top of the work already. --}}
@foreach (array_merge(...array_values(Illuminate\Support\Arr::except($errors->getMessages(), 'refused'))) as $message)
    <p class="note harm" role="alert">{{ $message }}</p>
@endforeach
