<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Edition;
use App\Publishing\ServeAgain;
use App\Support\Refused;

final class EditionServeCommand extends Command
{
    protected $signature = 'edition:serve {edition : number of an earlier edition}
        {--why= : a reason, for History}
        {--json : answer with one JSON document}';

    protected $description = 'Serves an earlier edition again, at once and under a new number';

    public function handle(ServeAgain $serve): int
    {
        $edition =
            Edition::query()->find((int) $this->text('edition')) ?? throw Refused::unknown('edition', $this->text('edition'));
        $again = $serve($edition, $this->textOption('why'));

        return $this->answer(
            ['edition' => $again->id, 'of' => $edition->id, 'products' => $again->products],
            ["Edition {$edition->id} is served again, as edition {$again->id}."],
        );
    }
}
