<?php

declare(strict_types=1);

namespace App\History;

use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What is worked out once for each state of the catalog. Any change of the catalog makes it be worked out anew. */
final readonly class Remembered
{
    private const KEPT = 86400;

    /** Raised when what is kept changes its shape, so that nothing of an older Lokum is read. */
    private const SHAPE = 3;

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public function of(string $name, Closure $work): mixed
    {
        // Inside a transaction the state may be one that never comes to be.
        return DB::transactionLevel() > 0 ? $work() : Cache::remember($this->key($name), self::KEPT, $work);
    }

    public function known(string $name): mixed
    {
        return Cache::get($this->key($name));
    }

    private function key(string $name): string
    {
        return self::SHAPE.":{$name}:{$this->ledger->revision()}";
    }
}
