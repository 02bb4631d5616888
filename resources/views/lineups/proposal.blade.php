{{-- A line-up from nothing: what earns most on this page. --}}
<section class="card">
    <h3>What would earn its place here</h3>
    @if ($proposal === [])
        <p class="soft">No definition covers enough of these products to narrow them.</p>
    @else
        @can('edit')
            <form method="post" action="{{ route('line-ups.store') }}" class="grid gap-1">@csrf<input type="hidden" name="page"
                value="{{ $page }}"><input type="hidden"
                    name="at" value="{{ request('at') }}">
                @foreach ($proposal as $one)
                    @php($has = isset($lineup->filters[$one->key]))
                    <label class="check"><input type="checkbox" name="sources[]" value="{{ $one->key }}" @checked(!$has)
                            @disabled($has)><span><b>{{ $one->title }}</b> <span
                                class="soft small">{{ $one->inWords() }}{{ $has ? ' · here already' : '' }}</span></span></label>
                @endforeach
                <div class="flex gap-2 pt-1 items-center">
                    @if (array_filter($proposal, fn ($one) => !isset($lineup->filters[$one->key])) === [])
                        <span class="tag settled">All of them are here.</span>
                    @else
                        <button class="button small main" data-key="t">Add the ticked ones <kbd>T</kbd></button>
                    @endif
                    <a class="button small" href="{{ route('line-ups', ['page' => $page, 'at' => request('at')]) }}">Leave it</a>
                </div>
            </form>
        @endcan
    @endif
</section>
