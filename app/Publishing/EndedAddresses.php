<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Definitions\Definition;
use App\Vocabulary\TermNumbers;
use Illuminate\Support\Facades\DB;

/** Addresses of values that are no terms any more, merged away or under an umbrella, and the terms that they lead to. */
final class EndedAddresses
{
    /** @return array<string, int> number of the term by slug */
    public static function of(Definition $definition): array
    {
        $terms = TermNumbers::of($definition);
        $values = DB::table('attribute_values')
            ->where('definition_id', $definition->id)
            ->where(fn ($either) => $either->whereNotNull('merged_into')->orWhereNotNull('umbrella_id'))
            ->get(['id', 'slug', 'merged_into']);
        $merged = $values->pluck('merged_into', 'id')->all();
        $leads = [];
        foreach ($values as $value) {
            // A value merged into one that was merged in its turn leads to the last.
            for ($stayed = (int) $value->id; isset($merged[$stayed]); $stayed = (int) $merged[$stayed]);
            $leads[(string) $value->slug] = $terms[$stayed] ?? $stayed;
        }

        return $leads;
    }
}
