{{-- Several fields of yes and no said at once, as one step. --}}
@use('App\Products\FlagChange')
@use('App\Support\Format')
@php($each = new Illuminate\View\ComponentAttributeBag(['hx-trigger' => 'change'] + $again))
<table class="grid-table dense">
    <thead>
        <tr>
            <th scope="col">Field</th>
            <th scope="col">Becomes</th>
            <th scope="col" class="num">Change</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($bulk->flags as $one)
            <tr>
                <td><label for="flag-{{ $one->definition->slug }}">{{ $one->definition->label }}</label></td>
                <td><select class="select small" id="flag-{{ $one->definition->slug }}"
                        name="flag[{{ $one->definition->slug }}]" {{ $each }}>
                        @foreach (['' => 'as it is', 'yes' => 'yes', 'no' => 'no', FlagChange::EMPTY => 'empty'] as $value => $name)
                            <option value="{{ $value }}" @selected($one->wanted === (string) $value)>{{ $name }}</option>
                        @endforeach
                    </select></td>
                <td class="num" title="{{ $one->figures ? Format::number($one->figures->have) . ' have it already, '
                    . Format::number($one->figures->replaced) . ' lose another' : '' }}">{{ $one->figures
                        ? Format::number($one->figures->change) : '' }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
@if ($bulk->wanted() !== [])
    @php($changed = array_sum(array_map(fn($one) => $one->figures->change ?? 0, $bulk->wanted())))
    @php($byHand = array_sum(array_map(fn($one) => $one->figures->byHand ?? 0, $bulk->wanted())))
    <input type="hidden" name="counted" value="{{ $bulk->counted() }}">
    @if ($byHand)
        <p class="note">{{ Format::count($byHand, 'cell') }} of these {{ $byHand === 1 ? 'was' : 'were' }} set by hand.</p>
    @endif
    @can('edit')
        <div class="deed"><button class="button main" data-key="s"
            @disabled($changed === 0)>Set {{ Format::count($changed, 'cell') }} <kbd>S</kbd></button>
            <p class="small soft text-center">One step in History. Can be taken back.</p>
        </div>
    @endcan
@endif
