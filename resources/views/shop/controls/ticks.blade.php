<div class="terms" role="group" aria-label="{{ $filter->title }}">@include('shop.controls.more', ['each' => 'term', 'class' => 'terms'])</div>
