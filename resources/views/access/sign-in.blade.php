@extends('layouts.page')
@section('title', 'Sign in · Lokum')
@section('body')

    <body>
        <main class="sign-in">
            <div class="sheet">
                <div class="flex items-center gap-3"><svg width="40" height="40" viewBox="0 0 24 24" aria-hidden="true">
                        <rect x="9" y="2" width="11" height="11" rx="3" fill="var(--line-strong)" />
                        <rect x="3" y="11" width="11" height="11" rx="3" fill="var(--rose)" />
                    </svg>
                    <div>
                        <h1>Lokum</h1>
                        <p class="soft">One value, however it is spelled.</p>
                    </div>
                </div>
                <form method="post" action="{{ route('sign-in') }}" class="grid gap-3">
                    @csrf
                    <div class="field"><label for="email">E-mail address</label><input class="input" id="email" name="email"
                        type="email" autocomplete="username" required
                            autofocus value="{{ old('email') }}" @error('email') aria-invalid="true"
                                aria-describedby="error-email" @enderror><x-error for="email" /></div>
                    <div class="field"><label for="password">Password</label><input class="input" id="password" name="password"
                        type="password" autocomplete="current-password"
                            required></div>
                    <button class="button main">Sign in</button>
                </form>
                @if ($demo !== [])
                    <section class="card" aria-label="Demo accounts">
                        <p class="small">This is the demo shop. Its people:</p>
                        <dl class="figures small">
                            @foreach ($demo as $account)
                                <div>
                                    <dt>{{ $account->name }}, {{ $account->role->value }}</dt>
                                    <dd class="mono">{{ $account->email }}<br>{{ $account->password }}</dd>
                                </div>
                            @endforeach
                        </dl>
                    </section>
                @endif
            </div>
        </main>
    </body>
@endsection
