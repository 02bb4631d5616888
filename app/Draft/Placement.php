<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\CategoryTree;
use App\Support\Refused;

/** The pages that a line-up is for, and the pages of the shop themselves: written "shop", "search", "brands", "below:5", "only:5". */
final readonly class Placement
{
    public const SHOP = 'shop';

    public const SEARCH = 'search';

    public const BRANDS = 'brands';

    private const NAMES = [self::SHOP => 'Whole shop', self::SEARCH => 'Search results', self::BRANDS => 'Brand pages'];

    private function __construct(public string $kind, public ?int $category)
    {
    }

    /** @throws Refused for a placement or category that does not exist */
    public static function of(string $text, CategoryTree $tree): self
    {
        if (isset(self::NAMES[$text])) {
            return new self($text, null);
        }
        if (preg_match('/^(below|only):(\d+)$/D', $text, $part) === 1 && $tree->find((int) $part[2]) !== null) {
            return new self($part[1], (int) $part[2]);
        }
        throw Refused::unknown('placement', $text);
    }

    public function text(): string
    {
        return $this->category === null ? $this->kind : "{$this->kind}:{$this->category}";
    }

    public function name(CategoryTree $tree): string
    {
        return self::NAMES[$this->kind] ??
            ($tree->find((int) $this->category)->path ?? '').($this->kind === 'below' ? ' and below' : ' alone');
    }

    /**
     * The placements whose line-ups make up a page, from the farthest to the nearest (C11).
     *
     * @param  string  $page  a category's id, or "shop", "search", "brands"
     * @return list<string>
     */
    public static function chain(string $page, CategoryTree $tree): array
    {
        if (! ctype_digit($page)) {
            return $page === self::SHOP ? [self::SHOP] : [self::SHOP, $page];
        }

        return [
            self::SHOP,
            ...array_map(fn (int $id): string => "below:{$id}", array_reverse($tree->withAncestors((int) $page))),
            "only:{$page}",
        ];
    }
}
