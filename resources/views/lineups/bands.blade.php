{{-- Bands over the histogram of this page's products: edges are typed, or dragged. --}}
@use('Lokum\Lineup\Band')
@use('App\Support\Format')
@php($numbers = $facts->numbers)
@php($line = $numbers === [] ? null : new Lokum\Lens\NumberLine(array_map(floatval(...), array_keys($numbers)), array_values($numbers)))
@if ($line)
    @php($bins = array_fill(0, 40, 0)) @foreach ($numbers as $number => $n)
        @php($bins[min(39, (int) floor($line->place((float) $number) * 40))] += $n)
    @endforeach @php($top = max(1, ...$bins))
    <fieldset class="grid gap-2">
        <legend class="label">Bands{{ $settings->control->value === 'bands' ? '' : ' (choose the control “Bands” to show them)' }}</legend>
        <svg class="histogram" viewBox="0 0 600 90" role="group" aria-label="Products by {{ $settings->title }}"
            data-from="{{ $line->from }}" data-to="{{ $line->to }}"
            data-powers="{{ $line->powers ? 1 : 0 }}">
            @foreach ($bins as $i => $n)
                <rect x="{{ $i * 15 }}" y="{{ round(70 - (66 * $n) / $top, 1) }}" width="14" height="{{ round((66 * $n) / $top,
                    1) }}" class="bin">
                    <title>{{ $n }}</title>
                </rect>
            @endforeach
            @foreach ($line->marks() as $mark)
                <text class="map-mark" x="{{ round(600 * $line->place($mark), 1) }}" y="86"
                    text-anchor="middle">{{ Format::number($mark) }}</text>
            @endforeach
            @php($edges = collect($settings->bands)->flatMap(fn($band) => [$band->from,
                $band->to])->filter(fn($edge) => $edge !== null)->unique()->sort()->values())
            @foreach ($edges as $edge)
                <g class="edge" tabindex="0" role="slider" aria-label="Edge" aria-valuemin="{{ $line->from }}"
                    aria-valuemax="{{ $line->to }}"
                    aria-valuenow="{{ $edge }}" data-edge="{{ $edge }}" transform="translate({{ round(600 * min(1, max(0,
                        $line->place($edge))), 1) }} 0)">
                    <line y1="0" y2="70" />
                    <rect x="-6" y="62" width="12" height="12" rx="3" />
                </g>
            @endforeach
        </svg>
        <table class="plain">
            <thead>
                <tr>
                    <th scope="col" class="text-left">lower end</th>
                    <th scope="col" class="text-left">upper end</th>
                    <th scope="col" class="text-left">called</th>
                    <th scope="col" class="text-left">products</th>
                </tr>
            </thead>
            <tbody>
                @php($typed = $errors->any() ? array_values((array) old('bands', [])) : [])
                @php($rows = [...$settings->bands, null, null])
                @foreach (array_pad($rows, count($typed), null) as $i => $band)
                    <tr>
                        @foreach (['from' => ['from', 'above'], 'to' => ['up to', 'below']] as $end => $words)
                            @php($without = ($typed[$i]["without_{$end}"] ?? null) ??
                                (int) ($band !== null && !($end === 'to' ? $band->holdsTo : $band->holdsFrom)))
                            <td><div class="flex gap-1"><select class="input small w-20 pr-1" name="bands[{{ $i }}][without_{{ $end }}]"
                                aria-label="Band {{ $i + 1 }}: {{ implode(' or ', $words) }}">
                                    @foreach ($words as $value => $word)
                                        <option value="{{ $value }}" @selected((int) $without === $value)>{{ $word }}</option>
                                    @endforeach
                                </select>
                                <input class="input small w-16" name="bands[{{ $i }}][{{ $end }}]" inputmode="decimal"
                                    value="{{ $typed[$i][$end] ?? $band?->{$end} }}" aria-label="Band {{ $i + 1 }} {{ $end }}"
                                    placeholder="{{ $band ? 'any' : '' }}"></div></td>
                        @endforeach
                        <td><input class="input small" name="bands[{{ $i }}][label]"
                            value="{{ $typed[$i]['label'] ?? $band?->label }}" maxlength="60"
                                aria-label="Band {{ $i + 1 }} called"
                                    placeholder="{{ $band ? App\Storefront\BandWords::of($settings, $band) : 'another band' }}"></td>
                        <td class="num">{{ $band ? Format::number($facts->holding($band)) : '' }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @foreach (array_slice(Band::remarks($settings->bands, $numbers), 0, 4) as $remark)
            @if ($settings->bands !== [])
                <p class="note small">{{ $remark }}</p>
            @endif
        @endforeach
        <div class="flex gap-2 items-center"><span class="small soft">Propose</span><input class="input small w-14"
            name="band_count" inputmode="numeric"
                value="{{ request('number', 5) }}" aria-label="How many bands"><button class="button small" name="propose"
                    value="steps" formnovalidate>in equal
                steps</button><button class="button small" name="propose" value="shares" formnovalidate>in equal shares</button></div>
    </fieldset>
@endif
