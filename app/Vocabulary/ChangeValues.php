<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Value;
use App\Support\Refused;
use App\Values\FirstLook;
use Lokum\Vocabulary\Showing;

/** One thing done to several values: hidden from shoppers or from filters, shown, retired or brought back, dressed from their names. */
final readonly class ChangeValues
{
    public const DEEDS = [
        'hide' => 'Hid from shoppers',
        'products' => 'Showed on products alone',
        'show' => 'Showed to shoppers',
        'retire' => 'Retired',
        'restore' => 'Brought back',
        'dress' => 'Dressed from their names',
    ];

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  list<int>  $ids
     *
     * @throws Refused
     */
    public function __invoke(Definition $definition, string $deed, array $ids): ?Change
    {
        ManagersOnly::allow($definition->id);
        $said = self::DEEDS[$deed] ?? throw new Refused('Say what should be done with the values.');
        $values = $definition->values()->whereKey($ids)->orderBy('label')->get();
        if ($values->isEmpty()) {
            throw new Refused('Tick at least one value.');
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $deed, $values, $said): string {
            $changed = [];
            foreach ($values as $value) {
                $changes = self::changes($deed, $value);
                if ($changes !== []) {
                    $journal->update(Value::class, $value->id, $changes);
                    $changed[] = $value->label;
                }
            }
            Newcomer::settle($journal, array_values($values->modelKeys()));

            return "{$said}: ".mb_strimwidth(implode(', ', $changed), 0, 110, '…')." ({$definition->label})";
        });
    }

    /** @return array<string, mixed> */
    private static function changes(string $deed, Value $value): array
    {
        return match ($deed) {
            'hide' => Value::shown(Showing::Nowhere),
            'products' => ['retired' => 0] + Value::shown(Showing::Products),
            'show' => ['retired' => 0] + Value::shown(Showing::Everywhere),
            'retire' => ['retired' => 1] + Value::shown(Showing::Nowhere),
            'restore' => ['retired' => 0] + Value::shown(Showing::Everywhere),
            default => $value->look()->isUndressed() && ($look = FirstLook::fromName($value->label)) !== null
                ? ['look' => $look]
                : [],
        };
    }
}
