<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Served;
use App\Publishing\CurrentDrift;
use App\Publishing\DriftInWords;

final class DriftCommand extends Command
{
    protected $signature = 'drift {--json : answer with one JSON document}';

    protected $description = 'What shoppers would find different if the catalog were published now';

    public function handle(CurrentDrift $drift): int
    {
        $found = $drift();
        $served = Served::now();
        $edition = $served->edition?->id;

        return $this->answer(
            ['edition' => $edition, 'differences' => $found->differences()] + DriftInWords::document($found),
            $this->lines($served, DriftInWords::lines($found)),
        );
    }

    /**
     * @param  list<array{sign: string, text: string}>  $lines
     * @return iterable<string>
     */
    private function lines(Served $served, array $lines): iterable
    {
        $edition = $served->edition?->id;
        if ($served->problem !== null) {
            yield $served->problem;
        }
        if ($edition !== null || $served->problem === null) {
            yield $edition === null
                ? 'No edition yet.'
                : ($lines === []
                    ? "Edition {$edition} shows the catalog as it is."
                    : "Since edition {$edition}:");
        }
        foreach ($lines as $line) {
            yield $line['sign'].' '.$line['text'];
        }
    }
}
