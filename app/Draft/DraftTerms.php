<?php

declare(strict_types=1);

namespace App\Draft;

use App\Models\Definition;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\LookedUp;
use Lokum\Lineup\OfferableTerm;
use Lokum\Text\Slug;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Term;
use Lokum\Vocabulary\TermOrder;
use Lokum\Vocabulary\TermSorter;

/**
 * The terms an attribute would publish now: its umbrellas, and the values that are in none; without those merged away or held,
 * and those that no product carries.
 */
final readonly class DraftTerms
{
    public function __construct(private TermSorter $sorter, private PageCounts $counts)
    {
    }

    /**
     * @param  array<int, int>|null  $products  distinct products by term, where they were counted already
     * @return list<array{id: int, label: string, slug: string, look: string|null, products: int, page: string}> in their order;
     *         page: what tells its page from another
     */
    public function of(Definition $definition, ?array $products = null, ?TermOrder $order = null): array
    {
        $products ??= $this->counts->ofShop($definition);
        $rows = [];
        $terms = [];
        foreach ($this->candidates($definition) as $row) {
            if (isset($products[$row->id])) {
                $rows[$row->id] = [
                    'id' => $row->id,
                    'label' => $row->label,
                    'slug' => $row->slug,
                    'look' => $row->look,
                    'products' => $products[$row->id],
                    'page' => $definition->has_pages ? md5($row->description.$row->picture) : '',
                ];
                $terms[] = new Term(
                    $row->id,
                    $row->label,
                    $row->position,
                    $products[$row->id],
                    Look::fromJson($row->look)->colors[0] ?? null,
                );
            }
        }

        return array_map(
            fn (Term $term): array => $rows[$term->id],
            $this->sorter->sort($terms, $order ?? $definition->term_order),
        );
    }

    /**
     * The same terms as a filter may offer them, with the values below their umbrellas where it shows these.
     *
     * @param  TermOrder|null  $order  null: the attribute's
     * @return list<OfferableTerm>
     */
    public function offerable(Definition $definition, ?TermOrder $order, bool $nested): array
    {
        $terms = array_map(function (array $row): OfferableTerm {
            $look = Look::fromJson($row['look']);

            return new OfferableTerm($row['id'], $row['slug'], $look->label ?? $row['label'], $look);
        }, $this->of($definition, order: $order));

        return $nested ? [...$terms, ...$this->below($definition)] : $terms;
    }

    /** @return list<OfferableTerm> values below their umbrellas, by their names */
    public function below(Definition $definition): array
    {
        $taken = array_fill_keys(array_column($this->candidates($definition), 'slug'), true);
        $terms = [];
        /** @var Value $value */
        foreach (
            $definition->values()->whereNotNull('umbrella_id')->where('held', false)->orderBy('label')->orderBy('id')->get() as $value
        ) {
            $slug = isset($taken[$value->slug]) ? "{$value->slug}-itself" : $value->slug;
            $terms[] = new OfferableTerm(
                $value->id,
                $slug,
                $value->look()->label ?? $value->label,
                $value->look(),
                Umbrella::TERM + (int) $value->umbrella_id,
            );
        }

        return $terms;
    }

    /** @return list<\stdClass> (id: the term's number, label, slug, look, position, description, picture) */
    private function candidates(Definition $definition): array
    {
        return app(LookedUp::class)->of("terms of {$definition->id}", fn (): array => self::read($definition));
    }

    /** @return list<\stdClass> */
    private static function read(Definition $definition): array
    {
        $values = Value::table()
            ->where('definition_id', $definition->id)
            ->whereNull('merged_into')
            ->whereNull('umbrella_id')
            ->where('held', false)
            ->get(['id', 'label', 'slug', 'look', 'position', 'description', 'picture']);
        $umbrellas = Umbrella::table()
            ->where('definition_id', $definition->id)
            ->selectRaw('id + '.Umbrella::TERM.' AS id, label, slug, look, position, NULL AS description, NULL AS picture')
            ->get();

        // Two terms of one address would be one for shoppers: where that has come about, the later one goes by another.
        $taken = [];
        foreach ($all = [...$values->all(), ...$umbrellas->all()] as $row) {
            $row->slug = Slug::unique((string) $row->slug, fn (string $slug): bool => isset($taken[$slug]));
            $taken[$row->slug] = true;
        }

        return $all;
    }
}
