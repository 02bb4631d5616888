<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Definitions\Definition;
use App\History\Remembered;
use Illuminate\Support\Facades\DB;
use Lokum\LookAlike\Candidate;
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
        return $this->remembered->ofData("look-alikes:{$definition->id}", function () use ($definition): array {
            $products = $this->counts->byValue($definition);
            $values = $definition->values()->orderBy('id')->pluck('label', 'id')->all();
            $ids = array_keys($values);
            $candidates = array_map(fn (int $id): Candidate => new Candidate($values[$id], $products[$id] ?? 0), $ids);
            $apart = DB::table('kept_apart')
                ->where('definition_id', $definition->id)
                ->get(['one_id', 'other_id'])
                ->map(fn (\stdClass $pair): array => [$values[$pair->one_id] ?? '', $values[$pair->other_id] ?? ''])
                ->all();
            $proposals = [];
            foreach ((new LookAlikes(Lexicon::shipped()))->among($candidates, array_values($apart), ShopLessons::for($definition)) as $group) {
                $proposals[] = new Proposal(
                    array_map(fn (int $i): int => $ids[$i], $group->members), $group->evidence, $group->kinds, $group->confidence,
                );
            }

            return $proposals;
        });
    }
}
