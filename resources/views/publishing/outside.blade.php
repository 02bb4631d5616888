@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'For real shops · Lokum')
@section('crumbs')
    <a href="{{ route('publishing') }}">Publishing</a><span class="before">/</span>
    <h1>For real shops</h1>
@endsection
@section('work')
    <div class="pad grid gap-5 max-w-[860px]">
        <section class="grid gap-2 min-w-0">
            <h2>Reading the edition</h2>
            <p class="soft">Other programs read the current edition as JSON with a token. Answers carry the edition as their ETag.
            <a href="{{ route('api.document') }}">What can be
                    asked (OpenAPI)</a></p>
            @if (session('secret'))
                <p class="note settled">Copy it now, it is not shown again:
                <span class="mono break-all" data-secret>{{ session('secret') }}</span></p>
            @endif
            <div class="overflow-x-auto"><table class="grid-table">
                <thead>
                    <tr>
                        <th scope="col">Token for</th>
                        <th scope="col">Last used</th>
                        <th scope="col">May</th>
                        <th scope="col">Lets in until</th>
                        <th scope="col"><span class="sr-only">Take away</span></th>
                    </tr>
                </thead>
                <tbody>
                    @forelse ($tokens as $token)
                        <tr data-row>
                            <td class="strong">{{ $token->name }}</td>
                            <td><x-when :at="$token->used_at" /></td>
                            <td>{{ $token->may() }}</td>
                            <td>{{ $token->expires_at === null ? 'it is taken away' : $token->expires_at->toDateString()
                                . ($token->expires_at->isPast() ? ', ended' : '') }}</td>
                            <td class="num">
                                <form method="post" action="{{ route('outside.token.remove', $token) }}">@csrf
                                    @method('delete')<button class="button small harm">Take away</button>
                                </form>
                            </td>
                    </tr>@empty<tr>
                            <td colspan="5" class="soft">No shop is let in yet.</td>
                        </tr>
                    @endforelse
                </tbody>
            </table></div>
            <form method="post" action="{{ route('outside.token') }}" class="grid gap-2">@csrf
                <div class="flex flex-wrap gap-2 items-end">
                    <div class="field grow"><label for="name">New token for</label><input class="input" id="name" name="name"
                            maxlength="100" required placeholder="the shop that will use it"><x-error for="name" /></div>
                    <div class="field"><label for="days">It lets in</label><select class="select" id="days" name="days">
                            <option value="">until it is taken away</option>
                            @foreach (App\Api\ConnectionsController::DAYS as $days)
                                <option value="{{ $days }}">for {{ $days }} days</option>
                            @endforeach
                        </select></div><button class="button main">Make a token</button>
                </div>
                <div class="flex flex-wrap gap-x-4 gap-y-2">
                    <label class="check"><input type="checkbox" name="says_prices" value="1"><span>It may say prices and
                        stock</span></label>
                    <label class="check"><input type="checkbox" name="copies" value="1"><span>It may copy editions, for a
                        <a href="{{ route('guide', 'people-and-programs') }}">replica</a></span></label>
                </div>
            </form>
        </section>
        <section class="grid gap-2 min-w-0">
            <h2>Being told of a new edition</h2>
            <p class="soft">When an edition is served, each receiver gets a signed HTTP POST. One that fails is tried again five
                times within three hours.</p>
            {{-- What is on its way is followed until it has come. --}}
            <div id="notices" class="grid gap-2" @if ($receivers->pluck('deliveries')->flatten()->contains('state', 'waiting'))
                hx-get="{{ route('outside') }}" hx-trigger="every 1s" hx-select="#notices"
                hx-select-oob="#received" hx-swap="outerHTML" @endif>
            @foreach ($receivers as $receiver)
                <section class="card">
                    <div class="flex gap-3 items-baseline"><span class="grow"><span class="mono break-all">{{ $receiver->url }}</span>
                        @if ($receiver->private)
                            <span class="tag">in our own network</span>
                        @endif
                    </span>
                        <form method="post" action="{{ route('outside.receiver.again', $receiver) }}">@csrf<button
                            class="button small">Send now</button></form>
                        <form method="post" action="{{ route('outside.receiver.remove', $receiver) }}">@csrf
                            @method('delete')<button class="button small harm">Take away</button>
                        </form>
                    </div>
                    <ul class="small">
                        @forelse ($receiver->deliveries as $one)
                            <li><span @class([
                                'tag',
                                'settled' => $one->state === 'delivered',
                                'waiting' => $one->state === 'waiting',
                                'harm' => $one->state === 'given up',
                            ])>{{ $one->state }}</span> edition {{ $one->edition_id }} · {{ Format::count($one->attempts, 'try',
                                'tries') }} ·
                            {{ $one->answer }} · <x-when :at="$one->updated_at" /></li>@empty
                            <li class="soft">Nothing was sent yet.</li>
                        @endforelse
                    </ul>
                </section>
            @endforeach
            </div>
            <form method="post" action="{{ route('outside.receiver') }}" class="flex flex-wrap gap-2 items-end">@csrf
            <div class="field grow"><label for="url">New receiver</label><input
                        class="input" id="url" name="url" type="url" placeholder="https://shop.example/lokum"
                            value="{{ old('url') }}"><x-error for="url" />
                </div><label class="check pb-2"><input type="checkbox" name="private" value="1" @checked(old('private'))><span>in our own
                    network</span></label><button class="button main">Add</button>@if (config('lokum.demo'))
                        <button class="button" name="stand_in" value="1" formnovalidate>Use the stand-in</button>
                    @endif
            </form>
        </section>
        @if (config('lokum.demo'))
        <section class="grid gap-2 min-w-0">
            <h2>What the stand-in got</h2>
            <p class="soft">A small receiver that ships with Lokum, so that notices can be tried before a real shop is there.</p>
            <ul class="grid gap-1" id="received">
                @forelse ($received as $one)
                    <li><span @class(['tag', 'settled' => $one->genuine, 'harm' => !$one->genuine])>{{ $one->genuine
                        ? 'signature is right' : 'signature is wrong' }}</span> <span
                        class="mono small break-all">{{ $one->body }}</span></li>@empty<li class="soft">Nothing yet.</li>
                @endforelse
            </ul>
        </section>
        @endif
    </div>
@endsection
@section('panel')
    <h2>Open to other shops</h2>
        <p class="soft">A token reads what every shopper can see, and no more. One that may say prices and stock
            changes these, and History has it. One that may copy editions lets another machine serve the same shop.</p>
        <dl class="figures">
            <div>
                <dt>Edition served</dt>
                <dd>{{ $edition?->id ?? 'none' }}</dd>
            </div>
            <div>
                <dt>Tokens</dt>
                <dd>{{ count($tokens) }}</dd>
            </div>
            <div>
                <dt>Receivers</dt>
                <dd>{{ count($receivers) }}</dd>
            </div>
    </dl>
@endsection
