{{-- The search of the whole desk, opened with /. --}}
<dialog id="search" aria-label="Search everything">
    <form role="search" action="{{ route('search') }}" method="get">
        <input class="input w-full" type="search" name="q" maxlength="200" autocomplete="off" aria-label="Search everything"
            placeholder="Products, values, definitions, rooms …" hx-get="{{ route('search') }}" hx-trigger="input changed delay:120ms"
            hx-target="next .hits" hx-swap="outerHTML" hx-sync="this:replace">
        @include('search.hits', ['hits' => [], 'text' => ''])
    </form>
</dialog>
