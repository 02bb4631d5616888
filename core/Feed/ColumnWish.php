<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** What a person says of the new definition that a column becomes; null: as it is guessed from the cells. */
final readonly class ColumnWish
{
    public function __construct(public ?string $label = null, public ?Kind $kind = null, public ?Level $level = null)
    {
    }

    /** The column as it is wished; a unit and several values in a cell are kept where the kind can have them. */
    public function of(Column $guessed): Column
    {
        $kind = $this->kind ?? $guessed->kind;

        return new Column(
            $guessed->attribute,
            $this->label ?? $guessed->label,
            $kind,
            $guessed->multiple && $kind === $guessed->kind,
            $guessed->separator,
            $this->level ?? $guessed->level,
            $kind === Kind::Number ? $guessed->unit : null,
            $guessed->empty,
            $kind === Kind::Date ? $guessed->dayOrder : null,
        );
    }
}
