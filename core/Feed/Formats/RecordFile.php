<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Closure;
use Generator;
use Lokum\Feed\CsvFile;
use Lokum\Feed\Row;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;

/** Records whose fields have names, as rows under the names that any of them has. */
final class RecordFile implements SupplierFile
{
    /** @var list<string> */
    private array $headings;

    private int $found = 0;

    private int $done = 0;

    /**
     * @param  Closure(): iterable<int, array<string, string>|string>  $records  by line or number from 1: texts by name, or why one
     *         cannot be taken
     * @param  list<string>  $described
     *
     * @throws UnreadableFile when there are too many names, or no records
     */
    public function __construct(private readonly Closure $records, private readonly array $described)
    {
        $names = [];
        foreach (($this->records)() as $record) {
            $this->found++;
            $names += is_array($record) ? array_fill_keys(array_keys($record), true) : [];
            if (count($names) > CsvFile::MOST_COLUMNS) {
                throw UnreadableFile::tooManyColumns(count($names));
            }
        }
        $this->headings = array_map(strval(...), array_keys($names));
        if ($this->headings === []) {
            throw UnreadableFile::noRecords();
        }
    }

    public function headings(): array
    {
        return $this->headings;
    }

    public function described(): array
    {
        return $this->described;
    }

    public function rows(): Generator
    {
        $this->done = 0;
        $empty = array_fill_keys($this->headings, '');
        foreach (($this->records)() as $line => $record) {
            $this->done++;
            yield is_string($record)
                ? new Row($line, [], $record)
                : new Row($line, array_values(array_replace($empty, $record)));
        }
    }

    public function progress(): float
    {
        return $this->done / max(1, $this->found);
    }
}
