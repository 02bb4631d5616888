{{-- E-mail that was put down instead of being sent. --}}
@extends('layouts.desk')
@section('title', 'Outbox · Lokum')
@section('crumbs')
    <a href="{{ route('feeds') }}">Feeds</a><span class="before">/</span>
    <h1>Outbox</h1>
@endsection
@section('work')
    <div class="pad grid gap-5 max-w-[760px]">
        @forelse ($mails as $mail)
            <article class="card">
                <h2>{{ $mail['subject'] }}</h2>
                <p class="soft small">to {{ $mail['to'] }} · <x-when :at="$mail['when']" /></p>
                <p class="whitespace-pre-line">{{ $mail['text'] }}</p>
            </article>
        @empty
            <div class="empty">
                <h2>No e-mail yet</h2>
                <p class="soft">Settings say who gets the night's report. Where no mail server is named (LOKUM_MAIL), it is put down
                    here.</p>
            </div>
        @endforelse
    </div>
@endsection
@section('panel')
    <h2>Put down, not sent</h2>
    <p class="soft">The files lie in <span class="mono">outbox</span> in the data directory, as any mail program reads them.</p>
@endsection
