<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Definitions\Definition;
use App\Refused;
use Illuminate\Support\Facades\DB;
use Lokum\Text\StrictKey;

/** Finds the value that a person means by a text: its label, one of its spellings, or the same letters. */
final class FindValue
{
    public static function known(Definition $definition, string $text): ?Value
    {
        $spelling = DB::table('spellings')->where('definition_id', $definition->id)->whereNotNull('value_id');
        $id = $definition->values()->where('label', $text)->value('id')
            ?? $definition->values()->where('slug', $text)->value('id')
            ?? (clone $spelling)->where('text', $text)->value('value_id')
            ?? $spelling->where('key', StrictKey::of($text))->value('value_id');

        return $id === null ? null : Value::query()->find($id);
    }

    /** @throws Refused */
    public static function named(Definition $definition, string $text): Value
    {
        return self::known($definition, $text) ?? throw new Refused("{$definition->label} has no value \"{$text}\".");
    }
}
