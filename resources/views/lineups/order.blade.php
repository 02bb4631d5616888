{{-- A better order, to be taken or left. --}}
<section class="card">
    <h3>In the order of what they earn here</h3>
    <p class="soft small">Coverage times narrowing, less what filters above have said already.</p>
    <ol class="flex flex-wrap gap-2">
        @foreach ($order as $key)
            <li class="chip">{{ $lineup->filters[$key]->settings()->title }}
            <span class="soft">{{ round(100 * $worth[$key]->earns) }}</span></li>
        @endforeach
    </ol>
    @can('edit')<form method="post" action="{{ route('line-ups.order') }}" class="flex gap-2">@csrf<input type="hidden"
        name="page" value="{{ $page }}"><input
                type="hidden" name="at" value="{{ request('at') }}">
            @foreach ($order as $key)
                <input type="hidden" name="ids[]" value="{{ $key }}">
            @endforeach
            <button class="button small main" data-key="t">
                Take this order <kbd>T</kbd></button><a class="button small" href="{{ route('line-ups', ['page' => $page,
                    'at' => request('at')]) }}">Leave it</a>
    </form>@endcan
</section>
