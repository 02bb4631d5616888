<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\LivePrices;
use App\Editions\Served;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Room;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Serves a file that is complete: from the row that this writes on, it is what shoppers see. */
final readonly class EnterEdition
{
    public function __construct(private Ledger $ledger, private ClearEditions $clear)
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
        ($this->clear)();

        return $edition;
    }
}
