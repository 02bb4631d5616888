<?php

declare(strict_types=1);

namespace App\Search;

/** A room, or something that can be begun there. */
final readonly class Place
{
    /**
     * @param  string  $about  other words for it
     * @param  array<string, mixed>  $with  of its address
     * @param  string|null  $needs  what somebody has to be allowed to
     */
    public function __construct(
        public string $label,
        public string $about,
        private string $route,
        private array $with = [],
        public ?string $needs = null,
    ) {
    }

    /** @param  list<string>  $words */
    public function has(array $words): bool
    {
        foreach ($words as $word) {
            if (mb_stripos("{$this->label} {$this->about}", $word) === false) {
                return false;
            }
        }

        return true;
    }

    public function address(): string
    {
        return route($this->route, $this->with);
    }
}
