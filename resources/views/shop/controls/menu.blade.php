@php($several = !$filter->isSingle())
@foreach ($several ? array_filter($filter->terms, fn($term) => $term->picked) : [] as $term)
    <label class="term">
        <input type="checkbox" id="pick-{{ $filter->key }}-{{ $term->slug }}" name="{{ $filter->key }}[]"
            value="{{ $term->slug }}" checked><span class="name">{{ $term->label }}</span></label>
@endforeach
<select class="select mt-2" id="pick-{{ $filter->key }}" data-acts name="{{ $filter->field() }}" aria-label="{{ $filter->title }}">
    <option value="">{{ $several && array_filter($filter->terms, fn($term) => $term->picked) ? 'another one …' : 'any' }}</option>
    @foreach ($filter->listed() as $term)
        @continue($several && $term->picked)
        <option value="{{ $term->slug }}" @selected(!$several && $term->picked) @disabled(!$term->isAvailable())>
            {{ $term->label }}{{ $filter->settings->counts ? ' (' . App\Support\Format::number($term->count) . ')' : '' }}</option>
    @endforeach
</select>
@include('shop.controls.whole')
