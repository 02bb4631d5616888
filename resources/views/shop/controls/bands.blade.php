<div class="terms cubes in-{{ $filter->settings->columns }}" role="group" aria-label="{{ $filter->title }}">
    @foreach ($filter->terms as $term)
        {!! App\Storefront\TermMarkup::box($filter, $term) !!}
    @endforeach
</div>
