<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOStatement;

/** What was looked up in the catalog, kept until anything is written to it, by this process or another. */
final class LookedUp
{
    /** @var array<string, mixed> */
    private array $kept = [];

    private string $state = '';

    private ?PDO $connection = null;

    private PDOStatement $question;

    /**
     * @template T
     *
     * @param  Closure(): T  $look
     * @return T
     */
    public function of(string $name, Closure $look): mixed
    {
        // What a transaction has written may be rolled back.
        if (DB::transactionLevel() > 0) {
            return $look();
        }
        $state = $this->state();
        if ($state !== $this->state) {
            $this->state = $state;
            $this->kept = [];
        }
        if (! array_key_exists($name, $this->kept)) {
            $this->kept[$name] = $look();
        }

        return $this->kept[$name];
    }

    /** Other for another connection, after writes of this one, and after commits of others: two numbers that SQLite keeps anyway. */
    private function state(): string
    {
        $connection = DB::connection()->getPdo();
        if ($connection !== $this->connection) {
            $this->connection = $connection;
            $this->question = $connection->prepare('SELECT total_changes(), data_version FROM pragma_data_version');
        }
        $this->question->execute();
        $numbers = (array) $this->question->fetch(PDO::FETCH_NUM);
        $this->question->closeCursor();

        return spl_object_id($connection).' '.implode(' ', $numbers);
    }
}
