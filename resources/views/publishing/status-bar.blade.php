@if ($differences === null)
    <span class="dot none"></span><span hx-get="{{ route('publishing.status') }}" hx-trigger="load" hx-target="closest .status"
        hx-swap="innerHTML"><a
            href="{{ route('publishing') }}">{{ $edition === null ? 'Nothing published yet' : "Edition {$edition->id} is live" }}</a></span>
@else
    @include('publishing.status')
@endif
