<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Models\Definition;
use App\Vocabulary\ProposeMerges;
use Lokum\Vocabulary\Kind;

/** What Today finds that takes a moment: gaps in what is expected, and look-alikes. */
final readonly class FoundMeanwhile
{
    private const LOOKED_OVER = 1500;

    public function __construct(private Coverage $coverage, private ProposeMerges $propose)
    {
    }

    /**
     * @return list<array{slug: string, label: string, groups: int}> attributes with look-alikes; very long lists are looked over
     *         in their own room only
     */
    public function alike(): array
    {
        $found = [];
        foreach (
            Definition::query()
                ->accepted()
                ->where('kind', Kind::Choice)
                ->withCount('values')
                ->orderBy('label')
                ->get()
                ->where('values_count', '<=', self::LOOKED_OVER) as $definition
        ) {
            $groups = count($this->propose->of($definition));
            if ($groups !== 0) {
                $found[] = ['slug' => $definition->slug, 'label' => $definition->label, 'groups' => $groups];
            }
        }

        return $found;
    }

    /** @return list<array{slug: string, label: string, missing: int}> expected definitions that most products miss */
    public function gaps(): array
    {
        $definitions = Definition::query()->accepted()->get()->keyBy('id');
        $gaps = [];
        foreach ($this->coverage->ofExpected(Expected::load()) as $id => ['expected' => $expected, 'carried' => $carried]) {
            $definition = $definitions->get($id);
            if ($carried < $expected && $definition !== null) {
                $gaps[] = [
                    'slug' => $definition->slug,
                    'label' => $definition->label,
                    'missing' => $expected - $carried,
                ];
            }
        }
        usort($gaps, fn (array $a, array $b): int => $b['missing'] <=> $a['missing']);

        return $gaps;
    }
}
