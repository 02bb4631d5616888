<?php

declare(strict_types=1);

namespace App\Draft;

use App\Editions\EditionAttribute;
use App\Editions\EditionFile;
use App\Editions\EditionMeta;
use App\Editions\Served;
use App\History\Remembered;
use App\Models\Definition;
use App\Support\LookedUp;
use Illuminate\Support\Facades\DB;
use Lokum\Facet\Carriers;
use Lokum\Facet\ProductSet;
use Lokum\Facet\VariantSet;
use Lokum\Lineup\ProductField;
use Throwable;

/** What the served edition has counted already: of what nothing has touched since, the draft counts the same. */
final readonly class ServedCounts
{
    public function __construct(private Remembered $remembered, private LookedUp $lookedUp)
    {
    }

    /**
     * Distinct products by page (0: the whole shop) and term, and by page those that carry any.
     *
     * @param  Definition|null  $definition  null: stock
     * @return array{counts: array<int, array<int, int>>, carrying: array<int, int>}|null null where it is not said, or touched since
     */
    public function terms(?Definition $definition): ?array
    {
        try {
            return DB::transactionLevel() > 0 ? null : $this->read($definition->slug ?? ProductField::Stock->value);
        } catch (Throwable $damage) {
            // Whatever a damaged file answers: the desk can count by itself.
            report($damage);

            return null;
        }
    }

    /** @return array{counts: array<int, array<int, int>>, carrying: array<int, int>}|null */
    private function read(string $key): ?array
    {
        $edition = $this->edition();
        $attribute = $edition?->attribute($key);
        if (
            $edition === null ||
            $attribute === null ||
            ! $this->remembered->isSince((int) $edition->meta(EditionMeta::Revision), About::filter($key))
        ) {
            return null;
        }
        $carriers = $this->carriedByAny($edition, $attribute);
        $carrying = [];
        foreach ([null, ...$edition->categories()] as $category) {
            $carrying[$category->id ?? 0] = $carriers->and($edition->listing($category))->count();
        }

        return ['counts' => $this->counts($edition)[$attribute->id] ?? [], 'carrying' => array_filter($carrying)];
    }

    /** Null where there is none that the draft can count by. */
    private function edition(): ?EditionFile
    {
        return $this->lookedUp->of('edition to count by', function (): ?EditionFile {
            $served = Served::now();
            $file = $served->edition === null || $served->problem !== null ? null : $served->file();

            return $file?->isOfThisVersion() === true ? $file : null;
        });
    }

    private function carriedByAny(EditionFile $edition, EditionAttribute $attribute): ProductSet
    {
        /** @var Carriers|null $any */
        $any = null;
        foreach (array_keys($edition->terms($attribute)) as $term) {
            $carriers = $edition->carriers($term);
            $any = $any === null ? $carriers : $any->or($carriers);
        }

        return match (true) {
            $any instanceof VariantSet => $any->products(),
            $any instanceof ProductSet => $any,
            default => new ProductSet(gmp_init(0)),
        };
    }

    /** @return array<int, array<int, array<int, int>>> products by attribute, page and term; of all at once, since they stand together */
    private function counts(EditionFile $edition): array
    {
        return $this->lookedUp->of('counts of the edition', function () use ($edition): array {
            $attributes = $counts = [];
            foreach ($edition->attributesAndStock() as $attribute) {
                $attributes += array_fill_keys(array_keys($edition->terms($attribute)), $attribute->id);
            }
            foreach ([null, ...$edition->categories()] as $category) {
                foreach (array_intersect_key($edition->listingCounts($category), $attributes) as $term => $products) {
                    $counts[$attributes[$term]][$category->id ?? 0][$term] = $products;
                }
            }

            return $counts;
        });
    }
}
