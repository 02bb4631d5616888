@php
    $initial = fn (string $label): string => mb_strtoupper(mb_substr((string) Normalizer::normalize($label, Normalizer::FORM_KD), 0, 1));
    $letters = collect($filter->listed())->groupBy(fn ($term) => preg_match('/^\p{L}/u', $initial($term->label)) === 1
        ? $initial($term->label) : '#')->sortKeys();
@endphp
<div x-data>
    <input class="input small mt-2" type="search" id="find-{{ $filter->key }}" aria-label="Find in {{ $filter->title }}"
        placeholder="Find …" data-finds="#list-{{ $filter->key }}"
        data-rows="#list-{{ $filter->key }} .term" x-cloak>
    <div class="terms tall" id="list-{{ $filter->key }}" role="group" aria-label="{{ $filter->title }}" tabindex="0"
        @if ($filter->isCut()) data-more="{{ $address->inList($filter->key) }}" @endif>
        @foreach ($letters as $letter => $terms)
            <div data-letter id="letter-{{ $filter->key }}-{{ $loop->index }}">
                <p class="letter-head" aria-hidden="true">{{ $letter }}</p>
                @foreach ($terms as $term)
                    {!! App\Storefront\TermMarkup::tick($filter, $term) !!}
                @endforeach
            </div>
        @endforeach
    </div>
    @include('shop.controls.whole')
</div>
