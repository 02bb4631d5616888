@extends('layouts.desk')
@section('title', 'Your password · Lokum')
@section('crumbs')
    <h1>Your password</h1>
@endsection
@section('work')
    <form method="post" action="{{ route('account.update') }}" class="pad grid gap-3 max-w-[420px]">@csrf @method('put')
        <p class="soft">{{ auth()->user()->name }}, {{ auth()->user()->email }}, {{ auth()->user()->role->value }}.
            {{ auth()->user()->role->says() }}.</p>
        @foreach (['now' => ['Password now', 'current-password'], 'password' => ['New password, at least '
            . App\Access\SoundPassword::SHORTEST . ' characters', 'new-password'],
            'password_confirmation' => ['The new one again', 'new-password']] as $name => [$label, $fills])
            <div class="field"><label for="{{ $name }}">{{ $label }}</label><input class="input" id="{{ $name }}"
                name="{{ $name }}" type="password" required maxlength="200"
                    autocomplete="{{ $fills }}" @error($name) aria-invalid="true" aria-describedby="error-{{ $name }}"
                        @enderror><x-error :for="$name" /></div>
        @endforeach
        <button class="button main justify-self-start" data-key="s">Change it <kbd>S</kbd></button>
    </form>
@endsection
@section('panel-label', 'What that does')
@section('panel')
    <h2>What that does</h2>
    <p class="soft">All other sessions of yours end at once. The change is entered in History, the password is not.</p>
@endsection
