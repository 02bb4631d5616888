{{-- Runs, the newest first. --}}
@if ($runs->isEmpty())
    <p class="soft">Nothing has run by itself yet.</p>
@else
    <table class="grid-table">
        <thead>
            <tr>
                @if ($of !== null)
                    <th scope="col">Feed</th>
                @endif
                <th scope="col">When</th>
                <th scope="col">State</th>
                <th scope="col">What came of it</th>
                <th scope="col" class="num">Took</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($runs as $run)
                <tr data-row>
                    @if ($of !== null)
                        <td>
                            @if ($run->feed)
                                <a class="name" data-stop
                                    href="{{ route('sources.show', $run->feed) }}">{{ $run->feed->name }}</a>
                            @else
                                Publishing
                            @endif
                        </td>
                    @endif
                    <td class="soft"><x-when :at="$run->started_at" /></td>
                    <td><span class="tag {{ $run->state->tone() }}">{{ $run->state->label() }}</span></td>
                    <td class="whitespace-normal">
                        @if ($run->reading)
                            <a href="{{ route('readings.show', $run->reading) }}">{{ $run->reading->file_name }}</a> ·
                        @endif
                        {{ $run->said }}
                    </td>
                    <td class="num">{{ $run->seconds() }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
