<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Facet\Combine;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\TermOrder;

/** One filter with everything that shoppers notice of it. */
final readonly class FilterSettings
{
    /** What each property is where nobody says otherwise. */
    public const DEFAULTS = [
        'title' => '',
        'title_shown' => true,
        'group' => null,
        'help' => null,
        'control' => 'ticks',
        'combine' => 'any',
        'empty_terms' => 'hide',
        'open' => true,
        'more' => 12,
        'counts' => true,
        'columns' => 2,
        'prefix' => null,
        'unit' => null,
        'decimals' => null,
        'step' => null,
        'from' => null,
        'to' => null,
        'order' => null,
        'pinned' => [],
        'terms' => 'follow',
        'chosen' => [],
        'seen' => 0,
        'looks' => [],
        'bands' => [],
        'match' => 'contains',
        'sequence' => [],
    ];

    /**
     * @param  string  $key  the word for it in addresses and counts
     * @param  bool  $titleShown  whether shoppers see the title, or only hear it
     * @param  string|null  $group  heading that it stands under, with the other filters of that heading
     * @param  int  $more  terms before "more"; 0: all at once
     * @param  int  $columns  of cubes, 1 to 4
     * @param  string|null  $unit  behind numbers
     * @param  float|null  $from  fixed end of a scale; null: from the data
     * @param  TermOrder|null  $order  null: the attribute's
     * @param  list<int>  $pinned  terms that come first
     * @param  list<int>  $chosen  terms that are left out (all but these) or shown (only these)
     * @param  int  $seen  the newest value when the terms were chosen; what came later is waiting
     * @param  array<int, Look>  $looks  that this filter gives its terms instead of their own
     * @param  list<Band>  $bands
     * @param  list<int>  $sequence  its terms in their order, where that is another than the attribute's
     */
    private function __construct(
        public string $key,
        public Kind $kind,
        public string $title,
        public bool $titleShown,
        public ?string $group,
        public ?string $help,
        public Control $control,
        public Combine $combine,
        public EmptyTerms $emptyTerms,
        public bool $open,
        public int $more,
        public bool $counts,
        public int $columns,
        public ?string $prefix,
        public ?string $unit,
        public ?int $decimals,
        public ?float $step,
        public ?float $from,
        public ?float $to,
        public ?TermOrder $order,
        public array $pinned,
        public TermChoice $terms,
        public array $chosen,
        public int $seen,
        public array $looks,
        public array $bands,
        public bool $wholeText,
        public array $sequence,
    ) {
    }

    /** @param  array<string, mixed>  $given  "key", "kind" and any of the properties; what is missing is as usual */
    public static function of(array $given): self
    {
        $all = $given + self::DEFAULTS;
        $kind = Kind::from(self::text($all['kind']) ?? '');
        $number = fn (string $name): ?float => is_numeric($all[$name]) ? (float) $all[$name] : null;
        $looks = [];
        foreach ((array) $all['looks'] as $term => $look) {
            $looks[(int) $term] = Look::fromJson((string) json_encode($look));
        }

        return new self(
            self::text($all['key']) ?? '',
            $kind,
            self::text($all['title']) ?? '',
            (bool) $all['title_shown'],
            self::text($all['group']),
            self::text($all['help']),
            self::control($kind, self::text($all['control'])),
            Combine::tryFrom(self::text($all['combine']) ?? '') ?? Combine::Any,
            EmptyTerms::tryFrom(self::text($all['empty_terms']) ?? '') ?? EmptyTerms::Hide,
            (bool) $all['open'],
            max(0, (int) $number('more')),
            (bool) $all['counts'],
            min(4, max(1, (int) $number('columns'))),
            self::text($all['prefix']),
            self::text($all['unit']),
            $number('decimals') === null ? null : min(6, max(0, (int) $number('decimals'))),
            $number('step'),
            $number('from'),
            $number('to'),
            TermOrder::tryFrom(self::text($all['order']) ?? ''),
            self::ids($all['pinned']),
            TermChoice::tryFrom(self::text($all['terms']) ?? '') ?? TermChoice::Follow,
            self::ids($all['chosen']),
            (int) $number('seen'),
            $looks,
            Band::list($all['bands']),
            $all['match'] === 'whole',
            self::ids($all['sequence']),
        );
    }

    /** Whether it asks for a number between two ends. */
    public function isScale(): bool
    {
        return in_array($this->control, [Control::Scale, Control::Dates], true);
    }

    /** Whether a lone term that only some products carry is something to choose: "yes", a band, a category below. */
    public function loneTermNarrows(): bool
    {
        return $this->kind === Kind::Flag || $this->control === Control::Bands || $this->key === ProductField::Category->value;
    }

    /** Whether a term is offered by this filter. */
    public function offers(int $term): bool
    {
        return $this->terms->offers(in_array($term, $this->chosen, true));
    }

    /** The kind may have become another since the control was chosen. */
    private static function control(Kind $kind, ?string $chosen): Control
    {
        $control = Control::tryFrom($chosen ?? '');

        return $control !== null && in_array($control, Control::fitting($kind), true) ? $control : Control::fitting($kind)[0];
    }

    private static function text(mixed $value): ?string
    {
        return is_string($value) && $value !== '' ? $value : null;
    }

    /** @return list<int> */
    private static function ids(mixed $value): array
    {
        return array_values(array_map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, is_array($value) ? $value : []));
    }
}
