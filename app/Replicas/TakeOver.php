<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Editions\EditionFile;
use App\Editions\LivePrices;
use App\Editions\Served;
use App\History\Ledger;
use App\Models\Edition;
use App\Models\Room;
use App\Models\Setting;
use App\Models\Token;
use App\Publishing\ClearEditions;
use App\Support\Pictures;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;

/**
 * Brings a replica to what a manifest says. Files come first, each into its place once it is whole; one transaction then enters
 * settings, tokens and the edition's row, which is the switch.
 */
final readonly class TakeOver
{
    public function __construct(private Ledger $ledger, private ClearEditions $clear)
    {
    }

    /**
     * @param  bool  $mends  whether the edition's file may be damaged here
     *
     * @throws Refused where something does not come, or was written by another version of Lokum
     */
    public function __invoke(Manifest $manifest, Upstream $upstream, bool $mends): void
    {
        foreach ($manifest->pictures as $name) {
            if (! is_file(Pictures::path($name))) {
                $upstream->fetch("pictures/{$name}", Pictures::path($name), basename($name, '.webp'));
            }
        }
        $isNewer = $this->isNewer($manifest);
        if ($isNewer || $this->serves($manifest)) {
            $this->fetchEdition($manifest, $upstream, $mends);
        }
        DB::transaction(function () use ($manifest, $isNewer): void {
            Setting::query()->firstOrNew()->fill(['said' => $manifest->settings])->save();
            $this->tokens($manifest->tokens);
            if ($isNewer) {
                // After a restore the catalog counts on from an earlier number.
                Edition::query()->where('id', '>=', $manifest->edition['id'])->delete();
                $said = "Took edition {$manifest->edition['id']} from ".config('lokum.replica.from');
                $edition = new Edition();
                $edition->setRawAttributes(
                    $manifest->edition + ['change_id' => $this->ledger->note(Room::Publishing, $said)->id],
                );
                $edition->save();
            }
        });
        ($this->clear)();
    }

    /** What is served here is never followed by what was made before it: shoppers do not go back. */
    private function isNewer(Manifest $manifest): bool
    {
        $here = Edition::current();

        return $here === null ||
            ($here->file !== $manifest->file() && Moment::of($here)->isBefore(Moment::ofRow($manifest->edition)));
    }

    private function serves(Manifest $manifest): bool
    {
        return Edition::current()?->file === $manifest->file();
    }

    private function fetchEdition(Manifest $manifest, Upstream $upstream, bool $mends): void
    {
        $path = Edition::directory().'/'.$manifest->file();
        $bytes = (int) $manifest->edition['bytes'];
        $isThere = is_file($path) && filesize($path) === $bytes && (! $mends || hash_file('sha256', $path) === $manifest->digest);
        if (! $isThere) {
            $upstream->fetch("editions/{$manifest->file()}", $path, $manifest->digest, $bytes);
            Served::isMended((new Edition())->setRawAttributes($manifest->edition));
        }
        $said = LivePrices::file($path);
        if ($manifest->live !== null && (! is_file($said) || hash_file('sha256', $said) !== $manifest->live)) {
            // More may have been said since the list was made.
            $upstream->fetch("editions/{$manifest->file()}/said", $said, null);
        }
        // Refuses one that this version does not read, before it is entered.
        new EditionFile($path, $bytes);
    }

    /** @param  list<array<string, mixed>>  $tokens */
    private function tokens(array $tokens): void
    {
        Token::query()->whereNotIn('id', array_column($tokens, 'id'))->delete();
        Token::query()->upsert(
            array_map(fn (array $token): array => $token + ['created_at' => now()], $tokens),
            'id',
            ['name', 'hash', 'expires_at'],
        );
    }
}
