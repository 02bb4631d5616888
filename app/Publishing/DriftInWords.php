<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Support\Format;
use Lokum\Edition\Drift;
use Lokum\Edition\TermLine;

/** The differences between two editions, for people and for scripts. */
final class DriftInWords
{
    /** What the signs before a line say. */
    public const SIGNS = ['+' => 'new', '−' => 'gone', '~' => 'different'];

    /** @return array<string, mixed> */
    public static function document(Drift $drift): array
    {
        $term = fn (TermLine $term): array => [
            'attribute' => $term->attribute,
            'label' => $term->label,
            'slug' => $term->slug,
            'products' => $term->products,
        ];
        $pair = fn (array $pair): array => [
            'attribute' => $pair[1]->attribute,
            'slug' => $pair[1]->slug,
            'before' => $pair[0]->label,
            'after' => $pair[1]->label,
        ];

        return [
            'products' => $drift->products,
            'variants' => $drift->variants,
            'terms' => [
                'new' => array_map($term, $drift->new), // Whatever follows them: programs ask which terms end.
                'gone' => array_map($term, [...$drift->gone, ...array_column($drift->ledOn, 0)]),
                'led_on' => array_map($pair, $drift->ledOn),
                'renamed' => array_map($pair, $drift->renamed),
                'redressed' => array_map($pair, $drift->redressed),
                'regrouped' => array_map(
                    fn (array $pair): array => [
                        'attribute' => $pair[1]->attribute,
                        'slug' => $pair[1]->slug,
                        'before' => $pair[0]->holds,
                        'after' => $pair[1]->holds,
                    ],
                    $drift->regrouped,
                ),
            ],
            'counts' => array_map(
                fn (array $pair): array => [
                    'attribute' => $pair[1]->attribute,
                    'slug' => $pair[1]->slug,
                    'before' => $pair[0]->products,
                    'after' => $pair[1]->products,
                ],
                $drift->recounted,
            ),
            'filters' => $drift->filters,
            'pages' => $drift->pages,
            'addresses' => $drift->addresses,
            'attributes' => (object) $drift->attributes,
        ];
    }

    /** @return list<array{sign: string, text: string, about: string}> "+" new, "−" gone, "~" different */
    public static function lines(Drift $drift): array
    {
        $lines = [];
        $add = function (string $sign, string $about, string $text) use (&$lines): void {
            $lines[] = ['sign' => $sign, 'about' => $about, 'text' => $text];
        };
        foreach ($drift->filters['appearing'] as $title) {
            $add('+', 'Filters', "The filter {$title} appears");
        }
        foreach ($drift->filters['disappearing'] as $title) {
            $add('−', 'Filters', "The filter {$title} goes");
        }
        foreach ($drift->filters['changed'] as $title) {
            $add('~', 'Filters', "{$title} has other settings");
        }
        if ($drift->filters['reordered']) {
            $add('~', 'Filters', 'The filters stand in another order');
        }
        foreach ($drift->new as $term) {
            $add('+', $term->attribute, "{$term->label} · ".self::products($term->products));
        }
        foreach ($drift->gone as $term) {
            $add('−', $term->attribute, "{$term->label} · had ".self::products($term->products));
        }
        foreach ($drift->ledOn as [$before, $after]) {
            $add('~', $after->attribute, "{$before->label} is ticked as {$after->label} from now on");
        }
        foreach ($drift->renamed as [$before, $after]) {
            $add(
                '~',
                $after->attribute,
                $before->label === $after->label
                    ? "{$after->label} has a new address"
                    : "{$before->label} is now called {$after->label}",
            );
        }
        foreach ($drift->regrouped as [$before, $after]) {
            $add(
                '~',
                $after->attribute,
                "{$after->label} holds ".
                    implode(
                        ' and ',
                        array_filter([
                            self::named('also ', array_diff($after->holds, $before->holds)),
                            self::named('no longer ', array_diff($before->holds, $after->holds)),
                        ]),
                    ),
            );
        }
        foreach ($drift->redressed as [, $after]) {
            $add('~', $after->attribute, "{$after->label} has another look");
        }
        foreach ($drift->attributes as $from => $to) {
            $add('~', 'Addresses', "{$from}=… will lead to {$to}=…");
        }
        foreach ($drift->addresses as ['attribute' => $attribute, 'from' => $from, 'to' => $to]) {
            $add(
                '~',
                'Addresses',
                $to === null
                    ? "{$attribute}={$from} will show the page without it"
                    : "{$attribute}={$from} will lead to {$attribute}={$to}",
            );
        }
        if ($drift->recounted !== []) {
            $add(
                '~',
                'Counts',
                count($drift->recounted) === 1
                    ? 'The count of one term differs'
                    : 'The counts of '.count($drift->recounted).' terms differ',
            );
        }
        if ($drift->products !== 0 || $drift->variants !== 0) {
            $add(
                ($drift->products ?: $drift->variants) < 0 ? '−' : '+',
                'Products',
                implode(', ', array_filter([self::more($drift->products, 'product'), self::more($drift->variants, 'variant')])),
            );
        } elseif ($drift->content) {
            $add('~', 'Products', 'Names, prices, stock or other data of products differ');
        }

        return $lines;
    }

    /** @param  array<string>  $labels */
    private static function named(string $how, array $labels): string
    {
        return $labels === []
            ? ''
            : $how.
                    implode(', ', array_slice($labels, 0, 4)).
                    (count($labels) > 4 ? ' and '.(count($labels) - 4).' more' : '');
    }

    /** How many more there are, or how many fewer; nothing where as many. */
    private static function more(int $count, string $thing): string
    {
        return $count === 0
            ? ''
            : Format::number(abs($count)).($count > 0 ? ' more ' : ' fewer ').$thing.(abs($count) === 1 ? '' : 's');
    }

    private static function products(int $count): string
    {
        return number_format($count).($count === 1 ? ' product' : ' products');
    }
}
