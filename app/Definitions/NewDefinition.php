<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Definition;
use App\Models\State;
use Illuminate\Support\Facades\DB;
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
        $id = DB::table('definitions')->insertGetId(
            self::row($column, $described ? State::Accepted : State::Proposed, $described ? null : $reason) + [
                'created_at' => now(),
                'updated_at' => now(),
            ],
        );
        $definition = Definition::query()->findOrFail($id);
        foreach (self::flags($definition) as $value) {
            DB::table('attribute_values')->insert($value + ['created_at' => now(), 'updated_at' => now()]);
        }

        return $definition;
    }

    /** @return array<string, mixed> */
    public static function row(Column $column, State $state, ?string $reason): array
    {
        return [
            'slug' => Slug::unique(
                $column->attribute,
                fn (string $slug): bool => AddressWords::has($slug) ||
                    Definition::query()->where('slug', $slug)->exists(),
            ),
            'label' => $column->label,
            'kind' => $column->kind->value,
            'level' => $column->level->value,
            'multiple' => (int) $column->multiple,
            'separator' => $column->separator,
            'unit' => $column->unit,
            'state' => $state->value,
            'policy' => Policy::Follow->value,
            'term_order' => self::order($column)->value,
            'reason' => $reason,
            'has_pages' => (int) ($column->attribute === Definition::BRAND),
        ];
    }

    /**
     * A yes/no attribute has its two values from the start.
     *
     * @return list<array<string, mixed>>
     */
    public static function flags(Definition $definition): array
    {
        if ($definition->kind !== Kind::Flag || $definition->values()->exists()) {
            return [];
        }

        return [
            [
                'definition_id' => $definition->id,
                'label' => 'Yes',
                'slug' => 'yes',
                'position' => 1,
            ],
            [
                'definition_id' => $definition->id,
                'label' => 'No',
                'slug' => 'no',
                'position' => 2,
            ],
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
