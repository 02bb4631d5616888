<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Spelling;
use Lokum\Feed\ColumnGuess;
use Lokum\LookAlike\AttributeNames;
use Lokum\Text\StrictKey;
use Lokum\Text\WordForms;
use Lokum\Vocabulary\FlagWord;
use Lokum\Vocabulary\Kind;

/**
 * Which definition a heading that nobody has seen before most likely leads to: a supplier has renamed a column, and its cells still
 * hold the values of one that is known, or it is another name for one (Farbe, Weight in g). It is proposed to
 * a person, and never decided without one.
 */
final readonly class LikelyDefinition
{
    /** Share of the distinct values that the definition has to know. */
    private const SHARE = 0.4;

    /** The same where the heading holds the definition's name: "Colour name" beside Color. */
    private const SHARE_WHERE_NAMED = 0.1;

    private const LEAST = 2;

    private const SAMPLES = 200;

    private function __construct(public Definition $definition, public string $why)
    {
    }

    /**
     * @param  list<TargetColumn>  $targets
     * @param  array<int, ColumnGuess>  $seen  by column index
     * @return array<int, self> by column index, for those that would become definitions of their own
     */
    public static function among(array $targets, array $seen): array
    {
        $taken = array_filter(array_map(fn (TargetColumn $target): ?int => $target->definition?->id, $targets));
        $free = Definition::query()->live()->whereNotIn('id', $taken)->orderBy('id')->get();
        $likely = [];
        foreach ($targets as $target) {
            $column = $target->definition === null && ! $target->own ? $target->column() : null;
            $fitting = $free->filter(fn (Definition $definition): bool => $definition->kind === $column?->kind)->all();
            $found = $column?->kind === Kind::Choice ? self::of($target->heading, $seen[$target->index], $fitting) : null;
            $found ??= $fitting === [] ? null : self::byName($target->heading, $fitting);
            if ($found !== null) {
                $likely[$target->index] = $found;
                $free = $free->where('id', '!=', $found->definition->id);
            }
        }

        return $likely;
    }

    /** @param  array<Definition>  $definitions */
    private static function byName(string $heading, array $definitions): ?self
    {
        $all = array_values($definitions);
        $names = [$heading, ...array_map(fn (Definition $definition): string => $definition->label, $all)];
        foreach (AttributeNames::alike($names) as $places) {
            $others = array_values(array_diff($places, [0]));
            if (count($others) === 1 && count($places) === 2) {
                $definition = $all[$others[0] - 1];

                return new self($definition, "“{$heading}” is another name for {$definition->label}");
            }
        }

        return null;
    }

    /** @param  array<Definition>  $definitions */
    private static function of(string $heading, ColumnGuess $guess, array $definitions): ?self
    {
        // Yes and no stand under many headings, so they tell nothing about one.
        $texts = array_filter(
            array_map(strval(...), array_keys($guess->samples(self::SAMPLES))),
            fn (string $text): bool => FlagWord::read($text) === null,
        );
        $keys = array_values(array_unique(array_map(StrictKey::of(...), $texts)));
        if ($keys === [] || $definitions === []) {
            return null;
        }
        $known = Spelling::table()
            ->whereIn('definition_id', array_map(fn (Definition $definition): int => $definition->id, $definitions))
            ->whereIn('key', $keys)
            ->groupBy('definition_id')
            ->selectRaw('definition_id, COUNT(DISTINCT key) AS n')
            ->orderByDesc('n')
            ->pluck('n', 'definition_id');
        foreach ($known as $id => $n) {
            [$definition] = array_values(array_filter($definitions, fn (Definition $one): bool => $one->id === $id));
            $share = self::names($heading, $definition->label) ? self::SHARE_WHERE_NAMED : self::SHARE;
            if ($n >= self::LEAST && $n >= $share * count($keys)) {
                return new self($definition, "{$n} of ".count($keys)." values are those of {$definition->label}");
            }
        }

        return null;
    }

    /** Whether a heading holds the words of a definition's name, in one spelling or another. */
    private static function names(string $heading, string $label): bool
    {
        $words = fn (string $text): array => array_map(
            WordForms::key(...),
            preg_split('/[^\p{L}\p{N}]+/u', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [],
        );

        return array_diff($words($label), $words($heading)) === [];
    }
}
