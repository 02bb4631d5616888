@use('App\Support\Format')
<div class="goods" id="goods" tabindex="-1" data-edition="{{ $page->edition }}">
    @foreach ($page->shown as $product)
        <a class="good" href="{{ route('shop.product', $product->sku) }}"><x-picture :colors="$product->colors"
            :about="$about . ' ' . $product->name" :label="$product->name" /><span
                class="title">{{ $product->name }}</span><span class="price">
                @if ($product->priceFrom !== null)
                    {{ $product->priceTo > $product->priceFrom ? 'from ' : '' }}{{ Format::money($product->priceFrom,
                        $product->currency ?? $page->currency()) }} <span
                        class="small soft">{{ $shop->taxes->besidePrice() }}</span>
                @endif
            </span>
            @if ($product->inStock === false)
                <span class="tag justify-self-start">sold out</span>
                @endif @if (count($product->variants) > 1)
                    <span class="small soft">{{ count($product->variants) }} variants</span>
                @endif
        </a>
    @endforeach
</div>
