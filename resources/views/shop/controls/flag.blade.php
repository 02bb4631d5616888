@include('shop.controls.ticks')
