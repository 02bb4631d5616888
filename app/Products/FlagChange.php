<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\CellChange;
use App\Cells\CellFigures;
use App\Cells\CellMode;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Models\Definition;
use App\Values\FlagValues;
use Illuminate\Http\Request;
use Lokum\Vocabulary\Kind;

/** What is wanted of one field of yes and no, where several are said at once. */
final readonly class FlagChange
{
    public const EMPTY = 'empty';

    /**
     * @param  string  $wanted  "yes", "no", "empty"; "" leaves it as it is
     * @param  CellFigures|null  $figures  what it would do, where that was asked for
     */
    private function __construct(public Definition $definition, public string $wanted, public ?CellFigures $figures)
    {
    }

    /**
     * @param  ChangeCells|null  $change  works out the figures; null: not wanted
     * @return list<self>
     */
    public static function all(Request $request, Chosen $chosen, ?ChangeCells $change): array
    {
        $said = (array) $request->input('flag', []);

        return array_values(
            Definition::query()
                ->accepted()
                ->where('kind', Kind::Flag)
                ->orderBy('label')
                ->get()
                ->map(function (Definition $definition) use ($said, $chosen, $change): self {
                    $wanted = $said[$definition->slug] ?? '';
                    $wanted = in_array($wanted, [...array_keys(FlagValues::LABELS), self::EMPTY], true) ? $wanted : '';
                    $one = new self($definition, $wanted, null);

                    return $wanted === '' || $change === null
                        ? $one
                        : new self($definition, $wanted, $change->consequences($chosen, $one->change()));
                })
                ->all(),
        );
    }

    public function change(): CellChange
    {
        return $this->wanted === self::EMPTY
            ? CellChange::set($this->definition, [], CellMode::Clear)
            : CellChange::set($this->definition, [FlagValues::LABELS[$this->wanted]]);
    }
}
