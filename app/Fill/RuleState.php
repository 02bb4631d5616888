<?php

declare(strict_types=1);

namespace App\Fill;

use App\Cells\Narrowing;
use App\Models\Assignment;
use App\Models\FillRule;
use App\Models\Origin;
use App\Support\Refused;

/** A rule as it stands in the catalog: whether it can run, where it fills, and what it has filled. */
final readonly class RuleState
{
    /**
     * @param  string|null  $problem  why it cannot run: something that it names is gone; what it filled stays until it can again
     * @param  string  $place  where it fills, in words
     * @param  int  $filled  products and variants whose value it gives now
     */
    private function __construct(public FillRule $rule, public ?string $problem, public string $place, public int $filled)
    {
    }

    /** @return array<int, self> every rule by its id, in their order */
    public static function all(): array
    {
        $filled = Assignment::table()
            ->where('origin', '>', Origin::FEED)
            ->groupBy('origin')
            ->selectRaw('origin, COUNT(DISTINCT item_id) AS n')
            ->pluck('n', 'origin');
        $states = [];
        foreach (FillRule::query()->with('definition')->orderBy('position')->get() as $rule) {
            $problem = self::problem($rule);
            $place = match (true) {
                $rule->scope === [] => 'everywhere',
                $problem === null => Narrowing::where($rule->scope)->inWords(),
                default => implode(', ', $rule->scope),
            };
            $states[$rule->id] = new self($rule, $problem, $place, (int) ($filled[$rule->id] ?? 0));
        }

        return $states;
    }

    /** @return list<FillRule> the rules that run, in their order: neither paused nor in want of something that is gone */
    public static function running(): array
    {
        $rules = FillRule::query()->where('paused', false)->orderBy('position')->with('definition')->get();

        return array_values($rules->filter(fn (FillRule $rule): bool => self::problem($rule) === null)->all());
    }

    public static function problem(FillRule $rule): ?string
    {
        try {
            RuleForm::from(
                [
                    'definition' => $rule->definition->slug,
                    'source' => $rule->source->value,
                    'scope' => $rule->scope,
                ] + $rule->settings,
            );

            return null;
        } catch (Refused $why) {
            return $why->getMessage();
        }
    }
}
