@extends('layouts.page')
@section('title', 'Begin · Lokum')
@section('body')

    <body>
        <main class="sign-in">
            <div class="sheet">
                <div>
                    <h1>Lokum</h1>
                    <p class="soft">This catalog is yours to begin. Its first account is a manager's; whoever works with you gets one
                        from you later, under People.</p>
                </div>
                <form method="post" action="{{ route('begin', $secret) }}" class="grid gap-3">
                    @csrf
                    <div class="field"><label for="name">Your name</label><input class="input" id="name" name="name" required
                        maxlength="100" autocomplete="name" autofocus value="{{ old('name') }}"><x-error for="name" /></div>
                    <div class="field"><label for="email">E-mail address</label><input class="input" id="email" name="email" type="email"
                        required maxlength="200" autocomplete="username" value="{{ old('email') }}"><x-error for="email" /></div>
                    <div class="field"><label for="password">Password, at least {{ App\Access\SoundPassword::SHORTEST }}
                            characters</label><input class="input" id="password" name="password" type="password" required
                            minlength="{{ App\Access\SoundPassword::SHORTEST }}" maxlength="200" autocomplete="new-password"><x-error
                            for="password" /></div>
                    <button class="button main">Begin</button>
                </form>
            </div>
        </main>
    </body>
@endsection
