<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Setting;
use App\Settings\Shop;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Quantity\Unit;

/** Units that the shop has for itself. */
final class UnitsController
{
    public function show(Request $request, SaveUnits $save): View
    {
        $kept = Shop::current()->units;
        $before = old('units', $kept);
        $typed = $request->string('units', is_string($before) ? $before : $kept)->toString();
        $figures = null;
        $problem = null;
        if ($request->has('units')) {
            try {
                $figures = $save->consequences($typed);
            } catch (Refused $why) {
                $problem = $why->getMessage();
            }
        }

        return view('definitions.units', [
            'typed' => $typed,
            'version' => Setting::query()->first()->version ?? 0,
            'figures' => $figures,
            'problem' => $problem,
            'known' => Unit::symbols(),
        ]);
    }

    public function update(Request $request, SaveUnits $save): RedirectResponse
    {
        $change = $save($request->string('units')->toString(), $request->integer('version'));

        return redirect()
            ->route('units')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
