<?php

declare(strict_types=1);

namespace Demo;

use App\Access\DemoAccount;
use App\Definitions\SaveDefinition;
use App\Definitions\SayExpected;
use App\Feeds\FeedFile;
use App\Feeds\FeedName;
use App\Feeds\ReadFeed;
use App\Feeds\ReadingFigures;
use App\Feeds\StartReading;
use App\Lineups\EditLineup;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Reading;
use App\Models\Spelling;
use App\Models\State;
use App\Publishing\Publish;
use App\Settings\SaveShop;
use App\Settings\Taxes;
use App\Values\FindValue;
use App\Vocabulary\MergeValues;
use Closure;
use Lokum\Feed\ColumnMap;

/**
 * Builds Quillmoor Art Supply: what four suppliers sent is read, its manager has worked some weeks, an edition is served, and
 * more files wait in the inbox.
 */
final readonly class DemoShop
{
    /** What a person would say about the columns at the first reading; the rest is left to Lokum. */
    private const MAPS = [
        'tarnbeck.csv' => '{"columns": {"Colour": {"attribute": "color", "label": "Color", "kind": "choice", "level": '.
        '"variant"}, "Volume": {"attribute": "volume", "label": "Volume", "kind": "number", "unit": "ml", "level": "variant"},
            "Occasion": {"attribute": "occasion", "label": "Occasion", "kind": "choice", "multiple": true, "separator": "|", '.
            '"level": "product"}, "Lightfastness": {"attribute": "lightfastness", "label": "Lightfastness", "kind": "choice", '.
            '"level": "product"},
            "Finish ": {"attribute": "finish", "label": "Finish", "kind": "choice", "level": "product"}, "Pigment series": '.
            '{"attribute": "pigment-series", "label": "Pigment series", "kind": "choice", "level": "product"}, "Transparent": '.
            '{"attribute": "transparent", "label": "Transparent", "kind": "flag", "level": "product"}}}',
        'ostrelle.csv' => '{"columns": {"Color": {"attribute": "color", "kind": "choice"}, "Size": {"attribute": "volume", '.
        '"kind": "number"}, "Serie": {"attribute": "pigment-series", "kind": "choice"}, "Light fastness": {"attribute": '.
        '"lightfastness", "kind": "choice"}}}',
        'pellworth.csv' => '{"columns": {"Weight": {"attribute": "weight", "label": "Paper weight", "kind": "number", "unit": '.
        '"g/m²", "level": "product"}, "Sheet size": {"attribute": "sheet-size", "label": "Sheet size", "kind": "choice", '.
        '"level": "variant"},
            "Surface": {"attribute": "surface", "label": "Surface", "kind": "choice", "level": "product"}, "Fibre": '.
            '{"attribute": "fibre", "label": "Fibre", "kind": "choice", "multiple": true, "level": "product"}, "Color": '.
            '{"attribute": "paper-tone", "label": "Paper tone", "kind": "choice", "level": "product"}}}',
        'brannoch.csv' => '{"columns": {"color ": {"attribute": "color", "kind": "choice"}, "Hair": {"attribute": "hair", '.
        '"label": "Hair", "kind": "choice", "level": "product"}, "Brush size": {"attribute": "brush-size", "label": "Brush '.
        'size", "kind": "choice", "level": "variant"},
            "Shape": {"attribute": "shape", "label": "Brush shape", "kind": "choice", "level": "product"}, "Occasion": '.
            '{"attribute": "occasion", "kind": "choice"}}}',
    ];

    private const MERGES = [
        'finish' => ['Matte' => ['Matt']],
        'pigment-series' => [
            'Series 1' => ['Serie 1'],
            'Series 2' => ['Serie 2'],
            'Series 3' => ['Serie 3'],
            'Series 4' => ['Serie 4'],
        ],
        'surface' => ['Cold pressed' => ['cold-pressed'], 'Hot pressed' => ['Hot-pressed']],
    ];

    /** What products of a branch should carry. */
    private const EXPECTED = [
        'paint' => ['color', 'volume', 'lightfastness', 'pigment-series', 'finish'],
        'brushes' => ['hair', 'shape', 'brush-size', 'handle'],
        'paper' => ['weight', 'surface', 'fibre', 'sheet-size'],
        'canvas' => ['weight', 'sheet-size'],
        'drawing' => ['color'],
    ];

    private const FILTERS = [
        'color',
        'price',
        'brand',
        'volume',
        'lightfastness',
        'pigment-series',
        'finish',
        'weight',
        'surface',
        'sheet-size',
        'hair',
        'shape',
        'brush-size',
        'occasion',
        'stock',
    ];

    public function __construct(
        private ReadFeed $read,
        private SaveDefinition $save,
        private MergeValues $merge,
        private EditLineup $edit,
        private SayExpected $expect,
        private SaveShop $settle,
        private BrandPages $brands,
        private FirstWeeks $work,
        private Publish $publish,
    ) {
    }

    public static function isBuilt(): bool
    {
        return Item::query()->exists();
    }

    /** @param  Closure(string): void  $say */
    public function build(Closure $say): void
    {
        DemoAccount::createAll();
        ($this->settle)(
            [
                'name' => 'Quillmoor',
                'line' => 'Art Supply',
                'taxes' => Taxes::Included->value,
                'pictures' => 'demo',
            ],
            0,
        );
        foreach (self::MAPS as $file => $map) {
            $figures = $this->read($file, ColumnMap::fromJson($map));
            $say("read {$file}: ".number_format($figures->rows).' rows');
        }
        $this->save->several(
            array_values(
                Definition::query()
                    ->where('state', State::Proposed)
                    ->whereIn('slug', ['granulating', 'features', 'handle', 'vegan', 'sheets', 'acid-free'])
                    ->pluck('id')
                    ->all(),
            ),
            State::Accepted,
        );
        foreach (self::MERGES as $attribute => $merges) {
            $definition = Definition::query()->where('slug', $attribute)->firstOrFail();
            foreach ($merges as $keep => $labels) {
                $ids = FindValue::ids($definition, $labels);
                ($this->merge)(
                    $definition,
                    $this->merge->plan($definition, FindValue::named($definition, (string) $keep)->id, $ids),
                );
            }
        }
        foreach (self::EXPECTED as $branch => $slugs) {
            ($this->expect)(
                Category::query()->where('slug', $branch)->firstOrFail(),
                array_values(Definition::query()->whereIn('slug', $slugs)->pluck('id')->all()),
                true,
            );
        }
        $this->brands->write();
        // The first deliveries were looked over; newcomers are what comes later.
        Spelling::query()->update(['settled' => true]);
        foreach (self::FILTERS as $source) {
            $this->edit->add($source);
        }
        $this->work->work();
        $edition = ($this->publish)(fn () => null);
        $say("published edition {$edition->id}");
        foreach (glob(__DIR__.'/later/*.csv') ?: [] as $file) {
            copy($file, config('lokum.data').'/inbox/'.basename($file, '.csv').'-2026-11.csv');
        }
    }

    private function read(string $file, ColumnMap $map): ReadingFigures
    {
        $path = __DIR__.'/feeds/'.$file;
        $reading = StartReading::atOnce($path, FeedName::from($file));

        return ($this->read)(FeedFile::ofReading($reading), $reading->feed->name, $map, false, fn () => null, true, $reading);
    }
}
