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

    /** Items from which on somebody would wait. */
    private const LARGE = 20000;

    /** Raised when what is kept changes its shape, so that nothing of an older Lokum is read. */
    private const SHAPE = 4;

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
        if (DB::transactionLevel() > 0) {
            return $work();
        }
        $known = Cache::get($this->key($name));
        if ($known === null) {
            $known = $work();
            Cache::put($this->key($name), $known, self::KEPT);
            Cache::put(self::SHAPE.":{$name}:lately", $known, self::KEPT);
        }

        return $known;
    }

    /**
     * The same, or what it was a few changes ago where working it out would keep somebody waiting: in a large catalog.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public function lately(string $name, Closure $work): mixed
    {
        return $this->known($name) ?? ((int) DB::table('items')->max('id') > self::LARGE ? Cache::get(self::SHAPE.":{$name}:lately") : null) ?? $this->of($name, $work);
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
