<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Support\Refused;
use App\Values\SpellingReading;
use Lokum\Vocabulary\Kind;

/** Says what texts stand for that their field cannot read: for every product that carries them, and for later deliveries. */
final readonly class RepairSpellings
{
    private const SHOWN = 500;

    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  array<int, string>  $readAs  by spelling; those left empty stay unread */
    public function __invoke(Definition $definition, array $readAs): ?Change
    {
        ManagersOnly::allow($definition->id);
        $flags = $definition->kind === Kind::Flag ? $definition->values()->pluck('id', 'slug')->all() : [];

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $readAs, $flags): string {
            $texts = [];
            foreach (array_filter(array_map(trim(...), $readAs), fn (string $text): bool => $text !== '') as $id => $text) {
                $spelling =
                    Spelling::table()->where('definition_id', $definition->id)->where('id', $id)->first() ??
                    throw Refused::unknown('spelling', (string) $id);
                $reading = SpellingReading::by($definition, $text);
                if ($reading->problem !== null) {
                    throw new Refused("{$definition->label}: {$reading->problem}.", "read_as.{$id}");
                }
                $journal->update(Spelling::class, (int) $id, [
                    'read_as' => $text,
                    'problem' => null,
                    'number' => $reading->number,
                    'value_id' => $reading->flag === null ? null : $flags[$reading->flag ? 'yes' : 'no'],
                ]);
                $texts[] = mb_strimwidth(trim($spelling->text), 0, 30, '…')." as {$text}";
            }

            return "{$definition->label}: read ".
                implode(', ', array_slice($texts, 0, 4)).
                (count($texts) > 4 ? ' and others' : '');
        });
    }

    /** @return list<\stdClass> spellings (id, text, problem, items, sample) that cannot be read, most products first */
    public static function unread(Definition $definition): array
    {
        return array_values(
            Spelling::table('s')
                ->leftJoin('assignments as a', 'a.spelling_id', '=', 's.id')
                ->leftJoin('items as i', 'i.id', '=', 'a.item_id')
                ->where('s.definition_id', $definition->id)
                ->whereNotNull('s.problem')
                ->groupBy('s.id')
                ->orderByDesc('items')
                ->orderBy('s.id')
                ->limit(self::SHOWN)
                ->selectRaw('s.id, s.text, s.problem, COUNT(a.item_id) AS items, MIN(i.sku) AS sample')
                ->get()
                ->all(),
        );
    }
}
