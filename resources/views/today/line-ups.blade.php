{{-- The line-ups that would be composed, for the path on Today. --}}
<div class="grid gap-2">
    @if ($plan === [])
        <p class="soft">No field narrows enough of the products to be proposed. <a
            href="{{ route('line-ups') }}">Add filters by hand</a>.</p>
    @else
        <ul class="grid gap-0.5">
            @foreach ($plan as $one)
                <li class="small"><b>{{ $one['name'] }}</b>: <span
                    class="soft">{{ collect($one['filters'])->map(fn ($filter) => $filter->title)->join(', ') }}</span></li>
            @endforeach
        </ul>
        @can('edit')
            <div class="flex gap-2">
                <form method="post" action="{{ route('path.compose') }}">@csrf<button
                    class="button small main">Compose them</button></form><a
                    class="button small" href="{{ route('line-ups') }}">Compose by hand</a>
            </div>
        @endcan
    @endif
</div>
