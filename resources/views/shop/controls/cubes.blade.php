<div class="terms cubes in-{{ $filter->settings->columns }}" role="group"
    aria-label="{{ $filter->title }}">@include('shop.controls.more', ['each' => 'cube', 'class' => 'terms cubes in-'
    . $filter->settings->columns])</div>
