{{-- One filter. Its control is a file of its own in controls/. --}}
<details class="filter" id="filter-{{ $filter->key }}" @if ($filter->open) open @endif>
    <summary @class(['untitled' => !$filter->settings->titleShown])><span
        @class(['sr-only' => !$filter->settings->titleShown])>{{ $filter->title }}</span></summary>
    @if ($filter->help())
        <p class="small soft">{{ $filter->help() }}</p>
    @endif @include('shop.controls.' . $filter->control->value)
    @if ($filter->picked() !== [] && ($filter->isSingle() || count($filter->picked()) > 1))
        <a class="small"
            href="{{ $address->without($filter->key)->url() }}">{{ $filter->isSingle() ? 'Any ' . mb_strtolower($filter->title)
                : 'Clear ' . mb_strtolower($filter->title) }}</a>
    @endif
</details>
