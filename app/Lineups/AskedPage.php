<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\Support\Refused;
use Illuminate\Http\Request;

/** The page of the shop that a request is about, and where on it changes are said. */
final readonly class AskedPage
{
    /** Pages that are no category's, by their names. */
    public const NAMES = [
        'Whole shop' => Placement::SHOP,
        'Search results' => Placement::SEARCH,
        'Brand pages' => Placement::BRANDS,
    ];

    /**
     * @param  string  $name  a category's id, or "shop", "search", "brands"
     * @param  string  $placement  for it and all below, or for it alone
     */
    private function __construct(public string $name, public string $placement)
    {
    }

    /** @throws Refused for one that does not exist */
    public static function from(Request $request, DraftLineups $all): self
    {
        $page = self::known($request->string('page', Placement::SHOP)->toString(), $all);
        $extent = $request->string('at')->toString() === 'only' ? 'only' : 'below';

        return new self($page, ctype_digit($page) ? "{$extent}:{$page}" : $page);
    }

    /**
     * @param  string  $page  as above, or one of its names; a category's slug, or its path
     *
     * @throws Refused
     */
    public static function known(string $page, DraftLineups $all): string
    {
        $page = self::NAMES[$page] ?? $page;
        if (in_array($page, self::NAMES, true)) {
            return $page;
        }
        $category = ctype_digit($page) ? $all->tree->find((int) $page) : $all->tree->bySlug($page) ?? $all->tree->byPath($page);

        return $category === null ? throw Refused::unknown('page', $page) : (string) $category->id;
    }
}
