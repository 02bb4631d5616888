@extends('layouts.desk')
@use('App\Settings\Shop')
@use('App\Settings\Taxes')
@section('title', 'Settings · Lokum')
@section('crumbs')
    <h1>Settings</h1>
@endsection
@section('work')
    <form method="post" action="{{ route('settings') }}" enctype="multipart/form-data" class="pad grid gap-6 max-w-[720px]">
        @csrf @method('put')
        <input type="hidden" name="version" value="{{ old('version', $version) }}">
        <section class="grid gap-3">
            <h2>The shop</h2>
            <div class="flex gap-4 flex-wrap">
                <div class="field grow"><label for="name">Name</label><input class="input" id="name" name="name" maxlength="60"
                    value="{{ old('name', $version === 0 ? '' : $shop->name) }}" placeholder="Your shop"><x-error for="name" /></div>
                <div class="field grow"><label for="line">Behind the name</label><input class="input" id="line" name="line" maxlength="60"
                    value="{{ old('line', $shop->line) }}" placeholder="what it sells, in a word or two"><x-error for="line" /></div>
            </div>
            <div class="field"><label for="mark">Mark (PNG, JPEG or WebP)</label>
                <div class="flex items-center gap-3">
                    @if ($shop->mark)
                        <img src="{{ route('shop.picture', $shop->mark) }}" alt="The mark as it is" class="h-10">
                        <label class="check"><input type="checkbox" name="no_mark" value="1"><span>take it away</span></label>
                    @endif
                    <input class="input" id="mark" type="file" name="picture" accept="image/png,image/jpeg,image/webp">
                </div><x-error for="picture" />
            </div>
        </section>
        <section class="grid gap-3">
            <h2>How it writes</h2>
            <div class="field"><label for="language">Language of numbers and of the order of letters</label><select class="select"
                id="language" name="language">
                    @foreach (Shop::languages() as $tag => $name)
                        <option value="{{ $tag }}" @selected(old('language', $shop->language) === $tag)>{{ $name }} ({{ $tag }})</option>
                    @endforeach
                </select><x-error for="language" /></div>
            <div class="flex gap-4 flex-wrap">
                <div class="field grow"><label for="currency">Currency of prices that come without one</label><select class="select"
                    id="currency" name="currency">
                        @foreach (Shop::currencies() as $code => $name)
                            <option value="{{ $code }}" @selected(old('currency', $shop->currency) === $code)>{{ $name }} ({{ $code }})
                            </option>
                        @endforeach
                    </select><x-error for="currency" /></div>
                <div class="field grow"><label for="taxes">Prices</label><select class="select" id="taxes" name="taxes">
                        @foreach (Taxes::cases() as $taxes)
                            <option value="{{ $taxes->value }}" @selected(old('taxes', $shop->taxes->value) === $taxes->value)>{{
                                $taxes->label() }}</option>
                        @endforeach
                    </select><x-error for="taxes" /></div>
            </div>
            <div class="field"><label for="timezone">Time zone</label><select class="select" id="timezone" name="timezone">
                    @foreach (Shop::timezones() as $zone)
                        <option @selected(old('timezone', $shop->timezone) === $zone)>{{ $zone }}</option>
                    @endforeach
                </select><x-error for="timezone" /></div>
        </section>
        <section class="grid gap-3">
            <h2>How long things are kept</h2>
            <div class="flex gap-4 flex-wrap">
                <div class="field grow"><label for="editions">Editions, the newest</label><input class="input" id="editions" type="number"
                    name="editions" min="2" max="100" required value="{{ old('editions', $shop->editions) }}"><x-error
                        for="editions" /></div>
                <div class="field grow"><label for="days">Files of deliveries, in days (0: for good)</label><input class="input" id="days"
                    type="number" name="days" min="0" max="3650" required value="{{ old('days', $shop->days) }}"><x-error
                        for="days" /></div>
            </div>
            <div class="field"><label for="editions_mb">All files of editions together, in MB (0: as many as there are)</label><input
                class="input w-40" id="editions_mb" type="number" name="editions_mb" min="0" max="10000000"
                    required
                    value="{{ old('editions_mb', $shop->editionsMegabytes) }}"><x-error for="editions_mb" /></div>
            <p class="soft small">The newest two editions stay, however large. History and the figures of every reading stay. A file
                that went cannot be checked again.</p>
        </section>
        <section class="grid gap-3">
            <h2>What happens by itself</h2>
            <div class="flex gap-4 flex-wrap">
                <div class="field grow"><label for="publishes">Editions are published</label>
                    <input class="input" id="publishes" name="publishes"
                    maxlength="100" value="{{ old('publishes', $shop->publishes) }}" placeholder="only when somebody does it"
                        list="publishing-times"><datalist id="publishing-times">
                        @foreach (['after readings', '06:00', 'weekdays 06:00', 'every hour'] as $time)
                            <option value="{{ $time }}">
                        @endforeach
                    </datalist><x-error for="publishes" /></div>
                <div class="field grow"><label for="loss">Held where a term, coverage or the shop loses more than,
                    %</label><input class="input"
                    id="loss" type="number" name="loss" min="0" max="100" required value="{{ old('loss', $shop->loss) }}"><x-error
                        for="loss" /></div>
            </div>
            <div class="flex gap-4 flex-wrap">
                <div class="field grow"><label for="reports_to">The night's report goes to</label><input class="input" id="reports_to"
                    name="reports_to" maxlength="2000" placeholder="nobody" inputmode="email"
                        value="{{ old('reports_to', implode(', ', $shop->reportsTo)) }}"><x-error for="reports_to" /></div>
                <div class="field grow"><label for="reports_at">At</label><input class="input" id="reports_at" name="reports_at"
                    maxlength="100" value="{{ old('reports_at', $shop->reportsAt) }}"><x-error for="reports_at" /></div>
            </div>
            <p class="soft small">It is held, too, where a filter would vanish from a page or a page would be left empty.
                Today tells what was published and what
                was not, and why.</p>
        </section>
        <div><button class="button main" data-key="s">Save <kbd>S</kbd></button></div>
    </form>
@endsection
@section('panel-label', 'Where it shows')
@section('panel')
    <h2>Where it shows</h2>
    <p class="soft">Name, mark and the word on tax stand in the storefront at once. Language and currency change how terms are ordered and
        how numbers and prices are written: in Lokum at once, for shoppers with the next edition.</p>
    <a class="button small justify-self-start" href="{{ route('shop') }}">See the storefront</a>
@endsection
