<?php

declare(strict_types=1);

namespace App\Settings;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Room;

/** Says what the shop is called and how it writes; a way back is kept. */
final readonly class SaveShop
{
    /** As the page calls them, for History. */
    private const CALLED = [
        'name' => 'name',
        'line' => 'line behind the name',
        'mark' => 'mark',
        'language' => 'language of numbers and letters',
        'currency' => 'currency',
        'timezone' => 'time zone',
        'taxes' => 'word on tax',
        'editions' => 'number of editions kept',
        'editions_mb' => 'size of editions kept',
        'days' => 'days that files are kept',
        'publishes' => 'times of publishing by itself',
        'loss' => 'loss that is let pass',
        'reports_to' => 'addresses for the night\'s report',
        'reports_at' => 'time of the night\'s report',
    ];

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  array<string, mixed>  $changes  of what was said, by name
     * @param  int  $version  that the person started from; 0 where nothing was said yet
     */
    public function __invoke(array $changes, int $version): ?Change
    {
        $change = $this->ledger->record(Room::Settings, function (Journal $journal) use ($changes, $version): string {
            [$before, $said] = KeepSaid::write($journal, $changes, $version);
            $other = array_keys(array_filter(
                self::CALLED,
                fn (string $key): bool => ($said[$key] ?? null) !== ($before[$key] ?? null),
                ARRAY_FILTER_USE_KEY,
            ));
            $called = array_map(fn (string $key): string => self::CALLED[$key], $other);

            return 'Changed the shop\'s '.(collect($called)->join(', ', ' and ') ?: 'settings');
        });
        Shop::apply();

        return $change;
    }
}
