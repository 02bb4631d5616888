<?php

declare(strict_types=1);

namespace App\Editions;

/** What shoppers read where a product carries a spelling, for each of an edition's; looked up once, since products share most of them. */
final class ShownTexts
{
    private const KEPT = 50000;

    private const AT_ONCE = 500;

    /** @var array<int, ShownText|null> by spelling; null: not shown */
    private array $known = [];

    public function __construct(private readonly EditionDatabase $database)
    {
    }

    /**
     * Has those at hand that are about to be asked for.
     *
     * @param  list<string|null>  $spellings  as products have them: ids, parted by commas
     */
    public function prepare(array $spellings): void
    {
        if (count($this->known) > self::KEPT) {
            $this->known = [];
        }
        $ids = array_flip(array_merge([], ...array_map(self::ids(...), $spellings)));
        foreach (array_chunk(array_keys(array_diff_key($ids, $this->known)), self::AT_ONCE) as $chunk) {
            $this->known += array_fill_keys($chunk, null);
            foreach ($this->database->rows('SELECT * FROM shown WHERE id IN ('.implode(', ', $chunk).')') as $row) {
                $this->known[(int) $row['id']] = ShownText::fromRow($row);
            }
        }
    }

    /**
     * @param  string|null  $spellings  as a product has them, prepared before
     * @return list<ShownText> in the order of definitions, and within one as it says
     */
    public function of(?string $spellings): array
    {
        $shown = array_values(
            array_filter(array_map(fn (int $id): ?ShownText => $this->known[$id] ?? null, self::ids($spellings))),
        );
        if (array_filter(array_column($shown, 'place')) !== []) {
            usort($shown, fn (ShownText $one, ShownText $other): int => $one->place <=> $other->place);
        }

        return $shown;
    }

    /** @return list<int> */
    private static function ids(?string $spellings): array
    {
        return $spellings === null ? [] : array_map(intval(...), explode(',', $spellings));
    }
}
