<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Definition;
use App\Support\LookedUp;
use Illuminate\Support\Facades\DB;
use Lokum\LookAlike\Lessons;

/** What the shop's own merges and keep-aparts say about the values of an attribute; its own come last, so that they win. */
final class ShopLessons
{
    private const MERGED = 'SELECT v.label AS one, k.label AS other FROM attribute_values v
        JOIN attribute_values k ON k.id = v.merged_into';

    private const APART = 'SELECT v.label AS one, k.label AS other FROM kept_apart x JOIN attribute_values v ON v.id = x.one_id
        JOIN attribute_values k ON k.id = x.other_id';

    public static function for(Definition $definition): Lessons
    {
        $own = 'v.definition_id = '.$definition->id;

        return new Lessons(
            self::pairs(self::MERGED." ORDER BY {$own}, v.id"),
            self::pairs(self::APART),
        );
    }

    /** Other as soon as they say anything else. */
    public static function state(): string
    {
        return app(LookedUp::class)->of('state of lessons', fn (): string => md5(serialize([
            self::pairs(self::MERGED.' ORDER BY v.id'),
            self::pairs(self::APART),
        ])));
    }

    /** @return list<array{0: string, 1: string}> */
    private static function pairs(string $sql): array
    {
        return app(LookedUp::class)->of($sql, fn (): array => array_map(
            fn (\stdClass $pair): array => [(string) $pair->one, (string) $pair->other],
            array_values(DB::select($sql)),
        ));
    }
}
