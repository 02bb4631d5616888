<?php

declare(strict_types=1);

namespace App\Search;

use Illuminate\Http\Request;
use Illuminate\View\View;

/** The search of the whole desk: a list below its field, or a page of its own. */
final class SearchController
{
    public function __invoke(Request $request, SearchEverything $search): View
    {
        $text = $request->string('q')->toString();

        return view($request->hasHeader('HX-Request') ? 'search.hits' : 'search.index', [
            'text' => trim($text),
            'hits' => $search($text, $request->user()),
        ]);
    }
}
