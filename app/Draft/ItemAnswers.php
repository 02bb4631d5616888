<?php

declare(strict_types=1);

namespace App\Draft;

use Lokum\Vocabulary\Level;

/** What each product, or each variant, of a page answers to one filter: its term, or the share of the scale that its number is in. */
final readonly class ItemAnswers
{
    private string $items;

    private string $answers;

    /** @param  array<int, int>  $answers  by item; kept in 32 bits each */
    public function __construct(public Level $level, array $answers)
    {
        $this->items = self::packed(array_keys($answers));
        $this->answers = self::packed(array_values($answers));
    }

    /** @return array<int, int> by item */
    public function byItem(): array
    {
        return $this->items === '' ? [] : array_combine(self::unpacked($this->items), self::unpacked($this->answers));
    }

    /** @param  list<int>  $numbers */
    private static function packed(array $numbers): string
    {
        return implode('', array_map(fn (array $chunk): string => pack('V*', ...$chunk), array_chunk($numbers, 10000)));
    }

    /** @return list<int> */
    private static function unpacked(string $packed): array
    {
        /** @var list<int> $numbers */
        $numbers = array_values((array) unpack('V*', $packed));

        return $numbers;
    }
}
