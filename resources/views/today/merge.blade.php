{{-- Look-alikes of a new catalog, for the path on Today. --}}
@use('App\Support\Format')
<div class="grid gap-2">
    @if ($alike === [])
        <p class="soft">No value looks like another.</p>
    @else
        <p class="soft">{{ Format::count(array_sum(array_column($alike, 'groups')), 'group') }} of look-alikes, each with its
            reason. What is certain can be merged at once; the rest is looked at.</p>
        <p class="flex flex-wrap gap-2">
            @foreach ($alike as $one)
                <a class="chip" href="{{ route('values.review', $one['slug']) }}">{{ $one['label'] }} <b>{{ $one['groups'] }}</b></a>
            @endforeach
        </p>
    @endif
</div>
