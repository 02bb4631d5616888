<?php

declare(strict_types=1);

namespace Lokum\Fill;

/** A value with the words that stand for it: any of these, and none of those. */
final readonly class WordLine
{
    /**
     * @param  list<string>  $any  words or runs of words
     * @param  list<string>  $none
     */
    public function __construct(public string $value, public array $any, public array $none = [])
    {
    }
}
