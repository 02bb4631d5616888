{{-- What happened by itself since yesterday, and what waits because of it. --}}
@use('App\Support\Format')
<section class="grid gap-2">
    <div class="flex gap-3 items-baseline">
        <h2>By itself, since yesterday</h2><a class="small" href="{{ route('runs') }}">all runs</a>
    </div>
    @if ($night->runs !== [])
        <table class="grid-table">
            <thead>
                <tr>
                    <th scope="col">Feed</th>
                    <th scope="col">State</th>
                    <th scope="col">What came of it</th>
                    <th scope="col">When</th>
                </tr>
            </thead>
            <tbody>
                @foreach (array_slice($night->runs, 0, 8) as $run)
                    <tr>
                        <td class="whitespace-nowrap">
                            @if ($run->feed)
                                <a class="name" href="{{ route('sources.show', $run->feed) }}">{{ $run->feed->name }}</a>
                            @else
                                <a class="name" href="{{ route('publishing') }}">Publishing</a>
                            @endif
                        </td>
                        <td><span class="tag {{ $run->state->tone() }}">{{ $run->state->label() }}</span></td>
                        <td class="whitespace-normal">{{ $run->said }}</td>
                        <td class="soft whitespace-nowrap"><x-when :at="$run->started_at" /></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <p class="soft">
        {{ count($night->runs) > 8 ? 'and ' . (count($night->runs) - 8) . ' more runs. ' : '' }}{{ $night->quiet
            ? Format::count($night->quiet, 'time') . ' nothing new had come. ' : '' }}@if ($night->gone)
            <a href="{{ route('products', ['where' => ['gone:out']]) }}">{{ Format::count($night->gone, 'product') }}</a> went out
            of the shop, since no feed sends them any more.
        @endif
    </p>
</section>
