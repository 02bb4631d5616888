@extends('shop.frame')
@section('title', 'Quillmoor Art Supply')
@section('shop')
    <main class="empty">
            <h1>The shop opens soon</h1>
            <p class="soft">No edition was published yet.</p>@auth<a class="button main" href="{{ route('publishing') }}">Publish the first edition</a>@endauth
    </main>
@endsection
