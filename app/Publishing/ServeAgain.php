<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\FileLock;
use App\Editions\EditionFile;
use App\Editions\Served;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Room;
use App\Support\Refused;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Lokum\Edition\Drift;
use PDO;

/** Serves an earlier edition again, at once and under a new number, so that whoever follows the numbers follows it too. */
final readonly class ServeAgain
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** What shoppers would find different. */
    public function consequences(Edition $edition): Drift
    {
        return self::between(Served::now()->edition, $edition);
    }

    /** @throws Refused where the file of one of them is gone */
    public static function between(?Edition $one, Edition $other): Drift
    {
        return Drift::between($one === null ? null : EditionFile::of($one)->summary(), EditionFile::of($other)->summary());
    }

    /** @throws Refused where it is served, its file is gone, or an edition is being made */
    public function __invoke(Edition $edition): Edition
    {
        if (Served::now()->edition?->id === $edition->id) {
            throw new Refused("Edition {$edition->id} is what shoppers see.");
        }
        EditionFile::of($edition)->summary();
        $lock =
            FileLock::tryHold(Publish::lock()) ??
            throw new Refused('Another edition is being made right now. Wait until it is served.');
        try {
            $again = $this->copy($edition);
        } finally {
            $lock->release();
        }
        event(new EditionPublished($again));

        return $again;
    }

    private function copy(Edition $edition): Edition
    {
        $number = (int) Edition::query()->max('id') + 1;
        $name = 'edition-'.date('Ymd-His').'-'.bin2hex(random_bytes(4)).'.sqlite';
        $part = Edition::directory()."/{$name}.part";
        if (! @copy(Edition::directory()."/{$edition->file}", $part)) {
            @unlink($part);
            throw new Refused('The file of the edition cannot be copied. Is the disk full?');
        }
        $file = new PDO("sqlite:{$part}");
        $file->prepare("UPDATE meta SET value = ? WHERE key = 'edition'")->execute([(string) $number]);
        unset($file);
        rename($part, Edition::directory()."/{$name}");
        clearstatcache();
        $figures = $edition->only(['products', 'variants', 'terms']);

        return DB::transaction(
            fn (): Edition => Edition::query()->create([
                'id' => $number,
                'file' => $name,
                'bytes' => (int) filesize(Edition::directory()."/{$name}"),
                'seconds' => 0,
                'user_id' => Auth::id(),
                'change_id' => $this->ledger->note(
                    Room::Publishing,
                    "Served edition {$edition->id} again, as edition {$number}",
                    $figures,
                )->id,
            ] + $figures),
        );
    }
}
