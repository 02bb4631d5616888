<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Definition;
use App\Models\State;
use App\Values\FlagValues;
use Lokum\Feed\Column;
use Lokum\Lineup\AddressWords;
use Lokum\Text\Slug;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Policy;
use Lokum\Vocabulary\SizeLadder;
use Lokum\Vocabulary\TermOrder;

/** The rows that a new definition starts with. */
final class NewDefinition
{
    /** The definition a column of a feed asks for: in use at once where a person described it, else a proposal. */
    public static function fromColumn(Column $column, bool $described, string $reason): Definition
    {
        $state = $described ? State::Accepted : State::Proposed;
        $definition = Definition::query()->create(self::row($column, $state, $described ? null : $reason))->refresh();
        FlagValues::make($definition, null);

        return $definition;
    }

    /** @return array<string, mixed> */
    public static function row(Column $column, State $state, ?string $reason): array
    {
        return [
            'slug' => Slug::unique(
                $column->attribute,
                fn (string $slug): bool => AddressWords::has($slug) ||
                    Definition::called($slug) !== null,
            ),
            'label' => $column->label,
            'kind' => $column->kind->value,
            'level' => $column->level->value,
            'multiple' => (int) $column->multiple,
            'separator' => $column->separator,
            'unit' => $column->unit,
            'day_order' => $column->dayOrder?->value,
            'state' => $state->value,
            'policy' => Policy::Follow->value,
            'term_order' => self::order($column)->value,
            'reason' => $reason,
            'has_pages' => (int) ($column->attribute === Definition::BRAND),
        ];
    }

    private static function order(Column $column): TermOrder
    {
        return match (true) {
            $column->kind === Kind::Flag => TermOrder::Hand,
            SizeLadder::isAbout($column->label) => TermOrder::Size,
            default => TermOrder::Alphabet,
        };
    }
}
