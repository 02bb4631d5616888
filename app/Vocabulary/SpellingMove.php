<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Spelling;

/** What taking a spelling out of its value would do. */
final readonly class SpellingMove
{
    /**
     * @param  list<Spelling>  $together  those that go together, since their letters are the same
     * @param  int  $products  distinct products that go with them
     * @param  string|null  $obstacle  why it cannot be taken out
     */
    public function __construct(public array $together, public int $products, public ?string $obstacle)
    {
    }
}
