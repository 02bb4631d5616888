{{-- One spelling, and where else it could belong. --}}
@use('App\Support\Format')
@php($move = $bench->moving($spelling))
@php($from = $bench->row((int) $spelling->value_id))
@php($to = $bench->row((int) request('to')))
<p class="label">A spelling of</p>
<h2><x-cube :label="$from?->value->label ?? 'no value'" :look="$from?->value->look()" /></h2>
<ul class="grid gap-1">
    @foreach (array_slice($move->together, 0, 12) as $one)
        <li class="mono whitespace-pre-wrap break-all">{{ Format::spelling($one->text) }}</li>
    @endforeach
</ul>
@if (count($move->together) > 1)
    <p class="small soft">The same letters: they go together.</p>
@endif
<dl class="figures">
    <div>
        <dt>Products</dt>
        <dd>{{ Format::number($move->products) }}</dd>
    </div>
    @if ($from)
        <div>
            <dt>{{ $from->value->label }} afterwards</dt>
            <dd>about {{ Format::number(max(0, $from->products - $move->products)) }}</dd>
        </div>
    @endif
    <div>
        <dt>Next delivery</dt>
        <dd>it lands where you put it</dd>
    </div>
</dl>
@if ($move->obstacle)
    <p class="note">{{ $move->obstacle }}</p>
@else
    @can('edit')
        <form method="post" action="{{ route('values.spelling', [$definition, $spelling]) }}" class="grid gap-3">@csrf<input
            type="hidden" name="lens" value="{{ $bench->lens }}">
            <button class="button @if (!$to) main @endif" name="own" value="1" formnovalidate data-key="o">A value of its own
            <kbd>O</kbd></button>
            <div class="field"><label for="to">Or a spelling of</label><x-value-field :definition="$definition" id="to"
                name="to" required value="{{ old('to', $to?->value->label) }}" /><x-error for="to" /></div>
            <button class="button @if ($to) main @endif" data-key="m">Put it there <kbd>M</kbd></button>
            <p class="small soft text-center">No product is rewritten. Can be taken back.</p>
        </form>
    @endcan
@endif
