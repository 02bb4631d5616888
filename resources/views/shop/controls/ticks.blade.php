<div class="terms" role="group" aria-label="{{ $filter->title }}">@include('shop.controls.more', ['each' => 'tick',
    'class' => 'terms'])</div>
