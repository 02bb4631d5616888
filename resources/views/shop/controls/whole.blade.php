{{-- Of a long list the page holds the first terms only; this leads to all of it, without scripts as well. --}}
@if ($filter->isCut())
    <a class="small" id="whole-{{ $filter->key }}" href="{{ $address->whole($filter->key)->url() }}#filter-{{ $filter->key }}">All
        {{ App\Support\Format::number(count($filter->terms)) }}</a>
@endif
