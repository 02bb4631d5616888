<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Definition;
use App\Support\Page;
use Illuminate\Support\Collection;

/** All definitions by their state, one of them open, with what a change to it would do. */
final readonly class DefinitionsPage extends Page
{
    /**
     * @param  array<string, Collection<int, Definition>>  $groups  by the name of their state
     * @param  array<int, int>  $products  by definition
     * @param  int  $total  products of the catalog
     * @param  array<int, list<string>>  $samples  spellings by definition, a few of each
     * @param  Collection<array-key, string>  $filters  titles by definition
     * @param  string  $open  slug of the open one, or "new"
     * @param  array<string, mixed>|null  $change  what the kind chosen in the form would find
     * @param  array<int, list<array{name: string, slug: string, share: int, expected: bool}>>  $strips  coverage by branch, by definition
     * @param  Collection<array-key, int>  $odd  texts that cannot be read, by definition
     * @param  array<int, list<Definition>>  $alike  others that are called nearly the same
     * @param  Collection<int, string>  $sections
     * @param  int  $differing  products whose variants differ in it
     * @param  int  $joined  cells that may hold several
     * @param  array{texts: int, items: int}|null  $again  texts of a text field that come again and again, and what carries them; null:
     *         they do not
     * @param  Definition|null  $into  the one that the open one would be merged into
     * @param  array<string, mixed>|null  $ending  what deleting the open one would take
     */
    public function __construct(
        public array $groups,
        public array $products,
        public int $total,
        public array $samples,
        public Collection $filters,
        public string $open,
        public ?Definition $editing,
        public ?array $change,
        public array $strips,
        public Collection $odd,
        public array $alike,
        public Collection $sections,
        public int $differing,
        public int $joined,
        public ?array $again,
        public ?Definition $into,
        public ?MergeFigures $merging,
        public ?string $mergeProblem,
        public ?array $ending,
    ) {
    }
}
