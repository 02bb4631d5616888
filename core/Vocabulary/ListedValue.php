<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** A value as it leaves Lokum in a list: what it is called, where it belongs, and everything it was ever called. */
final readonly class ListedValue
{
    /**
     * @param  list<string>  $spellings  as they came, in any order; the label's own may be among them
     * @param  list<string>  $colors  as #rrggbb
     * @param  array<string, string>  $languages  BCP 47 tags of spellings whose language is known
     * @param  Showing  $shown  where shoppers see it
     * @param  list<string>  $apart  labels of those that somebody has said are different
     * @param  string|null  $picture  file name of the picture of its look
     * @param  string|null  $page  what its page in the shop says
     * @param  string|null  $pagePicture  file name of the picture on its page
     */
    public function __construct(
        public string $label,
        public string $slug,
        public ?string $umbrella = null,
        public array $spellings = [],
        public array $colors = [],
        public ?string $help = null,
        public array $languages = [],
        public Showing $shown = Showing::Everywhere,
        public array $apart = [],
        public ?string $picture = null,
        public ?string $page = null,
        public ?string $pagePicture = null,
    ) {
    }
}
