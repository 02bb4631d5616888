<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Definitions\Definition;
use App\History\Change;
use App\History\Journal;
use App\History\Ledger;
use App\Refused;
use App\Vocabulary\CreateValue;
use App\Vocabulary\FindValue;
use App\Vocabulary\SpellingReading;
use App\Vocabulary\Value;
use Illuminate\Support\Facades\DB;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** Gives products or variants a value by hand. What is set by hand stays when feeds are read. */
final readonly class SetValues
{
    private const CHUNK = 500;

    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * What setting would do, in figures.
     *
     * @param  list<int>  $items  products or variants
     * @param  list<string>  $texts  labels, numbers or texts; none clears
     * @return array{items: int, get: int, have: int, replaced: int, by_hand: int, new: list<string>}
     */
    public function consequences(array $items, Definition $definition, array $texts, SetMode $mode): array
    {
        $wanted = [];
        $new = [];
        foreach ($texts as $text) {
            $this->check($definition, $text);
            $value = $definition->kind->isAttribute() ? FindValue::known($definition, $text) : null;
            if ($definition->kind === Kind::Choice && $value === null) {
                $new[] = Label::of($text);
            }
            $wanted[] = $value !== null ? 'v'.$value->id : 't'.$text;
        }
        $figures = ['items' => 0, 'get' => 0, 'have' => 0, 'replaced' => 0, 'by_hand' => 0, 'new' => $new];
        foreach (array_chunk($this->targets($items, $definition), self::CHUNK) as $chunk) {
            $held = $this->held($chunk, $definition);
            foreach ($chunk as $item) {
                $cells = $held[$item] ?? [];
                $has = array_map(fn (\stdClass $cell): string => $cell->value_id !== null ? 'v'.$cell->value_id : 't'.$cell->text, $cells);
                $same = $mode === SetMode::Add ? array_diff($wanted, $has) === [] : array_diff($wanted, $has) === [] && array_diff($has, $wanted) === [];
                $figures['items']++;
                $figures[$same ? 'have' : 'get']++;
                $figures['replaced'] += ! $same && $mode === SetMode::Set && $cells !== [] ? 1 : 0;
                $figures['by_hand'] += ! $same && $mode === SetMode::Set && array_filter($cells, fn (\stdClass $cell): bool => (bool) $cell->by_hand) !== [] ? 1 : 0;
            }
        }

        return $figures;
    }

    /**
     * @param  list<int>  $items
     * @param  list<string>  $texts
     * @param  array<int, int>  $versions  that the person started from, by item id; none given: not compared
     *
     * @throws Refused
     */
    public function __invoke(array $items, Definition $definition, array $texts, SetMode $mode, array $versions = []): ?Change
    {
        if (! $definition->multiple && count($texts) > 1) {
            throw new Refused("{$definition->label} takes one value.", $definition->slug);
        }

        return $this->ledger->record('Products', function (Journal $journal) use ($items, $definition, $texts, $mode, $versions): string {
            $this->compareVersions($versions);
            $spellings = array_map(fn (string $text): int => $this->spelling($journal, $definition, $text), $texts);
            $targets = $this->targets($items, $definition);
            $changed = 0;
            foreach (array_chunk($targets, self::CHUNK) as $chunk) {
                $held = $this->held($chunk, $definition);
                foreach ($chunk as $item) {
                    $changed += $this->set($journal, $item, $definition, $spellings, $held[$item] ?? [], $mode) ? 1 : 0;
                }
            }

            return $this->sentence($definition, $texts, $mode, $changed, $targets);
        });
    }

    /**
     * @param  list<int>  $spellings
     * @param  list<\stdClass>  $cells
     */
    private function set(Journal $journal, int $item, Definition $definition, array $spellings, array $cells, SetMode $mode): bool
    {
        $row = fn (int $spelling, int $byHand): array => ['item_id' => $item, 'definition_id' => $definition->id, 'spelling_id' => $spelling, 'by_hand' => $byHand];
        $has = array_map(fn (\stdClass $cell): int => $cell->spelling_id, $cells);
        $values = array_map(fn (\stdClass $cell): ?int => $cell->value_id, $cells);
        $wanted = $mode === SetMode::Add ? array_values(array_filter($spellings, fn (int $id): bool => ! in_array(DB::table('spellings')->where('id', $id)->value('value_id') ?? -1, $values, true))) : $spellings;
        $going = $mode === SetMode::Add && $definition->multiple ? [] : array_values(array_filter($cells, fn (\stdClass $cell): bool => ! in_array($cell->spelling_id, $wanted, true)));
        if ($mode === SetMode::Add && $wanted === []) {
            return false;
        }
        $coming = array_values(array_diff($wanted, $has));
        if ($coming === [] && $going === []) {
            return false;
        }
        $journal->unassign(array_map(fn (\stdClass $cell): array => $row($cell->spelling_id, $cell->by_hand), $going));
        $journal->assign(array_map(fn (int $id): array => $row($id, 1), $coming));
        DB::table('items')->where('id', $item)->update(['version' => DB::raw('version + 1'), 'updated_at' => now()->toDateTimeString()]);

        return true;
    }

    /**
     * The items whose data counts: a product's variants for variant-level data, the product itself for product-level data.
     *
     * @param  list<int>  $items
     * @return list<int>
     */
    private function targets(array $items, Definition $definition): array
    {
        $targets = [];
        foreach (array_chunk($items, self::CHUNK) as $chunk) {
            $query = DB::table('items as i')->where(fn ($query) => $query->whereIn('i.id', $chunk)->when($definition->level === Level::Variant, fn ($query) => $query->orWhereIn('i.parent_id', $chunk)));
            $ids = $definition->level === Level::Variant ? $query->where('i.variant_count', 0)->pluck('i.id') : $query->selectRaw('COALESCE(i.parent_id, i.id) AS id')->pluck('id');
            foreach ($ids as $id) {
                $targets[(int) $id] = (int) $id;
            }
        }

        return array_values($targets);
    }

    /**
     * @param  list<int>  $items
     * @return array<int, list<\stdClass>>
     */
    private function held(array $items, Definition $definition): array
    {
        $held = [];
        foreach (DB::table('assignments as a')->join('spellings as s', 's.id', '=', 'a.spelling_id')->whereIn('a.item_id', $items)->where('a.definition_id', $definition->id)
            ->get(['a.item_id', 'a.spelling_id', 'a.by_hand', 's.value_id', 's.text']) as $cell) {
            $held[$cell->item_id][] = $cell;
        }

        return $held;
    }

    private function check(Definition $definition, string $text): void
    {
        $problem = SpellingReading::of($definition->kind, $definition->unit, $text)->problem;
        if ($problem !== null) {
            throw new Refused("{$definition->label}: {$problem}.", $definition->slug);
        }
        $most = $definition->kind === Kind::Text ? 65536 : 500;
        if (mb_strlen($text) > $most) {
            throw new Refused("{$definition->label}: at most ".number_format($most).' characters.', $definition->slug);
        }
    }

    /** The spelling that stands for what a person typed or chose. */
    private function spelling(Journal $journal, Definition $definition, string $text): int
    {
        $this->check($definition, $text);
        if ($definition->kind === Kind::Choice) {
            $value = FindValue::known($definition, $text) ?? Value::query()->findOrFail(CreateValue::write($journal, $definition, $text));

            return CreateValue::ownSpelling($journal, $definition, $value->id, $value->label);
        }
        $known = DB::table('spellings')->where('definition_id', $definition->id)->where('text', $text)->value('id');
        $reading = SpellingReading::of($definition->kind, $definition->unit, $text);
        $flag = $reading->flag === null ? null : $definition->values()->where('slug', $reading->flag ? 'yes' : 'no')->value('id');

        return $known ?? $journal->insert('spellings', ['definition_id' => $definition->id, 'text' => $text, 'key' => StrictKey::of($text), 'value_id' => $flag, 'number' => $reading->number]);
    }

    /** @param  array<int, int>  $versions */
    private function compareVersions(array $versions): void
    {
        foreach (DB::table('items')->whereIn('id', array_keys($versions))->get(['id', 'sku', 'version']) as $item) {
            if ($item->version !== $versions[$item->id]) {
                throw Refused::changedMeanwhile($item->sku);
            }
        }
    }

    /**
     * @param  list<string>  $texts
     * @param  list<int>  $targets
     */
    private function sentence(Definition $definition, array $texts, SetMode $mode, int $changed, array $targets): string
    {
        $what = implode(', ', array_map(fn (string $text): string => mb_strimwidth($text, 0, 60, '…'), $texts));
        $where = count($targets) === 1 ? 'on '.DB::table('items')->where('id', $targets[0])->value('sku') : 'on '.number_format($changed).' products or variants';

        return $texts === [] ? "Cleared {$definition->label} {$where}" : ($mode === SetMode::Add ? 'Added ' : 'Set ')."{$definition->label} {$what} {$where}";
    }
}
