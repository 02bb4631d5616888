<?php

declare(strict_types=1);

namespace App\Feeds;

use Lokum\Feed\DeliveryFigures;
use Lokum\Feed\TextFate;

/** What a reading does, or would do, in figures. */
final readonly class ReadingFigures
{
    /**
     * @param  int  $rows  rows of data in the file, refused ones too
     * @param  array{added: int, changed: int, unchanged: int}  $products
     * @param  array{added: int, changed: int, unchanged: int}  $variants
     * @param  array{added: int, resolved: int, held: int}  $values  added and held values; spellings that resolved by their key
     * @param  array{products: int, variants: int}  $gone  that the feed sends no longer
     * @param  int  $jumps  prices that become less than half or more than twice what they were
     * @param  list<string>  $headings  that nobody has said anything about
     * @param  list<array{line: int, column: string, reason: string}>  $refused
     * @param  list<array{line: int, column: string, reason: string}>  $unread  cells kept as text that their field cannot read
     */
    public function __construct(
        public int $rows,
        public array $products,
        public array $variants,
        public array $values,
        public array $gone,
        public int $jumps,
        public array $headings,
        public array $refused,
        public array $unread,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /**
     * For keeping with the reading: long lists cut, with their full number.
     *
     * @return array<string, mixed>
     */
    public function toKeep(int $most = 500): array
    {
        return [
            'refused' => array_slice($this->refused, 0, $most),
            'refused_rows' => count($this->refused),
            'unread' => array_slice($this->unread, 0, $most),
            'unread_cells' => count($this->unread),
        ] + $this->toArray();
    }

    public static function of(Staging $staging, int $rows, TargetColumn ...$targets): self
    {
        $values = ['added' => 0, 'resolved' => 0, 'held' => 0];
        $byAttribute = [];
        foreach ($targets as $target) {
            if ($target->column() !== null) {
                $byAttribute[$target->column()->attribute][] = $target->index;
            }
        }
        foreach ($byAttribute as $columns) {
            $count = fn (string $what, TextFate $fate): int => $staging->number(
                "SELECT COUNT(DISTINCT {$what}) FROM temp.staged_texts WHERE col IN (".
                    implode(', ', $columns).
                    ") AND fate = '{$fate->value}'",
            );
            $added = $count('key', TextFate::New);
            $values['added'] += $added;
            $values['held'] += $count('key', TextFate::Held);
            // Further spellings of what is new come to the value that the first of them makes.
            $values['resolved'] += $count('text', TextFate::Resolved) + $count('text', TextFate::New) - $added;
        }

        return new self(
            $rows,
            self::rows($staging, 'parent IS NULL'),
            self::rows($staging, 'parent IS NOT NULL'),
            $values,
            self::gone($staging),
            $staging->number(
                'SELECT COUNT(*) FROM temp.staged_rows s JOIN items i ON i.id = s.item_id
                    WHERE s.price IS NOT NULL AND i.price > 0 AND (s.price > 2 * i.price OR 2 * s.price < i.price)',
            ),
            array_values(
                array_map(
                    fn (TargetColumn $target): string => $target->heading,
                    array_filter($targets, fn (TargetColumn $target): bool => $target->isUnknown()),
                ),
            ),
            self::refusals($staging),
            self::unread($staging, ...$targets),
        );
    }

    /** @return array{added: int, changed: int, unchanged: int} */
    private static function rows(Staging $staging, string $which): array
    {
        $counts = [];
        foreach ($staging->rows("SELECT changed, COUNT(*) AS n FROM temp.staged_rows WHERE {$which} GROUP BY changed") as $row) {
            $counts[(int) $row['changed']] = (int) $row['n'];
        }

        return [
            'added' => $counts[RowChange::New->value] ?? 0,
            'changed' => $counts[RowChange::Changed->value] ?? 0,
            'unchanged' => $counts[RowChange::None->value] ?? 0,
        ];
    }

    /**
     * What a delivery is judged by, from figures as they were kept.
     *
     * @param  array<string, mixed>  $kept  as {@see toKeep()} gives it
     */
    public static function judged(array $kept): DeliveryFigures
    {
        $number = function (string $path) use ($kept): int {
            $found = data_get($kept, $path, 0);

            return is_numeric($found) ? (int) $found : 0;
        };

        return new DeliveryFigures(
            rows: $number('rows'),
            refused: $number('refused_rows'),
            new: $number('products.added') + $number('variants.added'),
            changed: $number('products.changed') + $number('variants.changed'),
            gone: $number('gone.products') + $number('gone.variants'),
            jumps: $number('jumps'),
            values: $number('values.added') + $number('values.held'),
            headings: count((array) ($kept['headings'] ?? [])),
        );
    }

    /** @return array{products: int, variants: int} */
    private static function gone(Staging $staging): array
    {
        $count = fn (string $which): int => $staging->number(
            "SELECT COUNT(*) FROM temp.staged_gone g JOIN items i ON i.id = g.item_id WHERE i.parent_id IS {$which}",
        );

        return ['products' => $count('NULL'), 'variants' => $count('NOT NULL')];
    }

    /** @return list<array{line: int, column: string, reason: string}> */
    private static function refusals(Staging $staging): array
    {
        $refused = [];
        foreach ($staging->rows('SELECT line, "column", reason FROM temp.staged_refusals GROUP BY line ORDER BY line') as $row) {
            $refused[] = ['line' => (int) $row['line'], 'column' => (string) $row['column'], 'reason' => (string) $row['reason']];
        }

        return $refused;
    }

    /** @return list<array{line: int, column: string, reason: string}> */
    private static function unread(Staging $staging, TargetColumn ...$targets): array
    {
        if ($staging->number('SELECT COUNT(*) FROM temp.staged_texts WHERE problem IS NOT NULL') === 0) {
            return [];
        }
        $headings = array_column($targets, 'heading', 'index');
        $unread = [];
        foreach (
            $staging->rows(
                'SELECT c.line, t.col, t.problem FROM temp.staged_texts t JOIN temp.staged_cells c ON c.text_id = t.id
                    WHERE t.problem IS NOT NULL ORDER BY c.line, t.col',
            ) as $row
        ) {
            $unread[] = [
                'line' => (int) $row['line'],
                'column' => (string) $headings[(int) $row['col']],
                'reason' => (string) $row['problem'],
            ];
        }

        return $unread;
    }
}
