<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Draft\DraftLineups;
use App\Draft\DraftTerms;
use App\Models\Definition;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Vocabulary\TermOrder;

/** Writes the line-up of every page; pages with the same one share it. */
final class EditionLineups
{
    /** @var array<string, int> line-ups written, by what they say */
    private array $written = [];

    /** @var array<string, true> */
    private array $keys = [];

    /** @var array<string, list<int>> terms of an attribute in another order than its own */
    private array $sequences = [];

    public function __construct(
        private readonly EditionWriter $writer,
        private readonly DraftTerms $terms,
        private readonly DraftLineups $compositions,
    ) {
    }

    public function write(): void
    {
        array_map($this->writer->remove(...), ['lineups', 'lineup_filters', 'placements']);
        foreach ($this->compositions->pages() as $page => $lineup) {
            $this->writer->insert('placements', [(string) $page, $this->lineup($lineup)]);
        }
    }

    /** @return list<string> keys of all filters that were written */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->keys));
    }

    /** Whether any page shows the values of an attribute below their umbrellas. */
    public static function nests(DraftLineups $compositions, string $attribute): bool
    {
        foreach ($compositions->pages() as $lineup) {
            if (isset($lineup->filters[$attribute]) && $lineup->filters[$attribute]->settings()->control === Control::Nested) {
                return true;
            }
        }

        return false;
    }

    private function lineup(ComposedLineup $lineup): int
    {
        $filters = array_map(
            fn (ComposedFilter $filter): array => $this->sequenced($filter->given),
            array_values($lineup->filters),
        );
        $said = (string) json_encode([$lineup->settings, $filters], JSON_UNESCAPED_UNICODE);
        if (isset($this->written[$said])) {
            return $this->written[$said];
        }
        $id = $this->written[$said] = count($this->written) + 1;
        $this->writer->insert('lineups', [
            $id,
            (string) json_encode($lineup->settings, JSON_UNESCAPED_UNICODE | JSON_FORCE_OBJECT),
        ]);
        foreach ($filters as $position => $given) {
            $this->keys[(string) $given['key']] = true;
            $this->writer->insert('lineup_filters', [$id, $position, (string) json_encode($given, JSON_UNESCAPED_UNICODE)]);
        }

        return $id;
    }

    /**
     * An order of its own is kept as the list of its terms, so that the storefront sorts nothing.
     *
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private function sequenced(array $given): array
    {
        $order = FilterSettings::of($given)->order;
        if ($order !== null) {
            $given['sequence'] = $this->sequences["{$given['key']}:{$order->value}"] ??= $this->sequence(
                (string) $given['key'],
                $order,
            );
        }

        return $given;
    }

    /** @return list<int> */
    private function sequence(string $attribute, TermOrder $order): array
    {
        $definition = Definition::liveBySlug($attribute);

        return $definition === null ? [] : array_column($this->terms->of($definition, order: $order), 'id');
    }
}
