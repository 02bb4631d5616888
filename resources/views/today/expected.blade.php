{{-- What each category's products would be expected to carry, for the path on Today. --}}
<div class="grid gap-2">
    @if ($proposed === [])
        <p class="soft">No definition is carried by most products of a category. <a href="{{ route('expected') }}">Say it by hand</a>, or go
            on without.</p>
    @else
        <ul class="grid gap-0.5">
            @foreach (array_slice($proposed, 0, 8) as $one)
                <li class="small"><b>{{ $one['category'] === null ? 'Every product' : $tree->find($one['category'])->path }}</b>: <span
                    class="soft">{{ collect($one['definitions'])->map(fn ($id) => $labels[$id])->join(', ') }}</span></li>
            @endforeach
        </ul>
        @if (count($proposed) > 8)
            <p class="soft small">and {{ count($proposed) - 8 }} more places</p>
        @endif
        @can('edit')
            <div class="flex gap-2">
                <form method="post" action="{{ route('path.expect') }}">@csrf<button class="button small main">Expect all of
                    it</button></form><a class="button small" href="{{ route('expected') }}">Say it by hand</a>
            </div>
        @endcan
    @endif
</div>
