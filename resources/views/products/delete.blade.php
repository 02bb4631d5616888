{{-- Deleting for good: what would go, before anything does. --}}
@use('App\Support\Format')
<details @if ($bulk->deletion) open @endif>
    <summary class="label">Delete for good</summary>
    @if ($bulk->deletion === null)
        <p class="small soft py-2">Products that are out of the shop can be deleted with their values and all that History knows of
            them.</p>
        <button class="button" form="give" formaction="{{ route('products') }}" formmethod="get" formnovalidate name="delete"
            value="1">Count what would go</button>
    @else
        <dl class="figures">
            @foreach (['products' => 'Products', 'variants' => 'Variants', 'cells' => 'Values on them',
                'sent' => 'That a feed still sends', 'entries' => 'Entries of History that touched them',
                'inShop' => 'Chosen, but in the shop: they stay'] as $figure => $name)
                <div>
                    <dt>{{ $name }}</dt>
                    <dd>{{ Format::number($bulk->deletion[$figure]) }}</dd>
                </div>
            @endforeach
        </dl>
        @if ($bulk->deletion['sent'])
            <p class="note">What a feed still sends comes back with its next delivery, as a new product.</p>
        @endif
        <p class="note harm">This cannot be taken back, and neither can what was done to them before.</p>
        <input type="hidden" form="give" name="going" value="{{ $bulk->deletion['products'] }}">
        <button class="button harm" form="give" formaction="{{ route('products.delete') }}" formnovalidate
            @disabled($bulk->deletion['products'] === 0)>Delete {{ Format::count($bulk->deletion['products'], 'product') }} for
            good</button>
    @endif
</details>
