<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\CellChange;
use App\Models\Definition;

/** A cell as somebody typed or pasted it into the grid, with the token of what stood there when they did. */
final readonly class TypedCell
{
    public function __construct(public int $item, public Definition $definition, public string $text, public string $was)
    {
    }

    /** @return list<string> */
    public function texts(): array
    {
        return CellChange::set($this->definition, CellChange::parts($this->definition, $this->text))->texts;
    }
}
