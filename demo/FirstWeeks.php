<?php

declare(strict_types=1);

namespace Demo;

use App\Draft\DraftLineups;
use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Lineups\LineupLedger;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Value;
use App\Values\FindValue;
use App\Vocabulary\GatherValues;
use App\Vocabulary\ProposeUmbrellas;

/** What the catalog manager of the demo has done by hand so far: colors gathered, branches with line-ups of their own, a rule. */
final readonly class FirstWeeks
{
    /** By their color they would stand among the yellows and browns. */
    private const METALS = ['Copper', 'Copper hue', 'Gold', 'Gold hue', 'Silver'];

    /** Filters that only a branch needs, those further up first. */
    private const BRANCHES = [
        'paint' => ['transparent', 'granulating'],
        'paper' => ['paper-tone', 'sheets', 'acid-free'],
        'brushes' => ['handle', 'vegan'],
    ];

    private const PRICE_BANDS = [
        'title' => 'Price',
        'control' => 'bands',
        'bands' => [
            ['label' => 'Under 5', 'to' => 5.0, 'holds_to' => false],
            [
                'label' => '5 to 10',
                'from' => 5.0,
                'to' => 10.0,
                'holds_to' => false,
            ],
            ['label' => '10 to 15', 'from' => 10.0, 'to' => 15.0],
            ['label' => 'Over 15', 'from' => 15.0, 'holds_from' => false],
        ],
    ];

    public function __construct(
        private GatherValues $gather,
        private ProposeUmbrellas $propose,
        private EditLineup $edit,
        private ChangeFilter $change,
        private EditRules $rules,
        private PaperPatterns $papers,
    ) {
    }

    public function work(): void
    {
        $color = Definition::query()->where('slug', 'color')->firstOrFail();
        ($this->gather)($color, 'Metallic', FindValue::ids($color, self::METALS));
        foreach ($this->propose->of($color) as $umbrella => $values) {
            ($this->gather)($color, $umbrella, array_map(fn (Value $value): int => $value->id, $values));
        }
        $this->papers->write();
        $this->edit->compose(
            array_combine(array_map($this->below(...), array_keys(self::BRANCHES)), array_values(self::BRANCHES)),
        );
        $this->say('price', 'paint', self::PRICE_BANDS);
        $this->say('surface', 'paper', ['control' => 'cubes', 'columns' => 3]);
        $this->rules->add(
            RuleForm::from([
                'definition' => 'features',
                'source' => 'definition',
                'from' => 'acid-free',
                'table' => ['Yes' => 'archival'],
                'scope' => ['category:paper'],
                'adds' => true,
            ]),
        );
    }

    private function below(string $branch): string
    {
        return 'below:'.Category::query()->where('slug', $branch)->firstOrFail()->id;
    }

    /** @param  array<string, mixed>  $properties */
    private function say(string $filter, string $branch, array $properties): void
    {
        $placement = $this->below($branch);
        $given = LineupLedger::filter(DraftLineups::load(), $filter, $placement);
        $this->change->save($filter, $properties, $placement, ChangeFilter::token($given));
    }
}
