<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Feed;
use App\Models\Heading;
use App\Models\Origin;
use Illuminate\Support\Collection;
use Lokum\Feed\TextFate;

/**
 * Where two feeds send the same product, one may leave columns to the other: price and stock from one, texts from the other. What is
 * left stands in the staged rows as the catalog has it, so that nothing of it changes.
 */
final readonly class LeaveToOthers
{
    /** What every product has, as known columns are called, with the columns that go along. */
    private const FIELDS = [
        'name' => ['name'],
        'category' => ['category', 'also'],
        'price' => ['price', 'currency'],
        'stock' => ['stock'],
        'description' => ['description'],
        'image' => ['image'],
    ];

    /** @param  list<TargetColumn>  $targets */
    public function __construct(private Staging $staging, private array $targets)
    {
    }

    /**
     * What a feed can leave: what its columns lead to.
     *
     * @return array<string, string> names by key of a heading
     */
    public static function choices(Feed $feed): array
    {
        $headings = $feed->headings()->with('definition')->get();
        $fields = array_intersect(array_keys(self::FIELDS), $headings->pluck('field')->all());
        $definitions = $headings
            ->pluck('definition')
            ->filter()
            ->unique('id')
            ->sortBy('label')
            ->mapWithKeys(fn (Definition $one): array => [Heading::ofDefinition($one->id) => $one->label])
            ->all();

        return array_combine($fields, array_map(ucfirst(...), $fields)) + $definitions;
    }

    public function __invoke(?Feed $feed): void
    {
        $leaves = $feed->leaves ?? [];
        if ($feed === null || $leaves === []) {
            return;
        }
        $others = Feed::query()->whereKeyNot($feed->id)->with('headings')->get();
        foreach ($leaves as $key) {
            $those = self::lines($others->filter(fn (Feed $other): bool => $other->hasWord($key)));
            if ($those === null) {
                continue;
            }
            $definition = Heading::definitionOf($key);
            match ($definition) {
                null => $this->field($key, $those),
                default => $this->definition($definition, $those),
            };
        }
    }

    /**
     * @param  Collection<int, Feed>  $winning  whose word counts
     * @return string|null SQL of the lines whose product they send; null where nobody's word does
     */
    private static function lines(Collection $winning): ?string
    {
        return $winning->isEmpty()
            ? null
            : 'SELECT s.line FROM temp.staged_rows s WHERE s.same = 0 AND EXISTS (SELECT 1 FROM sent o WHERE o.item_id = s.item_id
                AND o.feed_id IN ('.$winning->pluck('id')->implode(',').'))';
    }

    private function field(string $field, string $those): void
    {
        $value = fn (string $column): string => '(SELECT '.match ($column) {
            'category' => '(SELECT c.path_key FROM categories c WHERE c.id = i.category_id)',
            'also' => 'IIF(i.also_in IS NULL, NULL, (SELECT json_group_array(c.path_key) FROM json_each(i.also_in) j
                JOIN categories c ON c.id = j.value))',
            default => "i.{$column}",
        }.' FROM items i WHERE i.id = staged_rows.item_id)';
        $sets = array_map(fn (string $column): string => "{$column} = {$value($column)}", self::FIELDS[$field]);
        $this->staging->run('UPDATE temp.staged_rows SET '.implode(', ', $sets)." WHERE line IN ({$those})");
    }

    private function definition(int $definition, string $those): void
    {
        $columns = array_values(array_map(
            fn (TargetColumn $target): int => $target->index,
            array_filter($this->targets, fn (TargetColumn $target): bool => $target->definition?->id === $definition),
        ));
        if ($columns === []) {
            return;
        }
        $this->staging->run('DELETE FROM temp.staged_cells WHERE col IN ('.implode(',', $columns).") AND line IN ({$those})");
        $held = 'FROM temp.staged_rows s JOIN assignments a ON a.item_id = s.item_id AND a.definition_id = '.$definition.
            ' AND a.origin = '.Origin::FEED.' JOIN spellings p ON p.id = a.spelling_id';
        $this->staging->run(
            "INSERT INTO temp.staged_texts (col, text, key, spelling_id, value_id, number, problem, fate)
                SELECT DISTINCT {$columns[0]}, p.text, p.key, p.id, p.value_id, p.number, p.problem, ? {$held}
                WHERE s.line IN ({$those}) AND NOT EXISTS (SELECT 1 FROM temp.staged_texts t WHERE t.col = {$columns[0]}
                AND t.spelling_id = p.id)",
            [TextFate::Known->value],
        );
        $this->staging->run(
            "INSERT OR IGNORE INTO temp.staged_cells SELECT s.line, {$columns[0]}, t.id {$held}
                JOIN temp.staged_texts t ON t.col = {$columns[0]} AND t.spelling_id = p.id WHERE s.line IN ({$those})",
        );
    }
}
