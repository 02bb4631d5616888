<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\Cell;
use App\Models\Definition;
use App\Models\Item;
use Illuminate\Support\Collection;
use Lokum\Feed\Separator;
use Lokum\Vocabulary\Level;

/** One cell of the grid: what a product (with its variants, for variant-level data) or a variant carries of one definition. */
final readonly class GridCell
{
    /**
     * @param  list<Cell>  $held
     * @param  int  $of  items whose cells these are
     * @param  array<int, list<int>>  $spellings  by item, sorted
     */
    private function __construct(
        public int $item,
        public Definition $definition,
        public array $held,
        public int $of,
        private array $spellings,
    ) {
    }

    /**
     * @param  array<int, array<int, list<Cell>>>  $cells  by item and definition
     * @param  Collection<int, Item>|null  $variants  of a product
     */
    public static function of(Item $item, Definition $definition, array $cells, ?Collection $variants = null): self
    {
        $owners =
            $definition->level === Level::Variant && $variants !== null && $variants->isNotEmpty()
                ? $variants->pluck('id')->all()
                : [$item->id];
        $held = [];
        $spellings = [];
        foreach ($owners as $owner) {
            $own = $cells[$owner][$definition->id] ?? [];
            array_push($held, ...$own);
            $ids = array_map(fn (Cell $cell): int => $cell->spelling, $own);
            sort($ids);
            $spellings[$owner] = $ids;
        }

        return new self($item->id, $definition, $held, count($owners), $spellings);
    }

    /** Tells whether somebody else has changed it since. */
    public function token(): string
    {
        return hash('crc32b', (string) json_encode($this->spellings));
    }

    /** What an editor of it starts with, and what is copied from it. */
    public function text(): string
    {
        $texts = array_values(
            array_unique(
                array_map(
                    fn (Cell $cell): string => $cell->label ?? trim($cell->text),
                    $this->held,
                ),
            ),
        );

        return implode(
            $this->definition->multiple ? Separator::of($this->definition->separator)->first() : ', ',
            count($texts) > 1 && $this->of > 1 && ! $this->definition->multiple ? [] : $texts,
        );
    }
}
