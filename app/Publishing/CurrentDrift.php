<?php

declare(strict_types=1);

namespace App\Publishing;

use App\History\Ledger;
use Illuminate\Support\Facades\Cache;
use Lokum\Edition\Drift;

/** How far the catalog has moved since the edition that shoppers see. Worked out once for each state of the catalog. */
final readonly class CurrentDrift
{
    public function __construct(private DraftSummary $draft, private Ledger $ledger)
    {
    }

    public function __invoke(): Drift
    {
        $edition = Edition::current();
        $drift = Drift::between($edition?->open()->summary(), ($this->draft)());
        Cache::put($this->key(), $drift->differences(), 86400);

        return $drift;
    }

    /** The number of differences, where it is known already; null where it would have to be worked out. */
    public function known(): ?int
    {
        $known = Cache::get($this->key());

        return is_int($known) ? $known : null;
    }

    private function key(): string
    {
        return 'drift:'.(Edition::current()->id ?? 0).':'.$this->ledger->revision();
    }
}
