<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Settings\KeepSaid;
use App\Settings\Shop;
use App\Support\Refused;
use Lokum\Quantity\BadUnit;
use Lokum\Quantity\OwnUnit;
use Lokum\Quantity\UnitTable;
use Lokum\Vocabulary\Kind;

/** Says which units the shop has for itself. Numbers are read anew with them. */
final readonly class SaveUnits
{
    public function __construct(private Ledger $ledger, private ReadAgain $readAgain)
    {
    }

    /**
     * @return array{read: int, unread: int} texts of numbers that could be read from then on, and that could not any more
     *
     * @throws Refused for units that cannot be had
     */
    public function consequences(string $text): array
    {
        $before = self::unread();
        try {
            return $this->ledger->rehearse(function (Journal $journal) use ($text, $before): array {
                $this->write($journal, self::sound($text), null);
                $after = self::unread();

                return ['read' => count(array_diff($before, $after)), 'unread' => count(array_diff($after, $before))];
            });
        } finally {
            UnitTable::with(Shop::current()->units);
        }
    }

    /**
     * @param  int  $version  of the settings that the person started from; 0 where nothing was said yet
     *
     * @throws Refused for units that cannot be had, or when somebody else changed the settings
     */
    public function __invoke(string $text, int $version): ?Change
    {
        $lines = self::sound($text);
        try {
            return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($lines, $version): string {
                $before = count(self::unread());
                $this->write($journal, $lines, $version);
                $read = $before - count(self::unread());

                return 'Changed the units of one\'s own'.match (true) {
                    $read > 0 => ': '.number_format($read).($read === 1 ? ' text' : ' texts').' can be read now',
                    $read < 0 => ': '.number_format(-$read).($read === -1 ? ' text' : ' texts').' cannot be read any more',
                    default => '',
                };
            });
        } finally {
            UnitTable::with(Shop::current()->units);
        }
    }

    private static function sound(string $text): string
    {
        try {
            $lines = implode("\n", array_map(fn (OwnUnit $unit): string => $unit->line(), OwnUnit::read($text)));
            UnitTable::with($lines);

            return $lines;
        } catch (BadUnit $why) {
            UnitTable::with(Shop::current()->units);
            throw new Refused($why->getMessage(), 'units');
        }
    }

    private function write(Journal $journal, string $lines, ?int $version): void
    {
        KeepSaid::write($journal, ['units' => $lines], $version);
        foreach (Definition::query()->where('kind', Kind::Number)->whereNotNull('unit')->get() as $definition) {
            $this->readAgain->spellings($journal, $definition);
        }
    }

    /** @return list<int> texts of numbers that cannot be read */
    private static function unread(): array
    {
        return array_values(
            array_map(
                intval(...),
                Spelling::table()
                    ->whereIn('definition_id', Definition::query()->where('kind', Kind::Number)->select('id'))
                    ->whereNotNull('problem')
                    ->pluck('id')
                    ->all(),
            ),
        );
    }
}
