<?php

declare(strict_types=1);

namespace App\Sources;

use App\Feeds\LeaveToOthers;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Run;
use App\Models\RunState;
use App\Settings\Shop;
use App\Support\PageCursor;
use App\Support\Refused;
use App\Support\Times;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Where a feed's files come from and what may happen with them by itself; what has happened. */
final class SourcesController
{
    public function show(Feed $feed): View
    {
        $shop = Shop::current();

        return view('sources.show', [
            'feed' => $feed,
            'source' => Source::of($feed),
            'bounds' => FeedBounds::of($feed),
            'proposed' => FeedBounds::proposed($feed),
            'choices' => LeaveToOthers::choices($feed),
            'others' => Feed::query()->whereKeyNot($feed->id)->exists(),
            'progress' => RunFeed::progress($feed)->now(),
            'next' => $feed->times === null ? null : Times::of($feed->times)->next(now(), $shop->timezone),
            'runs' => Run::query()->with('reading')->where('feed_id', $feed->id)->latest('id')->limit(12)->get(),
        ]);
    }

    public function update(Request $request, Feed $feed, SaveSource $save): RedirectResponse
    {
        $change = $save($feed, $request->except(['_token', '_method']), $request->integer('version'));

        return redirect()
            ->route('sources.show', $feed)
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /** Now, whatever its times say. */
    public function run(Request $request, Feed $feed): RedirectResponse
    {
        if (! RunFeed::isUnderWay($feed)) {
            $feed->fill(['failures' => 0])->saveQuietly();
            LookNow::at($feed, $request->user());
        }

        return redirect()->route('sources.show', $feed);
    }

    /** A delivery that nobody wants does not wait for ever. */
    public function aside(Reading $reading): RedirectResponse
    {
        if ($reading->state === ReadingState::Done || $reading->state->isRunning()) {
            throw new Refused('This file was read already, or is being read.');
        }
        $reading->update(['state' => ReadingState::Aside, 'held' => null]);

        return redirect()
            ->route('feeds')
            ->with('done', "Put {$reading->file_name} aside.");
    }

    public function outbox(): View
    {
        return view('sources.outbox', ['mails' => Outbox::newest()]);
    }

    public function runs(Request $request): View
    {
        $state = RunState::tryFrom($request->string('state')->toString());
        $feed = $request->integer('feed');

        return view('sources.runs', [
            'runs' => Run::query()
                ->with('feed', 'reading')
                ->when($state !== null, fn ($query) => $query->where('state', $state))
                ->when($feed > 0, fn ($query) => $query->where('feed_id', $feed))
                ->orderByDesc('id')
                ->cursorPaginate(40, cursor: PageCursor::from($request, 'id'))
                ->withQueryString(),
            'feeds' => Feed::query()->orderBy('name')->get(),
            'state' => $state,
            'feed' => $feed,
        ]);
    }
}
