<?php

declare(strict_types=1);

namespace App\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;

final class PublishingController
{
    public function show(Request $request, CurrentDrift $drift): View|Response
    {
        $progress = RunPublishing::progress()->now();
        if ($request->hasHeader('HX-Request') && ! isset($progress['what'])) {
            return response()->noContent()->header('HX-Refresh', 'true');
        }
        $found = $drift();

        return view('publishing.show', ['drift' => $found, 'lines' => collect(DriftInWords::lines($found))->groupBy('about'), 'edition' => Served::of($request)->edition, 'problem' => Served::of($request)->problem,
            'editions' => Edition::query()->with('user')->orderByDesc('id')->limit(12)->get(), 'progress' => $progress]);
    }

    public function store(Request $request): RedirectResponse
    {
        $progress = RunPublishing::progress();
        if (($progress->now()['at'] ?? 0) < time() - 60) {
            $progress->begin();
            RunPublishing::dispatch($request->user()?->id);
        }

        return redirect()->route('publishing');
    }

    /** The status in the top bar, worked out when it is not known yet. */
    public function status(Request $request, CurrentDrift $drift): View
    {
        $served = Served::of($request);

        return view('publishing.status', [
            'edition' => $served->edition, 'problem' => $served->problem, 'differences' => $drift->known($served->edition) ?? $drift()->differences(),
        ]);
    }
}
