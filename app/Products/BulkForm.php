<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\CellChange;
use App\Cells\CellFigures;
use App\Cells\CellMode;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Models\Definition;
use App\Support\Refused;
use App\Values\SuggestValues;
use Illuminate\Http\Request;

/** The panel beside the grid: what is to be done to many products' cells, and what that would change. */
final readonly class BulkForm
{
    /** What stands for all fields of yes and no at once; no definition is called so in addresses. */
    public const FLAGS = 'yes:no';

    /**
     * @param  int  $count  products chosen
     * @param  list<string>  $labels  values to choose from
     * @param  array{products: int, variants: int, cells: int, sent: int, entries: int, inShop: int}|null  $deletion  what deleting
     *         them for good would do, where that was asked for
     * @param  list<FlagChange>|null  $flags  every field of yes and no with what is wanted of it; null: one definition is changed
     */
    private function __construct(
        public Chosen $chosen,
        public int $count,
        public bool $all,
        public ?Definition $definition,
        public CellMode $mode,
        public ?CellFigures $figures,
        public ?string $problem,
        public array $labels,
        public ?array $flags = null,
        public ?array $deletion = null,
    ) {
    }

    /**
     * @param  list<int>  $picked
     * @param  int  $found  products that the narrowing finds
     * @param  ChangeCells|null  $change  works out the figures; null: not wanted
     * @param  DeleteForGood|null  $delete  likewise of deleting
     * @return self|null null when no product is chosen
     */
    public static function from(
        Request $request,
        array $picked,
        Narrowing $narrowing,
        int $found,
        ?ChangeCells $change,
        ?DeleteForGood $delete = null,
    ): ?self {
        $all = $request->boolean('all');
        if ($picked === [] && ! $all) {
            return null;
        }
        $chosen = $all ? Chosen::all($narrowing) : Chosen::items($picked);
        if ($request->string('give')->toString() === self::FLAGS) {
            $flags = FlagChange::all($request, $chosen, $change);

            return new self($chosen, $all ? $found : count($picked), $all, null, CellMode::Set, null, null, [], $flags);
        }
        $definition = Definition::called($request->string('give')->toString());
        $mode = CellMode::tryFrom($request->string('mode')->toString()) ?? CellMode::Set;
        $mode = $definition !== null && ! $mode->isFor($definition) ? CellMode::Set : $mode;
        $figures = null;
        $problem = null;
        if ($definition !== null && $change !== null) {
            try {
                $figures = $change->consequences(
                    $chosen,
                    CellChange::from($definition, ['mode' => $mode->value] + $request->all()),
                );
            } catch (Refused $why) {
                $problem = $why->getMessage();
            }
        }

        $labels = $definition === null ? [] : SuggestValues::labels([$definition])[$definition->id] ?? [];

        $deletion = $delete === null || ! $request->boolean('delete') ? null : $delete->consequences($chosen);

        return new self(
            $chosen,
            $all ? $found : count($picked),
            $all,
            $definition,
            $mode,
            $figures,
            $problem,
            $labels,
            deletion: $deletion,
        );
    }

    /** @return list<FlagChange> fields of yes and no that something is wanted of */
    public function wanted(): array
    {
        return array_values(array_filter($this->flags ?? [], fn (FlagChange $one): bool => $one->wanted !== ''));
    }

    /** @return int products and variants that the fields of yes and no are counted in, together */
    public function counted(): int
    {
        return array_sum(array_map(fn (FlagChange $one): int => $one->figures->items ?? 0, $this->wanted()));
    }
}
