<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Support\Ids;
use App\Support\Refused;
use App\Values\FirstLook;
use Illuminate\Http\Request;
use Lokum\LookAlike\Stays;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\KnownValue;

/** What all lenses of an attribute share: its values, the ones that are selected, and what the panel says about these. */
final class Workbench
{
    public const LENSES = ['flow' => 'Flow', 'list' => 'List', 'map' => 'Map'];

    private const SPELLINGS = 3;

    private const FOUND = 30;

    /** @var list<ValueRow> */
    public readonly array $all;

    /** @var list<int> */
    public readonly array $picked;

    public readonly string $lens;

    public function __construct(public readonly Definition $definition, private readonly Request $request)
    {
        $this->lens = (string) ($request->route('lens') ?? 'list');
        $this->all = app(ValueTable::class)->of($definition);
        $this->picked = Ids::in($request, 'pick');
    }

    /**
     * Where somebody goes on after an act: the lens that they came from.
     *
     * @param  array<string, mixed>  $more
     */
    public static function address(Request $request, Definition $definition, array $more = []): string
    {
        $lens = $request->string('lens')->toString();

        return route('values.show', [
            $definition,
            ...isset(self::LENSES[$lens]) && $lens !== 'list' ? ['lens' => $lens] : [],
            ...$more,
        ]);
    }

    /** @return list<ValueRow> those that fit what is looked for */
    public function rows(): array
    {
        $key = StrictKey::of($this->request->string('q')->toString());
        $under = $this->request->integer('in');

        return array_values(
            array_filter(
                $this->all,
                fn (ValueRow $row): bool => $this->isShown($row) &&
                    ($under === 0 || $row->umbrella === $under) &&
                    $row->isCalled($key),
            ),
        );
    }

    /** @return list<ValueRow> that may come under an umbrella: those chosen to, then what is looked for */
    public function joining(Umbrella $umbrella): array
    {
        $chosen = Ids::in($this->request, 'add');
        $key = StrictKey::of($this->request->string('join')->toString());
        $others = array_filter($this->all, fn (ValueRow $row): bool => $row->umbrella !== $umbrella->id);
        $isChosen = fn (ValueRow $row): bool => in_array($row->id, $chosen, true);

        return [
            ...array_filter($others, $isChosen),
            ...array_slice(
                array_filter($others, fn (ValueRow $row): bool => $key !== '' && ! $isChosen($row) && $row->isCalled($key)),
                0,
                self::FOUND,
            ),
        ];
    }

    /** @return list<array{id: int, text: string, products: int}> a few of a value's spellings, those that are looked for first */
    public function firstSpellings(ValueRow $row): array
    {
        $key = StrictKey::of($this->request->string('q')->toString());
        $found =
            $key === ''
                ? []
                : array_filter(
                    $row->spellings,
                    fn (array $spelling): bool => str_contains(StrictKey::of($spelling['text']), $key),
                );
        $ordered = [...$found, ...array_diff_key($row->spellings, $found)];

        return count($ordered) <= self::SPELLINGS + 2 ? $ordered : array_slice($ordered, 0, self::SPELLINGS);
    }

    public function row(int $value): ?ValueRow
    {
        foreach ($this->all as $row) {
            if ($row->id === $value) {
                return $row;
            }
        }

        return null;
    }

    /** @return array{spellings: int, values: int, terms: int} */
    public function figures(): array
    {
        $shown = array_filter($this->all, fn (ValueRow $row): bool => $row->products > 0 && ! $row->held);

        return [
            'spellings' => array_sum(array_map(fn (ValueRow $row): int => count($row->spellings), $this->all)),
            'values' => count($this->all),
            'terms' => count(
                array_unique(
                    array_map(
                        fn (ValueRow $row): int => $row->umbrella === null
                            ? $row->id
                            : Umbrella::TERM + $row->umbrella,
                        $shown,
                    ),
                ),
            ),
        ];
    }

    public function opened(): ?ValueRow
    {
        return $this->row($this->request->integer('value'));
    }

    public function umbrella(): ?Umbrella
    {
        return Umbrella::query()
            ->where('definition_id', $this->definition->id)
            ->with('values')
            ->find($this->request->integer('umbrella'));
    }

    public function spelling(): ?Spelling
    {
        return Spelling::query()->where('definition_id', $this->definition->id)->find($this->request->integer('spelling'));
    }

    public function moving(Spelling $spelling): SpellingMove
    {
        return app(MoveSpelling::class)->consequences($this->definition, $spelling);
    }

    /** Whether new values are given the colors in their names. */
    public function wearsColors(): bool
    {
        return FirstLook::wearsColors($this->definition);
    }

    public function merge(): ?MergeConsequences
    {
        $known = count($this->picked) < 2 ? [] : array_values(app(ValueTable::class)->known($this->definition, $this->picked));
        if (count($known) < 2) {
            return null;
        }
        $keep = $this->request->integer('keep');
        $stays = in_array($keep, $this->picked, true) ? $keep : Stays::among(...$known)->id;

        return MergeConsequences::of(
            $this->definition,
            app(MergeValues::class)->plan($this->definition, $stays, array_map(fn (KnownValue $value): int => $value->id, $known)),
            app(ProductCounts::class),
        );
    }

    public function gathering(): ?GatherFigures
    {
        $under = $this->request->string('under')->trim()->toString();
        try {
            return $this->picked === [] || $under === ''
                ? null
                : app(GatherValues::class)->consequences($this->definition, $under, $this->picked);
        } catch (Refused) {
            return null;
        }
    }

    private function isShown(ValueRow $row): bool
    {
        return match ($this->request->string('show')->toString()) {
            'unused' => $row->products === 0,
            'bare' => $row->value->look()->isUndressed(),
            'several' => count($row->spellings) > 1,
            'held' => $row->held,
            'loose' => $row->umbrella === null,
            default => true,
        };
    }
}
