@props(['for'])
@error($for)
    <p class="error" id="error-{{ $for }}" role="alert">{{ $message }}</p>
@enderror
