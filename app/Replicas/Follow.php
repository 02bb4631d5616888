<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Data\FileLock;
use App\Data\StorageProblem;
use App\Editions\Served;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Edition;
use App\Models\User;
use App\Settings\Shop;
use App\Support\Refused;
use Closure;
use Throwable;

/** Keeps a replica at what the machine with the catalog serves: asks again and again, and at once when something is said to be new. */
final readonly class Follow
{
    /** A second. */
    private const GLANCES = 10;

    public function __construct(private TakeOver $takeOver)
    {
    }

    /** @throws Refused where the data directory is a catalog's own */
    public static function ensureRoom(): void
    {
        $isCatalog = ! ReplicaState::isKept() &&
            (Definition::query()->exists() || User::query()->exists() || Change::query()->exists());
        if ($isCatalog) {
            throw new Refused('This data directory holds a catalog. A replica wants one of its own: set LOKUM_DATA to an empty directory.');
        }
    }

    /** @throws Refused where another process follows already */
    public static function lock(): FileLock
    {
        return FileLock::tryHold(config('lokum.data').'/replica.lock') ??
            throw new Refused('Another process keeps this replica up to date already.');
    }

    /**
     * Asks once, and takes over what is new.
     *
     * @return string|null what was done, in words; null where nothing was to be done
     *
     * @throws Refused
     */
    public function once(Upstream $upstream): ?string
    {
        $state = ReplicaState::read();
        // Where the newest file cannot be read, what is known already is asked for again.
        $mends = Served::now()->problem !== null;
        try {
            $manifest = $upstream->manifest($mends ? '' : $state->tag);
            if ($manifest !== null) {
                ($this->takeOver)($manifest, $upstream, $mends);
            }
        } catch (Throwable $why) {
            report($why);
            $why = $why instanceof Refused
                ? $why
                : new Refused(StorageProblem::inWords($why) ?? 'It could not be taken over; the log says why.', isForNow: true);
            (new ReplicaState($state->tag, $state->seal, $state->heard, $why->getMessage()))->write();
            throw $why;
        }
        (new ReplicaState($manifest?->tag() ?? $state->tag, $manifest->seal ?? $state->seal, time()))->write();

        return $manifest === null ? null : 'Serves edition '.Edition::current()?->id.', with what was said until now.';
    }

    /**
     * @param  int  $every  seconds
     * @param  Closure(): bool  $isWanted
     * @param  Closure(string): mixed  $say  gets what was done, and what keeps it from being done, once
     */
    public function on(Upstream $upstream, int $every, Closure $isWanted, Closure $say): void
    {
        $problem = null;
        while ($isWanted()) {
            try {
                $done = $this->once($upstream);
                $problem = null;
            } catch (Refused $why) {
                $done = $why->getMessage() === $problem ? null : $why->getMessage();
                $problem = $why->getMessage();
            }
            if ($done !== null) {
                $say($done);
            }
            Shop::apply();
            $this->rest($every, $isWanted);
        }
    }

    /**
     * Until the time is over, or something is said to be new.
     *
     * @param  Closure(): bool  $isWanted
     */
    private function rest(int $seconds, Closure $isWanted): void
    {
        for ($glances = $seconds * self::GLANCES; $glances > 0 && $isWanted() && ! ReplicaState::isPoked(); $glances--) {
            usleep(intdiv(1_000_000, self::GLANCES));
        }
    }
}
