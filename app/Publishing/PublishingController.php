<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\Served;
use App\Models\Edition;
use App\Models\PlannedPublication;
use App\Support\CsvList;
use App\Support\Format;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class PublishingController
{
    /** Seconds in which a publication that was asked for may wait for the worker. */
    private const ASKED_FOR = 60;

    public function show(Request $request, CurrentDrift $drift, ServeAgain $serve): View|Response|StreamedResponse
    {
        $progress = RunPublishing::progress()->now();
        if ($request->hasHeader('HX-Request') && ! isset($progress['what'])) {
            return response()->noContent()->header('HX-Refresh', 'true');
        }
        $found = $drift();
        if (CsvList::isWanted($request)) {
            return CsvList::of(
                'differences',
                ['about', 'is', 'difference'],
                array_map(
                    fn (array $line): array => [$line['about'], DriftInWords::SIGNS[$line['sign']], $line['text']],
                    DriftInWords::lines($found),
                ),
            );
        }

        $again = Edition::query()->find($request->integer('again'));
        $served = Served::of($request);

        return view('publishing.show', [
            'drift' => $found,
            'lines' => collect(DriftInWords::lines($found))->groupBy('about'),
            'edition' => $served->edition,
            'said' => $served->edition === null ? 0 : $served->file()->live?->variants() ?? 0,
            'problem' => $served->problem,
            'editions' => Edition::query()->with('change.user')->orderByDesc('id')->limit(12)->get(),
            'progress' => $progress,
            'planned' => PlannedPublication::query()->with('user')->first(),
            'again' => $again,
            'differences' => $again === null ? null : $serve->consequences($again),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $progress = RunPublishing::progress();
        // By the lock that a publication holds, not by the clock alone: that may go back.
        if (! Publish::isUnderWay() && abs(time() - ($progress->now()['at'] ?? 0)) > self::ASKED_FOR) {
            $progress->begin();
            RunPublishing::dispatch($request->user()?->id);
        }

        return redirect()->route('publishing');
    }

    /** At a set time, by itself. */
    public function plan(Request $request, PlanPublication $plan): RedirectResponse
    {
        $planned = $plan($request->string('at')->toString(), $request->boolean('anyway'), $request->user());

        return redirect()->route('publishing')->with('done', 'It is published '.Format::moment($planned->at).'.');
    }

    public function callOff(PlanPublication $plan): RedirectResponse
    {
        $plan->cancel();

        return redirect()->route('publishing')->with('done', 'The planned publication is called off.');
    }

    public function serve(Request $request, string $edition, ServeAgain $serve): RedirectResponse
    {
        $again = $serve(
            Edition::query()->find((int) $edition) ?? throw Refused::unknown('edition', $edition),
            $request->string('why')->toString(),
        );

        return redirect()
            ->route('publishing')
            ->with('done', 'Edition '.(int) $edition." is served again, as edition {$again->id}.");
    }

    /** The status in the top bar, worked out when it is not known yet. */
    public function status(Request $request, CurrentDrift $drift): View
    {
        $served = Served::of($request);

        return view('publishing.status', [
            'edition' => $served->edition,
            'problem' => $served->problem,
            'differences' => $drift->known($served->edition) ?? $drift()->differences(),
        ]);
    }
}
