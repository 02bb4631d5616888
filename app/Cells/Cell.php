<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Definition;
use App\Models\Origin;
use Lokum\Quantity\ShownNumber;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;

/** One value of one product or variant, and who gave it. */
final readonly class Cell
{
    public Look $look;

    public Origin $origin;

    /** The fill rule that gave it. */
    public ?int $rule;

    public function __construct(
        public string $text,
        public ?int $valueId,
        public ?string $label,
        ?string $look,
        public ?float $number,
        public ?string $problem,
        public int $spelling,
        int $origin,
    ) {
        $this->origin = Origin::of($origin);
        $this->rule = $this->origin === Origin::Rule ? $origin : null;
        $this->look = Look::fromJson($look);
    }

    /** @param  Definition|null  $of  says the unit and the decimals of a number; null: as it came */
    public function shown(?Definition $of = null): string
    {
        return match (true) {
            $this->label !== null => $this->label,
            $this->number !== null && $of?->kind === Kind::Number => ShownNumber::of(
                $this->text,
                $this->number,
                $of->unit,
                $of->decimals,
            ),
            default => $this->text,
        };
    }
}
