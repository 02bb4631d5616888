<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\CellChange;
use App\Cells\CellSheet;
use App\Cells\Chosen;
use App\History\CellMoves;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Room;
use App\Support\Refused;
use App\Values\FindValue;
use Closure;
use Illuminate\Support\Collection;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/**
 * Puts what was typed or pasted into the grid, all of it as one entry of History. What cannot be placed is named and left; a
 * cell that somebody else changed meanwhile is not overwritten.
 */
final readonly class TypeCells
{
    public const MOST = 5000;

    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  list<TypedCell>  $cells */
    public function consequences(array $cells, bool $mayMake): TypedFigures
    {
        return $this->place($cells, $mayMake, new CellMoves(), fn () => null);
    }

    /**
     * @param  list<TypedCell>  $cells
     * @param  bool  $mayMake  whether values that are not there yet are made
     * @return array{0: Change|null, 1: TypedFigures}
     *
     * @throws Refused for more cells than fit
     */
    public function __invoke(array $cells, bool $mayMake): array
    {
        $figures = null;
        $change = $this->ledger->record(Room::Products, function (Journal $journal) use ($cells, $mayMake, &$figures): string {
            $figures = $this->place($cells, $mayMake, $journal->cells(), function (CellSheet $sheet) use ($journal): void {
                $sheet->spellings->make($journal);
                $journal->take();
                $journal->put();
            });

            return $this->sentence($cells, $figures);
        });
        assert($figures instanceof TypedFigures);

        return [$change, $figures];
    }

    /**
     * @param  list<TypedCell>  $cells
     * @param  Closure(CellSheet): mixed  $then  is given the cells of each definition when they are known to come and go
     */
    private function place(array $cells, bool $mayMake, CellMoves $moves, Closure $then): TypedFigures
    {
        if (count($cells) > self::MOST) {
            throw new Refused(
                'At most '.
                    number_format(self::MOST).
                    ' cells at a time. Paste in parts, or change them together with the panel.',
            );
        }
        $items = Item::query()
            ->whereKey(array_map(fn (TypedCell $cell): int => $cell->item, $cells))
            ->with('variants')
            ->get()
            ->keyBy('id');
        $tokens = new GridTokens(array_values($items->all()));
        $refused = [];
        $rows = [];
        $new = [];
        foreach ($cells as $cell) {
            $item = $items->get($cell->item);
            $reason = $item === null ? 'this product is gone' : $this->obstacle($cell, $item, $tokens, $mayMake, $new);
            if ($reason !== null) {
                $refused[] = [
                    'item' => $cell->item,
                    'sku' => $item->sku ?? '',
                    'definition' => $cell->definition->label,
                    'text' => mb_strimwidth($cell->text, 0, 80, '…'),
                    'reason' => $reason,
                ];
            } else {
                $rows[$cell->definition->id][$cell->item] = $cell;
            }
        }
        $changed = 0;
        foreach ($rows as $typed) {
            $sheet = $this->sheet(array_values($typed), $items, $moves);
            $changed += $sheet->changing();
            $then($sheet);
        }

        return new TypedFigures(count($cells) - count($refused), $changed, array_values(array_unique($new)), $refused);
    }

    /** @param  list<string>  $new  values that would have to be made are added here */
    private function obstacle(TypedCell $cell, Item $item, GridTokens $tokens, bool $mayMake, array &$new): ?string
    {
        if ($cell->definition->level === Level::Product && $item->parent_id !== null) {
            return 'it belongs to the product, not to a variant';
        }
        $now = $tokens->of($item, $cell->definition);
        if ($now->token() !== $cell->was) {
            return 'somebody else has changed it to '.
                ($now->text() === '' ? 'nothing' : '"'.mb_strimwidth($now->text(), 0, 40, '…').'"');
        }
        try {
            ManagersOnly::allow($cell->definition->id);
            $texts = $cell->texts();
        } catch (Refused $why) {
            return lcfirst(rtrim($why->getMessage(), '.'));
        }
        foreach ($cell->definition->kind === Kind::Choice ? $texts : [] as $text) {
            if (FindValue::known($cell->definition, $text) === null) {
                if (! $mayMake) {
                    return "{$cell->definition->label} has no value \"{$text}\"";
                }
                $new[] = $text;
            }
        }

        return null;
    }

    /**
     * @param  list<TypedCell>  $typed  of one definition
     * @param  Collection<int, Item>  $items
     */
    private function sheet(array $typed, Collection $items, CellMoves $moves): CellSheet
    {
        $moves->clear();
        $sheet = new CellSheet(Chosen::items(array_map(fn (TypedCell $cell): int => $cell->item, $typed)), $typed[0]->definition);
        $due = [];
        foreach ($typed as $cell) {
            $variants =
                $typed[0]->definition->level === Level::Variant
                    ? $items->get($cell->item)?->variants->pluck('id')->all() ?? []
                    : [];
            foreach ($variants === [] ? [$cell->item] : $variants as $target) {
                foreach ($cell->texts() as $text) {
                    $due[] = [(int) $target, $text];
                }
            }
        }
        $sheet->due($due);
        $sheet->moveByHand();

        return $sheet;
    }

    /** @param  list<TypedCell>  $cells */
    private function sentence(array $cells, TypedFigures $figures): string
    {
        if ($figures->placed === 1 && count($cells) === 1) {
            $cell = $cells[0];
            $where = 'on '.Item::query()->whereKey($cell->item)->value('sku');

            return CellChange::set($cell->definition, $cell->texts())->sentence($where);
        }
        $labels = array_values(array_unique(array_map(fn (TypedCell $cell): string => $cell->definition->label, $cells)));

        return 'Typed '.
            number_format($figures->placed).
            ' cells of '.
            implode(', ', array_slice($labels, 0, 4)).
            (count($labels) > 4 ? ' and others' : '');
    }

    /**
     * From what a page sends: item, definition, text, was.
     *
     * @return list<TypedCell>
     *
     * @throws Refused for a definition that does not exist
     */
    public static function cells(mixed $rows): array
    {
        $definitions = Definition::query()->accepted()->get()->keyBy('slug');
        $cells = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            $text = fn (string $key): string => is_array($row) && is_scalar($row[$key] ?? null) ? (string) $row[$key] : '';
            $cells[] = new TypedCell(
                (int) $text('item'),
                $definitions->get($text('definition')) ?? throw Refused::unknown('definition', $text('definition')),
                $text('text'),
                $text('was'),
            );
        }

        return $cells;
    }
}
