@extends('layouts.desk')
@use('App\Support\Format')
@use('App\Models\ReadingState')
@use('Lokum\Feed\ColumnName')
@use('Lokum\Vocabulary\Kind')
@use('Lokum\Vocabulary\Level')
@section('title', $reading->file_name . ' · Lokum')
@section('crumbs')
    <a href="{{ route('feeds') }}">Feeds</a><span class="before">/</span>
    <h1>{{ $reading->feed->name }}</h1>
@endsection
@php($running = $reading->state->isRunning())
@php($editable = !$running && $reading->state !== ReadingState::Done && $problem === null)
@section('work')
    <form id="mapping" method="post" action="{{ route('readings.check', $reading) }}">@csrf
        <div class="bar"><span class="mono">{{ $reading->file_name }}</span><span class="soft">{{ Format::bytes($reading->bytes) }}</span>
            @if ($file)
                @foreach ([...$file->described(), Format::count(count($targets), 'column')] as $said)
                    <span class="tag">{{ $said }}</span>
                @endforeach
            @endif
        </div>
        @if ($problem)
            <div class="empty">
                <h2>This file cannot be read</h2>
                <p>{{ $problem }}</p><a class="button" href="{{ route('feeds') }}">Choose another file</a>
            </div>
        @elseif ($file)
            <table class="grid-table mapping">
                <thead>
                    <tr>
                        <th scope="col">Heading</th>
                        <th scope="col">What the cells hold{{ $sampled }}</th>
                        <th scope="col" class="num">Filled</th>
                        <th scope="col">Leads to</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($targets as $target)
                        @php($guess = $seen[$target->index])
                        @php($renamed = $likely[$target->index] ?? null)
                        @php($chosen = App\Feeds\MappingForm::choice($target, $renamed))
                        <tr data-row>
                            <td class="mono whitespace-pre"><input type="hidden" name="headings[{{ $target->index }}]"
                                    value="{{ $target->heading }}">{{ Format::spelling($target->heading) }}</td>
                            <td class="max-w-[260px]">
                                <div class="cut soft">
                                    @forelse ($guess->samples(4) as $sample => $n)
                                        <span class="mono">{{ Format::spelling(mb_strimwidth((string) $sample, 0, 34, '…')) }}</span>
                                        @if (!$loop->last)
                                            ·
                                        @endif @empty nothing yet
                                    @endforelse
                                </div>
                            </td>
                            <td class="num">{{ (int) round(100 * $guess->coverage()) }} %</td>
                            <td>
                                @if ($editable)
                                    <select class="select small" name="targets[{{ $target->index }}]"
                                        aria-label="Column {{ $target->heading }} leads to" data-stop>
                                        @if (($target->column() !== null && $target->definition === null
                                            && $target->column()->attribute !== 'brand') || $chosen === 'aside')
                                            @php($proposed = $target->column())
                                            <option value="new" @selected($chosen === 'new')>new: {{ implode(', ', array_filter([
                                                $proposed?->label ?? trim($target->heading),
                                                $proposed === null ? '' : mb_strtolower($proposed->kind->label())
                                                    . ($proposed->unit ? " in {$proposed->unit}" : ''),
                                                $proposed?->multiple ? 'several' : '',
                                            ])) }}</option>
                                        @endif
                                        <option value="aside" @selected($chosen === 'aside')>left aside</option>
                                        <optgroup label="Known columns">
                                            @foreach (ColumnName::KNOWN as $known)
                                                <option value="{{ $known }}" @selected($chosen === $known)>{{ $known }}</option>
                                            @endforeach
                                        </optgroup>
                                        <optgroup label="Definitions">
                                            @foreach ($definitions->where('slug', '!=', 'brand') as $definition)
                                                <option value="{{ $definition->slug }}"
                                                    @selected($chosen === $definition->slug)>{{ $definition->label }}</option>
                                            @endforeach
                                        </optgroup>
                                    </select>
                                    @if ($target->column() !== null && $target->definition === null
                                        && $target->column()->attribute !== 'brand')
                                        <details class="small as-new">
                                            <summary class="soft">as new: name, kind, level</summary>
                                            <div class="flex gap-2 flex-wrap pt-1"><input class="input small"
                                                name="labels[{{ $target->index }}]" value="{{ $target->column()->label }}" maxlength="200"
                                                    aria-label="Name of {{ $target->heading }} as a new definition"><select
                                                    class="select small w-auto" name="kinds[{{ $target->index }}]"
                                                    aria-label="What {{ $target->heading }} holds">
                                                    @foreach (Kind::cases() as $kind)
                                                        <option value="{{ $kind->value }}" @selected($target->column()->kind === $kind)>{{
                                                            $kind->label() }}</option>
                                                    @endforeach
                                                </select><select class="select small w-auto" name="levels[{{ $target->index }}]"
                                                    aria-label="Whose {{ $target->heading }} is">
                                                    @foreach (Level::cases() as $level)
                                                        <option value="{{ $level->value }}"
                                                            @selected($target->column()->level === $level)>of the
                                                            {{ $level->value }}</option>
                                                    @endforeach
                                                </select></div>
                                        </details>
                                    @endif
                                @else<b>{{ $chosen === 'aside' ? 'left aside' : $target->column()?->label ?? $target->target }}</b>
                                @endif
                                <div @class(['small cut', $renamed ? 'warn' : 'soft'])>{{ $renamed?->why ?? $target->why }}</div>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($editable)
                <div class="bar"><label class="flex gap-2 items-center"><span class="label">Cells that count as empty, beside
                    blank ones</span><input class="input small w-[240px]"
                            name="empty" value="{{ implode(', ', $empty) }}"
                                placeholder="for example n/a, -"></label></div>
            @endif
        @elseif ($running)
            <div class="empty">
                <h2>{{ $reading->state === ReadingState::Checking ? 'Looking at the file' : 'Reading the file' }}</h2>
            </div>
        @endif
    </form>
    @php($figures = $reading->figures)
    @if ($figures && ($figures['refused'] !== [] || $figures['unread'] !== []))
        @foreach (['refused' => ['Refused rows', $figures['refused_rows']],
            'unread' => ['Cells kept as text, since their field cannot read them', $figures['unread_cells']]] as $list => [$title, $n])
            @if ($figures[$list] !== [])
                <section class="pad">
                    <h2 class="pb-2">{{ $title }} <span class="soft">{{ Format::number($n) }}</span></h2>
                    <table class="grid-table">
                        <thead>
                            <tr>
                                <th scope="col" class="num">Line</th>
                                <th scope="col">Column</th>
                                <th scope="col">Reason</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach (array_slice($figures[$list], 0, 100) as $row)
                                <tr>
                                    <td class="num mono">{{ $row['line'] }}</td>
                                    <td class="mono">{{ Format::spelling($row['column']) }}</td>
                                    <td>{{ $row['reason'] }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </section>
            @endif
        @endforeach
        <p class="pad"><a href="{{ route('readings.refused', $reading) }}">All of them as CSV, to send back to the supplier</a></p>
    @endif
@endsection
@section('panel')
    @if ($running)
        <x-under-way :href="route('readings.show', $reading)" :head="$reading->state === ReadingState::Checking ? 'Checking' : 'Reading'"
            :$progress>You can leave this page; it goes on.</x-under-way>
    @elseif ($problem)
        <h2>Nothing was written</h2>
    @elseif ($reading->state === ReadingState::Done)
        <span @class(['tag justify-self-start', 'settled' => !$entry?->taken_back_by])>{{ $entry?->taken_back_by ? 'taken back'
            : 'done' }}</span>
        <h2>{{ $entry?->taken_back_by ? 'Read, and taken back' : 'Read' }}</h2>
        @include('feeds.figures')
        <p class="soft">{{ $entry?->who() }}, <x-when :at="$reading->finished_at" never="" />. What
            somebody set by hand was left as it is.</p>
        @if ($next)
            <a class="button main" href="{{ route('readings.show', $next) }}">Next: {{ $next->file_name }}</a>
        @elseif ($isBeforeTheFirst)
            <a class="button main" href="{{ route('today') }}">What comes next</a>
        @endif
        <a class="button" href="{{ route('definitions') }}">Look over the definitions</a>
        @if ($entry?->has_way_back)
            <a class="button" href="{{ route('history', ['entry' => $entry->id]) }}">{{ $entry->taken_back_by
                ? 'See it in History' : 'See what taking it back would do' }}</a>
        @endif
    @elseif ($reading->state === ReadingState::Checked && $figures)
        <p class="label">Checked; nothing is written yet</p>
        <h2>Read it like this?</h2>
        @if ($reading->held)
            <p class="note harm">It came by itself and is held: {{ implode('; ', $reading->held) }}.</p>
        @endif
        @include('feeds.figures')
        @can('edit')
            <div class="deed">
                @if ($figures['refused_rows'] > 0)
                    <label class="check"><input type="checkbox" name="good_rows" value="1" form="mapping"
                        required><span>Read the good rows and leave out the
                            {{ Format::count($figures['refused_rows'], 'refused one') }}</span></label>
                @endif
                <button class="button main" form="mapping" formaction="{{ route('readings.read', $reading) }}" data-key="s">Read
                    {{ Format::count($figures['rows'] - $figures['refused_rows'], 'row') }} <kbd>S</kbd></button>
                <button class="button" form="mapping" formnovalidate>Check again</button>
                <button class="button" form="mapping" formaction="{{ route('readings.aside', $reading) }}" formnovalidate
                    data-key="x">Put it aside <kbd>X</kbd></button>
                <p class="small soft">One step in History. It can be taken back as long as nothing builds upon it; the words it
                    brings stay known.</p>
            </div>
        @endcan
    @else
        <h2>{{ $reading->state === ReadingState::Failed ? 'It was not read' : 'Check it first' }}</h2>
        @if ($reading->message)
            <p class="note harm" role="alert">{{ $reading->message }}</p>
        @endif
        <p class="soft">A check counts what is new, what changes and what would be refused, line by line, and writes nothing.</p>
        @php($kinds = collect($targets)->countBy(function ($target) use ($likely) {
            $choice = App\Feeds\MappingForm::choice($target, $likely[$target->index] ?? null);
            return in_array($choice, ColumnName::KNOWN, true) ? 'known' : (in_array($choice, ['aside', 'new'], true) ? $choice
                : 'definition');
        }))
        <dl class="figures">
            <div>
                <dt>Known columns</dt>
                <dd>{{ $kinds['known'] ?? 0 }}</dd>
            </div>
            <div>
                <dt>Lead to definitions</dt>
                <dd>{{ $kinds['definition'] ?? 0 }}</dd>
            </div>
            <div>
                <dt>Become proposals</dt>
                <dd>{{ $kinds['new'] ?? 0 }}</dd>
            </div>
            <div>
                <dt>Left aside</dt>
                <dd>{{ $kinds['aside'] ?? 0 }}</dd>
            </div>
        </dl>
        @can('edit')
            <div class="deed"><button class="button main" form="mapping" data-key="s">{{ $reading->state === ReadingState::Failed
                ? 'Check again' : 'Check' }} <kbd>S</kbd></button>
                <button class="button" form="mapping" formaction="{{ route('readings.aside', $reading) }}" formnovalidate
                    data-key="x">Put it aside <kbd>X</kbd></button>
                @if ($reading->state === ReadingState::Failed && $figures)
                    <button class="button" form="mapping" formaction="{{ route('readings.read', $reading) }}"
                        >Read it again as it was checked</button>
                @endif
            </div>
        @endcan
    @endif
@endsection
