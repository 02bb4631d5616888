<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Vocabulary\Level;

/** What shoppers read where a product carries a spelling. */
final readonly class ShownText
{
    /**
     * @param  string  $label  of its definition
     * @param  list<string>  $colors  that a product with it is drawn in
     * @param  int  $place  among the values of a definition whose order somebody has set; 0 where nobody has
     */
    public function __construct(
        public Level $level,
        public string $label,
        public string $text,
        public array $colors,
        public int $place,
    ) {
    }

    /** @param  array<string, mixed>  $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Level::from((string) $row['level']),
            (string) $row['label'],
            (string) $row['text'],
            $row['colors'] === null ? [] : explode(' ', (string) $row['colors']),
            (int) $row['place'],
        );
    }

    /** @return list<mixed> as an edition stores it, behind the spelling's id */
    public function toRow(): array
    {
        return [
            $this->level->value,
            $this->label,
            $this->text,
            $this->colors === [] ? null : implode(' ', $this->colors),
            $this->place,
        ];
    }
}
