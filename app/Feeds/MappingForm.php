<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Reading;
use App\Support\Refused;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Lokum\Feed\Column;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\ColumnName;
use Lokum\Feed\ColumnWish;
use Lokum\Text\Label;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** The mapping that a person chose on the page: for each heading a known column, a definition, "new" as proposed, or aside. */
final class MappingForm
{
    public const NEW = 'new';

    public const ASIDE = 'aside';

    public static function from(Request $request, Reading $reading): ColumnMap
    {
        $headings = (array) $request->input('headings', []);
        $choices = (array) $request->input('targets', []);
        if ($headings === []) {
            return self::remembered($reading);
        }
        $columns = $own = $wishes = [];
        foreach ($headings as $index => $heading) {
            $choice = (string) ($choices[$index] ?? self::NEW);
            if ($choice === self::NEW) {
                $own[] = (string) $heading;
                $wishes[(string) $heading] = self::wish($request, (int) $index);
            } else {
                $columns[(string) $heading] = self::target($choice);
            }
        }
        $empty = preg_split('/\s*,\s*/', trim((string) $request->input('empty', '')), -1, PREG_SPLIT_NO_EMPTY);

        return new ColumnMap($columns, $empty === false ? [] : $empty, $own, array_filter($wishes));
    }

    /** What the form says of a column that becomes a new definition; null where it says nothing. */
    private static function wish(Request $request, int $index): ?ColumnWish
    {
        $text = fn (string $name): string => trim($request->string("{$name}.{$index}")->toString());
        $label = Label::of($text('labels'));
        if (mb_strlen($label) > 200) {
            throw new Refused('The name of a definition has 200 letters at most.');
        }
        $wish = new ColumnWish($label === '' ? null : $label, Kind::tryFrom($text('kinds')), Level::tryFrom($text('levels')));

        return $wish == new ColumnWish() ? null : $wish;
    }

    /** What was chosen last for this file, until it is read. */
    public static function remembered(Reading $reading): ColumnMap
    {
        $map = Cache::get('mapping:'.$reading->id);

        return $map instanceof ColumnMap ? $map : new ColumnMap([], $reading->feed->empty ?? []);
    }

    public static function remember(Reading $reading, ColumnMap $map): void
    {
        Cache::put('mapping:'.$reading->id, $map, 7 * 86400);
    }

    /** What the form shows as chosen for a column. */
    public static function choice(TargetColumn $target, ?LikelyDefinition $likely): string
    {
        return match (true) {
            is_string($target->target) => $target->target,
            $target->target === null => self::ASIDE,
            $target->definition !== null => $target->definition->slug,
            $target->target->attribute === Definition::BRAND => Definition::BRAND,
            default => $likely?->definition->slug ?? self::NEW,
        };
    }

    /** The mapping that was checked last is the one that may be read. */
    public static function rememberChecked(Reading $reading, ColumnMap $map): void
    {
        Cache::put('checked:'.$reading->id, self::digest($map), 7 * 86400);
    }

    public static function isChecked(Reading $reading, ColumnMap $map): bool
    {
        return Cache::get('checked:'.$reading->id) === self::digest($map);
    }

    private static function digest(ColumnMap $map): string
    {
        return hash('xxh3', serialize([$map->columns, $map->empty, $map->own, $map->wishes]));
    }

    private static function target(string $choice): Column|string|null
    {
        if ($choice === self::ASIDE) {
            return null;
        }
        if (in_array($choice, ColumnName::KNOWN, true)) {
            return $choice;
        }
        $definition = Definition::called($choice) ?? throw Refused::unknown('definition', $choice);

        return $definition->asColumn();
    }
}
