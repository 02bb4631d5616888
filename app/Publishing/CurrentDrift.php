<?php

declare(strict_types=1);

namespace App\Publishing;

use App\History\Remembered;
use App\Refused;
use Lokum\Edition\Drift;
use Lokum\Edition\Summary;

/** How far the catalog has moved since the edition that shoppers see. */
final readonly class CurrentDrift
{
    public function __construct(private DraftSummary $draft, private Remembered $remembered)
    {
    }

    public function __invoke(): Drift
    {
        $edition = Edition::current();

        return $this->remembered->of($this->name($edition), fn (): Drift => Drift::between($this->served($edition), ($this->draft)()));
    }

    /** What shoppers are served; nothing, where the edition's file is gone or of another shape. */
    private function served(?Edition $edition): ?Summary
    {
        try {
            return $edition?->open()->summary();
        } catch (Refused) {
            return null;
        }
    }

    /** The number of differences, where it is known already; null where it would have to be worked out. */
    public function known(): ?int
    {
        $known = $this->remembered->known($this->name(Edition::current()));

        return $known instanceof Drift ? $known->differences() : null;
    }

    private function name(?Edition $edition): string
    {
        return 'drift:'.($edition->id ?? 0);
    }
}
