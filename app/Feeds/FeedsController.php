<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Edition;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Support\PageCursor;
use App\Support\Progress;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\View\View;
use Lokum\Feed\CsvWriter;
use Lokum\Feed\Formats\Formats;
use Lokum\Feed\UnreadableFile;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class FeedsController
{
    public function index(Request $request): View
    {
        StartReading::noteBrokenOff();
        $readings = Reading::query()
            ->with('feed')
            ->orderByDesc('id')
            ->cursorPaginate(20, cursor: PageCursor::from($request, 'id'));

        return view('feeds.index', [
            'takenBack' => Reading::takenBack(array_column($readings->items(), 'id')),
            'feeds' => Feed::query()
                ->withCount('readings')
                ->with(['readings' => fn ($query) => $query->latest('id')->limit(1)])
                ->orderBy('name')
                ->get(),
            'readings' => $readings,
            'inbox' => FeedFile::inbox(),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate([
            'files' => 'nullable|array',
            'files.*' => 'file|max:'.intdiv((int) config('lokum.largest_feed'), 1024),
            'inbox' => 'nullable|string|max:255',
            'feed' => 'nullable|string|max:100',
        ]);
        $inbox = $request->string('inbox')->toString();
        $files = $inbox === '' ? [] : [[$inbox, FeedFile::inboxPath($inbox)]];
        foreach ((array) $request->file('files') as $upload) {
            if ($upload instanceof UploadedFile) {
                $files[] = [$upload->getClientOriginalName(), (string) $upload->getRealPath()];
            }
        }
        if ($files === []) {
            throw new Refused('Choose a file first.', 'files');
        }
        // A name that was typed is that of one feed.
        $feed = count($files) === 1 ? trim($request->string('feed')->toString()) : '';
        $readings = array_map(
            fn (array $file): Reading => StartReading::later($file[1], $file[0], $feed ?: FeedName::from($file[0])),
            $files,
        );

        return count($readings) === 1
            ? redirect()->route('readings.show', $readings[0])
            : redirect()
                ->route('today')
                ->with('done', count($readings).' files are here, to be looked at one after the other.');
    }

    public function show(Request $request, Reading $reading): View|Response
    {
        StartReading::noteBrokenOff();
        $reading->refresh();
        // The page asks again and again while work is under way; when that is over, it is loaded anew as a whole.
        if ($request->hasHeader('HX-Request') && ! $reading->state->isRunning()) {
            return response()->noContent()->header('HX-Refresh', 'true');
        }
        $reading->load('feed');
        $problem = null;
        $file = null;
        $targets = [];
        $seen = $likely = [];
        $sampled = '';
        if (! $request->hasHeader('HX-Request')) {
            try {
                $file = Formats::open(FeedFile::ofReading($reading), $reading->feed->archivePattern());
                $resolve = new ResolveColumns();
                $targets = $resolve($file, $reading->feed, MappingForm::remembered($reading));
                $seen = $resolve->seen();
                $sampled = $resolve->inWhat();
                $likely = LikelyDefinition::among($targets, $seen);
            } catch (UnreadableFile|Refused $why) {
                $problem = $why->getMessage();
            }
        }

        return view('feeds.reading', [
            'reading' => $reading,
            'file' => $file,
            'targets' => $targets,
            'seen' => $seen,
            'sampled' => $sampled,
            'likely' => $likely,
            'problem' => $problem,
            'entry' => $reading->entry(),
            'next' => Reading::query()
                ->whereIn('state', [ReadingState::Received, ReadingState::Checked])
                ->whereKeyNot($reading->id)
                ->orderBy('id')
                ->first(),
            'isBeforeTheFirst' => Edition::query()->doesntExist(),
            'empty' => MappingForm::remembered($reading)->empty,
            'progress' => (new Progress('reading:'.$reading->id))->now(),
            'definitions' => Definition::query()->live()->orderBy('label')->get(),
        ]);
    }

    public function check(Request $request, Reading $reading): RedirectResponse
    {
        return $this->start($request, $reading, true);
    }

    public function read(Request $request, Reading $reading): RedirectResponse
    {
        return $this->start($request, $reading, false);
    }

    public function refused(Reading $reading): StreamedResponse
    {
        return response()->streamDownload(
            function () use ($reading): void {
                echo CsvWriter::line(['line', 'column', 'reason']);
                foreach ([...$reading->figures['refused'] ?? [], ...$reading->figures['unread'] ?? []] as $row) {
                    echo CsvWriter::line([(string) $row['line'], $row['column'], $row['reason']]);
                }
            },
            "refused-{$reading->id}.csv",
            ['Content-Type' => 'text/csv; charset=UTF-8'],
        );
    }

    private function start(Request $request, Reading $reading, bool $check): RedirectResponse
    {
        $progress = new Progress('reading:'.$reading->id);
        if ($reading->state->isRunning() && ($progress->now()['at'] ?? 0) > time() - 60) {
            throw new Refused('This file is being worked on right now.');
        }
        if ($reading->state === ReadingState::Done && ! $check) {
            throw new Refused('This file was read already.');
        }
        $map = MappingForm::from($request, $reading);
        MappingForm::remember($reading, $map);
        if ($check) {
            MappingForm::rememberChecked($reading, $map);
        } elseif (
            ! in_array($reading->state, [ReadingState::Checked, ReadingState::Failed], true) ||
            ! MappingForm::isChecked($reading, $map)
        ) {
            throw new Refused(
                $reading->state !== ReadingState::Received
                    ? 'What the columns lead to is not what was checked. Check it again, then read it.'
                    : 'Check the file first, then read it.',
            );
        }
        $reading->update([
            'state' => $check ? ReadingState::Checking : ReadingState::Reading,
            'takes_good_rows' => $request->boolean('good_rows'),
            'message' => null,
        ]);
        $progress->begin();
        RunReading::dispatch($reading->id, $map, $check);

        return redirect()->route('readings.show', $reading);
    }
}
