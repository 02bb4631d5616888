<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Item;
use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What is worked out once for each state of the catalog. Any change of the catalog makes it be worked out anew. */
final class Remembered
{
    private const KEPT = 86400;

    /** Items from which on somebody would wait. */
    private const LARGE = 20000;

    /** Raised when what is kept changes its shape, so that nothing of an older Lokum is read. */
    private const SHAPE = 20;

    /** Things that one process keeps at hand. */
    private const AT_HAND = 200;

    /** @var array<string, array{0: int, 1: mixed}> state and what is kept, by name; what one page asks for again and again */
    private array $atHand = [];

    public function __construct(private readonly Ledger $ledger)
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
        // Before the work: what somebody changes meanwhile may not be in it.
        $revision = $this->ledger->revision();
        $known = $this->known($name);
        if ($known === null) {
            $known = $work();
            Cache::put(self::key($name), [$revision, $known], self::KEPT);
        }

        return $known;
    }

    /**
     * The same for what depends on products, values and definitions alone, so that work on line-ups keeps it.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public function ofData(string $name, Closure $work): mixed
    {
        return $this->at($name, fn (): int => $this->ledger->dataRevision(), $work);
    }

    /**
     * The same for what depends on products, their categories, prices and stock alone, so that work on values keeps it.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public function ofProducts(string $name, Closure $work): mixed
    {
        return $this->at($name, fn (): int => $this->ledger->productRevision(), $work);
    }

    /**
     * @template T
     *
     * @param  Closure(): int  $of  state that it is kept for
     * @param  Closure(): T  $work
     * @return T
     */
    private function at(string $name, Closure $of, Closure $work): mixed
    {
        if (DB::transactionLevel() > 0) {
            return $work();
        }
        $revision = $of();
        $kept = $this->atHand[$name] ?? Cache::get(self::key($name));
        if (! is_array($kept) || $kept[0] !== $revision) {
            $kept = [$revision, $work()];
            Cache::put(self::key($name), $kept, self::KEPT);
        }
        $this->atHand = count($this->atHand) < self::AT_HAND ? $this->atHand : [];
        $this->atHand[$name] = [$revision, $kept[1]];

        return $kept[1];
    }

    /**
     * What was added to a list of such things so far, by name; empty after a change of the data.
     *
     * @return array<string, mixed>
     */
    public function added(string $name): array
    {
        $kept = DB::transactionLevel() > 0 ? null : Cache::get(self::key($name));

        return is_array($kept) && $kept[0] === $this->ledger->dataRevision() ? (array) $kept[1] : [];
    }

    /** @param  array<string, mixed>  $all  what was added before among it */
    public function add(string $name, array $all): void
    {
        if (DB::transactionLevel() === 0) {
            Cache::put(self::key($name), [$this->ledger->dataRevision(), $all], self::KEPT);
        }
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
        $kept = (int) Item::table()->max('id') > self::LARGE ? Cache::get(self::key($name)) : null;

        return is_array($kept) ? $kept[1] : $this->ofData($name, $work);
    }

    /**
     * The same for what depends on this input alone.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public static function ofInput(string $name, mixed $input, Closure $work): mixed
    {
        $kept = Cache::get(self::key($name));
        if (! is_array($kept) || $kept[0] !== $input) {
            $kept = [$input, $work()];
            Cache::put(self::key($name), $kept, self::KEPT);
        }

        return $kept[1];
    }

    /** What is kept for the state that the catalog is in now; null where it would have to be worked out. */
    public function known(string $name): mixed
    {
        $kept = Cache::get(self::key($name));

        return is_array($kept) && $kept[0] === $this->ledger->revision() ? $kept[1] : null;
    }

    /**
     * What is kept for that state, or worked out where that keeps nobody waiting, in a catalog that is not large; else null.
     *
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T|null
     */
    public function soon(string $name, Closure $work): mixed
    {
        /** @var T|null $known */
        $known = $this->known($name);

        return $known ?? ((int) Item::table()->max('id') > self::LARGE ? null : $this->of($name, $work));
    }

    /** One row a name, which a newer state overwrites. */
    private static function key(string $name): string
    {
        return self::SHAPE.":{$name}";
    }
}
