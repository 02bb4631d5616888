<?php

declare(strict_types=1);

namespace App\Fill;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Cells\CellSheet;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\History\CellMoves;
use App\Models\Category;
use App\Models\Definition;
use App\Models\FillRule;
use App\Models\FillSource;
use App\Models\Origin;
use Illuminate\Support\Facades\DB;
use Lokum\Fill\Bands;
use Lokum\Fill\WordFinder;
use Lokum\Fill\WordLine;
use Lokum\Vocabulary\Level;

/**
 * Works out what a rule gives, set by set: cells of its own that are not due any more go, and items that have nothing from a
 * feed, a person or an earlier rule get what is due. Later rules of the same definition give way. A rule that adds gives what is
 * due beside what items have, unless that was set by hand.
 */
final class PlanFill
{
    private const SAMPLES = 8;

    /** An origin that no cell has: that of a rule which is not saved yet. */
    private const UNSAVED = -9;

    public readonly CellSheet $sheet;

    /** @var list<array{item: string, value: string, before: string, words: string, behind: string}> */
    private array $hits = [];

    public function __construct(private readonly CellMoves $moves, private readonly FillRule $rule)
    {
        $this->sheet = new CellSheet(Chosen::all(Narrowing::where($rule->scope)), $rule->definition);
    }

    /** Leaves what goes and what comes in the tables of the moves. */
    public function __invoke(): FillFigures
    {
        $this->moves->clear();
        match ($this->rule->source) {
            FillSource::Category => $this->fromCategories(),
            FillSource::Words => $this->fromWords(),
            FillSource::Number => $this->fromNumbers(),
            FillSource::Definition => $this->fromDefinition(),
            FillSource::Fixed => $this->sheet->dueToAll((string) $this->rule->settings['value']),
        };
        $undecided = $this->sheet->dropUndecided();
        $this->sheet->keepTargetsOnly();

        return $this->figures($undecided);
    }

    private function fromCategories(): void
    {
        $tree = CategoryTree::load();
        $branch = $tree->bySlug((string) $this->rule->settings['branch']);
        foreach ($branch === null ? [] : Category::query()->where('parent_id', $branch->id)->get() as $child) {
            [$spelling, $token] = $this->sheet->spellings->text($child->name);
            $below = $tree->withDescendants($child->id);
            $also = AlsoOn::condition('p.id', ...$below);
            DB::insert(
                "INSERT OR IGNORE INTO temp.due
                    SELECT t.item_id, {$token}, {$spelling} FROM temp.targets t JOIN items i ON i.id = t.item_id
                    JOIN items p ON p.id = COALESCE(i.parent_id, i.id)
                WHERE p.category_id IN (".
                    implode(',', $below).
                    ')'.
                    ($also === null ? '' : " OR {$also}"),
            );
        }
    }

    private function fromWords(): void
    {
        $finder = new WordFinder($this->lines());
        $fields = (array) $this->rule->settings['in'];
        $rows = [];
        foreach ($this->texts() as $item) {
            foreach ($fields as $field) {
                $text = (string) ($item[$field] ?? '');
                foreach ($text === '' ? [] : $finder->in($text) as $hit) {
                    $rows[] = [(int) $item['id'], $hit->value];
                    if (count($this->hits) < self::SAMPLES) {
                        [$before, $words, $behind] = $hit->in($text);
                        $this->hits[] = [
                            'item' => (string) $item['sku'],
                            'value' => $hit->value,
                            'before' => $before,
                            'words' => $words,
                            'behind' => $behind,
                        ];
                    }
                }
            }
            if (count($rows) > 5000) {
                $this->sheet->due($rows);
                $rows = [];
            }
        }
        $this->sheet->due($rows);
    }

    /** @return list<WordLine> */
    private function lines(): array
    {
        $lines = (array) ($this->rule->settings['lines'] ?? []);
        if ($lines !== []) {
            return array_map(
                fn (array $line): WordLine => new WordLine($line['value'], $line['any'], $line['none']),
                array_values($lines),
            );
        }

        return array_map(
            fn (string $label): WordLine => new WordLine($label, [$label]),
            array_values($this->rule->definition->values()->orderBy('id')->pluck('label')->all()),
        );
    }

    /** @return iterable<array<string, mixed>> targets with the texts of their product and their own */
    private function texts(): iterable
    {
        $own =
            "CASE WHEN i.parent_id IS NULL THEN i.%1\$s ELSE TRIM(COALESCE(p.%1\$s, '') || ' · ' || COALESCE(i.%1\$s, ''), ' ".
            "·') END AS %1\$s";
        $statement = DB::connection()
            ->getPdo()
            ->query(
                'SELECT i.id, i.sku, '.
                    sprintf($own, 'name').
                    ', '.
                    sprintf($own, 'description').
                    '
            FROM temp.targets t JOIN items i ON i.id = t.item_id LEFT JOIN items p ON p.id = i.parent_id',
            );
        // Read at once, since the rows that are due are written meanwhile.
        yield from $statement === false ? [] : $statement->fetchAll(\PDO::FETCH_ASSOC);
    }

    private function fromNumbers(): void
    {
        /** @var list<array{from: float|null, to: float|null, label: string}> $rows */
        $rows = $this->rule->settings['bands'];
        $bands = new Bands($rows);
        $field = (string) $this->rule->settings['field'];
        $from = Definition::called($field);
        if ($from === null) {
            $this->fromField($field, $bands);

            return;
        }
        foreach ($this->sheet->carried($from) as $spelling) {
            $label = $spelling->number === null ? null : $bands->label((float) $spelling->number);
            if ($label !== null) {
                $this->sheet->map($spelling->id, $label);
            }
        }
        $this->sheet->dueByMapping($from);
    }

    /** Price and stock stand on what is bought: on variants, and on products without any. */
    private function fromField(string $field, Bands $bands): void
    {
        $own = $this->rule->definition->level === Level::Variant;
        foreach ($bands->bands as $band) {
            [$spelling, $token] = $this->sheet->spellings->text($band['label']);
            $in = implode(
                ' AND ',
                array_filter([
                    "i.{$field} IS NOT NULL",
                    $band['from'] === null ? null : "i.{$field} >= {$band['from']}",
                    $band['to'] === null ? null : "i.{$field} < {$band['to']}",
                ]),
            );
            DB::insert(
                "INSERT OR IGNORE INTO temp.due
                    SELECT DISTINCT t.item_id, {$token}, {$spelling} FROM temp.targets t JOIN items i ON i.variant_count = 0 AND ".
                    ($own ? 'i.id = t.item_id' : '(i.id = t.item_id OR i.parent_id = t.item_id)').
                    " WHERE {$in}",
            );
        }
    }

    private function fromDefinition(): void
    {
        $from = Definition::called((string) $this->rule->settings['from']);
        if ($from === null) {
            return;
        }
        /** @var array<string, string> $table */
        $table = $this->rule->settings['table'] ?? [];
        foreach ($this->sheet->carried($from) as $spelling) {
            $shown = $spelling->label ?? trim($spelling->text);
            $text = $table === [] ? $shown : $table[$shown] ?? '';
            if ($text !== '') {
                $this->sheet->map($spelling->id, $text);
            }
        }
        $this->sheet->dueByMapping($from);
    }

    private function figures(int $undecided): FillFigures
    {
        $definition = $this->rule->definition_id;
        $rule = $this->rule->id === 0 ? self::UNSAVED : $this->rule->id;
        DB::statement('CREATE TEMP TABLE IF NOT EXISTS taken (item_id INTEGER PRIMARY KEY)');
        DB::delete('DELETE FROM temp.taken');
        if ($this->rule->adds()) {
            $this->takenFromAdding($rule);
        } else {
            $this->takenFromFilling($rule);
        }
        // Its own cells that are not due any more, wherever they are.
        DB::insert(
            'INSERT INTO temp.going SELECT a.item_id, a.definition_id, a.spelling_id, a.origin FROM assignments a
                JOIN spellings s ON s.id = a.spelling_id
            WHERE a.origin = ? AND NOT EXISTS (SELECT 1 FROM temp.due d WHERE d.item_id = a.item_id AND d.token = '.
                CellSheet::TOKEN.
                ' AND d.item_id NOT IN (SELECT item_id FROM temp.taken))',
            [$rule],
        );
        DB::insert(
            'INSERT INTO temp.coming SELECT d.item_id, ?, d.spelling_id, ? FROM temp.due d
                LEFT JOIN temp.held h ON h.item_id = d.item_id AND h.token = d.token AND (h.origin = ? OR ?)
            WHERE h.item_id IS NULL AND d.item_id NOT IN (SELECT item_id FROM temp.taken)',
            [$definition, $rule, $rule, (int) $this->rule->adds()],
        );
        $count = fn (string $sql, mixed ...$values): int => (int) DB::scalar("SELECT COUNT(*) FROM ({$sql})", $values);
        $comes = $count('SELECT DISTINCT item_id FROM temp.coming');
        $differ =
            'SELECT item_id FROM temp.taken WHERE item_id IN (SELECT item_id FROM temp.due) AND item_id NOT IN (SELECT d.item_id
                FROM temp.due d JOIN temp.held h ON h.item_id = d.item_id AND h.token = d.token)';
        $fits = $count('SELECT DISTINCT item_id FROM temp.due');
        $takenFits = $count('SELECT item_id FROM temp.taken WHERE item_id IN (SELECT item_id FROM temp.due)');
        $differs = $count($differ);

        return new FillFigures(
            $fits,
            $comes,
            $count(
                'SELECT DISTINCT item_id FROM temp.going WHERE origin = ? AND item_id NOT IN (SELECT item_id FROM temp.coming)',
                $rule,
            ),
            $fits - $comes - $takenFits,
            $takenFits - $differs,
            $differs,
            $count('SELECT DISTINCT item_id FROM temp.held WHERE origin = '.Origin::HAND." AND item_id IN ({$differ})"),
            $undecided,
            $this->sheet->spellings->newValues(),
            $this->sheet->samples(),
            $this->conflicts($differ),
            $this->hits,
        );
    }

    /**
     * Items to which nothing is added: those set by hand, and those that have all that is due from elsewhere.
     */
    private function takenFromAdding(int $rule): void
    {
        DB::insert('INSERT OR IGNORE INTO temp.taken SELECT item_id FROM temp.held WHERE origin = '.Origin::HAND);
        DB::insert(
            'INSERT OR IGNORE INTO temp.taken SELECT DISTINCT item_id FROM temp.due
                WHERE item_id NOT IN (SELECT d.item_id FROM temp.due d LEFT JOIN temp.held h
                ON h.item_id = d.item_id AND h.token = d.token AND h.origin <> ? WHERE h.item_id IS NULL)',
            [$rule],
        );
    }

    /**
     * Items that a filling rule leaves: those that have something from a feed, a person or an earlier rule. What later rules gave
     * to the others goes; what rules have added does not count.
     */
    private function takenFromFilling(int $rule): void
    {
        $others = FillRule::query()->where('definition_id', $this->rule->definition_id)->whereKeyNot($this->rule->id)->get();
        $adding = $others->filter(fn (FillRule $one): bool => $one->adds())->modelKeys();
        $later = $others
            ->filter(fn (FillRule $one): bool => ! $one->adds() && ! $one->paused && $one->position > $this->rule->position)
            ->modelKeys();
        $gives = 'origin IN ('.implode(',', [$rule, ...$later]).')';
        $added = 'origin IN ('.implode(',', [self::UNSAVED, ...$adding]).')';
        DB::insert("INSERT OR IGNORE INTO temp.taken SELECT item_id FROM temp.held WHERE NOT {$gives} AND NOT {$added}");
        DB::insert(
            "INSERT OR IGNORE INTO temp.going SELECT h.item_id, ?, h.spelling_id, h.origin FROM temp.held h
                WHERE {$gives} AND h.origin <> ? AND h.item_id IN (SELECT item_id
                FROM temp.due) AND h.item_id NOT IN (SELECT item_id FROM temp.taken)",
            [$this->rule->definition_id, $rule],
        );
    }

    /** @return list<array{item: string, has: string, rule: string, hand: bool}> */
    private function conflicts(string $differ): array
    {
        $rows = DB::select(
            "SELECT i.sku, MIN(COALESCE(v.label, TRIM(s.text))) AS has, MIN(h.origin) AS origin, (SELECT MIN(d.spelling_id)
                FROM temp.due d WHERE d.item_id = i.id) AS due FROM ({$differ}) c JOIN items i ON i.id = c.item_id
            JOIN temp.held h ON h.item_id = c.item_id JOIN spellings s ON s.id = h.spelling_id
            LEFT JOIN attribute_values v ON v.id = s.value_id GROUP BY i.id ORDER BY origin LIMIT ".
                self::SAMPLES,
        );

        return array_map(
            fn (\stdClass $row): array => [
                'item' => (string) $row->sku,
                'has' => (string) $row->has,
                'rule' => $this->sheet->spellings->textOf($row->due) ??
                    (string) DB::scalar(
                        'SELECT COALESCE(v.label, TRIM(s.text)) FROM spellings s LEFT JOIN attribute_values v ON v.id = s.value_id
                            WHERE s.id = ?',
                        [$row->due],
                    ),
                'hand' => (int) $row->origin === Origin::HAND,
            ],
            array_values($rows),
        );
    }
}
