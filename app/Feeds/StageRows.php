<?php

declare(strict_types=1);

namespace App\Feeds;

use Closure;
use Lokum\Feed\CategoryPath;
use Lokum\Feed\Column;
use Lokum\Feed\ReadRow;
use Lokum\Feed\Row;
use Lokum\Feed\RowReader;
use Lokum\Feed\SupplierFile;
use Lokum\Vocabulary\Level;

/** Reads a file once, row by row, into the staging tables. What it keeps in memory does not grow with the file. */
final class StageRows
{
    /** JSON letter by letter as SQLite writes it, since the two are compared. */
    private const AS_SQLITE = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    private const CHUNK = 500;

    private const DICTIONARY = 20000;

    /** Items by a JSON list of skus. */
    private const KNOWN = 'SELECT i.sku, i.id, i.row_hash, p.sku AS parent FROM items i LEFT JOIN items p ON p.id = i.parent_id
        WHERE i.sku IN (SELECT value FROM json_each(?))';

    private int $nextText = 1;

    /** @var array<int, array<string, int>> ids of texts by column; emptied when full, so a text may get several ids */
    private array $texts = [];

    /** @var array<string, list<string>> names from the top down, by path key */
    private array $paths = [];

    /** @var array<string, string> path keys by names */
    private array $keys = [];

    private int $rows = 0;

    /** @param  list<TargetColumn>  $targets */
    public function __construct(
        private readonly Staging $staging,
        private readonly array $targets,
        private readonly string $signature,
    ) {
    }

    /**
     * @param  Closure(int, float): void  $progress  rows so far, and the share of the file, 0 to 1
     * @return int rows of data in the file
     */
    public function __invoke(SupplierFile $file, RowReader $reader, Closure $progress): int
    {
        $hasParents = in_array('parent_sku', array_column($this->targets, 'target'), true);
        $chunk = [];
        foreach ($file->rows() as $row) {
            if ($row->problem === null && trim(implode('', $row->cells)) === '') {
                continue;
            }
            $chunk[] = [$row, hash('xxh3', $this->signature."\x1f".implode("\x1f", $row->cells))];
            $this->rows++;
            if (count($chunk) >= self::CHUNK) {
                $this->stage($chunk, $reader, $hasParents);
                $chunk = [];
                $progress($this->rows, $file->progress());
            }
        }
        $this->stage($chunk, $reader, $hasParents);
        $this->staging->settle();
        $progress($this->rows, 1.0);

        return $this->rows;
    }

    /** @return array<string, list<string>> the categories that the rows name: names from the top down, by path key */
    public function paths(): array
    {
        return $this->paths;
    }

    /** @param  list<array{0: Row, 1: string}>  $chunk  rows with the hashes of what they say */
    private function stage(array $chunk, RowReader $reader, bool $hasParents): void
    {
        $known = $this->known(array_map(fn (array $pair): string => $reader->sku($pair[0]), $chunk));
        foreach ($chunk as [$row, $hash]) {
            $item = $known[$reader->sku($row)] ?? null;
            if ($item !== null && $item['row_hash'] === $hash) {
                // Word for word what it said when it was taken: nothing of it is looked at.
                $this->staging->add('staged_rows', [$row->line, $item['sku'], $item['parent'], $hash, 1, $item['id']]);
            } else {
                $this->stageRow($reader->read($row), $hash, $item, $hasParents);
            }
        }
    }

    /**
     * @param  list<string>  $skus
     * @return array<array{sku: string, id: int, row_hash: string|null, parent: string|null}> items by sku
     */
    private function known(array $skus): array
    {
        $known = [];
        /** @var array{sku: string, id: int, row_hash: string|null, parent: string|null} $item */
        foreach ($this->staging->rows(self::KNOWN, [json_encode($skus, self::AS_SQLITE | JSON_INVALID_UTF8_SUBSTITUTE)]) as $item) {
            $known[$item['sku']] = $item;
        }

        return $known;
    }

    /** @param  array{sku: string, id: int, row_hash: string|null, parent: string|null}|null  $item */
    private function stageRow(ReadRow $row, string $hash, ?array $item, bool $hasParents): void
    {
        if ($row->refusal !== null) {
            $this->staging->add('staged_refusals', [$row->line, $row->sku, $row->refusal['column'], $row->refusal['reason']]);

            return;
        }
        // A file without the column leaves the variants it names with their products.
        $parent = $hasParents ? $row->parent : $item['parent'] ?? null;
        $paths = $row->fields['category'] ?? [];
        $keys = array_map($this->key(...), is_array($paths) ? $paths : []);
        $also = array_values(array_diff(array_unique($keys), array_slice($keys, 0, 1)));
        $field = $row->fields;
        $this->staging->add('staged_rows', [
            $row->line,
            $row->sku,
            $parent,
            $hash,
            0,
            $item['id'] ?? null,
            $field['name'] ?? null,
            $keys[0] ?? null,
            $also === [] ? null : json_encode($also, self::AS_SQLITE),
            $field['price'] ?? null,
            $field['currency'] ?? null,
            $field['stock'] ?? null,
            $field['description'] ?? null,
            $field['image'] ?? null,
        ]);
        $this->stageCells($row, $parent !== null);
    }

    private function key(CategoryPath $path): string
    {
        $key = $this->keys[implode(' > ', $path->names)] ??= $path->key();
        $this->paths[$key] ??= $path->names;

        return $key;
    }

    private function stageCells(ReadRow $row, bool $variant): void
    {
        $filled = [];
        foreach ($row->cells as $index => $spellings) {
            /** @var Column $column */
            $column = $this->targets[$index]->target;
            $single = ! $column->multiple && isset($filled[$column->attribute]);
            if ($spellings === [] || $single || ($variant && $column->level === Level::Product)) {
                continue;
            }
            $filled[$column->attribute] = true;
            foreach (array_unique($spellings) as $spelling) {
                $this->staging->add('staged_cells', [$row->line, $index, $this->text($index, $spelling)]);
            }
        }
    }

    private function text(int $index, string $text): int
    {
        $known = $this->texts[$index]["\0".$text] ?? null;
        if ($known !== null) {
            return $known;
        }
        if (count($this->texts[$index] ?? []) >= self::DICTIONARY) {
            $this->texts[$index] = [];
        }
        $id = $this->nextText++;
        $this->staging->add('staged_texts', [$id, $index, $text]);

        return $this->texts[$index]["\0".$text] = $id;
    }
}
