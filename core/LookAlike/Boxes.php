<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/**
 * What a box holds, where a list puts as many into nothing else (C2): a box of 100 is 100 pieces, and a set of 4 is
 * 4 pieces, unless there is a pack of as many.
 */
final class Boxes
{
    /** 10 packs, 10-pk */
    private const PACKS = '/^(\d+)[ -]?(?:piece )?(pack|pk|pkt|packet|set|bag)s?$/';

    /** @var array<int|string, array<string, true>> what so many are put into, by the number */
    private array $into = [];

    /** @param  list<string>  $texts  strict keys, as they came and with their signs in plain form */
    public function __construct(array $texts)
    {
        foreach ($texts as $text) {
            if (preg_match('/^(\pL+) of (\d+)$/u', $text, $part) === 1) {
                $this->into[$part[2]][$part[1]] = true;
            } elseif (preg_match(self::PACKS, $text, $part) === 1) {
                $this->into[$part[1]][$part[2]] = true;
            }
        }
    }

    /**
     * @param  list<string>  $words  of a value
     * @return list<string> the same as so many pieces
     */
    public function opened(array $words): array
    {
        [$into, $many] = match (true) {
            count($words) !== 3 => ['', ''],
            $words[1] === 'of' => [$words[0], $words[2]],
            "{$words[1]} {$words[2]}" === 'piece set' => ['set', $words[0]],
            default => ['', ''],
        };

        return $into !== '' && ($this->into[$many] ?? []) === [$into => true] ? ["{$many} pieces", "{$many} piece"] : [];
    }
}
