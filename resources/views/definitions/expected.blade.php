@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Expected · Definitions · Lokum')
@section('crumbs')
    <a href="{{ route('definitions') }}">Definitions</a><span class="before">/</span>
    <h1>Expected</h1>
@endsection
@section('lens')
    @include('definitions.lens')
@endsection
@section('work')
    <div class="bar"><span class="soft">What products of a category should carry. Categories below take it over, and can drop
        it.</span><x-csv class="ml-auto" /><a class="button small"
            href="{{ route('expected', ['category' => '']) }}">Of every product</a></div>
    @if ($rows === [])
        <div class="empty">
            <h2>No categories yet</h2>
            <p class="soft">They come with a supplier's file.</p><a class="button" href="{{ route('feeds') }}">Read a feed</a>
        </div>
    @else
        <x-find-in in="#categories" :count="count($rows)" what="a category" class="mx-5 my-3 w-64" data-find />
        <table class="grid-table">
            <thead>
                <tr>
                    <th scope="col">Category</th>
                    <th scope="col">Expected, and the share that carries it</th>
                    <th scope="col" class="num">Gaps</th>
                </tr>
            </thead>
            <tbody id="categories">
                @foreach ($rows as ['category' => $category, 'depth' => $depth, 'figures' => $figures])
                    <tr data-row @class(['open' => $open && $open->id === $category->id])>
                        <td class="named depth-{{ min($depth, 4) }}"><a class="name" data-stop
                                href="{{ route('expected', ['category' => $category->slug]) }}">{{ $category->name }}</a></td>
                        <td>
                            <div class="flex flex-wrap gap-x-3 gap-y-1">
                                @foreach ($figures as $id => ['expected' => $all, 'carried' => $carried])
                                    @php($share = Format::share($carried, $all))
                                    <a class="share @if ($share < 95) low @endif"
                                        href="{{ route('products', ['where' => ["category:{$category->slug}",
                                            "gap:{$definitions[$id]->slug}"], 'columns' => [$definitions[$id]->slug]]) }}"
                                        title="{{ Format::number($all - $carried) }} of {{ Format::count($all,
                                            'product') }} miss it">{{ $definitions[$id]->label }} <x-meter
                                            :share="$share" /> <b>{{ $share }} %</b></a>
                                @endforeach
                            </div>
                        </td>
                        <td class="num">{{ Format::number(array_sum(array_map(fn($one) => $one['expected'] - $one['carried'],
                            $figures))) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
@endsection
@section('panel')
    @if ($open === false)
        <h2>Choose a category</h2>
        <p class="soft">Its definitions open here. A figure leads to the products that miss the value, where a few keys or a rule
            give it to all of them.</p>
    @else
        <p class="label">{{ $open ? $open->path : 'Every product' }}</p>
        <h2>Expected here</h2>
        @if ($candidates->isNotEmpty())
            @can('edit')
                <form method="post" action="{{ route('expected.store') }}" class="note grid gap-2">@csrf<input type="hidden"
                    name="category" value="{{ $open?->slug }}"><input
                        type="hidden" name="expected" value="yes">
                    @foreach ($candidates as $definition)
                        <input type="hidden" name="definitions[]" value="{{ $definition->id }}">
                    @endforeach
                    <span>Most products here carry {{ $candidates->pluck('label')->join(', ', ' and ') }}.</span><button
                        class="button small" data-key="s">Expect
                        {{ $candidates->count() === 1 ? 'it' : 'them' }} <kbd>S</kbd></button>
                </form>
            @endcan
        @endif
        <ul class="grid gap-1">
            @foreach ($definitions as $definition)
                @php($is = in_array($definition->id, $inherited, true))
                @php($says = $expected->says($open ? $open->id : null, $definition->id))
                @php($share = (int) floor(100 * ($shares[$definition->id] ?? 0)))
                <li class="flex items-center gap-2"><span @class(['grow cut', 'strong' => $is,
                    'soft' => !$is])>{{ $definition->label }} <span class="small soft">{{ $share }} %</span></span>
                    @can('edit')
                        <form method="post" action="{{ route('expected.store') }}" class="flex gap-1">@csrf<input type="hidden"
                            name="category" value="{{ $open?->slug }}"><input
                                type="hidden" name="definitions[]" value="{{ $definition->id }}">
                            @if ($is)
                            <button class="button bare small" name="expected" value="no"
                                aria-label="drop {{ $definition->label }}">drop</button>@else<button
                                    class="button bare small" name="expected" value="yes"
                                        aria-label="expect {{ $definition->label }}">expect</button>
                            @endif
                            @if ($says !== null)
                                <button class="button bare small" name="expected" value="above" title="Say nothing here"
                                    aria-label="as above: {{ $definition->label }}">as above</button>
                            @endif
                        </form>
                    @endcan
                </li>
            @endforeach
        </ul>
    @endif
@endsection
