<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Definitions\Definition;
use App\Refused;
use App\Vocabulary\Value;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** Which products a list is narrowed to: a category with everything below it, words, values they have, definitions they miss. */
final readonly class Narrowing
{
    /**
     * @param  list<string>  $words  each must be in the name or the sku
     * @param  list<array{0: Definition, 1: Value}>  $values
     * @param  list<Definition>  $missing
     */
    private function __construct(public ?Category $category, public array $words, public array $values, public array $missing, private ?CategoryTree $tree)
    {
    }

    /** @throws Refused for a category, definition or value that does not exist, by its name */
    public static function from(Request $request): self
    {
        $tree = null;
        $category = null;
        $slug = $request->string('category')->toString();
        if ($slug !== '') {
            $tree = CategoryTree::load();
            $category = $tree->bySlug($slug) ?? throw Refused::unknown('category', $slug);
        }
        $values = [];
        foreach ([...(array) $request->input('has', []), ...array_map(fn (mixed $brand): string => Definition::BRAND.':'.$brand, array_filter((array) $request->input('brand', []), fn (mixed $brand): bool => $brand !== null && $brand !== ''))] as $pair) {
            [$attribute, $value] = explode(':', (string) $pair, 2) + [1 => ''];
            if ($attribute === '') {
                continue;
            }
            $definition = self::definition($attribute);
            $values[] = [$definition, $definition->values()->where('slug', $value)->first() ?? throw Refused::unknown("value of {$definition->label}", $value)];
        }
        $missing = array_map(self::definition(...), array_values(array_filter((array) $request->input('missing', []), fn (mixed $slug): bool => is_string($slug) && $slug !== '')));
        $words = preg_split('/\s+/', trim($request->string('q')->toString()), -1, PREG_SPLIT_NO_EMPTY);

        return new self($category, $words === false ? [] : array_slice($words, 0, 10), $values, $missing, $tree);
    }

    public function isOpen(): bool
    {
        return $this->category === null && $this->words === [] && $this->values === [] && $this->missing === [];
    }

    /** @return Builder<Item> products only */
    public function query(): Builder
    {
        $query = Item::query()->products();
        if ($this->category !== null && $this->tree !== null) {
            $query->whereIn('category_id', $this->tree->withDescendants($this->category->id));
        }
        foreach ($this->words as $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $query->where(fn (Builder $either) => $either->whereRaw("items.name LIKE ? ESCAPE '\\'", [$like])->orWhereRaw("items.sku LIKE ? ESCAPE '\\'", [$like])
                ->orWhereRaw("items.id IN (SELECT parent_id FROM items v WHERE v.parent_id IS NOT NULL AND v.sku LIKE ? ESCAPE '\\')", [$like]));
        }
        foreach ($this->values as [$definition, $value]) {
            $query->whereRaw('items.id IN (SELECT '.Counted::PRODUCT.' FROM spellings s JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id WHERE s.value_id = ? AND '.Counted::on($definition->level).')', [$value->id]);
        }
        foreach ($this->missing as $definition) {
            $query->whereRaw('NOT EXISTS (SELECT 1 FROM assignments a WHERE a.item_id = items.id AND a.definition_id = ?)', [$definition->id])
                ->whereRaw('NOT EXISTS (SELECT 1 FROM items v JOIN assignments a ON a.item_id = v.id AND a.definition_id = ? WHERE v.parent_id = items.id)', [$definition->id]);
        }

        return $query;
    }

    private static function definition(string $slug): Definition
    {
        return Definition::query()->where('slug', $slug)->first() ?? throw Refused::unknown('definition', $slug);
    }
}
