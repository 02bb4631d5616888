<div class="terms" role="group" aria-label="{{ $filter->title }}">
    @foreach ($filter->listed() as $term)
        {!! App\Storefront\TermMarkup::tick($filter, $term) !!}@if ($term->below !== [])
            <details class="below" id="below-{{ $filter->key }}-{{ $term->slug }}" @if (array_filter($term->below,
                fn($one) => $one->picked) !== []) open @endif>
                <summary>{{ count($term->below) }} in it<span class="sr-only">: values of {{ $term->label }}</span></summary>
                <div class="terms">
                    @foreach ($term->below as $one)
                        {!! App\Storefront\TermMarkup::tick($filter, $one) !!}
                    @endforeach
                </div>
            </details>
        @endif
    @endforeach
</div>
@include('shop.controls.whole')
