<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Definition;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Quantity\ShownNumber;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\TermOrder;
use PDO;

/** What shoppers read where a product carries a spelling. Each spelling is looked up once; many products share few of them. */
final class ShownSpellings
{
    private const KEPT = 50000;

    /** @var array<int, Definition> */
    private array $definitions = [];

    /** Whether a product may carry several values whose order somebody has set. */
    private bool $hasHandOrder = false;

    /**
     * @var array<int, array{0: string, 1: string, 2: string, 3: list<string>, 4: int}|null> level, label, text, colors and
     *         place by spelling id; null: not shown
     */
    private array $known = [];

    /** @param  Collection<int, Definition>  $definitions  those that shoppers see */
    public function __construct(Collection $definitions)
    {
        foreach ($definitions as $definition) {
            $this->definitions[$definition->id] = $definition;
            $this->hasHandOrder = $this->hasHandOrder || ($definition->multiple && $definition->term_order === TermOrder::Hand);
        }
    }

    /**
     * @param  list<int>  $items
     * @return array<int, array{product?: array<string, list<string>>, variant?: array<string, list<string>>,
     *         colors?: list<string>}> by item: texts by level and label, and the colors it wears
     */
    public function of(array $items): array
    {
        $statement = DB::connection()
            ->getPdo()
            ->query('SELECT item_id, spelling_id FROM assignments WHERE item_id IN ('.implode(',', $items).')');
        /** @var list<array{0: int, 1: int}> $cells */
        $cells = $statement === false ? [] : $statement->fetchAll(PDO::FETCH_NUM);
        $this->lookUp(array_column($cells, 1));
        if ($this->hasHandOrder) {
            usort($cells, fn (array $a, array $b): int => [$a[0], $this->known[$a[1]][4] ?? 0] <=> [$b[0], $this->known[$b[1]][4] ?? 0]);
        }
        $texts = [];
        $worn = [];
        foreach ($cells as [$item, $spelling]) {
            $shown = $this->known[$spelling];
            if ($shown !== null) {
                [$level, $label, $text, $colors] = $shown;
                $texts[$item][$level][$label][] = $text;
                if ($colors !== []) {
                    $worn[$item] ??= $colors;
                }
            }
        }
        $data = [];
        foreach ($texts as $item => $byLevel) {
            $data[$item] = [];
            foreach (Level::cases() as $level) {
                if (isset($byLevel[$level->value])) {
                    $data[$item][$level->value] = $byLevel[$level->value];
                }
            }
            if (isset($worn[$item])) {
                $data[$item]['colors'] = $worn[$item];
            }
        }

        return $data;
    }

    /** @param  list<int>  $spellings */
    private function lookUp(array $spellings): void
    {
        if (count($this->known) > self::KEPT) {
            $this->known = [];
        }
        $missing = array_keys(array_diff_key(array_flip($spellings), $this->known));
        foreach (array_chunk($missing, 5000) as $chunk) {
            $statement = DB::connection()
                ->getPdo()
                ->query(
                    'SELECT s.id, s.definition_id, s.text, s.number, v.label, v.look, v.held AND NOT v.on_products AS hidden, v.position
                        FROM spellings s
                        LEFT JOIN attribute_values v ON v.id = s.value_id WHERE s.id IN ('.
                        implode(',', $chunk).
                        ')',
                );
            foreach ($statement === false ? [] : $statement->fetchAll(PDO::FETCH_ASSOC) as $row) {
                $this->known[(int) $row['id']] = $this->shown($row);
            }
        }
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array{0: string, 1: string, 2: string, 3: list<string>, 4: int}|null
     */
    private function shown(array $row): ?array
    {
        $definition = $this->definitions[(int) $row['definition_id']] ?? null;
        if ($definition === null || (bool) $row['hidden']) {
            return null;
        }
        $look = Look::fromJson($row['look'] === null ? null : (string) $row['look']);
        $text = match (true) {
            $row['label'] !== null => $look->label ?? (string) $row['label'],
            $row['number'] !== null && $definition->kind === Kind::Number => ShownNumber::of(
                (string) $row['text'],
                (float) $row['number'],
                $definition->unit,
                $definition->decimals,
            ),
            default => trim((string) $row['text']),
        };

        return [
            $definition->level->value,
            $definition->label,
            $text,
            $look->colors,
            $definition->term_order === TermOrder::Hand ? (int) $row['position'] : 0,
        ];
    }
}
