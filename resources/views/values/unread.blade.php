@extends('layouts.desk')
@use('App\Support\Format')
@section('title', $definition->label . ' · Texts that cannot be read · Lokum')
@section('crumbs')
    <a href="{{ route('definitions', ['open' => $definition->slug]) }}">
            {{ $definition->label }}</a><span class="before">/</span>
    <h1>Texts that cannot be read</h1>
@endsection
@section('work')
    @if ($unread === [])
        <div class="empty">
            <h2>Every text can be read</h2>
            <p class="soft">{{ $definition->label }} understands all that suppliers and people wrote.</p><a class="button"
                href="{{ route('products', ['where' => ["missing:{$definition->slug}"]]) }}">Products that miss it</a>
        </div>
    @else
        <form method="post" action="{{ route('values.unread.update', $definition) }}" id="unread">@csrf @method('put')
            <x-find-in in="#unread-texts" :count="count($unread)" what="a text" class="mx-5 my-3 w-64" data-find />
            <table class="grid-table">
                <thead>
                    <tr>
                        <th scope="col">As it came</th>
                        <th scope="col">Why not</th>
                        <th scope="col" class="num">Products or variants</th>
                        <th scope="col">It means{{ $definition->unit ? ", in {$definition->unit} or with a unit" : '' }}</th>
                    </tr>
                </thead>
                <tbody id="unread-texts">
                    @foreach ($unread as $spelling)
                        <tr data-row>
                            <td class="mono">{{ Format::spelling(mb_strimwidth($spelling->text, 0, 60, '…')) }}</td>
                            <td class="soft">{{ $spelling->problem }}</td>
                            <td class="num">
                                @if ($spelling->items)
                                    <a href="{{ route('products', ['where' => ["sku:{$spelling->sample}"],
                                        'columns' => [$definition->slug], 'variants' => 1]) }}">{{ Format::number($spelling->items) }}<span
                                            class="sr-only"> with {{ $spelling->text }}, such as {{ $spelling->sample }}</span></a>
                                @else
                                    0
                                @endif
                            </td>
                            <td><input class="input small" name="read_as[{{ $spelling->id }}]"
                                value="{{ old("read_as.{$spelling->id}") }}" aria-label="{{ $spelling->text }} means"
                                    data-stop @error("read_as.{$spelling->id}") aria-invalid="true" @enderror><x-error
                                        :for="'read_as.' . $spelling->id" /></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </form>
    @endif
@endsection
@section('panel')
    <h2>Say once what it means</h2>
    <p class="soft">It holds for every product that carries the text, and for every later delivery. The text itself stays as it
        came. What cannot be said as one
        {{ mb_strtolower($definition->kind->label()) }} is left: it shows as text and stays out of filters.</p>
    @if ($definition->kind === Lokum\Vocabulary\Kind::Date && $unread !== [])
        @can('edit')
            <form method="post" action="{{ route('definitions.day-order', $definition) }}" class="grid gap-2">@csrf @method('put')
                <p class="label">In dates of digits with slashes or hyphens</p>
                @foreach (Lokum\Vocabulary\DayOrder::cases() as $order)
                    <button class="button" name="order" value="{{ $order->value }}"
                        @disabled($definition->day_order === $order)>{{ ucfirst($order->label()) }}</button>
                @endforeach
            </form>
        @endcan
    @endif
    @if ($unread !== [])
        @can('edit')
            <div class="deed"><button class="button main" form="unread" data-key="s">Read them so <kbd>S</kbd></button></div>
        @endcan
    @endif
@endsection
