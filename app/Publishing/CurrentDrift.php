<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\LivePrices;
use App\Editions\Served;
use App\History\Remembered;
use App\Models\Edition;
use Lokum\Edition\Drift;

/** How far the catalog has moved since the edition that shoppers see. */
final readonly class CurrentDrift
{
    public function __construct(private DraftSummary $draft, private Remembered $remembered)
    {
    }

    public function __invoke(): Drift
    {
        $served = Served::now();

        return $this->remembered->of(
            $this->name($served->edition),
            fn (): Drift => Drift::between($served->edition === null ? null : $served->file()->summary(), ($this->draft)()),
        );
    }

    /** The number of differences, where it is known already; null where it would have to be worked out. */
    public function known(?Edition $served): ?int
    {
        $known = $this->remembered->known($this->name($served));

        return $known instanceof Drift ? $known->differences() : null;
    }

    private function name(?Edition $edition): string
    {
        // What was said of prices since is no difference; each time it is another file.
        $live = $edition === null ? '' : LivePrices::mark(Edition::directory()."/{$edition->file}");

        return 'drift:'.($edition->id ?? 0)." {$live}";
    }
}
