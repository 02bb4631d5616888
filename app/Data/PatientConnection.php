<?php

declare(strict_types=1);

namespace App\Data;

use Illuminate\Database\SQLiteConnection;
use PDOException;

/**
 * A connection whose transactions take the right to write when they begin, and wait for it. One that reads first and writes later
 * would be turned away at once when somebody has written between. The framework can do that from PHP 8.4 on only, since before
 * that PDO knows of no transaction that it has not begun itself.
 */
final class PatientConnection extends SQLiteConnection
{
    protected function executeBeginTransactionStatement(): void
    {
        $this->getPdo()->beginTransaction();
        try {
            // Changes nothing; a statement that could write takes the lock before it looks for rows.
            $this->getPdo()->exec('UPDATE sqlite_sequence SET seq = seq WHERE 0');
        } catch (PDOException $failure) {
            // A database without tables has nothing to wait for.
            if (! str_contains($failure->getMessage(), 'no such table')) {
                $this->getPdo()->rollBack();
                throw $failure;
            }
        }
    }
}
