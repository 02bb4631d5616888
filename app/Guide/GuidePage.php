<?php

declare(strict_types=1);

namespace App\Guide;

/** A page of the guide: one job, told step by step. Written in docs/guide, in the order of the names of their files. */
final readonly class GuidePage
{
    private const FOLDER = 'docs/guide';

    private function __construct(public string $slug, public string $title, public string $markdown)
    {
    }

    /** @return array<string, self> by slug, in their order */
    public static function all(): array
    {
        $pages = [];
        foreach (glob(base_path(self::FOLDER.'/*.md')) ?: [] as $file) {
            $markdown = (string) file_get_contents($file);
            $slug = (string) preg_replace('/^\d+-/', '', basename($file, '.md'));
            $pages[$slug] = new self($slug, trim(ltrim((string) strtok($markdown, "\n"), '# ')), $markdown);
        }

        return $pages;
    }

    /** The page that helps in a room; the first where none is about it. */
    public static function forRoom(string $route): string
    {
        $about = [
            'feeds' => 'deliveries',
            'readings' => 'deliveries',
            'products' => 'many-products',
            'expected' => 'gaps',
            'rules' => 'gaps',
            'newcomers' => 'newcomers',
            'values.umbrellas' => 'umbrellas',
            'values' => 'merge',
            'line-ups' => 'line-ups',
            'publishing' => 'publish',
            'history' => 'take-back',
            'people' => 'people-and-programs',
            'outside' => 'people-and-programs',
        ];
        foreach ($about as $room => $slug) {
            if (str_starts_with($route, $room)) {
                return $slug;
            }
        }

        return 'begin';
    }

    /**
     * @param  list<string>  $words
     * @return list<self> that have all of them
     */
    public static function with(array $words): array
    {
        return array_values(array_filter(
            self::all(),
            fn (self $page): bool => array_filter($words, fn (string $word): bool => mb_stripos($page->markdown, $word) === false) === [],
        ));
    }
}
