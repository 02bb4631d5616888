<?php

declare(strict_types=1);

namespace App\Cells;

use Lokum\Vocabulary\Look;

/** One value of one product or variant. Its origin: 0 a feed, -1 by hand, else the fill rule. */
final readonly class Cell
{
    public Look $look;

    public function __construct(
        public string $text,
        public ?int $valueId,
        public ?string $label,
        ?string $look,
        public ?float $number,
        public ?string $problem,
        public int $spelling,
        public int $origin,
    ) {
        $this->look = Look::fromJson($look);
    }

    public function shown(?string $unit = null): string
    {
        return match (true) {
            $this->label !== null => $this->label,
            $this->number !== null && $unit !== null => rtrim(rtrim(number_format($this->number, 3, '.', ''), '0'), '.').
                ' '.
                $unit,
            default => $this->text,
        };
    }
}
