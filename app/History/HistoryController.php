<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Change;
use App\Support\CsvList;
use App\Support\PageCursor;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class HistoryController
{
    public function index(Request $request, TakeBackTo $to): View|StreamedResponse
    {
        $changes = Change::query()
            ->with('user')
            ->orderByDesc('id')
            ->when($request->string('q')->toString(), fn ($query, string $words) => $query->saying($words))
            ->when($request->string('room')->toString(), fn ($query, string $room) => $query->where('room', $room));
        if (CsvList::isWanted($request)) {
            return CsvList::of(
                'history',
                ['entry', 'when', 'who', 'room', 'what', 'taken back by', 'takes back'],
                $changes->lazyByIdDesc(500)->map(fn (Change $change): array => [
                    $change->id,
                    $change->created_at->toIso8601String(),
                    $change->who(),
                    $change->room->value,
                    $change->summary,
                    $change->taken_back_by,
                    $change->takes_back,
                ]),
            );
        }
        $changes = $changes->cursorPaginate(40, cursor: PageCursor::from($request, 'id'))->withQueryString();
        $open = $request->integer('entry') === 0 ? null : Change::query()->with('user')->findOrFail($request->integer('entry'));

        return view('history.index', [
            'changes' => $changes,
            'open' => $open,
            'way' => $open === null ? null : WayBack::of($open),
            'since' => $open === null || ! $request->boolean('since') ? null : $to->plan($open),
            'rooms' => Change::query()->toBase()->distinct()->orderBy('room')->pluck('room'),
        ]);
    }

    /** Everything since an entry, and that entry. */
    public function takeBackTo(Request $request, Change $change, TakeBackTo $to): RedirectResponse
    {
        $n = $to($change, $request->integer('counted'));

        return redirect()
            ->route('history')
            ->with(
                'done',
                'Took back '.($n === 1 ? 'one entry' : "{$n} entries").": the catalog is as it was before entry {$change->id}.",
            );
    }

    public function takeBack(Change $change, TakeBack $takeBack): RedirectResponse
    {
        $done = $takeBack($change);

        return back()->with('done', $done->summary)->with('undo', $done->id);
    }
}
