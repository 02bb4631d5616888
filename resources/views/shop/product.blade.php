@extends('shop.frame')
@use('App\Support\Format')
@section('title', $product->name . ' · ' . $shop->fullName())
@section('shop')
    <main class="max-w-[1040px] mx-auto p-7 grid grid-cols-1 gap-5 break-words">
        <nav aria-label="Where this is" class="soft"><a href="{{ route('shop') }}">All products</a>
            @foreach ($trail as $category)
                / <a href="{{ route('shop.category', $category->slug) }}">{{ $category->name }}</a>
            @endforeach
        </nav>
        <div class="grid grid-cols-1 md:grid-cols-[280px_minmax(0,1fr)] gap-8">
            <div class="border border-(--line) rounded-lg p-6 bg-(--paper) self-start"><x-picture class="w-full"
                :colors="$product->colors" :about="collect($trail)->pluck('name')->implode(' ') . ' ' . $product->name"
                :label="$product->name" /></div>
            <div class="grid grid-cols-1 gap-4 content-start">
                <h1>{{ $product->name }}</h1>
                <p class="mono soft">{{ $product->sku }}</p>
                <p class="big">
                    @if ($product->priceFrom !== null)
                        {{ $product->priceTo > $product->priceFrom ? 'from ' : '' }}{{ Format::money($product->priceFrom,
                            $product->currency ?? $currency) }} <span class="small soft">{{ $shop->taxes->besidePrice() }}</span>
                    @endif
                </p>
                @if ($product->description)
                    <p class="max-w-[60ch] whitespace-pre-line break-words">{{ $product->description }}</p>
                @endif
                @foreach ($sections as $section => $properties)
                    @if ($section !== '')
                        <h2 class="pt-2">{{ $section }}</h2>
                    @endif
                    <dl class="figures max-w-[480px]">
                        @foreach ($properties as $label => $values)
                            <div>
                                <dt>{{ $label }}</dt>
                                <dd>
                                    @foreach (array_unique($values) as $text)
                                        @php($its = $pages["{$label}:{$text}"] ?? null)@if ($its)
                                            <a href="{{ route('shop.value', [$its['directory'], $its['slug']]) }}"
                                                class="inline-flex gap-2 items-center">
                                                @if ($its['picture'])
                                                    <img class="brand-mark" src="{{ route('shop.picture', $its['picture']) }}" alt="">
                                                @endif{{ $text }}
                                            </a>@else{{ $text }}
                                        @endif{{ $loop->last ? '' : ', ' }}
                                    @endforeach
                                </dd>
                            </div>
                        @endforeach
                    </dl>
                @endforeach
            </div>
        </div>
        @if (count($product->variants) > 1)
            @php($labels = collect($product->variants)->flatMap(fn($variant) => array_keys($variant['properties']))->unique())
            <section>
                <h2 class="pb-2">Variants</h2>
                <div class="overflow-x-auto">
                    <table class="grid-table">
                        <thead>
                            <tr>
                                <th scope="col">Sku</th>
                                @foreach ($labels as $label)
                                    <th scope="col">{{ $label }}</th>
                                @endforeach
                                <th scope="col" class="num">
                                    Price</th>
                                <th scope="col">Stock</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($product->variants as $variant)
                                <tr>
                                    <td class="mono">{{ $variant['sku'] }}</td>
                                    @foreach ($labels as $label)
                                        <td>{{ implode(', ', array_unique($variant['properties'][$label] ?? [])) }}</td>
                                    @endforeach
                                    <td class="num">{{ Format::money($variant['price'], $product->currency ?? $currency) }}</td>
                                    <td>{{ $variant['stock'] === null ? '' : ($variant['stock'] > 0 ? 'in stock' : 'sold out') }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
            </section>
        @endif
    </main>
@endsection
