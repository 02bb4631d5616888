@extends('layouts.desk')
@use('App\Support\Format')
@use('App\Models\FillSource')
@section('title', 'Fill rules · Lokum')
@section('crumbs')
    <a href="{{ route('definitions') }}">Definitions</a><span class="before">/</span>
    <h1>Fill rules</h1>
@endsection
@section('lens')
    @include('definitions.lens')
@endsection
@section('work')
    @if ($proposals !== [])
        <section class="pad grid gap-3">
            <h2>Would win coverage</h2>
            <div class="cards">
                @foreach (array_slice($proposals, 0, 6) as $proposal)
                    <div class="card waits">
                        <h3>{{ $proposal->definition->label }}: {{ Format::count($proposal->wins, 'product') }}{{ $proposal->more
                            ? ' or more' : '' }}</h3>
                        <p class="soft">{{ $proposal->sentence() }}.@if ($proposal->doubtful)
                                {{ Format::number($proposal->doubtful) }} with several are left.
                            @endif
                        </p>
                        <ul class="small grid gap-0.5">
                            @foreach ($proposal->samples as $sample)
                                <li class="cut"><span class="soft">{{ $sample['before'] }}</span><mark>{{ $sample['words'] }}</mark><span
                                        class="soft">{{ $sample['behind'] }}</span></li>
                            @endforeach
                        </ul>
                        <p><a class="button small" href="{{ route('rules', $proposal->asForm()) }}">Look at the rule<span
                            class="sr-only"> for
                                    {{ $proposal->definition->label }}</span></a></p>
                    </div>
                @endforeach
            </div>
        </section>
    @endif
    <section>
        <div class="bar">
            <h2>In this order</h2><span class="soft">{{ Format::count(count($states), 'rule') }}. They run after every reading;
                what a feed or a person says stays.</span>
            @can('edit')<span class="ml-auto flex gap-2">
                    @if ($states !== [])
                        <form method="post" action="{{ route('rules.run') }}">@csrf<button class="button small">Run all now</button></form>
                    @endif
                    <a class="button small" href="{{ route('rules', ['new' => 1]) }}" data-key="n" title="New rule (N)">
                        <x-icon name="plus" small />New rule</a>
            </span>@endcan
        </div>
        @if ($states === [])
            <div class="empty">
                <h2>No fill rules yet</h2>
                <p class="soft">A rule gives products a value by what is known already: their category, words in their name, a
                    number, another definition. It never replaces what a
                    feed or a person said.</p>
            </div>
        @else
            <div x-data="ordering">
                <x-find-in in="#rules" :count="count($states)" what="a rule" class="mx-5 my-3 w-64" data-find />
                <table class="grid-table">
                    <thead>
                        <tr>
                            <th scope="col"><span class="sr-only">Move</span></th>
                            <th scope="col">Fills</th>
                            <th scope="col">From</th>
                            <th scope="col">Where</th>
                            <th scope="col" class="num">Filled</th>
                            <th scope="col">State</th>
                        </tr>
                    </thead>
                    <tbody data-list id="rules">
                        @foreach ($states as $state)
                            @php($rule = $state->rule)
                            <tr data-row data-id="{{ $rule->id }}" data-name="{{ $rule->definition->label }}"
                                @class(['open' => $open?->id === $rule->id])>
                                <td><button type="button" class="handle" id="handle-{{ $rule->id }}"
                                    aria-label="Move rule {{ $rule->id }}: Alt and arrow keys"
                                        title="Drag, or Alt and arrow keys"><x-symbol name="grip" /></button></td>
                                <td><a class="name" data-stop
                                    href="{{ route('rules', ['rule' => $rule->id]) }}">{{ $rule->definition->label }}</a></td>
                                <td>{{ mb_strimwidth($rule->inWords(), 0, 70, '…') }}</td>
                                <td class="soft">{{ mb_strimwidth($state->place, 0, 70, '…') }}</td>
                                <td class="num"><a
                                    href="{{ route('products', ['where' => ["origin:{$rule->definition->slug}=rule"]]) }}"
                                        aria-label="{{ $state->filled }} filled">{{ Format::number($state->filled) }}</a></td>
                                <td>
                                    @if ($state->problem !== null)
                                        <span class="tag harm" title="{{ $state->problem }}">cannot run</span>
                                    @elseif ($rule->paused)
                                    <span class="tag waiting">paused</span>@else<span class="tag settled">runs</span>
                                    @endif
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                <form method="post" action="{{ route('rules.order') }}" data-order hidden>@csrf</form>
                <p class="sr-only" role="status" data-said></p>
            </div>
        @endif
    </section>
@endsection
@section('panel')
    @if (!$form)
        <h2>Let products fill themselves</h2>
        <p class="soft">Open a rule, or take a proposal. Before a rule is saved, this place shows what it would fill, what it
            would leave, and where it found each word.</p>
    @else
        @php($value = fn(string $name): string => is_scalar($input[$name] ?? null) ? (string) $input[$name] : '')
        @php($source = FillSource::tryFrom($value('source')))
        @php($again = new Illuminate\View\ComponentAttributeBag(['hx-get' => route('rules', array_filter(['rule' => $open?->id])),
            'hx-include' => '#rule', 'hx-params' => 'not _token,_method', 'hx-select' => '#panel', 'hx-target' => '#panel',
            'hx-swap' => 'outerHTML']))
        @php($ask = new Illuminate\View\ComponentAttributeBag(['hx-get' => route('rules', array_filter(['rule' => $open?->id])),
            'hx-include' => '#rule', 'hx-params' => 'not _token,_method', 'hx-select' => '#figures', 'hx-target' => '#figures',
            'hx-swap' => 'outerHTML', 'hx-trigger' => 'input changed delay:400ms']))
        <p class="label">{{ $open ? "Rule {$open->id}" : 'New rule' }}</p>
        <h2>{{ $open ? "Fills {$open->definition->label}" : 'Fill what is missing' }}</h2>
        <form method="post" action="{{ $open ? route('rules.update', $open) : route('rules.store') }}"
            class="grid gap-3 grow content-start" id="rule" hx-sync="this:replace"
            data-busy="Filling {{ $figures ? Format::number($figures->comes) : '' }} …">@csrf @if ($open)
                @method('put')<input type="hidden" name="version" value="{{ $errors->any() ? $open->version : old('version',
                    $open->version) }}">
            @endif
            <div class="field"><label for="definition">Fill</label>
            <select class="select" id="definition" name="definition" required {{ $again }}>
                    <option value="">choose …</option>
                    @foreach ($definitions as $definition)
                        <option value="{{ $definition->slug }}"
                            @selected($value('definition') === $definition->slug)>{{ $definition->label }}</option>
                    @endforeach
                </select>
            </div>
            <div class="field"><label for="source">From</label><select class="select" id="source" name="source" required {{ $again }}>
                    <option value="">choose …</option>
                    @foreach (FillSource::cases() as $one)
                        <option value="{{ $one->value }}" @selected($source === $one)>{{ $one->label() }}</option>
                    @endforeach
                </select>
            </div>
            @switch($source)
                @case(FillSource::Category)
                    <div class="field"><label for="branch">The names right below</label>
                    <select class="select" id="branch" name="branch" {{ $again }}>
                            <option value="">choose …</option>
                            @foreach ($categories as [$category, $depth])
                                <option value="{{ $category->slug }}"
                                    @selected($value('branch') === $category->slug)>{{ str_repeat("\u{2003}",
                                    $depth) }}{{ $category->name }}</option>
                            @endforeach
                        </select>
                    </div>
                @break

                @case(FillSource::Words)
                    <div class="choices" role="group" aria-label="Look in">
                        @foreach (['name' => 'Name', 'description' => 'Description'] as $field => $name)
                            <label><input type="checkbox" name="in[]" value="{{ $field }}"
                                @checked(in_array($field, (array) ($input['in'] ?? ['name']), true)) {{ $again }}>{{ $name }}</label>
                        @endforeach
                    </div>
                    <div class="field"><label for="lines">Values and their words, one a line. Empty: every value by its name</label>
                        <textarea class="input mono" id="lines" name="lines" rows="4"
                            placeholder="Gloss: glossy, high gloss - semi-gloss" {{ $ask }}>{{ $value('lines') }}</textarea>
                    </div>
                @break

                @case(FillSource::Number)
                    <div class="field"><label for="field">Of</label><select class="select" id="field" name="field" {{ $again }}>
                            <option value="">choose …</option>
                            @foreach ([['price', 'Price'], ['stock', 'Stock']] as [$slug, $label])
                                <option value="{{ $slug }}" @selected($value('field') === $slug)>{{ $label }}</option>
                                @endforeach @foreach ($numbers as $number)
                                    <option value="{{ $number->slug }}"
                                        @selected($value('field') === $number->slug)>{{ $number->label }}{{ $number->unit
                                        ? ", {$number->unit}" : '' }}</option>
                                @endforeach
                        </select>
                    </div>
                    <div class="field"><label for="bands">Bands, one a line; each holds its lower end</label>
                        <textarea class="input mono" id="bands" name="bands" rows="4"
                            placeholder="..50: Small&#10;50..200: Medium&#10;200..: Large" {{ $ask }}>{{ $value('bands') }}</textarea>
                    </div>
                @break

                @case(FillSource::Definition)
                    <div class="field"><label for="from">Which one</label><select class="select" id="from" name="from" {{ $again }}>
                            <option value="">choose …</option>
                            @foreach ($definitions as $definition)
                                @continue($definition->slug === $value('definition'))
                                <option value="{{ $definition->slug }}"
                                    @selected($value('from') === $definition->slug)>{{ $definition->label }}</option>
                            @endforeach
                        </select>
                    </div>
                    <div class="field"><label for="table">What becomes what, one a line. Empty: the same text</label>
                        <textarea class="input mono" id="table" name="table" rows="4" placeholder="Ultramarine: Blue"
                            {{ $ask }}>{{ $value('table') }}</textarea>
                    </div>
                @break

                @case(FillSource::Fixed)
                    <div class="field"><label for="value">Value</label><input class="input" id="value" name="value"
                        value="{{ $value('value') }}" {{ $ask }}></div>
                @break
            @endswitch
            @if ($source)
                @php($scope = array_values(array_filter((array) ($input['scope'] ?? []), is_string(...))))
                <div class="field"><label for="scope">Where</label><select class="select" id="scope" name="scope[]" {{ $again }}>
                        <option value="">everywhere</option>
                        @foreach ($categories as [$category, $depth])
                            <option value="category:{{ $category->slug }}" @selected(in_array("category:{$category->slug}",
                                $scope, true))>{{ str_repeat("\u{2003}", $depth) }}{{ $category->name }}</option>
                        @endforeach
                    </select>
                </div>
                @foreach (array_filter($scope, fn($line) => !str_starts_with($line, 'category:')) as $line)
                    <input class="input mono" name="scope[]" value="{{ $line }}" aria-label="Condition" {{ $ask }}>
                @endforeach
                <input class="input mono" name="scope[]" placeholder="and, such as price:5..20" aria-label="One more condition" {{ $ask }}>
            @endif
            @if ($definitions->firstWhere('slug', $value('definition'))?->multiple)
                <label class="check"><input type="checkbox" name="adds" value="1" @checked($input['adds'] ?? false)
                        {{ $again }}><span>Add it to what products have, too</span></label>
            @endif
            <div id="figures" class="grid gap-3 grow content-start">
                <x-errors />
                @if ($problem)
                    <p class="note" role="status">{{ $problem }}</p>
                @elseif ($figures)
                    <dl class="figures">
                        <div>
                            <dt>Are filled</dt>
                            <dd>{{ Format::number($figures->comes) }}</dd>
                        </div>
                        @if ($figures->goes)
                            <div>
                                <dt>Lose what it had filled</dt>
                                <dd>{{ Format::number($figures->goes) }}</dd>
                            </div>
                        @endif
                        @if ($open)
                            <div>
                                <dt>Filled already</dt>
                                <dd>{{ Format::number($figures->stays) }}</dd>
                            </div>
                        @endif
                        <div>
                            <dt>Have the same already</dt>
                            <dd>{{ Format::number($figures->agree) }}</dd>
                        </div>
                        <div>
                            <dt>Have another value, which stays</dt>
                            <dd>{{ Format::number($figures->differ) }}</dd>
                        </div>
                        <div>
                            <dt>Of these, set by hand</dt>
                            <dd>{{ Format::number($figures->byHand) }}</dd>
                        </div>
                        @if ($figures->undecided)
                            <div>
                                <dt>Left: several to choose from</dt>
                                <dd>{{ Format::number($figures->undecided) }}</dd>
                            </div>
                        @endif
                    </dl>
                    @if ($figures->new !== [])
                        <p class="note">Values that are made: {{ mb_strimwidth(implode(', ', $figures->new), 0, 160, '…') }}.</p>
                    @endif
                    @if ($figures->hits !== [])
                        <div>
                            <p class="label">Found</p>
                            <ul class="small grid gap-0.5">
                                @foreach (array_slice($figures->hits, 0, 5) as $hit)
                                    <li class="cut" title="{{ $hit['item'] }}: {{ $hit['value'] }}"><span
                                            class="soft">{{ $hit['before'] }}</span><mark>{{ $hit['words'] }}</mark><span
                                                class="soft">{{ $hit['behind'] }}</span></li>
                                @endforeach
                            </ul>
                        </div>
                    @elseif ($figures->samples !== [])
                        <x-samples :samples="$figures->samples" />
                    @endif
                    @if ($figures->conflicts !== [])
                        <table class="samples">
                            <caption class="label">Keep what they have</caption>
                            <tbody>
                                @foreach (array_slice($figures->conflicts, 0, 4) as $conflict)
                                    <tr>
                                        <th scope="row" class="mono">{{ $conflict['item'] }}</th>
                                        <td>{{ $conflict['has'] }}</td>
                                        <td class="soft">not {{ $conflict['rule'] }}</td>
                                    </tr>
                                @endforeach
                            </tbody>
                        </table>
                    @endif
                @endif
                @can('edit')
                    <div class="deed"><button class="button main" data-key="s"
                            @disabled($figures === null)>{{ $open ? 'Save and run' : 'Save and fill' }}{{ $figures ? ' '
                                . Format::number($figures->comes) : '' }} <kbd>S</kbd></button>
                    </div>
                @endcan
            </div>
        </form>
        @if ($open)
            @can('edit')
                <div class="grid grid-cols-2 gap-2">
                    <form method="post" action="{{ route('rules.pause', $open) }}">@csrf<input type="hidden" name="paused"
                        value="{{ $open->paused ? 0 : 1 }}"><button
                            class="button small w-full">{{ $open->paused ? 'Resume' : 'Pause' }}</button></form>
                    <form method="post" action="{{ route('rules.destroy', $open) }}">@csrf @method('delete')<button
                        class="button small harm w-full">Take the rule back</button></form>
                </div>
                <p class="small soft">Taking it back clears the {{ Format::number($filled) }} it filled. History brings it back.</p>
            @endcan
        @endif
    @endif
@endsection
