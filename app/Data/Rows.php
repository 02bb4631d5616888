<?php

declare(strict_types=1);

namespace App\Data;

use Generator;
use Illuminate\Support\Facades\DB;
use PDO;

/** Rows of the catalog one after the other, by position, so that a million of them take no memory. */
final class Rows
{
    /** @return Generator<int, list<mixed>> */
    public static function of(string $sql): Generator
    {
        return self::from(DB::connection()->getPdo(), $sql);
    }

    /** @return Generator<int, list<mixed>> of another database */
    public static function from(PDO $pdo, string $sql): Generator
    {
        $statement = $pdo->query($sql);
        while ($statement !== false && ($row = $statement->fetch(PDO::FETCH_NUM)) !== false) {
            yield $row;
        }
    }
}
