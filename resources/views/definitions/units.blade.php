@extends('layouts.desk')
@use('App\Support\Format')
@section('title', 'Units · Lokum')
@section('crumbs')
    <h1>Units</h1>
@endsection
@section('lens')
    @include('definitions.lens')
@endsection
@section('work')
    <form method="post" action="{{ route('units') }}" id="own-units" class="pad grid gap-4 max-w-[720px]" hx-sync="this:replace">@csrf
        @method('put')<input type="hidden" name="version" value="{{ old('version', $version) }}">
        <div class="field"><label for="units">Units of your own, one a line</label>
            <textarea class="input mono" id="units" name="units" rows="10" maxlength="10000" spellcheck="false"
                aria-describedby="how-units" @error('units') aria-invalid="true" @enderror hx-get="{{ route('units') }}"
                hx-trigger="input changed delay:400ms" hx-params="units" hx-select="#panel" hx-target="#panel"
                hx-swap="outerHTML">{{ $typed }}</textarea><x-error for="units" />
        </div>
        <div id="how-units" class="soft grid gap-2">
            <p>Its symbol first, then other ways to write it, and what one of it is. Without that it is a measure of its own, which
                converts to nothing.</p>
            <pre class="mono small">board foot, bd ft = 144 in³
pack, packs = 12 pieces
roll, rolls</pre>
        </div>
        @can('edit')
            <div><button class="button main" data-key="s">Save <kbd>S</kbd></button></div>
        @endcan
        <details>
            <summary class="label">{{ Format::count(count($known), 'unit') }} that Lokum knows</summary>
            <p class="soft small pt-2 max-w-[70ch]">{{ implode(' · ', $known) }} and what is composed of them, such as g/m² or m³/h.</p>
        </details>
    </form>
@endsection
@section('panel-label', 'What they change')
@section('panel')
    <h2>What they change</h2>
    @if ($problem)
        <p class="note harm" role="status">{{ $problem }}</p>
    @elseif ($figures)
        <dl class="figures">
            <div>
                <dt>Texts that can be read then</dt>
                <dd>{{ Format::number($figures['read']) }}</dd>
            </div>
            <div>
                <dt>That cannot any more</dt>
                <dd>{{ Format::number($figures['unread']) }}</dd>
            </div>
        </dl>
        <p class="small soft">One step in History. Can be taken back.</p>
    @else
        <p class="soft">Numbers of all feeds are read anew with them: what could not be read because of its unit is a number then. What
            that changes is counted here while you type.</p>
    @endif
@endsection
