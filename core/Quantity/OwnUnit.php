<?php

declare(strict_types=1);

namespace Lokum\Quantity;

/** A unit that a shop has for itself: a board foot by its factor, a pack of a dozen pieces, or a measure that converts to nothing. */
final readonly class OwnUnit
{
    private const MOST = 100;

    private const NAME = '/^\p{L}[\p{L}\p{M} .-]{0,39}$/u';

    /**
     * @param  non-empty-list<string>  $names  its symbol first, then other ways to write it
     * @param  string|null  $measure  one of it in a unit that is known, as "144 in³"; null: a measure of its own
     */
    private function __construct(public array $names, public ?string $measure)
    {
    }

    /**
     * Units as they are typed, one a line: "board foot, bd ft = 144 in³", "pack = 12 pieces", "roll".
     *
     * @return list<self>
     *
     * @throws BadUnit naming the line, for a name that is none or is written twice, or more than 100 units
     */
    public static function read(string $text): array
    {
        $units = $taken = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $parts = explode('=', $line, 2);
            $measure = trim($parts[1] ?? '');
            $names = array_map(trim(...), explode(',', $parts[0]));
            foreach ($names as $name) {
                if (preg_match(self::NAME, $name) !== 1) {
                    throw BadUnit::onLine($i + 1, "\"{$name}\" is no name for a unit: letters, 40 at most");
                }
                if (isset($taken[mb_strtolower($name)])) {
                    throw BadUnit::onLine($i + 1, "\"{$name}\" is named already");
                }
                $taken[mb_strtolower($name)] = true;
            }
            $units[] = new self($names, $measure === '' ? null : $measure);
        }

        return count($units) > self::MOST ? throw BadUnit::onLine(self::MOST + 1, 'at most '.self::MOST.' units') : $units;
    }

    public function line(): string
    {
        return implode(', ', $this->names).($this->measure === null ? '' : " = {$this->measure}");
    }
}
