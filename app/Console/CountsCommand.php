<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\CountPage;
use App\Editions\EditionAttribute;
use App\Editions\EditionFile;
use App\Editions\Picks;
use App\Editions\Served;
use App\Support\Refused;
use Lokum\Facet\Combine;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class CountsCommand extends Command
{
    /** 4..12, 4.., ..-1.5 */
    private const RANGE = '/^(-?[0-9]*\.?[0-9]*)\.\.(-?[0-9]*\.?[0-9]*)$/D';

    protected $signature = 'counts {--category= : slug of a category; the whole shop when left out}
        {--pick=* : ATTRIBUTE:term,term}
        {--combine=* : ATTRIBUTE:any or ATTRIBUTE:all}
        {--range=* : FIELD:min..max, either end may be left out}
        {--json : answer with one JSON document}';

    protected $description = 'Counts as shoppers see them, from the current edition';

    public function handle(): int
    {
        $edition = Served::now()->file();
        $slug = $this->option('category');
        $category = is_string($slug) ? $edition->category($slug) ?? throw Refused::unknown('category', $slug) : null;
        $picks = $this->picks($edition);
        $attributes = $edition->attributes();
        $page = new CountPage(
            $edition,
            $category,
            $picks,
            array_map(fn (EditionAttribute $attribute): string => $attribute->slug, $attributes),
        );
        $counts = $page->counter->counts();
        $filters = [];
        foreach ($attributes as $attribute) {
            $filters[] = [
                'attribute' => $attribute->slug,
                'terms' => $this->terms($edition, $attribute, $counts[$attribute->slug], $picks),
            ];
        }
        foreach ($edition->numberFields() as $field) {
            $ends = $page->ends($field);
            $filters[] = [
                'attribute' => $field,
                'min' => $this->number($ends[0] ?? null),
                'max' => $this->number($ends[1] ?? null),
            ];
        }

        return $this->answer(
            ['products' => $page->matching()->count(), 'filters' => $filters],
            $this->lines($page->matching()->count(), $filters),
        );
    }

    private function picks(EditionFile $edition): Picks
    {
        $terms = $combine = $ranges = [];
        foreach ($this->pairs('pick') as [$attribute, $value]) {
            $terms[$attribute] = [...$terms[$attribute] ?? [], ...array_map(trim(...), explode(',', $value))];
        }
        foreach ($this->pairs('combine') as [$attribute, $value]) {
            if ($edition->attribute($attribute) === null) {
                throw Refused::unknown('attribute', $attribute);
            }
            $combine[$attribute] = match ($value) {
                'any' => Combine::Any,
                'all' => Combine::All,
                default => throw new InvalidOptionException("--combine={$attribute}:{$value}: say any or all."),
            };
        }
        foreach ($this->pairs('range') as [$field, $value]) {
            if (preg_match(self::RANGE, $value, $ends) !== 1) {
                throw new InvalidOptionException("--range={$field}:{$value}: write min..max, for example 5..10.");
            }
            $ranges[$field] = [$ends[1] === '' ? null : (float) $ends[1], $ends[2] === '' ? null : (float) $ends[2]];
        }

        return new Picks($terms, $combine, $ranges);
    }

    /** @return list<array{0: string, 1: string}> */
    private function pairs(string $option): array
    {
        return array_map(function (string $text) use ($option): array {
            $at = strpos($text, ':');

            return $at === false || $at === 0
                ? throw new InvalidOptionException("--{$option}={$text}: a name and a colon come first.")
                : [substr($text, 0, $at), substr($text, $at + 1)];
        }, self::texts($this->option($option)));
    }

    /**
     * @param  array<int, int>  $counts
     * @return list<array{label: string, slug: string, count: int}> every term of one product or more, and the picked ones
     */
    private function terms(EditionFile $edition, EditionAttribute $attribute, array $counts, Picks $picks): array
    {
        $terms = [];
        foreach ($edition->terms($attribute) as $id => $term) {
            if ($counts[$id] > 0 || in_array($term->slug, $picks->terms[$attribute->slug] ?? [], true)) {
                $terms[] = ['label' => $term->label, 'slug' => $term->slug, 'count' => $counts[$id]];
            }
        }

        return $terms;
    }

    private function number(?float $number): int|float|null
    {
        return $number !== null && floor($number) === $number && abs($number) < 1e15 ? (int) $number : $number;
    }

    /**
     * @param  list<array<string, mixed>>  $filters
     * @return iterable<string>
     */
    private function lines(int $products, array $filters): iterable
    {
        yield number_format($products).' products';
        foreach ($filters as $filter) {
            if (isset($filter['terms'])) {
                yield $filter['attribute'];
                foreach ($filter['terms'] as $term) {
                    yield sprintf('%8s  %s (%s)', number_format($term['count']), $term['label'], $term['slug']);
                }
            } elseif ($filter['min'] !== null) {
                yield "{$filter['attribute']}  {$filter['min']} to {$filter['max']}";
            }
        }
    }
}
