@php($steps = $filter->steps)
<div x-data="scale">
    <div class="slide" x-cloak><input type="range" x-ref="low" min="{{ $steps->min }}" max="{{ $steps->max }}" step="{{ $steps->step }}"
            value="{{ $filter->from === null ? $steps->min : $steps->snap($filter->from) }}" aria-label="{{ $filter->title }} from"><input type="range" x-ref="high"
            min="{{ $steps->min }}" max="{{ $steps->max }}" step="{{ $steps->step }}" value="{{ $filter->to === null ? $steps->max : $steps->snap($filter->to) }}"
            aria-label="{{ $filter->title }} to"></div>
    <div class="range"><label>from{{ $filter->settings->prefix ? ' ' . $filter->settings->prefix : '' }}{{ $filter->unit ? ', ' . App\Format::unit($filter->unit) : '' }}<input
                class="input small" x-ref="from" name="{{ $filter->key }}[from]" inputmode="decimal" value="{{ $filter->from }}"
                placeholder="{{ $steps->min }}"></label><label>to{{ $filter->settings->prefix ? ' ' . $filter->settings->prefix : '' }}{{ $filter->unit ? ', ' . App\Format::unit($filter->unit) : '' }}<input
                class="input small" x-ref="to" name="{{ $filter->key }}[to]" inputmode="decimal" value="{{ $filter->to }}" placeholder="{{ $steps->max }}"></label>
    </div>
</div>
