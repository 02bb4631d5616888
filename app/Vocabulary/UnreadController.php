<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Texts that their field cannot read, to be mended once for all products. */
final class UnreadController
{
    public function show(Definition $definition): View
    {
        return view('values.unread', ['definition' => $definition, 'unread' => RepairSpellings::unread($definition)]);
    }

    public function update(Request $request, Definition $definition, RepairSpellings $repair): RedirectResponse
    {
        $texts = [];
        foreach ((array) $request->input('read_as', []) as $id => $text) {
            $texts[(int) $id] = is_scalar($text) ? (string) $text : '';
        }

        $change = $repair($definition, $texts);

        return redirect()
            ->route('values.unread', $definition)
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
