<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Feed;
use App\Models\Heading;
use App\Support\Format;
use App\Support\Refused;
use Illuminate\Support\Collection;
use Lokum\Feed\Column;
use Lokum\Feed\ColumnGuess;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\ColumnName;
use Lokum\Feed\ColumnWish;
use Lokum\Feed\Formats\RecordFile;
use Lokum\Feed\SupplierFile;
use Lokum\Text\Label;
use Lokum\Text\Slug;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/**
 * Decides what each column of a file leads to. First what a person has said, then what this feed's headings led to before,
 * then the columns known by name, then headings with equal keys elsewhere, and at last a guess from the cells.
 */
final class ResolveColumns
{
    private const SAMPLE = 2000;

    /** Whether the file has more rows than were looked at. */
    private bool $isSample = false;

    /** @var Collection<int, Definition> */
    private Collection $definitions;

    /** @var array<int, ColumnGuess>|null null before anybody asked */
    private ?array $guesses = null;

    private SupplierFile $file;

    /** The column that names the product of a variant; false where none does. */
    private int|false $parent = false;

    /** @var list<string> what the headings are called, where they become definitions */
    private array $called = [];

    public function __construct()
    {
        $this->definitions = Definition::query()->get()->toBase();
    }

    /** @return list<TargetColumn> */
    public function __invoke(SupplierFile $file, ?Feed $feed, ColumnMap $map): array
    {
        $headings = $file->headings();
        $this->called = $file instanceof RecordFile ? ColumnName::inner($headings) : $headings;
        $known = [];
        foreach (ColumnName::KNOWN as $name) {
            $index = ColumnName::amongHeadings($name, $headings, Format::currencyNames());
            if ($index !== null) {
                $known[$index] ??= $name;
            }
        }
        foreach ($headings as $index => $heading) {
            // A known name that stands twice is not an attribute of that name: the reader refuses it.
            $known[$index] ??= ColumnName::of($heading);
        }
        $known = array_filter($known, is_string(...));
        [$this->file, $this->parent] = [$file, array_search('parent_sku', $known, true)];
        $remembered = $feed?->headings()->with('definition')->get()->keyBy('text') ?? collect();
        $targets = [];
        $slugs = [];
        foreach ($headings as $index => $heading) {
            $target = match (true) {
                Label::isBlank($heading) => new TargetColumn($index, $heading, null, null, 'it has no heading'),
                $map->describes($heading) => $this->described($index, $heading, $map->for($heading)),
                $map->isOwn($heading) => $this->guessed($index, $heading, $map->empty, $slugs, $map->wishes[$heading] ?? new ColumnWish()),
                $remembered->has($heading) => $this->remembered($index, $heading, $remembered[$heading]),
                isset($known[$index]) => $this->field($index, $heading, $known[$index], 'known by its name'),
                default => $this->sameKey($index, $heading, $map->empty) ??
                    $this->guessed($index, $heading, $map->empty, $slugs),
            };
            $slugs[$target->column()->attribute ?? ''] = true;
            $targets[] = $target;
        }

        return $this->oneColumnForEachField($targets);
    }

    /**
     * What is seen in the first rows, by column index; looked at when it is first asked for. To be called after the columns were resolved.
     *
     * @return array<int, ColumnGuess>
     */
    public function seen(): array
    {
        return $this->guesses ??= $this->look();
    }

    /** What figures of the cells are about, where the file is longer than what was looked at. */
    public function inWhat(): string
    {
        $this->seen();

        return $this->isSample ? ' in the first '.number_format(self::SAMPLE).' rows' : '';
    }

    /** @return array<int, ColumnGuess> */
    private function look(): array
    {
        $guesses = array_map(fn (string $called): ColumnGuess => new ColumnGuess($called), $this->called);
        $rows = 0;
        foreach ($this->file->rows() as $row) {
            if ($row->problem !== null) {
                continue;
            }
            if ($rows++ >= self::SAMPLE) {
                $this->isSample = true;
                break;
            }
            $variant = $this->parent !== false && trim($row->cells[$this->parent] ?? '') !== '';
            foreach ($guesses as $index => $guess) {
                $guess->add($row->cells[$index] ?? '', $variant);
            }
        }

        return $guesses;
    }

    private function described(int $index, string $heading, Column|string|null $target): TargetColumn
    {
        if (! ($target instanceof Column)) {
            return $target === null
                ? new TargetColumn($index, $heading, null, null, 'left aside', true)
                : $this->field($index, $heading, $target, 'as you said');
        }
        $definition = $this->definitions->firstWhere(fn (Definition $one): bool => $one->goesBy($target->attribute));
        if ($definition !== null && $definition->kind !== $target->kind) {
            throw new Refused(
                "The map of column \"{$heading}\" ".
                "says {$target->attribute} is of ".
                "kind {$target->kind->value}; it is defined as {$definition->kind->value}. Change one of them.",
            );
        }

        return new TargetColumn(
            $index,
            $heading,
            $definition?->asColumn($target->separator, $target->empty) ?? $target,
            $definition,
            'as you said',
            true,
        );
    }

    private function remembered(int $index, string $heading, Heading $known): TargetColumn
    {
        return match (true) {
            $known->field !== null => $this->field($index, $heading, $known->field, 'as in the last reading'),
            $known->definition !== null => new TargetColumn(
                $index,
                $heading,
                $known->definition->asColumn(null, $known->empty ?? []),
                $known->definition,
                'as in the last reading',
            ),
            default => new TargetColumn($index, $heading, null, null, 'left aside in the last reading'),
        };
    }

    private function field(int $index, string $heading, string $field, string $why): TargetColumn
    {
        if ($field !== Definition::BRAND) {
            return new TargetColumn($index, $heading, $field, null, $why);
        }
        $brand = $this->definitions->firstWhere('slug', Definition::BRAND);
        $column = $brand?->asColumn() ?? new Column(Definition::BRAND, 'Brand', Kind::Choice, level: Level::Product);

        return new TargetColumn($index, $heading, $column, $brand, $why, true);
    }

    /** @param  list<string>  $empty */
    private function sameKey(int $index, string $heading, array $empty): ?TargetColumn
    {
        $called = $this->called[$index];
        $key = StrictKey::of($called);
        $definition =
            $this->definitions->first(
                fn (Definition $definition): bool => $definition->slug === Slug::of($called) ||
                    StrictKey::of($definition->label) === $key,
            ) ?? Heading::query()->where('key', $key)->whereNotNull('definition_id')->with('definition')->first()?->definition;

        return $definition === null
            ? null
            : new TargetColumn(
                $index,
                $heading,
                $definition->asColumn(null, $empty),
                $definition,
                'same heading as '.$definition->label,
            );
    }

    /**
     * @param  list<string>  $empty
     * @param  array<string, true>  $taken  slugs that other columns of the file lead to
     * @param  ColumnWish|null  $wish  what somebody has said of it who wants it as a definition of its own
     */
    private function guessed(int $index, string $heading, array $empty, array $taken, ?ColumnWish $wish = null): TargetColumn
    {
        $slug = Slug::of($wish->label ?? $this->called[$index]);
        [$column, $why] = $this->seen()[$index]->column($slug);
        $why .= $this->inWhat();
        $column = new Column(
            $slug,
            $column->label,
            $column->kind,
            $column->multiple,
            $column->separator,
            $column->level,
            $column->unit,
            $empty,
            $column->dayOrder,
        );

        return new TargetColumn(
            $index,
            $heading,
            $wish === null ? $column : $wish->of($column),
            null,
            isset($taken[$slug]) ? 'same heading as another column of the file' : $why,
            own: $wish !== null,
        );
    }

    /**
     * A known column that two headings of the file could be goes to the one that a person or an earlier reading named.
     *
     * @param  list<TargetColumn>  $targets
     * @return list<TargetColumn>
     */
    private function oneColumnForEachField(array $targets): array
    {
        $sure = [];
        foreach ($targets as $target) {
            if (is_string($target->target) && $target->why !== 'known by its name') {
                $sure[$target->target] = true;
            }
        }
        $none = [];

        return array_map(
            fn (TargetColumn $target): TargetColumn => is_string($target->target) &&
            $target->why === 'known by its name' &&
            isset($sure[$target->target])
                ? $this->guessed($target->index, $target->heading, [], $none)
                : $target,
            $targets,
        );
    }
}
