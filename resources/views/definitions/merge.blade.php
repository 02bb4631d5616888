@use('App\Support\Format')
<p class="label">
    {{ $editing->label }} <span class="mono">{{ $editing->slug }}</span></p>
<h2>Merge into {{ $into->label }}?</h2>
@if ($mergeProblem)
    <p class="note harm" role="alert">{{ $mergeProblem }}</p>
@else
    <dl class="figures">
        <div>
            <dt>Carry {{ $editing->label }}</dt>
            <dd>{{ Format::number($merging->items) }}</dd>
        </div>
        <div>
            <dt>Get the value in {{ $into->label }}</dt>
            <dd>{{ Format::number($merging->come) }}</dd>
        </div>
        <div>
            <dt>Have the same there already</dt>
            <dd>{{ Format::number($merging->same) }}</dd>
        </div>
        <div>
            <dt>Have another one there, which stays</dt>
            <dd>{{ Format::number($merging->conflicts) }}</dd>
        </div>
        <div>
            <dt>Values with the same letters</dt>
            <dd>{{ Format::number($merging->joined) }}</dd>
        </div>
        <div>
            <dt>Values that come new</dt>
            <dd>{{ Format::number($merging->moved) }}</dd>
        </div>
        <div>
            <dt>Filters that follow</dt>
            <dd>{{ implode(', ', $merging->filters) ?: 'none' }}</dd>
        </div>
        <div>
            <dt>Fill rules that follow</dt>
            <dd>{{ $merging->rules }}</dd>
        </div>
    </dl>
    @if ($merging->headings !== [])
        <p class="note">Next deliveries: {{ implode(', ', array_map(fn($heading) => "“{$heading}”", $merging->headings)) }}
            {{ count($merging->headings) === 1 ? 'leads' : 'lead' }} to {{ $into->label }}.</p>
    @endif
    @if ($merging->samples !== [])
        <table class="samples">
            <caption class="label">Differ: the left one stays</caption>
            <tbody>
                @foreach ($merging->samples as $sample)
                    <tr>
                        <th scope="row" class="mono">{{ $sample['item'] }}</th>
                        <td>{{ $sample['stays'] }}</td>
                        <td class="soft">{{ $sample['goes'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @can('edit')
        <form method="post" action="{{ route('definitions.merge', $editing) }}" class="deed">@csrf<input type="hidden" name="into"
            value="{{ $into->slug }}"><button
                class="button main" data-key="m">Merge, keep “{{ $into->label }}” <kbd>M</kbd></button><a class="button"
                href="{{ route('definitions', ['open' => $into->slug, 'into' => $editing->slug]) }}">Keep “{{ $editing->label }}”
                    instead</a>
            <p class="small soft text-center">One step in History. Can be taken back.</p>
        </form>
    @endcan
@endif
