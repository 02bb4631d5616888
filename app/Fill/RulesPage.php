<?php

declare(strict_types=1);

namespace App\Fill;

use App\Models\Category;
use App\Models\Definition;
use App\Models\FillRule;
use App\Support\Page;
use Illuminate\Support\Collection;

/** All fill rules, one of them open or a new one in the form, with what it would fill. */
final readonly class RulesPage extends Page
{
    /**
     * @param  array<int, RuleState>  $states  by rule, in their order
     * @param  int  $filled  cells that the open rule has filled
     * @param  bool  $form  whether a rule is in the form
     * @param  array<string, mixed>  $input  what the form holds
     * @param  list<RuleProposal>  $proposals
     * @param  Collection<int, Definition>  $definitions
     * @param  list<array{0: Category, 1: int}>  $categories  with their depth
     * @param  Collection<int, Definition>  $numbers  that bands can be taken of
     * @param  FillFigures|null  $figures  what the rule in the form would do
     * @param  string|null  $problem  why that cannot be told
     */
    public function __construct(
        public array $states,
        public int $filled,
        public ?FillRule $open,
        public bool $form,
        public array $input,
        public array $proposals,
        public Collection $definitions,
        public array $categories,
        public Collection $numbers,
        public ?FillFigures $figures,
        public ?string $problem,
    ) {
    }
}
