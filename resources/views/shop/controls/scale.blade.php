@php($steps = $filter->steps)
<div x-data="scale">
    <div class="slide" x-cloak><input type="range" id="low-{{ $filter->key }}" x-ref="low" min="{{ $steps->min }}"
        max="{{ $steps->max }}" step="{{ $steps->step }}"
            value="{{ $filter->from === null ? $steps->min : $steps->snap($filter->from) }}"
                aria-label="{{ $filter->title }} from"><input type="range" id="high-{{ $filter->key }}" x-ref="high"
            min="{{ $steps->min }}" max="{{ $steps->max }}" step="{{ $steps->step }}" value="{{ $filter->to === null ? $steps->max
                : $steps->snap($filter->to) }}"
            aria-label="{{ $filter->title }} to"></div>
    <div class="range"><label><span class="sr-only">{{ $filter->title }} </span>from{{ $filter->settings->prefix ? ' '
        . $filter->settings->prefix : '' }}{{ $filter->unit ? ', ' . App\Support\Format::unit($filter->unit) : '' }}<input
                class="input small" id="from-{{ $filter->key }}" x-ref="from" name="{{ $filter->key }}[from]" inputmode="decimal"
                    value="{{ $filter->from }}"
                placeholder="{{ $steps->min }}"></label><label><span
                    class="sr-only">{{ $filter->title }} </span>to{{ $filter->settings->prefix ? ' ' . $filter->settings->prefix
                    : '' }}{{ $filter->unit ? ', ' . App\Support\Format::unit($filter->unit) : '' }}<input
                class="input small" id="to-{{ $filter->key }}" x-ref="to" name="{{ $filter->key }}[to]" inputmode="decimal"
                    value="{{ $filter->to }}" placeholder="{{ $steps->max }}"></label>
    </div>
</div>
