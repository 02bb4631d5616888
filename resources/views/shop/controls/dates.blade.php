<div class="range"><label><span class="sr-only">{{ $filter->title }} </span>from<input class="input small" type="date"
    id="from-{{ $filter->key }}" name="{{ $filter->key }}[from]" value="{{ $filter->from === null ? '' : $filter->say($filter->from) }}"
            min="{{ $filter->say($filter->steps->min) }}" max="{{ $filter->say($filter->steps->max) }}"></label><label><span
                class="sr-only">{{ $filter->title }} </span>to<input class="input small" type="date" id="to-{{ $filter->key }}"
            name="{{ $filter->key }}[to]" value="{{ $filter->to === null ? '' : $filter->say($filter->to) }}"
                min="{{ $filter->say($filter->steps->min) }}"
            max="{{ $filter->say($filter->steps->max) }}"></label></div>
