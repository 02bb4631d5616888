<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Edition;
use App\Publishing\DriftInWords;
use App\Publishing\ServeAgain;
use App\Support\Refused;

final class EditionCompareCommand extends Command
{
    protected $signature = 'edition:compare {one : number of an edition} {other : number of another}
        {--json : answer with one JSON document}';

    protected $description = 'What shoppers find different in another edition, in the words of drift';

    public function handle(): int
    {
        $drift = ServeAgain::between($this->edition('one'), $this->edition('other'));
        $lines = array_map(fn (array $line): string => "{$line['sign']} {$line['text']}", DriftInWords::lines($drift));

        return $this->answer(
            ['differences' => $drift->differences()] + DriftInWords::document($drift),
            $lines === [] ? ['Shoppers find nothing different.'] : $lines,
        );
    }

    private function edition(string $argument): Edition
    {
        return Edition::query()->find((int) $this->text($argument)) ?? throw Refused::unknown('edition', $this->text($argument));
    }
}
