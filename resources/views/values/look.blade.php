{{-- How a value or umbrella is dressed: by picker, by name, from a picture, as a picture. --}}
@php($colors = old('colors', $look->colors))
<div class="field" x-data="look">
    <label for="color_count">Colors</label>
    <div class="flex gap-3 items-center"><select class="select small w-auto" id="color_count" name="color_count">
            @foreach (['none', 'one', 'two', 'three'] as $n => $name)
                <option value="{{ $n }}" @selected((int) old('color_count', count($look->colors)) === $n)>{{ $name }}</option>
            @endforeach
        </select>
        <span class="swatches">
            @for ($i = 0; $i < 3; $i++)
                <input type="color" name="colors[]" value="{{ $colors[$i] ?? ($colors[0]
                    ?? (Lokum\Color\ColorNames::in($label)[$i] ?? '#b9a996')) }}"
                    aria-label="Color {{ $i + 1 }}">
            @endfor
        </span>
    </div>
    <div class="flex gap-2"><input class="input small" name="color_name" placeholder="or by name: black and white"
        aria-label="Color by name" autocomplete="off"><label
            class="button small bare" tabindex="0">from a picture<input type="file" accept="image/png,image/jpeg,image/webp"
                class="sr-only" data-sample-from
                aria-label="Take a color from a picture"></label></div>
    <canvas class="sample" hidden tabindex="0" role="application"
        aria-label="Picture: arrow keys move the cross, Enter takes the color"></canvas>
    <p class="small soft" data-sampled role="status"></p>
    <x-error for="colors" />
</div>
<div class="field"><label for="look_picture">Picture or pattern</label>
    @if ($look->picture)
        <div class="flex gap-3 items-center"><img class="value-thumb" src="{{ route('shop.picture', $look->picture) }}"
            alt="Pattern of {{ $label }}"><label
                class="check"><input type="checkbox" name="no_look_picture" value="1"><span>Take it away</span></label></div>
    @endif
    <input class="input small" type="file" id="look_picture" name="look_picture" accept="image/png,image/jpeg,image/webp"><x-error
        for="picture" />
</div>
<div class="field"><label for="look_label">What shoppers read</label><input class="input" id="look_label" name="look_label" maxlength="100"
        value="{{ old('look_label', $look->label) }}" placeholder="{{ $label }}"></div>
<div class="field"><label for="look_help">Help for shoppers</label><input class="input" id="look_help" name="look_help" maxlength="200"
        value="{{ old('look_help', $look->help) }}"></div>
