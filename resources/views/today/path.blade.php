{{-- From suppliers' files to a shop that is open. Each step says what is done and what comes next. --}}
@use('App\Support\Format')
@use('App\Today\PathStep')
<section class="path" aria-label="From files to your shop">
    <h2>From files to your shop</h2>
    <ol>
        @foreach (PathStep::cases() as $step)
            @php($isDone = in_array($step, $path->done, true))
            @php($isNext = $step === $path->next)
            <li @class(['done' => $isDone, 'next' => $isNext]) @if ($isNext) aria-current="step" @endif>
                <div class="flex items-baseline gap-2">
                    <h3>{{ $step->label() }}</h3>
                    @if ($isDone)
                        <span class="tag settled">done</span>
                    @elseif ($step->isOptional())
                        <span class="soft small">can be left for later</span>
                    @endif
                </div>
                @switch($step)
                    @case(PathStep::Files)
                        @if (!$isDone || $isNext)
                            <p class="soft">CSV, XLSX, ODS, JSON or XML as they come, packed or not. Several at once.</p>
                            @if ($path->inbox !== [])
                                <p>{{ Format::count(count($path->inbox), 'file') }} in the inbox: <a href="{{ route('feeds') }}">look at
                                        them</a>.</p>
                            @endif
                            @can('edit')
                                <form method="post" action="{{ route('feeds.store') }}" enctype="multipart/form-data"
                                    class="flex gap-2 items-center flex-wrap">@csrf<input class="input" type="file" name="files[]"
                                        id="first-files" multiple required accept="{{ App\Feeds\FeedFile::accepted() }}"
                                        aria-label="Your suppliers' files"><button
                                        class="button main">Look at them</button></form>
                                <x-error for="files" />
                            @endcan
                        @endif
                    @break

                    @case(PathStep::Read)
                        @if ($path->readings->isNotEmpty())
                            <p class="soft">{{ Format::count($path->read, 'file') }} read, {{ Format::count($path->readings->count(),
                                'file') }} to go.</p>
                        @endif
                        @if ($path->readings->isNotEmpty())
                            <ul class="grid gap-1">
                                @foreach ($path->readings as $reading)
                                    <li class="flex gap-3 items-center"><span class="mono cut">{{ $reading->file_name }}</span><span
                                            class="tag waiting">{{ $reading->state->label() }}</span>
                                        @if ($loop->first)
                                            <a class="button small {{ $isNext ? 'main' : '' }}"
                                                href="{{ route('readings.show', $reading) }}">{{ $reading->state->isRunning()
                                                    ? 'See how far it is' : 'Check and read' }}<span
                                                    class="sr-only"> {{ $reading->file_name }}</span></a>
                                        @endif
                                    </li>
                                @endforeach
                            </ul>
                        @endif
                    @break

                    @case(PathStep::Accept)
                        @if ($path->proposed->isNotEmpty())
                            <p class="soft">{{ Format::count($path->proposed->count(), 'proposed definition') }}:
                                {{ $path->proposed->pluck('label')->take(8)->join(', ') }}{{ $path->proposed->count() > 8
                                    ? ' …' : '' }}. What is wrong can be changed later.</p>
                            @can('edit')
                                <div class="flex gap-2">
                                    <form method="post" action="{{ route('path.accept') }}">@csrf<button
                                        class="button small {{ $isNext ? 'main' : '' }}">Accept all of them</button></form>
                                    <a class="button small" href="{{ route('definitions') }}">Look them over</a>
                                </div>
                            @endcan
                        @elseif ($isDone)
                            <p class="soft">{{ Format::count($path->accepted, 'definition') }} in use.</p>
                        @endif
                    @break

                    @case(PathStep::Merge)
                        @if ($path->isOpen($step))
                            <div hx-get="{{ route('path.merge') }}" hx-trigger="load">
                                <p class="soft">Looking for values that are one thing spelled in several ways …</p>
                            </div>
                        @endif
                    @break

                    @case(PathStep::Expect)
                        @if ($path->isOpen($step) && !$isDone)
                            <div hx-get="{{ route('path.expected') }}" hx-trigger="load">
                                <p class="soft">Looking at what most products of each category carry …</p>
                            </div>
                        @endif
                    @break

                    @case(PathStep::LineUps)
                        @if ($isDone)
                            <p class="soft">{{ Format::count($path->filters, 'filter') }}. <a href="{{ route('line-ups') }}">Look at the
                                    line-up</a></p>
                        @elseif ($path->isOpen($step))
                            <div hx-get="{{ route('path.line-ups') }}" hx-trigger="load">
                                <p class="soft">Looking for what narrows the shop and its branches best …</p>
                            </div>
                        @endif
                    @break

                    @case(PathStep::Publish)
                        <p class="soft">The storefront opens with edition 1; every later one can be looked at before.</p>
                        @if ($path->isOpen($step))
                            @can('publish')
                                <a class="button small justify-self-start main"
                                    href="{{ route('publishing') }}">Look at what would be published</a>
                            @endcan
                        @endif
                    @break
                @endswitch
            </li>
        @endforeach
    </ol>
</section>
