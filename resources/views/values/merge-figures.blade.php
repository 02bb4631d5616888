{{-- What a merge will touch, before it is done. --}}
@use('App\Support\Format')
<dl class="figures">
    <div>
        <dt>Products whose value changes</dt>
        <dd>{{ Format::number($merge->changing) }}</dd>
    </div>
    <div>
        <dt>{{ $merge->plan->keep->label }} afterwards</dt>
        <dd>{{ Format::count($merge->afterwards, 'product') }}</dd>
    </div>
    <div>
        <dt>Values of {{ $definition->label }}</dt>
        <dd>{{ $merge->values }} → {{ $merge->values - count($merge->plan->moved) }}</dd>
    </div>
    <div>
        <dt>Terms shoppers see</dt>
        <dd>{{ $merge->terms }} → {{ $merge->termsAfter }}</dd>
    </div>
    <div>
        <dt>Filters that follow</dt>
        <dd>{{ implode(', ', $merge->filters) ?: 'none' }}</dd>
    </div>
    @if ($merge->handPicked !== [])
        <div>
            <dt>Hand-picked lists</dt>
            <dd>{{ implode(', ', $merge->handPicked) }} {{ count($merge->handPicked) === 1 ? 'follows' : 'follow' }} by itself</dd>
        </div>
    @endif
    @foreach (array_slice($merge->plan->redirects(), 0, 4) as $from => $to)
        <div>
            <dt>Old address</dt>
            <dd class="mono">…/{{ $from }} leads to …/{{ $to }}</dd>
        </div>
    @endforeach
    <div>
        <dt>Next delivery</dt>
        <dd>{{ Format::count(count($merge->plan->moves()), 'spelling') }} {{ count($merge->plan->moves()) === 1 ? 'lands'
            : 'land' }} here</dd>
    </div>
</dl>
@include('values.pages', ['pages' => $merge->pages])
