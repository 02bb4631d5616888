<?php

declare(strict_types=1);

namespace App\Data;

use PDO;
use PDOStatement;

/** Puts rows into a table some hundred at a time, which takes half as long as one by one. */
final class ManyRows
{
    /** Rows in one statement. */
    private const BATCH = 250;

    /** @var list<mixed> of the rows that wait, one row behind the other */
    private array $waiting = [];

    private int $rows = 0;

    private ?PDOStatement $batch = null;

    private readonly int $columns;

    /** @param  string  $into  a table, with the columns that rows say, as in "temp.placed (id, product)" */
    public function __construct(private readonly PDO $pdo, private readonly string $into)
    {
        $this->columns = substr_count($into, ',') + 1;
    }

    public function add(mixed ...$row): void
    {
        array_push($this->waiting, ...$row);
        if (++$this->rows === self::BATCH) {
            ($this->batch ??= $this->statement())->execute($this->waiting);
            [$this->waiting, $this->rows] = [[], 0];
        }
    }

    /** Puts in what is waiting. */
    public function end(): void
    {
        if ($this->rows > 0) {
            $this->statement()->execute($this->waiting);
            [$this->waiting, $this->rows] = [[], 0];
        }
    }

    private function statement(): PDOStatement
    {
        $one = '('.implode(', ', array_fill(0, $this->columns, '?')).')';

        return $this->pdo->prepare("INSERT INTO {$this->into} VALUES ".implode(', ', array_fill(0, $this->rows, $one)));
    }
}
