<div class="flex gap-2 mt-2"><input class="input small" type="search" id="pick-{{ $filter->key }}" name="{{ $filter->key }}"
    value="{{ $filter->words }}" maxlength="200"
        aria-label="{{ $filter->title }}{{ $filter->settings->wholeText ? ', the whole text' : ' contains' }}"
        placeholder="{{ $filter->settings->wholeText ? 'the whole text' : 'contains …' }}"></div>
