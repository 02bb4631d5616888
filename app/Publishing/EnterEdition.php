<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\LivePrices;
use App\Editions\Served;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Room;
use App\Settings\Shop;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Serves a file that is complete: from the row that this writes on, it is what shoppers see. */
final readonly class EnterEdition
{
    private const LEAST = 2;

    public function __construct(private Ledger $ledger)
    {
    }

    /** @return int of the edition that comes next */
    public static function nextNumber(): int
    {
        return (int) Edition::query()->max('id') + 1;
    }

    /** @return string for a file that is not there yet */
    public static function newName(): string
    {
        return 'edition-'.date('Ymd-His').'-'.bin2hex(random_bytes(4)).'.sqlite';
    }

    /**
     * @param  string  $name  of its file
     * @param  array<string, int>  $figures  products, variants, terms
     * @param  float  $seconds  that it took
     * @param  string  $said  for History
     * @param  int|null  $againOf  the edition that it is again
     */
    public function __invoke(int $number, string $name, array $figures, float $seconds, string $said, ?int $againOf = null): Edition
    {
        $path = Edition::directory()."/{$name}";
        $lock = LayOver::lock();
        try {
            $served = Served::now()->edition;
            if ($served !== null) {
                LayOver::carry(Edition::directory()."/{$served->file}", $path);
            }
            $edition = DB::transaction(
                fn (): Edition => Edition::query()->create(
                    $figures + [
                        'id' => $number,
                        'file' => $name,
                        'bytes' => (int) filesize($path),
                        'seconds' => round($seconds, 3),
                        'user_id' => Auth::id(),
                        'again_of' => $againOf,
                        'change_id' => $this->ledger->note(Room::Publishing, $said, $figures)->id,
                    ],
                ),
            );
        } catch (Throwable $failure) {
            @unlink($path);
            @unlink(LivePrices::file($path));
            throw $failure;
        } finally {
            $lock->release();
        }
        event(new EditionPublished($edition));
        $this->clearOld();

        return $edition;
    }

    /** @return list<string> files of the newest editions, as many as the shop keeps by number and by size; two whatever their size */
    private static function kept(Shop $shop): array
    {
        $most = $shop->editionsMegabytes === 0 ? INF : $shop->editionsMegabytes * 1e6;
        $bytes = 0;
        $kept = [];
        foreach (Edition::query()->orderByDesc('id')->limit($shop->editions)->pluck('file') as $file) {
            $bytes += (int) @filesize(Edition::directory()."/{$file}");
            if (count($kept) >= self::LEAST && $bytes > $most) {
                break;
            }
            $kept[] = (string) $file;
        }

        return $kept;
    }

    /** Keeps the newest files, and removes what a killed publication left behind. */
    private function clearOld(): void
    {
        $kept = self::kept(Shop::current());
        foreach (glob(Edition::directory().'/edition-*') ?: [] as $file) {
            if (! in_array(basename($file, LivePrices::file('')), $kept, true) && filemtime($file) < time() - 60) {
                @unlink($file);
            }
        }
    }
}
