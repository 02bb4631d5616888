<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Fill\RunRules;
use App\Models\Definition;
use Illuminate\Support\Facades\DB;

/**
 * Runs a rule over all products (words in names, forty of them), and a branch of the tree; beside reading all names and
 * lower-casing them in PHP.
 */
final readonly class Filling implements Benchmark
{
    use Timed;

    public function __construct(private ReadFeed $read, private EditRules $edit, private RunRules $run)
    {
    }

    public function run(int $products, callable $say): array
    {
        $say('reading '.number_format($products).' products');
        Catalog::readIn($this->read, (new Catalog($products))->flatRows());
        DB::statement("UPDATE items SET name = name || ', finish ' || (id % 40) || ', in a box'");
        DB::statement('DELETE FROM assignments WHERE definition_id IN (SELECT id FROM definitions WHERE slug IN (?, ?))', [
            'finish',
            'series',
        ]);
        Definition::query()->update(['state' => 'accepted']);
        $say('a rule by words');
        [$words] = $this->time(
            fn () => $this->edit->add(RuleForm::from(['definition' => 'finish', 'source' => 'words', 'in' => ['name']])),
        );
        $filled = DB::table('assignments')->where('origin', '>', 0)->count();
        $say('the same again');
        [$again] = $this->time(fn () => ($this->run)());
        $say('a rule by categories');
        [$branch] = $this->time(
            fn () => $this->edit->add(
                RuleForm::from([
                    'definition' => 'series',
                    'source' => 'category',
                    'branch' => 'branch-1',
                ]),
            ),
        );
        $say('baseline: names lower-cased');
        [$baseline] = $this->time(fn () => array_map(mb_strtolower(...), DB::table('items')->pluck('name')->all()));

        return [
            'products' => $products,
            'filled' => $filled,
            'words_seconds' => round($words, 2),
            'again_seconds' => round($again, 2),
            'category_seconds' => round($branch, 2),
            'peak_mb' => round(memory_get_peak_usage() / 1e6),
            'baseline_seconds' => round($baseline, 2),
            'times_baseline' => round($words / $baseline, 1),
        ];
    }
}
