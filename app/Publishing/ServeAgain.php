<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\FileLock;
use App\Editions\EditionFile;
use App\Editions\Served;
use App\Models\Edition;
use App\Support\Refused;
use Lokum\Edition\Drift;
use Lokum\Text\Label;
use PDO;

/** Serves an earlier edition again, at once and under a new number, so that whoever follows the numbers follows it too. */
final readonly class ServeAgain
{
    private const LONGEST_REASON = 200;

    public function __construct(private EnterEdition $enter)
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

    /**
     * @param  string  $why  for History, in the words of whoever does it
     *
     * @throws Refused where it is served, its file is gone, or an edition is being made
     */
    public function __invoke(Edition $edition, string $why = ''): Edition
    {
        if (Served::now()->edition?->id === $edition->id) {
            throw new Refused("Edition {$edition->id} is what shoppers see.");
        }
        EditionFile::of($edition)->summary();
        $lock =
            FileLock::tryHold(Publish::lock()) ??
            throw new Refused('Another edition is being made right now. Wait until it is served.');
        try {
            return $this->copy($edition, mb_strimwidth(Label::of($why), 0, self::LONGEST_REASON, '…'));
        } finally {
            $lock->release();
        }
    }

    private function copy(Edition $edition, string $why): Edition
    {
        $number = EnterEdition::nextNumber();
        $name = EnterEdition::newName();
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

        return ($this->enter)(
            $number,
            $name,
            $edition->only(['products', 'variants', 'terms']),
            0,
            "Served edition {$edition->id} again, as edition {$number}".($why === '' ? '' : ": {$why}"),
            $edition->id,
        );
    }
}
