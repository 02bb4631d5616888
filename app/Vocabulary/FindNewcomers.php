<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Models\Value;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\FittingUmbrella;
use Lokum\Vocabulary\Kind;

/** The newcomers of an attribute (C14), each with the best proposal. */
final readonly class FindNewcomers
{
    /** In SQL, over spellings: one that no product carries any more, since its delivery was taken back, waits for nobody. */
    private const WAITING = 'settled = 0 AND EXISTS (SELECT 1 FROM assignments a WHERE a.spelling_id = spellings.id)';

    public function __construct(private ProposeMerges $propose, private ProductCounts $counts)
    {
    }

    /**
     * @return list<array{definition: Definition, new: int, resolved: int}> attributes that have newcomers, most first: new
     *         values, and spellings of known ones
     */
    public function waiting(): array
    {
        $counts = DB::query()
            ->fromSub(
                Spelling::table()
                    ->whereNotNull('value_id')
                    ->groupBy('definition_id', 'value_id')
                    ->selectRaw('definition_id, MAX(settled) AS known, SUM('.self::WAITING.') AS waiting')
                    ->havingRaw('SUM('.self::WAITING.') > 0'),
                'v',
            )
            ->groupBy('definition_id')
            ->selectRaw('definition_id, SUM(known = 0) AS n, SUM(CASE WHEN known THEN waiting ELSE 0 END) AS resolved')
            ->get()
            ->keyBy('definition_id');
        $waiting = Definition::query()
            ->accepted()
            ->where('kind', Kind::Choice)
            ->whereKey($counts->keys())
            ->get()
            ->map(
                fn (Definition $definition): array => [
                    'definition' => $definition,
                    'new' => (int) ($counts->get($definition->id)->n ?? 0),
                    'resolved' => (int) ($counts->get($definition->id)->resolved ?? 0),
                ],
            )
            ->all();
        usort($waiting, fn (array $a, array $b): int => $b['new'] <=> $a['new']);

        return $waiting;
    }

    /** @return list<Newcomer> those without a place first, most products first */
    public function of(Definition $definition): array
    {
        $rows = Spelling::table('s')
            ->leftJoin('readings as r', 'r.id', '=', 's.reading_id')
            ->leftJoin('feeds as f', 'f.id', '=', 'r.feed_id')
            ->where('s.definition_id', $definition->id)
            ->where('s.settled', false)
            ->whereNotNull('s.value_id')
            ->whereRaw('EXISTS (SELECT 1 FROM assignments a WHERE a.spelling_id = s.id)')
            ->get(['s.id', 's.text', 's.value_id', 's.reading_id', 'f.name', 'r.finished_at']);
        if ($rows->isEmpty()) {
            return [];
        }
        /** @var Collection<int, Value> $values */
        $values = $definition->values()->get()->keyBy('id')->toBase();
        // A value that came with nothing but newcomers is none that others resolve into.
        $new = array_flip(
            Spelling::table()
                ->where('definition_id', $definition->id)
                ->whereNotNull('value_id')
                ->groupBy('value_id')
                ->havingRaw('MAX(settled) = 0')
                ->pluck('value_id')
                ->all(),
        );
        $proposals = $this->proposals($definition, $values, $new);
        $products = $this->counts->bySpelling($definition);
        $carrying = $this->counts->byValue($definition);
        $umbrellas = Umbrella::query()
            ->where('definition_id', $definition->id)
            ->get()
            ->mapWithKeys(fn (Umbrella $one): array => [$one->label => $one->look()->colors])
            ->all();
        $newcomers = [];
        foreach ($this->together($rows, $new, $products) as [$row, $also]) {
            $value = $values[$row->value_id] ?? null;
            if ($value === null) {
                continue;
            }
            $resolved = ! isset($new[$value->id]);
            [$same, $proposal] = $resolved ? [null, null] : $proposals[$value->id] ?? [null, null];
            $newcomers[] = new Newcomer(
                $row->id,
                $row->text,
                $resolved ? $products[$row->id] ?? 0 : $carrying[$value->id] ?? 0,
                $row->name ?? 'by hand',
                $row->finished_at,
                $value,
                $resolved,
                $same === null ? null : $values[$same] ?? null,
                $proposal === null ? '' : implode('; ', array_slice($proposal->evidence, 0, 2)),
                $proposal?->isCertain() ?? false,
                $resolved || $value->umbrella_id !== null ? null : FittingUmbrella::of($value->label, $value->look()->colors, $umbrellas),
                $also,
            );
        }
        usort(
            $newcomers,
            fn (Newcomer $a, Newcomer $b): int => $a->resolved <=> $b->resolved ?:
            $b->products <=> $a->products ?:
            $a->spelling <=> $b->spelling,
        );

        return $newcomers;
    }

    /**
     * Spellings of one new value wait for one decision: the most used one stands for them.
     *
     * @param  Collection<int, \stdClass>  $rows
     * @param  array<int, mixed>  $new  by value
     * @param  array<int, int>  $products  by spelling
     * @return list<array{0: \stdClass, 1: list<string>}> spellings, each with the others that it stands for
     */
    private function together(Collection $rows, array $new, array $products): array
    {
        $together = [];
        foreach ($rows->sortByDesc(fn (\stdClass $row): int => $products[$row->id] ?? 0) as $row) {
            $name = isset($new[$row->value_id]) ? "value {$row->value_id}" : "spelling {$row->id}";
            if (isset($together[$name])) {
                $together[$name][1][] = $row->text;
            } else {
                $together[$name] = [$row, []];
            }
        }

        return array_values($together);
    }

    /**
     * @param  Collection<int, Value>  $values
     * @param  array<int, mixed>  $new  by value
     * @return array<int, array{0: int, 1: Proposal}> the value that each new one seems to be
     */
    private function proposals(Definition $definition, Collection $values, array $new): array
    {
        $found = [];
        foreach ($this->propose->of($definition) as $proposal) {
            $known = array_values(array_filter($proposal->values, fn (int $id): bool => ! isset($new[$id])));
            foreach ($proposal->values as $id) {
                if (($id === $proposal->values[0] && $known === []) || ! isset($new[$id])) {
                    continue;
                }
                // The group holds what is close to its first; where that is none that was there, each pair is looked at by itself.
                if ($known === [] || $known[0] === $proposal->values[0]) {
                    $found[$id] = [$known[0] ?? $proposal->values[0], $proposal];
                } else {
                    $pair = $this->closest($definition, $values, $known, $id);
                    if ($pair !== null) {
                        $found[$id] = $pair;
                    }
                }
            }
        }

        return $found;
    }

    /**
     * @param  Collection<int, Value>  $values
     * @param  list<int>  $known
     * @return array{0: int, 1: Proposal}|null
     */
    private function closest(Definition $definition, Collection $values, array $known, int $id): ?array
    {
        foreach ($known as $stays) {
            $pair = isset($values[$stays], $values[$id])
                ? $this->propose->pair($definition, $values[$stays], $values[$id])
                : null;
            if ($pair !== null) {
                return [$stays, $pair];
            }
        }

        return null;
    }
}
