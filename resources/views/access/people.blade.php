@extends('layouts.desk')
@section('title', 'People · Lokum')
@section('crumbs')
    <h1>People</h1>
@endsection
@section('work')
    <x-find-in in="#people" :count="count($people)" what="somebody" class="mx-5 my-3 w-64" data-find />
    <table class="grid-table">
        <thead>
            <tr>
                <th scope="col">Name</th>
                <th scope="col">E-mail address</th>
                <th scope="col">Role and new password</th>
                <th scope="col"><span class="sr-only">Remove</span></th>
            </tr>
        </thead>
        <tbody id="people">
            @foreach ($people as $person)
                <tr>
                    <td class="strong">{{ $person->name }}</td>
                    <td class="mono">{{ $person->email }}</td>
                    <td>
                        <form method="post" action="{{ route('people.update', $person) }}" class="cell-form">@csrf @method('put')
                            <input type="hidden" name="name" value="{{ $person->name }}">
                            <select class="select small" name="role" aria-label="Role of {{ $person->name }}">
                                @foreach (App\Models\Role::cases() as $role)
                                    <option value="{{ $role->value }}" @selected($role === $person->role)>{{ $role->value }}</option>
                                @endforeach
                            </select>
                            <input class="input small" type="password" name="password" minlength="12" placeholder="unchanged"
                                aria-label="New password of {{ $person->name }}"
                                autocomplete="new-password"><button class="button small">Save</button>
                        </form>
                    </td>
                    <td>
                        @unless ($person->is(auth()->user()))
                            <form method="post" action="{{ route('people.destroy', $person) }}">@csrf @method('delete')<button
                                class="button small harm">Remove</button></form>
                        @endunless
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endsection
@section('panel-label', 'New person')
@section('panel')
    <h2>Give someone access</h2>
    <form method="post" action="{{ route('people.store') }}" class="grid gap-3">@csrf
        <div class="field"><label for="name">Name</label><input class="input" id="name" name="name" required maxlength="100"
            value="{{ old('name') }}"><x-error
                for="name" /></div>
        <div class="field"><label for="email">E-mail address</label><input class="input" id="email" name="email" type="email" required
                value="{{ old('email') }}"><x-error for="email" /></div>
        <div class="field"><label for="password">Password, at least 12 characters</label><input class="input" id="password"
            name="password" type="password" minlength="12" required
                autocomplete="new-password"><x-error for="password" /></div>
        <div class="field"><span class="label">Role</span>
            @foreach (App\Models\Role::cases() as $role)
                <label class="check"><input type="radio" name="role" value="{{ $role->value }}"
                    @checked(old('role', 'editor') === $role->value)><span><b>{{ ucfirst($role->value) }}</b><br><span
                            class="small soft">{{ $role->says() }}</span></span></label>
            @endforeach
        </div>
        <button class="button main">Add</button>
    </form>
@endsection
