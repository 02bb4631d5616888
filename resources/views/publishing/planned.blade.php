{{-- A publication at a set time: the one that is planned, or a form for one. --}}
@use('App\Support\Format')
@if ($planned)
    <div class="note grid gap-2">
        <p>An edition is published <b>{{ Format::moment($planned->at) }}</b>{{ $planned->user ? ", for {$planned->user->name}" : '' }},
            {{ $planned->anyway ? 'whatever shoppers lose.' : 'unless shoppers lose more than the settings let pass.' }}</p>
        @can('publish')
            <form method="post" action="{{ route('publishing.call-off') }}">@csrf @method('delete')<button class="button small">Call
                it off</button></form>
        @endcan
    </div>
@elsecan('publish')
    <details @if ($errors->has('at')) open @endif>
        <summary class="label">Later, at a set time</summary>
        <form method="post" action="{{ route('publishing.plan') }}" class="grid gap-2 pt-2">@csrf
            <div class="field"><label for="at">When, by the shop's clock ({{ config('lokum.timezone') }})</label><input class="input"
                    type="datetime-local" id="at" name="at" required value="{{ old('at') }}" @error('at') aria-invalid="true"
                    aria-describedby="error-at" @enderror><x-error for="at" /></div>
            <label class="check"><input type="checkbox" name="anyway" value="1" @checked(old('anyway'))><span>Even where a filter goes
                or a term loses much by then</span></label>
            <button class="button">Plan it</button>
        </form>
    </details>
@endif
