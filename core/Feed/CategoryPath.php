<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Text\Label;
use Lokum\Text\StrictKey;

/** Where a product stands in the tree: "Paint > Watercolor > Half pans". */
final readonly class CategoryPath
{
    private const DEEPEST = 12;

    private const BETWEEN = '|';

    /** @param  list<string>  $names  from the top down, none empty */
    private function __construct(public array $names)
    {
    }

    /**
     * @return self|null null for a blank cell
     *
     * @throws BadCell for empty parts, or a path too deep
     */
    public static function read(string $cell): ?self
    {
        if (Label::isBlank($cell)) {
            return null;
        }
        $names = array_map(Label::of(...), explode('>', $cell));
        if (in_array('', $names, true)) {
            throw BadCell::of($cell, 'has an empty part; write Paint > Watercolor');
        }
        if (count($names) > self::DEEPEST) {
            throw BadCell::of($cell, 'has more than '.self::DEEPEST.' steps');
        }

        return new self($names);
    }

    /**
     * The categories that a cell names: "Paint > Oil | Gifts". The first is the one that the product belongs to.
     *
     * @return list<self> none for a blank cell
     *
     * @throws BadCell for empty parts, or a path too deep
     */
    public static function several(string $cell): array
    {
        $paths = [];
        foreach (explode(self::BETWEEN, $cell) as $part) {
            $path = self::read($part);
            if ($path !== null) {
                $paths[$path->key()] ??= $path;
            }
        }

        return array_values($paths);
    }

    /** Equal for paths that lead to the same category. */
    public function key(): string
    {
        return implode(' > ', array_map(StrictKey::of(...), $this->names));
    }
}
