@use('App\Support\Format')
<p class="label">{{ $editing->label }}</p>
<h2>What it holds together</h2>
<dl class="figures">
    <div>
        <dt>Products that carry it</dt>
        <dd>{{ Format::number($ending['products']) }}</dd>
    </div>
    <div>
        <dt>Values</dt>
        <dd>{{ Format::number($ending['values']) }}</dd>
    </div>
    <div>
        <dt>Spellings</dt>
        <dd>{{ Format::number($ending['spellings']) }}</dd>
    </div>
    <div>
        <dt>Filters that go</dt>
        <dd>{{ implode(', ', $ending['filters']) ?: 'none' }}</dd>
    </div>
    <div>
        <dt>Fill rules that stop</dt>
        <dd>{{ $ending['rules'] }}</dd>
    </div>
    <div>
        <dt>Categories that expect it</dt>
        <dd>{{ $ending['categories'] }}</dd>
    </div>
    <div>
        <dt>Headings that lead to it</dt>
        <dd>{{ implode(', ', $ending['headings']) ?: 'none' }}</dd>
    </div>
</dl>
@can('edit')
    <form method="get" action="{{ route('definitions') }}" class="grid gap-2"><input type="hidden" name="open" value="{{ $editing->slug }}">
        <div class="field"><label for="into">Merge into</label><select class="select" id="into" name="into">
                @foreach ($groups['In use']->merge($groups['Proposed']) as $other)
                    @continue($other->id === $editing->id)
                    <option value="{{ $other->slug }}">{{ $other->label }}</option>
                @endforeach
            </select></div><button class="button">See what merging does</button>
    </form>
    <form method="post" action="{{ route('definitions.end', $editing) }}" class="deed">@csrf
        <button class="button" name="how" value="retire">Retire: keep the data, show it to nobody</button>
        <button class="button harm" name="how" value="delete">Delete with {{ Format::count($ending['products'],
            'product\'s value', 'products\' values') }}</button>
        <p class="small soft text-center">Either is one step in History and can be taken back.</p>
    </form>
@endcan
