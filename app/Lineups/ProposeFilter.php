<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Catalog\Discount;
use App\Draft\DraftTerms;
use App\Models\Definition;
use App\Support\Refused;
use Lokum\Facet\Combine;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;

/** A filter over a definition or field in one step: its control proposed from its kind, its values and their looks. */
final readonly class ProposeFilter
{
    public function __construct(private DraftTerms $terms)
    {
    }

    /**
     * @param  string  $source  slug of a definition, or a field that every product has
     * @return array<string, mixed> a row of filters
     *
     * @throws Refused for one that does not exist
     */
    public function __invoke(string $source): array
    {
        $definition = Definition::liveBySlug($source);
        if ($definition !== null) {
            return $this->ofDefinition($definition);
        }
        $field = ProductField::tryFrom($source) ?? throw Refused::unknown('definition', $source);
        if (! in_array($field, self::fields(), true)) {
            throw new Refused('There is no list price to tell a discount from. Define a number "List price" first.', 'source');
        }
        $row = $this->row($field->title(), Control::fitting($field->kind())[0], Combine::Any) + ['field' => $source];

        return match ($field) {
            ProductField::Price => ['step' => 1.0] + $row,
            ProductField::Stock => ['combine' => Combine::One->value] + $row,
            ProductField::Added => [
                'control' => Control::Bands->value,
                'combine' => Combine::One->value,
                'unit' => $field->unit(''),
                'settings' => (string) json_encode([
                    'bands' => [
                        ['from' => null, 'to' => 7, 'label' => 'In the last week'],
                        ['from' => null, 'to' => 30, 'label' => 'In the last 30 days'],
                    ],
                ]),
            ] + $row,
            ProductField::Discount => [
                'control' => Control::Bands->value,
                'combine' => Combine::One->value,
                'unit' => $field->unit(''),
                'settings' => (string) json_encode([
                    'bands' => [
                        ['from' => 10, 'to' => null, 'label' => '10 % off and more'],
                        ['from' => 25, 'to' => null, 'label' => '25 % off and more'],
                        ['from' => 50, 'to' => null, 'label' => '50 % off and more'],
                    ],
                ]),
            ] + $row,
            default => $row,
        };
    }

    /** @return array<int, ProductField> that products can be filtered by now: a discount needs a list price */
    public static function fields(): array
    {
        $hasDiscount = Discount::listPrice() !== null;

        return array_filter(
            ProductField::cases(),
            fn (ProductField $field): bool => $field !== ProductField::Discount || $hasDiscount,
        );
    }

    /** @return array<string, mixed> */
    private function ofDefinition(Definition $definition): array
    {
        $terms = $definition->kind->isAttribute() ? $this->terms->of($definition) : [];
        $dressed = count(array_filter($terms, fn (array $term): bool => ! Look::fromJson($term['look'])->isUndressed()));

        return $this->row(
            $definition->label,
            Control::proposeFor($definition->kind, count($terms), $dressed),
            $definition->kind === Kind::Flag ? Combine::One : Combine::Any,
        ) + ['definition_id' => $definition->id];
    }

    /** @return array{title: string, control: string, combine: string, empty_terms: string, open: int} */
    private function row(string $title, Control $control, Combine $combine): array
    {
        return [
            'title' => $title,
            'control' => $control->value,
            'combine' => $combine->value,
            'empty_terms' => EmptyTerms::Hide->value,
            'open' => 1,
        ];
    }
}
