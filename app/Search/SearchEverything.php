<?php

declare(strict_types=1);

namespace App\Search;

use App\Catalog\CategoryTree;
use App\Guide\GuidePage;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Item;
use App\Models\Lineup;
use App\Models\Spelling;
use App\Models\State;
use App\Models\Umbrella;
use App\Models\User;
use App\Models\Value;
use App\Support\Containing;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Lokum\Text\StrictKey;

/** One search over rooms and acts, products, definitions, values with their spellings, categories and line-ups. */
final readonly class SearchEverything
{
    private const OF_A_KIND = 6;

    private const MOST_WORDS = 6;

    /** @return list<Hit> rooms first, then what the words name most exactly */
    public function __invoke(string $text, ?User $user): array
    {
        $words = array_slice(preg_split('/\s+/u', trim(mb_substr($text, 0, 200)), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, self::MOST_WORDS);

        return $words === []
            ? []
            : [
                ...$this->rooms($words, $user),
                ...$this->definitions($words),
                ...$this->values($words, trim($text)),
                ...$this->categories($words),
                ...$this->filters($words),
                ...$this->products($words),
                ...$this->guide($words),
            ];
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function rooms(array $words, ?User $user): array
    {
        $found = array_filter(
            Places::all(),
            fn (Place $place): bool => $place->has($words) && ($place->needs === null || Gate::forUser($user)->allows($place->needs)),
        );

        return array_map(
            fn (Place $place): Hit => new Hit('room', $place->label, $place->about, $place->address()),
            array_slice(array_values($found), 0, self::OF_A_KIND),
        );
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function products(array $words): array
    {
        return array_values($this->likely(Item::query()->products()->with('category'), $words, ['title', 'sku'])
            ->orderBy('title')
            ->limit(self::OF_A_KIND)
            ->get()
            ->map(fn (Item $item): Hit => new Hit(
                'product',
                (string) $item->title,
                $item->sku,
                route('products.show', $item),
            ))
            ->all());
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function guide(array $words): array
    {
        return array_map(
            fn (GuidePage $page): Hit => new Hit('guide', $page->title, 'how it is done', route('guide', $page->slug)),
            array_slice(GuidePage::with($words), 0, self::OF_A_KIND),
        );
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function definitions(array $words): array
    {
        return array_values($this->likely(Definition::query()->whereNull('merged_into'), $words, ['label', 'slug'])
            ->orderByRaw('LENGTH(label)')
            ->limit(self::OF_A_KIND)
            ->get()
            ->map(fn (Definition $definition): Hit => new Hit(
                'definition',
                $definition->label,
                $definition->state === State::Accepted ? $definition->kind->value : $definition->state->value,
                route('definitions', ['open' => $definition->slug]),
            ))
            ->all());
    }

    /**
     * Values and umbrellas by their label, and values by a spelling that is these letters.
     *
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function values(array $words, string $text): array
    {
        $bySpelling = Spelling::query()
            ->where('key', StrictKey::of($text))
            ->whereNotNull('value_id')
            ->limit(self::OF_A_KIND)
            ->pluck('value_id');
        $values = Value::query()
            ->with('definition')
            ->whereNull('merged_into')
            ->where(fn (Builder $either) => $this->likely($either, $words, ['label'])->orWhereIn('id', $bySpelling))
            ->orderByRaw('LENGTH(label)')
            ->limit(self::OF_A_KIND)
            ->get()
            ->map(fn (Value $value): Hit => new Hit(
                'value',
                $value->label,
                $value->definition->label,
                route('values.show', [$value->definition, 'value' => $value->id]),
            ))
            ->all();
        $umbrellas = $this->likely(Umbrella::query()->with('definition'), $words, ['label'])
            ->limit(self::OF_A_KIND)
            ->get()
            ->map(fn (Umbrella $umbrella): Hit => new Hit(
                'umbrella',
                $umbrella->label,
                $umbrella->definition->label,
                route('values.show', [$umbrella->definition, 'umbrella' => $umbrella->id]),
            ))
            ->all();

        return [...$values, ...$umbrellas];
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function categories(array $words): array
    {
        return array_values($this->likely(Category::query(), $words, ['path'])
            ->orderByRaw('LENGTH(path)')
            ->limit(self::OF_A_KIND)
            ->get()
            ->map(fn (Category $category): Hit => new Hit(
                'category',
                $category->path,
                'its products',
                route('products', ['where' => ["category:{$category->slug}"]]),
            ))
            ->all());
    }

    /**
     * @param  list<string>  $words
     * @return list<Hit>
     */
    private function filters(array $words): array
    {
        $placements = Lineup::query()->pluck('placement', 'id');
        $tree = CategoryTree::load();

        return array_values($this->likely(Filter::query(), $words, ['title'])
            ->limit(self::OF_A_KIND)
            ->get()
            ->map(function (Filter $filter) use ($placements, $tree): Hit {
                [$kind, $category] = explode(':', (string) $placements[$filter->lineup_id]) + [1 => null];

                return new Hit(
                    'filter',
                    $filter->title,
                    $category === null ? (string) $kind : ($tree->find((int) $category)->path ?? ''),
                    route('line-ups', ['page' => $category ?? $kind, 'filter' => $filter->key()]),
                );
            })
            ->all());
    }

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $query
     * @param  list<string>  $words  all of which have to be in one of the columns
     * @param  list<string>  $columns
     * @return Builder<T>
     */
    private function likely(Builder $query, array $words, array $columns): Builder
    {
        foreach ($words as $word) {
            Containing::text($query, array_map(fn (string $column): string => "{$column} LIKE ?", $columns), $word);
        }

        return $query;
    }
}
