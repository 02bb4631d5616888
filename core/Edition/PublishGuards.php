<?php

declare(strict_types=1);

namespace Lokum\Edition;

/** What keeps an edition from being published by itself: shoppers would lose something that nobody has said should go. */
final class PublishGuards
{
    /** A term with fewer products loses a great share by chance. */
    private const FEW = 10;

    private const NAMED = 5;

    /**
     * @param  Summary|null  $served  null before the first edition
     * @param  float  $loss  share of its products that a term, the shop or what carries an attribute may lose, 0 to 1
     * @return list<string> why it is held; none: it may be published
     */
    public static function reasons(Drift $drift, ?Summary $served, Summary $draft, float $loss): array
    {
        if ($served === null) {
            return ['there is no edition yet; the first is published by somebody'];
        }
        $reasons = [];
        foreach ($drift->filters['disappearing'] as $title) {
            $reasons[] = "the filter {$title} goes";
        }
        foreach ($drift->pages as $page => $filters) {
            if ($filters['disappearing'] !== []) {
                $reasons[] = 'on '.$page.' nobody would see '.implode(', ', $filters['disappearing']);
            }
        }
        if ($served->products > 0 && -$drift->products > $loss * $served->products) {
            $reasons[] = number_format(-$drift->products).' of '.number_format($served->products).' products go';
        }
        foreach ($served->listed as $page => $products) {
            if ($products > 0 && ($draft->listed[$page] ?? 0) === 0) {
                $reasons[] = "{$page} is left without products";
            }
        }
        foreach ($served->carried as $attribute => $was) {
            $is = $draft->carried[$attribute] ?? $was;
            if ($was * $served->products >= self::FEW && $was - $is > $loss * $was) {
                $reasons[] = sprintf(
                    '%s is carried by %d %% of the shop, before by %d %%',
                    $attribute,
                    round(100 * $is),
                    round(100 * $was),
                );
            }
        }
        foreach (self::losing($drift) as [$term, $left]) {
            if ($term->products >= self::FEW && $term->products - $left > $loss * $term->products) {
                $reasons[] = "{$term->label} ({$term->attribute}) falls from ".
                    number_format($term->products).' to '.number_format($left).' products';
            }
        }
        $more = count($reasons) - self::NAMED;

        return $more > 1 ? [...array_slice($reasons, 0, self::NAMED), "and {$more} more"] : $reasons;
    }

    /** @return list<array{0: TermLine, 1: int}> terms as they are served, and the products that are left */
    private static function losing(Drift $drift): array
    {
        return [
            ...array_map(fn (TermLine $gone): array => [$gone, 0], $drift->gone),
            ...array_map(fn (array $pair): array => [$pair[0], $pair[1]->products], $drift->recounted),
        ];
    }
}
