<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Edition;
use App\Settings\Shop;
use App\Support\LookedUp;
use App\Support\Refused;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use PDOException;

/**
 * The edition that shoppers are served: the newest whose file is whole. A page, an answer of the API or a command opens it once, so
 * that all of it is from one edition.
 */
final readonly class Served
{
    private const DAMAGED_FOR = 3600;

    /**
     * @param  Edition|null  $edition  null before the first one, and where no file can be read
     * @param  string|null  $problem  why it is not the newest, and what to do
     */
    private function __construct(public ?Edition $edition, private ?EditionFile $file, public ?string $problem)
    {
    }

    public static function now(): self
    {
        $problem = null;
        $kept = app(LookedUp::class)->of(
            'kept editions',
            fn (): Collection => Edition::query()->orderByDesc('id')->limit(Shop::current()->editions)->get(),
        );
        /** @var Edition $edition */
        foreach ($kept as $edition) {
            if (self::isKnownDamaged($edition)) {
                $problem ??= "The file of edition {$edition->id} is damaged. Publish again.";

                continue;
            }
            try {
                return new self($edition, EditionFile::of($edition), $problem);
            } catch (Refused $why) {
                $problem ??= $why->getMessage();
            } catch (PDOException) {
                $problem ??= "The file of edition {$edition->id} is damaged. Publish again.";
            }
        }

        return new self(null, null, $problem);
    }

    /** The same for all that one request asks for. */
    public static function of(Request $request): self
    {
        $known = $request->attributes->get(self::class);
        if (! ($known instanceof self)) {
            $known = self::now();
            $request->attributes->set(self::class, $known);
        }

        return $known;
    }

    /** @throws Refused where there is none */
    public function file(): EditionFile
    {
        return $this->file ?? throw new Refused($this->problem ?? 'There is no edition yet. Publish one first.');
    }

    /** Whether nothing was ever published. */
    public function isBeforeTheFirst(): bool
    {
        return $this->edition === null && $this->problem === null;
    }

    /** Of a file that turned out to be damaged while it was read, the one before is served from now on. */
    public function giveUp(): bool
    {
        try {
            return $this->edition !== null && Cache::put(self::mark($this->edition), true, self::DAMAGED_FOR);
        } catch (PDOException) {
            return false;
        }
    }

    /** A file that was damaged is whole again. */
    public static function isMended(Edition $edition): void
    {
        Cache::forget(self::mark($edition));
    }

    private static function isKnownDamaged(Edition $edition): bool
    {
        try {
            return Cache::get(self::mark($edition)) === true;
        } catch (PDOException) {
            return false;
        }
    }

    private static function mark(Edition $edition): string
    {
        return "damaged:{$edition->file}";
    }
}
