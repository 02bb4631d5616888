@extends('shop.frame')
@section('title', $shop->fullName())
@section('shop')
    <main class="empty">
            <h1>The shop opens soon</h1>
            <p class="soft">No edition was published yet.</p>
            @if (Route::has('publishing'))
                <a class="button" href="{{ route('publishing') }}">Publish the first edition</a>
            @endif
    </main>
@endsection
