{{-- What becomes of a term on the pages that shoppers visit. --}}
@use('App\Support\Format')
@if ($pages !== [])
    <details class="pages" @if (count($pages) <= 4) open @endif>
        <summary>On {{ Format::count(count($pages), 'page') }}</summary>
        <table class="plain">
            <tbody>
                @foreach (array_slice($pages, 0, 8) as $page)
                    <tr>
                        <td>{{ $page->page }}</td>
                        <td class="num">{{ Format::number($page->before) }} → <b>{{ Format::number($page->after) }}</b></td>
                        <td class="num soft">
                            @if ($page->fewer)
                                {{ Format::count($page->fewer, 'term') }} fewer
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if (count($pages) > 8)
            <p class="small soft">and {{ count($pages) - 8 }} more</p>
        @endif
    </details>
@endif
