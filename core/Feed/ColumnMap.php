<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Text\Slug;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/**
 * What the columns of a feed mean, as a person described them:
 * {"columns": {"Colour": {"attribute": "color", "label": "Color", "kind": "choice", …}, "Art. no": "sku", "Notes": null},
 * "empty": ["n/a"]}.
 * A text names a known column, null leaves the column aside.
 */
final readonly class ColumnMap
{
    private const KEYS = ['attribute', 'label', 'kind', 'multiple', 'separator', 'level', 'unit', 'empty'];

    /**
     * @param  array<string, Column|string|null>  $columns  by heading
     * @param  list<string>  $empty  cells that count as missing in every column
     * @param  list<string>  $own  headings that become definitions of their own, as guessed from their cells
     * @param  array<string, ColumnWish>  $wishes  what is otherwise of these, by heading
     */
    public function __construct(
        public array $columns = [],
        public array $empty = [],
        public array $own = [],
        public array $wishes = [],
    ) {
    }

    /** The same with further cells that count as missing. */
    public function alsoEmpty(string ...$cells): self
    {
        return new self(
            $this->columns,
            array_values(array_unique([...$this->empty, ...$cells])),
            $this->own,
            $this->wishes,
        );
    }

    /** Whether a person has said that a heading leads to no definition that is there. */
    public function isOwn(string $heading): bool
    {
        return in_array($heading, $this->own, true);
    }

    /** @throws BadMap */
    public static function fromJson(string $json): self
    {
        $data = json_decode($json, true);
        if (! is_array($data) || ($data !== [] && array_is_list($data))) {
            throw BadMap::notJson(
                json_last_error() === JSON_ERROR_NONE ? 'it holds another kind of value' : json_last_error_msg(),
            );
        }
        foreach (array_keys($data) as $key) {
            if (! in_array($key, ['columns', 'empty'], true)) {
                throw BadMap::unknownKey('the feed', (string) $key);
            }
        }
        $empty = self::texts($data['empty'] ?? [], 'the feed', 'empty');
        $columns = [];
        $described = $data['columns'] ?? [];
        if (! is_array($described)) {
            throw BadMap::badValue('the feed', 'columns', 'an object of headings');
        }
        foreach ($described as $heading => $column) {
            $columns[(string) $heading] = self::column((string) $heading, $column, $empty);
        }

        return new self($columns, $empty);
    }

    /** What the map says of a heading: by its exact text, else with the spaces at its ends set aside. */
    public function describes(string $heading): bool
    {
        return array_key_exists($heading, $this->columns) || array_key_exists(trim($heading), $this->columns);
    }

    /**
     * What a person said a heading leads to: attribute data, the name of a known column, "" for left aside; null where nobody
     * said anything.
     */
    public function for(string $heading): Column|string|null
    {
        return $this->columns[$heading] ?? ($this->columns[trim($heading)] ?? null);
    }

    /** @param  list<string>  $everywhere */
    private static function column(string $heading, mixed $data, array $everywhere): Column|string|null
    {
        $where = "column \"{$heading}\"";
        if ($data === null) {
            return null;
        }
        if (is_string($data)) {
            return in_array($data, ColumnName::KNOWN, true)
                ? $data
                : throw BadMap::badValue($where, $data, 'one of '.implode(', ', ColumnName::KNOWN));
        }
        if (! is_array($data)) {
            throw BadMap::badValue($where, $heading, 'an object, the name of a known column, or null');
        }
        foreach (array_keys($data) as $key) {
            if (! in_array($key, self::KEYS, true)) {
                throw BadMap::unknownKey($where, (string) $key);
            }
        }
        $kind = self::text($data, 'kind', $where) ?? 'choice';
        $level = self::text($data, 'level', $where) ?? 'variant';
        $label = self::text($data, 'label', $where) ?? trim($heading);
        $multiple = $data['multiple'] ?? false;

        return new Column(
            self::text($data, 'attribute', $where) ?? Slug::of($label),
            $label,
            Kind::tryFrom($kind) ?? throw BadMap::badValue($where, 'kind', 'choice, flag, number, text or date'),
            is_bool($multiple) ? $multiple : throw BadMap::badValue($where, 'multiple', 'true or false'),
            self::text($data, 'separator', $where) ?? '|',
            Level::tryFrom($level) ?? throw BadMap::badValue($where, 'level', 'product or variant'),
            self::text($data, 'unit', $where),
            [...$everywhere, ...self::texts($data['empty'] ?? [], $where, 'empty')],
        );
    }

    /**
     * @param  array<mixed>  $data
     * @return non-empty-string|null
     */
    private static function text(array $data, string $key, string $where): ?string
    {
        $value = $data[$key] ?? null;

        return match (true) {
            $value === null || $value === '' => null,
            is_string($value) => $value,
            default => throw BadMap::badValue($where, $key, 'a text'),
        };
    }

    /** @return list<string> */
    private static function texts(mixed $value, string $where, string $key): array
    {
        if (! is_array($value) || array_filter($value, fn (mixed $item): bool => ! is_string($item)) !== []) {
            throw BadMap::badValue($where, $key, 'a list of texts');
        }

        /** @var array<string> $value */
        return array_values($value);
    }
}
