<?php

declare(strict_types=1);

namespace App\Vocabulary;

/** One page of the shop, and what becomes of a term on it. */
final readonly class PageTouched
{
    /** @param  int  $fewer  terms that the filter offers less */
    public function __construct(public string $page, public int $before, public int $after, public int $fewer)
    {
    }

    /**
     * @param  list<self>  $pages
     * @return list<array{page: string, before: int, after: int}>
     */
    public static function list(array $pages): array
    {
        return array_map(
            fn (self $page): array => ['page' => $page->page, 'before' => $page->before, 'after' => $page->after],
            $pages,
        );
    }
}
