<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\History\Remembered;
use App\Models\Definition;
use App\Models\KeptApart;
use App\Models\Value;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;

/** Look-alikes among an attribute's values, most products first. Worked out once for each state of the catalog. */
final readonly class ProposeMerges
{
    public function __construct(private ProductCounts $counts, private Remembered $remembered)
    {
    }

    /** @return list<Proposal> */
    public function of(Definition $definition): array
    {
        return $this->remembered->about([$definition->id], "look-alikes:{$definition->id}", function () use ($definition): array {
            $products = $this->counts->byValue($definition);
            $values = $definition->values()->orderBy('id')->pluck('label', 'id')->all();
            $ids = array_keys($values);
            $candidates = array_map(fn (int $id): Candidate => new Candidate($values[$id], $products[$id] ?? 0), $ids);

            return $this->among($definition, $ids, $candidates, $values);
        }, ShopLessons::state());
    }

    /**
     * Whether a value seems to be another one, by themselves: in a group both may only be close to a third.
     *
     * @param  Value  $stays  the one that would stay
     */
    public function pair(Definition $definition, Value $stays, Value $other): ?Proposal
    {
        $labels = [$stays->id => $stays->label, $other->id => $other->label];

        return $this->among(
            $definition,
            [$stays->id, $other->id],
            [new Candidate($stays->label, 2), new Candidate($other->label, 1)],
            $labels,
        )[0] ?? null;
    }

    /**
     * @param  list<int>  $ids  of the candidates
     * @param  list<Candidate>  $candidates
     * @param  array<int, string>  $labels  by value
     * @return list<Proposal>
     */
    private function among(Definition $definition, array $ids, array $candidates, array $labels): array
    {
        $apart = KeptApart::table()
            ->where('definition_id', $definition->id)
            ->get(['one_id', 'other_id'])
            ->map(fn (\stdClass $pair): array => [$labels[$pair->one_id] ?? '', $labels[$pair->other_id] ?? ''])
            ->all();
        $groups = (new LookAlikes(Lexicon::shipped()))->among(
            $candidates,
            array_values($apart),
            ShopLessons::for($definition),
            $definition->label,
        );

        return array_map(
            fn (Group $group): Proposal => new Proposal(
                array_map(fn (int $i): int => $ids[$i], $group->members),
                $group->evidence,
                $group->kinds,
                $group->confidence,
            ),
            $groups,
        );
    }
}
