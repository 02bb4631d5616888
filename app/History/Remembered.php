<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Item;
use App\Support\LookedUp;
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
    private const SHAPE = 23;

    /** Things that one process keeps at hand. */
    private const AT_HAND = 200;

    /** States from which on History is looked through before what is older is kept as of now. */
    private const LOOKED = 3;

    /** @var array<int, true> states from which on History was looked through */
    private array $looked = [];

    /** @var array<string, array{0: int, 1: mixed, 2?: string}> state, what is kept and what else it depends on; by name */
    private array $atHand = [];

    public function __construct(private readonly Ledger $ledger, private readonly LookedUp $lookedUp)
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
        $this->keepAtHand($name, $revision, $kept[1]);

        return $kept[1];
    }

    /**
     * The same for what depends on products and their categories, and on what it is said to be about beside these, so that work on
     * other values, prices and stock keeps it.
     *
     * @template T
     *
     * @param  list<int|string>  $about  definitions by id, "price" and "stock"
     * @param  Closure(): T  $work
     * @param  string  $besides  what else it depends on: it is kept while this is the same
     * @return T
     */
    public function about(array $about, string $name, Closure $work, string $besides = ''): mixed
    {
        if (DB::transactionLevel() > 0) {
            return $work();
        }
        $revision = $this->ledger->dataRevision();
        $kept = $this->atHand[$name] ?? Cache::get(self::key($name));
        if (! is_array($kept) || ($kept[2] ?? '') !== $besides || ! $this->holds($kept[0], $about)) {
            $kept = [$revision, $work(), $besides];
            Cache::put(self::key($name), $kept, self::KEPT);
        } elseif ($kept[0] !== $revision && count($this->looked) > self::LOOKED) {
            // After many small changes each thing would be of another state, and History be looked through for each.
            Cache::put(self::key($name), [$revision, $kept[1], $besides], self::KEPT);
        }
        $this->keepAtHand($name, $revision, $kept[1], $besides);

        return $kept[1];
    }

    /**
     * The same for each of several definitions, kept together: what was touched is worked out anew, and the rest stays.
     *
     * @template T
     *
     * @param  list<int>  $definitions
     * @param  Closure(list<int>): array<int, T>  $work  for those of them that it is asked about
     * @return array<int, T> by definition
     */
    public function ofEach(string $name, array $definitions, Closure $work): array
    {
        if (DB::transactionLevel() > 0) {
            return $work($definitions);
        }
        $revision = $this->ledger->dataRevision();
        [$from, $known] = $this->atHand[$name] ?? Cache::get(self::key($name)) ?? [0, []];
        $stays = array_intersect_key($known, array_flip($definitions));
        if ($from !== $revision) {
            $stays = array_filter(
                $stays,
                fn (int $definition): bool => $this->holds($from, [$definition]),
                ARRAY_FILTER_USE_KEY,
            );
        }
        $new = array_values(array_diff($definitions, array_keys($stays)));
        $all = $new === [] ? $stays : $stays + $work($new);
        if ($new !== []) {
            Cache::put(self::key($name), [$revision, $all], self::KEPT);
        }
        $this->keepAtHand($name, $revision, $all);

        return $all;
    }

    /**
     * Whether nothing has touched what something is about since a state of History, which may be of an act that touches no data.
     *
     * @param  list<int|string>  $about
     */
    public function isSince(int $revision, array $about): bool
    {
        return $revision <= $this->ledger->revision() && $this->holds(min($revision, $this->ledger->dataRevision()), $about);
    }

    /**
     * Whether nothing has touched what something is about since it was worked out.
     *
     * @param  list<int|string>  $about
     */
    private function holds(int $from, array $about): bool
    {
        $revision = $this->ledger->dataRevision();
        if ($from >= $revision) {
            return $from === $revision;
        }
        $this->looked[$from] = true;
        $touched = $this->lookedUp->of("touched since {$from}", fn (): ?Touched => Touched::since($from, Touched::FEW));

        return $touched !== null && $touched->keeps($about);
    }

    private function keepAtHand(string $name, int $revision, mixed $known, string $besides = ''): void
    {
        $this->atHand = count($this->atHand) < self::AT_HAND ? $this->atHand : [];
        $this->atHand[$name] = [$revision, $known, $besides];
    }

    /**
     * What was added to a list of such things so far, by name; without what was touched since.
     *
     * @param  Closure(string): list<int|string>  $about  what the thing of a name is about
     * @return array<string, mixed>
     */
    public function added(string $name, Closure $about): array
    {
        $kept = DB::transactionLevel() > 0 ? null : Cache::get(self::key($name));
        [$from, $all] = is_array($kept) ? $kept : [0, []];
        // Before the work: what somebody changes meanwhile may not be in what is added.
        $this->keepAtHand($name, $this->ledger->dataRevision(), $all);

        return $from === $this->ledger->dataRevision()
            ? $all
            : array_filter($all, fn (string $one): bool => $this->holds($from, $about($one)), ARRAY_FILTER_USE_KEY);
    }

    /** @param  array<string, mixed>  $all  what was added before among it */
    public function add(string $name, array $all): void
    {
        if (DB::transactionLevel() === 0) {
            Cache::put(self::key($name), [$this->atHand[$name][0] ?? $this->ledger->dataRevision(), $all], self::KEPT);
        }
    }

    /**
     * What was kept by this name, though it may be a few changes old, where working it out would keep somebody waiting: in a large
     * catalog; else as it is now.
     *
     * @template T
     *
     * @param  Closure(): T  $now  keeps it by that name
     * @return T
     */
    public function lately(string $name, Closure $now): mixed
    {
        $kept = (int) Item::table()->max('id') > self::LARGE ? Cache::get(self::key($name)) : null;

        return is_array($kept) ? $kept[1] : $now();
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
