<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\FileLock;
use App\Draft\DraftTerms;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Item;
use App\Models\Room;
use App\Settings\Shop;
use App\Support\Refused;
use Closure;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * Makes a new edition and serves it. The file is written aside from one snapshot of the catalog, while people go on working;
 * the switch is a single row. Killed at any moment, the old edition is served and a half-written file is left to be cleared.
 */
final readonly class Publish
{
    public function __construct(private DraftSummary $summary, private DraftTerms $terms, private Ledger $ledger)
    {
    }

    /**
     * @param  Closure(string, float): void  $progress  what is being done, and the share of it from 0 to 1
     *
     * @throws Refused when there is nothing to publish, or another publication is under way
     */
    public function __invoke(Closure $progress): Edition
    {
        $lock =
            FileLock::tryHold(self::lock()) ??
            throw new Refused('Another edition is being made right now. Wait until it is served.');
        try {
            return $this->publish($progress);
        } finally {
            $lock->release();
        }
    }

    /** Whether an edition is being made right now. */
    public static function isUnderWay(): bool
    {
        return FileLock::isHeld(self::lock());
    }

    /** Held while an edition is made, so that there is one at a time. */
    public static function lock(): string
    {
        return Edition::directory().'/lock';
    }

    private function publish(Closure $progress): Edition
    {
        $started = microtime(true);
        if (! Item::query()->exists()) {
            throw new Refused('There are no products to publish. Read a feed first.');
        }
        $name = 'edition-'.date('Ymd-His').'-'.bin2hex(random_bytes(4)).'.sqlite';
        try {
            $edition = $this->made($name, $started, $progress);
        } catch (\Throwable $failure) {
            // No half copies stay.
            array_map(fn (string $file) => @unlink(Edition::directory().'/'.$file), ["{$name}.part", $name]);
            throw $failure;
        }
        event(new EditionPublished($edition));
        $this->clearOld();
        $progress('Done', 1.0);

        return $edition;
    }

    /** @param  Closure(string, float): void  $progress */
    private function made(string $name, float $started, Closure $progress): Edition
    {
        $writer = new EditionWriter(Edition::directory()."/{$name}.part");
        $pdo = DB::connection()->getPdo();
        // One read transaction: the edition shows the catalog of one moment.
        $pdo->exec('BEGIN DEFERRED');
        try {
            $number = (int) Edition::query()->max('id') + 1;
            $figures = (new BuildEdition($writer, $this->terms))($number, ($this->summary)(), $progress);
        } finally {
            $pdo->exec('ROLLBACK');
        }
        $bytes = $writer->finish($name);

        return DB::transaction(
            fn (): Edition => Edition::query()->create(
                $figures + [
                    'id' => $number,
                    'file' => $name,
                    'bytes' => $bytes,
                    'seconds' => round(microtime(true) - $started, 3),
                    'user_id' => Auth::id(),
                    'change_id' => $this->ledger->note(
                        Room::Publishing,
                        "Published edition {$number}: ".
                            number_format($figures['products']).
                            ' products, '.
                            number_format($figures['terms']).
                            ' terms',
                        $figures,
                    )->id,
                ],
            ),
        );
    }

    /** Keeps the newest files, and removes what a killed publication left behind. */
    private function clearOld(): void
    {
        $kept = Edition::query()->orderByDesc('id')->limit(Shop::current()->editions)->pluck('file')->all();
        foreach (glob(Edition::directory().'/edition-*') ?: [] as $file) {
            if (! in_array(basename($file), $kept, true) && filemtime($file) < time() - 60) {
                @unlink($file);
            }
        }
    }
}
