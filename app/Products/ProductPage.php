<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\Senders;
use App\Cells\Cell;
use App\Cells\Narrowing;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Item;
use App\Support\Page;
use Illuminate\Support\Collection;
use Lokum\Vocabulary\Level;

/** One product: what it carries and what is expected of it, then what else it could carry. */
final readonly class ProductPage extends Page
{
    /**
     * @param  Collection<int, Definition>  $definitions  in use, by label
     * @param  list<int>  $expected  definitions that its category expects
     * @param  Collection<int, Definition>  $notInUse  proposed, left aside or retired, that it or a variant carries
     * @param  array<int, list<string>>  $labels  values by definition, for the fields
     * @param  array<int, array<int, list<Cell>>>  $cells  by item and definition
     * @param  list<Category>  $alsoIn  categories that it stands in beside its own
     * @param  list<array{0: Category, 1: int}>  $categories  the whole tree, with depths
     * @param  array<string, mixed>  $list  the list it was opened from, as an address has it
     */
    public function __construct(
        public Item $item,
        public Collection $definitions,
        public array $expected,
        public Collection $notInUse,
        public array $labels,
        public array $cells,
        public Narrowing $narrowing,
        public array $list,
        public ?Item $before,
        public ?Item $after,
        public Senders $senders,
        public array $alsoIn,
        public array $categories,
    ) {
    }

    public function cell(Item $owner, Definition $definition): GridCell
    {
        return GridCell::of($owner, $definition, $this->cells);
    }

    /** @return Collection<int, Definition> whose cells are the product's own */
    public function own(): Collection
    {
        return $this->item->variants->isEmpty() ? $this->definitions : $this->definitions->where('level', Level::Product)->values();
    }

    /** @return Collection<int, Definition> whose cells are the variants' */
    public function ofVariants(): Collection
    {
        return $this->item->variants->isEmpty() ? collect() : $this->definitions->where('level', Level::Variant)->values();
    }

    public function expects(Definition $definition): bool
    {
        return in_array($definition->id, $this->expected, true);
    }

    /** Whether the product or one of its variants carries it. */
    public function carries(Definition $definition): bool
    {
        return collect([$this->item, ...$this->item->variants])
            ->contains(fn (Item $owner): bool => ($this->cells[$owner->id][$definition->id] ?? []) !== []);
    }

    /** @return Collection<int, Definition> expected, and carried by none of it */
    public function gaps(): Collection
    {
        return $this->definitions
            ->filter(fn (Definition $definition): bool => $this->expects($definition) && ! $this->carries($definition))
            ->values();
    }
}
