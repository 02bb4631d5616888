{{-- What the list is narrowed to, and how to narrow it further. --}}
@use('App\Support\Format')
<div class="bar">
    @foreach ($narrowing->conditions as $condition)
        <a class="chip" href="{{ route('products', ['where' => $narrowing->without($condition)->lines()]
            + $query) }}">{{ $condition->says }} @if ($condition->cube)
            <x-cube :label="$condition->shown" :look="$condition->cube->look()" class="strong" />@else<b>{{ $condition->shown }}</b>
            @endif <span class="x" aria-label="remove">×</span></a>
    @endforeach
    <details class="relative">
        <summary class="chip list-none" data-key="n" title="Narrow (N)">narrow {{ $narrowing->isOpen() ? '' : 'further ' }}+</summary>
        <form class="card absolute z-10 w-[380px] mt-1 max-h-[78vh] overflow-auto" method="get" action="{{ route('products') }}">
            @foreach ($narrowing->lines() as $line)
                @continue(str_starts_with($line, 'category:'))<input type="hidden" name="where[]" value="{{ $line }}">
            @endforeach
            @foreach (request()->only('sort', 'down', 'variants', 'columns', 'size') as $name => $values)
                @foreach ((array) $values as $value)
                    <input type="hidden" name="{{ $name }}{{ is_array($values) ? '[]' : '' }}" value="{{ $value }}">
                @endforeach
            @endforeach
            <div class="field"><label for="by">By what products carry</label><select class="select" id="by" name="by"
                hx-get="{{ route('products.choices') }}" hx-include="closest form" hx-target="#choices" hx-swap="outerHTML"
                hx-sync="this:replace">
                    <option value="">choose a definition</option>
                    @foreach ($definitions as $definition)
                        <option value="{{ $definition->slug }}">{{ $definition->label }}
                            ({{ Format::number($covered[$definition->id] ?? 0) }})</option>
                    @endforeach
                </select></div>
            @include('products.choices', ['choices' => null])
            <div class="field"><label for="category">Category and what is below it</label>
            <select class="select" id="category" name="where[]">
                    <option value="">any</option>
                    @foreach ($categories as [$category, $depth])
                        <option value="category:{{ $category->slug }}"
                            @selected($narrowing->named('category')?->value === $category->slug)>{{ str_repeat("\u{2003}",
                            $depth) }}{{ $category->name }}</option>
                    @endforeach
                </select>
            </div>
            <div class="field"><label for="missing">Missing</label><select class="select" id="missing" name="where[]">
                    <option value="">nothing in particular</option>
                    @foreach ($definitions as $definition)
                        <option value="missing:{{ $definition->slug }}">{{ $definition->label }}
                            ({{ Format::number($total - ($covered[$definition->id] ?? 0)) }})</option>
                    @endforeach
                </select>
            </div>
            <div class="grid grid-cols-2 gap-3">
                <div class="field"><label for="price">Price</label><input class="input" id="price" name="price" placeholder="5..20"></div>
                <div class="field"><label for="stock">Stock</label><input class="input" id="stock" name="stock" placeholder="1.."></div>
            </div>
            <div class="grid grid-cols-2 gap-3">
                <div class="field"><label for="feed">Feed</label><select class="select" id="feed" name="where[]">
                        <option value="">any</option>
                        @foreach ($feeds as $feed)
                            <option value="feed:{{ $feed }}">{{ $feed }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="field"><label for="changed">Changed since</label><input class="input" type="date" id="changed"
                    name="changed"></div>
            </div>
            <div class="field"><label for="origin">Where its value comes from</label><select class="select" id="origin" name="where[]">
                    <option value="">anywhere</option>
                    @foreach ($definitions as $definition)
                        @foreach (['hand' => 'set by hand', 'rule' => 'from a fill rule', 'feed' => 'from a feed'] as $origin => $says)
                            <option value="origin:{{ $definition->slug }}={{ $origin }}">{{ $definition->label }}: {{ $says }}</option>
                        @endforeach
                    @endforeach
                </select>
            </div>
            <div class="field"><label for="has">Or typed: color:sap green, color:red|blue, volume:50..</label><input
                class="input" id="has" name="where[]" placeholder="definition:value" list="narrow-words" autocomplete="off"><datalist
                id="narrow-words">
                    @foreach (['category', 'missing', 'gap', 'price', 'stock', 'feed', 'changed', 'origin', 'sku', 'words'] as $word)
                        <option value="{{ $word }}:">
                    @endforeach
                    @foreach ($definitions as $definition)
                        <option value="{{ $definition->slug }}:">{{ $definition->label }}</option>
                    @endforeach
                </datalist>
            </div>
            <button class="button main sticky bottom-0">Narrow</button>
        </form>
    </details>
    <details class="relative">
        <summary class="chip list-none" data-key="v" title="Views (V)">views</summary>
        <div class="card absolute z-10 w-[300px] mt-1 max-h-[420px] overflow-auto">
            @foreach ($views as $view)
                <div class="flex items-center gap-2"><a class="grow cut strong"
                    href="{{ route('products', $view->query) }}">{{ $view->name }}</a>
                    @can('edit')
                        <form method="post" action="{{ route('products.views.remove', $view) }}">@csrf @method('delete')<button
                            class="button bare small"
                                aria-label="Remove the view {{ $view->name }}">×</button></form>
                    @endcan
                </div>
            @endforeach
            @if ($proposedViews !== [])
                <p class="label">From what categories expect</p>
                @foreach ($proposedViews as $view)
                    <a class="cut" href="{{ route('products', $view['query']) }}">{{ $view['name'] }}
                    <span class="soft">{{ count($view['query']['columns']) }}
                            columns</span></a>
                @endforeach
            @endif
            @can('edit')<form method="post" action="{{ route('products.views') }}"
                class="grid gap-2">@csrf @foreach ($query as $name => $values)
                    @foreach ((array) $values as $value)
                        <input type="hidden" name="{{ $name }}{{ is_array($values) ? '[]' : '' }}" value="{{ $value }}">
                    @endforeach
                    @endforeach @if (!request('columns'))
                        @foreach ($columns as $column)
                            <input type="hidden" name="columns[]" value="{{ $column->slug }}">
                        @endforeach
                    @endif
                    <div class="field"><label for="view-name">Save what is shown as</label><input class="input" id="view-name"
                        name="name" maxlength="100" required>
                </div><button class="button">Save view</button></form>@endcan
    </div>
</details>
<details class="relative">
    <summary class="chip list-none" data-key="c" title="Columns (C)">columns</summary>
    <form class="card absolute z-10 w-[300px] mt-1" method="get" action="{{ route('products') }}">
        @foreach ($narrowing->lines() as $line)
            <input type="hidden" name="where[]" value="{{ $line }}">
        @endforeach
        <fieldset class="grid gap-1 max-h-[320px] overflow-auto">
            <legend class="label pb-1">Across</legend>
            <label class="check"><input type="checkbox" name="columns[]" value="category"
                @checked($showsCategory)><span>Category</span></label>
            @foreach ($definitions as $definition)
                <label class="check"><input type="checkbox" name="columns[]" value="{{ $definition->slug }}"
                        @checked($columns->contains('id', $definition->id))><span>{{ $definition->label }}</span></label>
            @endforeach
        </fieldset>
        <label class="check"><input type="checkbox" name="variants" value="1" @checked(request('variants'))><span>Each variant in
            a row of its own</span></label>
        <div class="field"><label for="size">Products on a page</label><select class="select" id="size" name="size">
                @foreach ($sizes as $size)
                    <option @selected($size === $products->perPage())>{{ $size }}</option>
                @endforeach
            </select></div>
        <button class="button main">Show</button>
    </form>
</details>
<x-csv class="ml-auto" /><span><b class="strong">{{ $many ? 'more than ' . Format::number(10000) : Format::number($found) }}</b> of
    {{ Format::count($total, 'product') }}</span>
</div>
