<?php

declare(strict_types=1);

namespace Lokum\Fill;

/** A word found in a text: where it stands (in characters from 0), and the value it stands for. */
final readonly class Hit
{
    public function __construct(public string $value, public int $start, public int $length)
    {
    }

    /**
     * The hit in its surroundings.
     *
     * @return array{0: string, 1: string, 2: string} before, the words themselves, behind
     */
    public function in(string $text, int $around = 24): array
    {
        $from = max(0, $this->start - $around);
        $behind = $this->start + $this->length;

        return [
            ($from > 0 ? '…' : '').mb_substr($text, $from, $this->start - $from),
            mb_substr($text, $this->start, $this->length),
            mb_substr($text, $behind, $around).(mb_strlen($text) > $behind + $around ? '…' : ''),
        ];
    }
}
