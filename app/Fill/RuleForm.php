<?php

declare(strict_types=1);

namespace App\Fill;

use App\Cells\CellChange;
use App\Cells\Narrowing;
use App\Models\Category;
use App\Models\Definition;
use App\Models\FillSource;
use App\Support\Refused;
use InvalidArgumentException;
use Lokum\Fill\Bands;
use Lokum\Lineup\ProductField;
use Lokum\Quantity\TypedNumber;
use Lokum\Vocabulary\Kind;

/** What somebody wants a fill rule to be, checked. */
final readonly class RuleForm
{
    private const MOST_LINES = 2000;

    /**
     * @param  array<string, mixed>  $settings  category: branch; words: in, lines (value, any, none); number: field, bands (from,
     *         to, label); definition: from, table; fixed: value; adds: beside what products have
     * @param  list<string>  $scope
     */
    private function __construct(
        public Definition $definition,
        public FillSource $source,
        public array $settings,
        public array $scope,
    ) {
    }

    /**
     * Lists may come as they are, or as text with one entry a line, as pages send them.
     *
     * @param  array<string, mixed>  $input
     *
     * @throws Refused naming the field
     */
    public static function from(array $input): self
    {
        $text = fn (string $key): string => is_scalar($input[$key] ?? null) ? trim((string) $input[$key]) : '';
        $definition =
            Definition::called($text('definition')) ??
            throw new Refused('Choose what the rule fills.', 'definition');
        $source =
            FillSource::tryFrom($text('source')) ?? throw new Refused('Choose what the rule takes its values from.', 'source');
        $settings = match ($source) {
            FillSource::Category => [
                'branch' => Category::query()->where('slug', $text('branch'))->value('slug') ??
                    throw new Refused('Choose the branch whose names become values.', 'branch'),
            ],
            FillSource::Words => [
                'in' => self::fields($input['in'] ?? ['name']),
                'lines' => self::wordLines($definition, $input['lines'] ?? []),
            ],
            FillSource::Number => [
                'field' => self::field($text('field')),
                'bands' => self::bands($definition, $input['bands'] ?? []),
            ],
            FillSource::Definition => [
                'from' => self::other($definition, $text('from'))->slug,
                'table' => self::table($definition, $input['table'] ?? []),
            ],
            FillSource::Fixed => ['value' => self::value($definition, $text('value'))],
        };
        $scope = array_values(
            array_filter(
                array_map(
                    fn (mixed $line): string => is_scalar($line) ? trim((string) $line) : '',
                    (array) ($input['scope'] ?? []),
                ),
                fn (string $line): bool => $line !== '',
            ),
        );

        if ($definition->multiple && (bool) ($input['adds'] ?? false)) {
            $settings['adds'] = true;
        }

        return new self($definition, $source, $settings, Narrowing::where($scope)->lines());
    }

    /** @return list<string> */
    private static function fields(mixed $fields): array
    {
        $known = array_values(array_intersect(['name', 'description'], (array) $fields));

        return $known === [] ? throw new Refused('Words are looked for in the name, the description or both.', 'in') : $known;
    }

    /**
     * As text: "Gloss: glossy, high gloss - semi-gloss": the value, the words that stand for it, and behind a dash those that rule it out.
     *
     * @return list<array{value: string, any: list<string>, none: list<string>}> empty: every value by its name
     */
    private static function wordLines(Definition $definition, mixed $lines): array
    {
        $read = [];
        foreach (self::lines($lines, 'lines') as $n => $line) {
            if (is_string($line)) {
                [$value, $words] = explode(':', $line, 2) + [1 => ''];
                [$any, $none] = preg_split('/\s[-–]\s/u', $words, 2) + [1 => ''];
                $line = [
                    'value' => $value,
                    'any' => explode(',', trim($any) === '' ? $value : $any),
                    'none' => explode(',', $none),
                ];
            }
            $words = fn (mixed $list): array => array_values(
                array_filter(
                    array_map(fn (mixed $word): string => is_scalar($word) ? trim((string) $word) : '', (array) $list),
                    fn (string $word): bool => $word !== '',
                ),
            );
            $line = (array) $line;
            $any = $words($line['any'] ?? []);
            $read[] =
                $any === []
                    ? throw new Refused('Line '.($n + 1).' names no words.', 'lines')
                    : [
                        'value' => self::value($definition, (string) ($line['value'] ?? ''), 'lines'),
                        'any' => $any,
                        'none' => $words($line['none'] ?? []),
                    ];
        }
        if ($read === [] && ! $definition->kind->isAttribute()) {
            throw new Refused("Say which words stand for which {$definition->label}.", 'lines');
        }

        return $read;
    }

    private static function field(string $field): string
    {
        if (in_array(ProductField::tryFrom($field), ProductField::ownNumbers(), true)) {
            return $field;
        }

        return Definition::query()->where('slug', $field)->where('kind', Kind::Number)->value('slug') ??
            throw new Refused('Choose a number to take bands of.', 'field');
    }

    /**
     * As text: "..50: Small", "50..200: Medium", "200..: Large".
     *
     * @return list<array{from: float|null, to: float|null, label: string}>
     */
    private static function bands(Definition $definition, mixed $lines): array
    {
        $bands = [];
        $number = fn (mixed $end): ?float => match (true) {
            $end === null, is_string($end) && trim($end) === '' => null,
            is_int($end), is_float($end) => (float) $end,
            default => TypedNumber::read(is_string($end) ? $end : '') ??
                throw new Refused('"'.(is_string($end) ? $end : '').'" is not a number.', 'bands'),
        };
        foreach (self::lines($lines, 'bands') as $n => $line) {
            if (is_string($line)) {
                [$range, $label] = explode(':', $line, 2) + [1 => ''];
                [$from, $to] = str_contains($range, '..')
                    ? explode('..', $range, 2)
                    : throw new Refused('Line '.($n + 1).' is not a band such as 50..200: Medium.', 'bands');
                $line = ['from' => $from, 'to' => $to, 'label' => $label];
            }
            $line = (array) $line;
            $bands[] = [
                'from' => $number($line['from'] ?? null),
                'to' => $number($line['to'] ?? null),
                'label' => self::value($definition, (string) ($line['label'] ?? ''), 'bands'),
            ];
        }
        try {
            return $bands === []
                ? throw new Refused('Name at least one band, such as 50..200: Medium.', 'bands')
                : (new Bands($bands))->bands;
        } catch (InvalidArgumentException $why) {
            throw new Refused($why->getMessage(), 'bands');
        }
    }

    private static function other(Definition $definition, string $slug): Definition
    {
        $other =
            Definition::called($slug) ??
            throw new Refused('Choose the definition to take values from.', 'from');

        return $other->id === $definition->id
            ? throw new Refused("{$definition->label} cannot be filled from itself.", 'from')
            : $other;
    }

    /**
     * As text: "Ultramarine: Blue" a line.
     *
     * @return array<string, string> empty: the same text
     */
    private static function table(Definition $definition, mixed $lines): array
    {
        $table = [];
        foreach (is_array($lines) ? $lines : self::lines($lines, 'table') as $from => $line) {
            [$from, $to] =
                is_int($from) && is_string($line)
                    ? explode(':', $line, 2) + [1 => '']
                    : [(string) $from, is_scalar($line) ? (string) $line : ''];
            $table[trim($from)] = self::value($definition, $to, 'table');
        }

        return $table;
    }

    /** @return list<mixed> */
    private static function lines(mixed $lines, string $field): array
    {
        $lines = is_string($lines)
            ? array_values(
                array_filter(array_map(trim(...), preg_split('/\R/u', $lines) ?: []), fn (string $line): bool => $line !== ''),
            )
            : array_values((array) $lines);

        return count($lines) > self::MOST_LINES
            ? throw new Refused('At most '.number_format(self::MOST_LINES).' lines.', $field)
            : $lines;
    }

    private static function value(Definition $definition, string $text, string $field = 'value'): string
    {
        $text = trim($text);
        if ($text === '') {
            throw new Refused('A value is missing.', $field);
        }
        CellChange::check($definition, $text);

        return $text;
    }
}
