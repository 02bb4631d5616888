<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Change;
use App\Models\Definition;
use Lokum\Vocabulary\Policy;

/**
 * Lets newcomers land by themselves that are certainly values which were there (C14), where their attribute says so: one step of History
 * for each attribute, so that it can be looked at and taken back.
 */
final readonly class SettleCertain
{
    public function __construct(private FindNewcomers $find, private SettleNewcomers $settle)
    {
    }

    /** @return list<Change> */
    public function __invoke(): array
    {
        $changes = [];
        foreach (Definition::query()->accepted()->where('policy', Policy::Certain)->orderBy('id')->get() as $definition) {
            $certain = array_filter(
                $this->find->of($definition),
                fn (Newcomer $one): bool => ! $one->resolved && $one->certain && $one->same !== null,
            );
            if ($certain !== []) {
                $changes[] = ($this->settle)(
                    $definition,
                    array_fill_keys(array_map(fn (Newcomer $one): int => $one->spelling, $certain), 'merge'),
                    byItself: true,
                );
            }
        }

        return $changes;
    }
}
