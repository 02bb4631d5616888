<?php

declare(strict_types=1);

namespace App\Console;

use App\Publishing\Publish;

final class PublishCommand extends Command
{
    protected $signature = 'publish {--afresh : write all of it anew, also what nothing has touched since the edition before}
        {--json : answer with one JSON document}';

    protected $description = 'Makes a new edition and serves it';

    public function handle(Publish $publish): int
    {
        $edition = $publish(
            fn (string $what, float $share) => $this->progress($what, 0, $share),
            (bool) $this->option('afresh'),
        );
        $document = [
            'edition' => $edition->id,
            'products' => $edition->products,
            'variants' => $edition->variants,
            'terms' => $edition->terms,
            'seconds' => $edition->seconds,
        ];

        return $this->answer($document, [
            "Edition {$edition->id} is served: ".
            number_format($edition->products).
            ' products, '.
            number_format($edition->variants).
            ' variants, '.
            number_format($edition->terms).
            " terms, in {$edition->seconds} s",
        ]);
    }
}
