<?php

declare(strict_types=1);

namespace App\Lineups;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Category;
use App\Models\Change;
use App\Models\Room;

/** Lets a category's page list its own products only, or those of everything below it, too. */
final readonly class ListOwnOnly
{
    public function __construct(private Ledger $ledger)
    {
    }

    public function __invoke(Category $category, bool $ownOnly): ?Change
    {
        // Its listing changes, so this is one of the catalog, not of line-ups alone.
        return $this->ledger->record(Room::Categories, function (Journal $journal) use ($category, $ownOnly): string {
            $journal->update(Category::class, $category->id, ['own_only' => (int) $ownOnly]);

            return $ownOnly ? "{$category->path} lists its own products only" : "{$category->path} lists everything below it";
        });
    }
}
