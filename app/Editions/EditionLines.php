<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Facet\Carriers;
use Lokum\Facet\RangedNumbers;
use Lokum\Lineup\FilterSettings;
use stdClass;

/**
 * A whole edition as documents: what it is, categories, line-ups, attributes with their terms, numbers, addresses that have ended, and
 * every product with its variants, their labels, terms and numbers. docs/edition-lines.schema.json describes them.
 */
final class EditionLines
{
    /** @var array<int, CarriedTerms> by level (1: of products) */
    private array $terms = [];

    /** @var array<int, array<string, RangedNumbers<covariant Carriers>>> by level and field */
    private array $numbers = [];

    /** @var array<int, string> slugs of categories by id */
    private array $categories = [];

    public function __construct(private readonly EditionFile $edition)
    {
        foreach ($edition->categories() as $category) {
            $this->categories[$category->id] = $category->slug;
        }
    }

    /** @return iterable<array<string, mixed>> */
    public function documents(): iterable
    {
        yield [
            'type' => 'edition',
            'edition' => $this->edition->number(),
            'products' => $this->edition->layout->products(),
            'variants' => $this->edition->layout->variants(),
            'currency' => $this->edition->meta(EditionMeta::Currency),
            'locale' => $this->edition->meta(EditionMeta::Locale),
        ];
        foreach ($this->edition->categories() as $category) {
            yield [
                'type' => 'category',
                'slug' => $category->slug,
                'name' => $category->name,
                'path' => $category->path,
                'parent' => $category->parent === null ? null : $this->categories[$category->parent],
                'products' => $category->products,
            ];
        }
        yield from $this->lineups();
        foreach ($this->edition->attributes() as $attribute) {
            yield $this->attribute($attribute);
        }
        foreach ($this->edition->numberFields() as $field) {
            $numbers = $this->edition->numbers($field);
            if ($numbers !== null) {
                yield [
                    'type' => 'number',
                    'field' => $field,
                    'label' => $numbers['label'],
                    'unit' => $numbers['unit'],
                    'level' => $numbers['level']->value,
                ];
            }
        }
        foreach ($this->edition->redirects() as $redirect) {
            yield ['type' => 'redirect'] + $redirect;
        }
        foreach ($this->edition->endedAttributes() as $from => $to) {
            yield ['type' => 'renamed', 'from' => (string) $from, 'to' => $to];
        }
        yield from $this->products();
    }

    /** @return iterable<int, array<string, mixed>> products alone, by number */
    public function products(): iterable
    {
        foreach ($this->edition->products->everyProduct() as $number => $product) {
            yield $number => $this->product($number, $product);
        }
    }

    /** @return array<string, mixed> fields of an index for a search engine, as it describes them */
    public function mapping(): array
    {
        $keyword = ['type' => 'keyword'];
        $text = ['type' => 'text', 'fields' => ['exact' => $keyword]];
        $ofLevel = function (bool $ofProducts) use ($keyword): array {
            $terms = $numbers = [];
            foreach ($this->edition->attributes() as $attribute) {
                if ($this->edition->isOfProducts($attribute) === $ofProducts) {
                    $terms[$attribute->slug] = $keyword;
                }
            }
            foreach (array_keys($this->numbersOf($ofProducts)) as $field) {
                $numbers[$field] = ['type' => 'double'];
            }

            return [
                'properties' => ['type' => 'flattened'],
                'terms' => ['properties' => (object) $terms],
                'numbers' => ['properties' => (object) $numbers],
            ];
        };

        return ['mappings' => ['dynamic' => 'strict', 'properties' => [
            'type' => $keyword,
            'sku' => $keyword,
            'name' => $text,
            'category' => $keyword,
            'description' => ['type' => 'text'],
            'price_from' => ['type' => 'double'],
            'price_to' => ['type' => 'double'],
            'currency' => $keyword,
            'in_stock' => ['type' => 'boolean'],
            'variants' => ['type' => 'nested', 'properties' => [
                'sku' => $keyword,
                'name' => $text,
                'price' => ['type' => 'double'],
                'stock' => ['type' => 'long'],
            ] + $ofLevel(false)],
        ] + $ofLevel(true)]];
    }

    /** @return iterable<array<string, mixed>> each line-up once, with the pages that have it */
    private function lineups(): iterable
    {
        foreach ($this->edition->pagesByLineup() as $pages) {
            yield [
                'type' => 'line-up',
                'pages' => array_map(
                    fn (string $page): array => isset($this->categories[(int) $page])
                        ? ['category' => $this->categories[(int) $page]]
                        : ['page' => $page],
                    $pages,
                ),
                'filters' => array_map(
                    fn (FilterSettings $filter): array => EditionDocuments::filter($filter),
                    $this->edition->filters($pages[0]),
                ),
            ];
        }
    }

    /** @return array<string, mixed> */
    private function attribute(EditionAttribute $attribute): array
    {
        $terms = $this->edition->terms($attribute, nested: true);

        return [
            'type' => 'attribute',
            'attribute' => $attribute->slug,
            'label' => $attribute->label,
            'kind' => $attribute->kind->value,
            'level' => $this->edition->isOfProducts($attribute) ? 'product' : 'variant',
            'help' => $attribute->help,
            'terms' => array_values(
                array_map(
                    fn (EditionTerm $term): array => EditionDocuments::term($term) +
                        ($term->parent === null ? [] : ['below' => $terms[$term->parent]->slug ?? null]),
                    $terms,
                ),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function product(int $number, EditionProduct $product): array
    {
        return ['type' => 'product'] +
            EditionDocuments::product($product) + [
                'category' => $product->category === null ? null : $this->categories[$product->category] ?? null,
                'description' => $product->description,
            ] +
            $this->carried($number, 0, true, $product->properties) + [
                'variants' => array_map(
                    fn (int $lane, array $variant): array => [
                        'sku' => $variant['sku'],
                        'name' => $variant['name'],
                        'price' => $variant['price'],
                        'stock' => $variant['stock'],
                    ] + $this->carried($number, $lane, false, $variant['properties']),
                    array_keys($product->variants),
                    $product->variants,
                ),
            ];
    }

    /**
     * @param  array<string, list<string>>  $properties  texts by label
     * @return array{properties: array<string, list<string>>|stdClass, terms: array<string, list<string>>|stdClass,
     *         numbers: array<string, float>|stdClass}
     */
    private function carried(int $number, int $lane, bool $ofProducts, array $properties): array
    {
        $terms = $this->termsOf($ofProducts)->at($number, $lane);
        $numbers = [];
        foreach ($this->numbersOf($ofProducts) as $field => $known) {
            $at = $known->at($number, $lane);
            if ($at !== null) {
                $numbers[$field] = $at;
            }
        }

        return [
            'properties' => $properties ?: new stdClass(),
            'terms' => $terms ?: new stdClass(),
            'numbers' => $numbers ?: new stdClass(),
        ];
    }

    private function termsOf(bool $ofProducts): CarriedTerms
    {
        return $this->terms[(int) $ofProducts] ??= new CarriedTerms($this->edition, $ofProducts);
    }

    /** @return array<string, RangedNumbers<covariant Carriers>> by field, without price and stock, which have fields of their own */
    private function numbersOf(bool $ofProducts): array
    {
        return $this->numbers[(int) $ofProducts] ??= $this->readNumbers($ofProducts);
    }

    /** @return array<string, RangedNumbers<covariant Carriers>> */
    private function readNumbers(bool $ofProducts): array
    {
        $numbers = [];
        foreach (array_diff($this->edition->numberFields(), ['price', 'stock']) as $field) {
            $known = $this->edition->numbers($field);
            if ($known !== null && ($known['level']->value === 'product') === $ofProducts) {
                $numbers[$field] = $known['numbers'];
            }
        }

        return $numbers;
    }
}
