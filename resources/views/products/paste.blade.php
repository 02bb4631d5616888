{{-- What was pasted, looked over whole before any of it is put in. --}}
@use('App\Support\Format')
<p class="label">Pasted</p>
<h2>{{ $figures->placed ? 'Put ' . Format::count($figures->placed, 'cell') . ' in?' : 'Nothing fits' }}</h2>
<dl class="figures">
    <div>
        <dt>Products or variants that change</dt>
        <dd>{{ Format::number($figures->changed) }}</dd>
    </div>
    <div>
        <dt>Cells that cannot be placed</dt>
        <dd>{{ Format::number(count($figures->refused)) }}</dd>
    </div>
</dl>
@if ($figures->new !== [])
    <p class="note">Values that are made: {{ mb_strimwidth(implode(', ', $figures->new), 0, 240, '…') }}.</p>
@endif
@if ($figures->refused !== [])
    <table class="samples">
        <caption class="label">Cannot be placed</caption>
        <tbody>
            @foreach (array_slice($figures->refused, 0, 12) as $refused)
                <tr>
                    <th scope="row" class="mono">{{ $refused['sku'] }}</th>
                    <td>{{ $refused['definition'] }}: {{ $refused['text'] }}</td>
                </tr>
                <tr>
                    <td colspan="2" class="soft">{{ ucfirst($refused['reason']) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if (count($figures->refused) > 12)
        <p class="soft">and {{ Format::number(count($figures->refused) - 12) }} more</p>
    @endif
@endif
<div class="deed">
    @if ($figures->placed)
        <button type="button" class="button main" data-put-in data-key="s">Put in{{ $figures->refused !== [] ? ' the others'
            : '' }} <kbd>S</kbd></button>
    @endif
    <button type="button" class="button" data-let-go>Let it go</button>
</div>
