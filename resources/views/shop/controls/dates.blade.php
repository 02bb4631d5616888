<div class="range"><label>from<input class="input small" type="date" name="{{ $filter->key }}[from]" value="{{ $filter->from === null ? '' : $filter->say($filter->from) }}"
            min="{{ $filter->say($filter->steps->min) }}" max="{{ $filter->say($filter->steps->max) }}"></label><label>to<input class="input small" type="date"
            name="{{ $filter->key }}[to]" value="{{ $filter->to === null ? '' : $filter->say($filter->to) }}" min="{{ $filter->say($filter->steps->min) }}"
            max="{{ $filter->say($filter->steps->max) }}"></label></div>
