<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Cells\CellSheet;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Expectation;
use App\Models\Feed;
use App\Models\FillRule;
use App\Models\Filter;
use App\Models\Heading;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\State;
use App\Models\Value;
use App\Support\Refused;
use App\Values\FlagValues;
use App\Values\SpellingReading;
use App\Values\ValueMaker;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Kind;

/**
 * Makes two definitions one. Headings lead to the one that stays; values are joined by their letters, others come along with
 * their looks and spellings; cells move with their origins. Where a product has both and they differ, the one that stays wins.
 */
final readonly class MergeDefinitions
{
    private const SAMPLES = 8;

    public function __construct(private Ledger $ledger)
    {
    }

    public function consequences(Definition $keep, Definition $goes): MergeFigures
    {
        $this->allow($keep, $goes);

        return $this->ledger->rehearse(fn (Journal $journal): MergeFigures => $this->prepare($journal, $keep, $goes));
    }

    public function __invoke(Definition $keep, Definition $goes): Change
    {
        $this->allow($keep, $goes);

        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($keep, $goes): string {
            $figures = $this->prepare($journal, $keep, $goes);
            $this->cells($journal, $keep, $goes);
            $this->references($journal, $keep, $goes);
            $journal->update(Definition::class, $goes->id, ['state' => State::Aside->value, 'merged_into' => $keep->id]);

            return "Merged {$goes->label} ({$goes->slug}) into {$keep->label}: ".
                number_format($figures->come).
                ' cells came, '.
                number_format($figures->conflicts).
                ' conflicts kept what '.
                $keep->label.
                ' said';
        }) ?? throw new Refused('Nothing was written.');
    }

    private function allow(Definition $keep, Definition $goes): void
    {
        ManagersOnly::allow($keep->id);
        ManagersOnly::allow($goes->id);
        if ($keep->id === $goes->id) {
            throw new Refused('A definition cannot be merged into itself.', 'goes');
        }
        if ($goes->slug === Definition::BRAND) {
            throw new Refused('Brand is known to every feed, so it is the one that stays.', 'goes');
        }
    }

    /** Brings the words over and gathers the cells that are due, without touching any. */
    private function prepare(Journal $journal, Definition $keep, Definition $goes): MergeFigures
    {
        $sheet = new CellSheet(Chosen::all(Narrowing::where([])), $keep);
        [$mapping, $joined, $moved] = $this->spellings($journal, $keep, $goes);
        foreach ($mapping as $from => [$to, $token]) {
            DB::insert('INSERT INTO temp.mapping VALUES (?, ?, ?)', [$from, $to, $token]);
        }
        $sheet->dueByMapping($goes);
        DB::delete('DELETE FROM temp.targets WHERE item_id NOT IN (SELECT item_id FROM temp.due)');
        $sheet->keepTargetsOnly();

        return $this->figures($sheet, $keep, $goes, $joined, $moved);
    }

    /**
     * @return array{0: array<int, array{0: int, 1: int}>, 1: int, 2: int} spelling and token by the spelling that goes; values
     *         joined, values moved
     */
    private function spellings(Journal $journal, Definition $keep, Definition $goes): array
    {
        $there = Spelling::table()
            ->where('definition_id', $keep->id)
            ->get(['id', 'text', 'key', 'value_id']);
        $byText = $there->keyBy('text');
        $byKey = $there->whereNotNull('value_id')->sortByDesc('id')->pluck('value_id', 'key')->all();
        $values = [];
        $mapping = [];
        $joined = 0;
        $maker = new ValueMaker($keep, $journal);
        $flags = FlagValues::of($keep);
        $mine = Spelling::table()->where('definition_id', $goes->id)->orderBy('id')->get();
        if ($keep->kind === Kind::Choice) {
            // A value is known when any of its spellings is.
            foreach ($mine->whereNotNull('value_id') as $spelling) {
                if (isset($byKey[$spelling->key])) {
                    $joined += isset($values[$spelling->value_id]) ? 0 : 1;
                    $values[$spelling->value_id] ??= $byKey[$spelling->key];
                }
            }
        }
        $moved = 0;
        foreach ($mine as $spelling) {
            $known = $byText->get($spelling->text);
            $reading = SpellingReading::by($keep, $spelling->text);
            $value = match ($keep->kind) {
                Kind::Choice => $known->value_id ?? ($values[$spelling->value_id ?? 0] ?? ($byKey[$spelling->key] ?? null)),
                Kind::Flag => $reading->flag === null ? null : $flags[$reading->flag ? 'yes' : 'no'] ?? null,
                default => null,
            };
            if ($keep->kind === Kind::Choice && $value === null) {
                $old = $spelling->value_id === null ? null : Value::query()->whereKey($spelling->value_id)->first();
                $value = $maker->make($old->label ?? $spelling->text, held: $old->held ?? false, look: $old?->look);
                if ($spelling->value_id !== null) {
                    $values[$spelling->value_id] = $value;
                }
                $byKey[$spelling->key] = $value;
                $moved++;
            }
            $id =
                $known->id ??
                $journal->insert(Spelling::class, [
                    'definition_id' => $keep->id,
                    'text' => $spelling->text,
                    'key' => $spelling->key,
                    'value_id' => $value,
                    'number' => $reading->number,
                    'problem' => $reading->problem,
                ]);
            $mapping[$spelling->id] = [$id, $value ?? -$id];
        }

        return [$mapping, $joined, $moved];
    }

    private function figures(CellSheet $sheet, Definition $keep, Definition $goes, int $joined, int $moved): MergeFigures
    {
        $different =
            'SELECT h.item_id FROM temp.held h WHERE NOT EXISTS (SELECT 1 FROM temp.due d
                WHERE d.item_id = h.item_id AND d.token = h.token) AND h.item_id NOT IN (SELECT d.item_id FROM temp.due d
                JOIN temp.held x ON x.item_id = d.item_id AND x.token = d.token)';
        $count = fn (string $sql): int => (int) DB::scalar("SELECT COUNT(*) FROM ({$sql})");
        $conflicts = $keep->multiple ? 0 : $count("SELECT DISTINCT item_id FROM ({$different})");
        $same = $count(
            'SELECT DISTINCT d.item_id FROM temp.due d JOIN temp.held h ON h.item_id = d.item_id AND h.token = d.token',
        );
        $items = $count('SELECT DISTINCT item_id FROM temp.due');
        $shown =
            '(SELECT GROUP_CONCAT(COALESCE(v.label, TRIM(s.text)), \', \') FROM temp.%s x JOIN spellings s ON s.id = x.spelling_id
                LEFT JOIN attribute_values v ON v.id = s.value_id WHERE x.item_id = i.id)';
        $samples =
            $conflicts === 0
                ? []
                : array_map(
                    fn (\stdClass $row): array => [
                        'item' => (string) $row->sku,
                        'stays' => (string) $row->stays,
                        'goes' => (string) $row->goes,
                    ],
                    array_values(DB::select(
                        'SELECT i.sku, '.
                            sprintf($shown, 'held').
                            ' AS stays, '.
                            sprintf($shown, 'due').
                            " AS goes FROM (SELECT DISTINCT item_id FROM ({$different}) LIMIT ".
                            self::SAMPLES.
                            ') c JOIN items i ON i.id = c.item_id',
                    )),
                );

        return new MergeFigures(
            $items,
            $items - $same - $conflicts,
            $same,
            $conflicts,
            $samples,
            $joined,
            $moved,
            Heading::textsOf($goes),
            Filter::titlesOver($goes),
            FillRule::query()->where('definition_id', $goes->id)->count(),
        );
    }

    private function cells(Journal $journal, Definition $keep, Definition $goes): void
    {
        $moves = $journal->cells();
        $moves->clear();
        DB::insert(
            'INSERT INTO temp.going SELECT item_id, definition_id, spelling_id, origin FROM assignments WHERE definition_id = ?',
            [$goes->id],
        );
        // Where several come to a definition that takes one, the first stands.
        DB::insert(
            'INSERT INTO temp.coming SELECT d.item_id, ?, '.
                ($keep->multiple ? 'd.spelling_id' : 'MIN(d.spelling_id)').
                ', COALESCE((SELECT MIN(a.origin) FROM assignments a JOIN temp.mapping m ON m.from_id = a.spelling_id
                    WHERE a.item_id = d.item_id AND m.token = d.token), 0)
            FROM temp.due d WHERE '.
                ($keep->multiple
                    ? 'NOT EXISTS (SELECT 1 FROM temp.held h WHERE h.item_id = d.item_id AND h.token = d.token)'
                    : 'd.item_id NOT IN (SELECT item_id FROM temp.held) GROUP BY d.item_id'),
            [$keep->id],
        );
        $journal->take();
        $journal->put();
    }

    private function references(Journal $journal, Definition $keep, Definition $goes): void
    {
        foreach (Heading::table()->where('definition_id', $goes->id)->pluck('id') as $id) {
            $journal->update(Heading::class, (int) $id, ['definition_id' => $keep->id]);
        }
        [$was, $is] = [Heading::ofDefinition($goes->id), Heading::ofDefinition($keep->id)];
        foreach (Feed::query()->whereJsonContains('leaves', $was)->get() as $feed) {
            $leaves = array_values(array_unique(array_map(fn (string $key): string => $key === $was ? $is : $key, $feed->leaves ?? [])));
            $journal->update(Feed::class, $feed->id, ['leaves' => json_encode($leaves, JSON_THROW_ON_ERROR)]);
        }
        foreach (Filter::query()->where('definition_id', $goes->id)->get() as $filter) {
            if (Filter::query()->where('definition_id', $keep->id)->where('lineup_id', $filter->lineup_id)->exists()) {
                $journal->delete(Filter::class, $filter->id);
            } else {
                $journal->update(Filter::class, $filter->id, ['definition_id' => $keep->id]);
            }
        }
        foreach (FillRule::query()->where('definition_id', $goes->id)->pluck('id') as $id) {
            $journal->update(FillRule::class, $id, ['definition_id' => $keep->id]);
        }
        foreach (Expectation::query()->where('definition_id', $goes->id)->get() as $row) {
            $journal->delete(Expectation::class, $row->id);
            if (! Expectation::query()->where('definition_id', $keep->id)->where('category_id', $row->category_id)->exists()) {
                $journal->insert(Expectation::class, [
                    'category_id' => $row->category_id,
                    'definition_id' => $keep->id,
                    'expected' => (int) $row->expected,
                ]);
            }
        }
    }
}
