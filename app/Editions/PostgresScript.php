<?php

declare(strict_types=1);

namespace App\Editions;

use Generator;
use Lokum\Lineup\ProductField;

/**
 * An edition as a script for psql: a schema of its own with functions that count, loaded in one transaction that ends with the views
 * of the schema "lokum" showing it. Whoever reads through these sees one edition or the other.
 */
final class PostgresScript
{
    /** Editions that stay, the one before among them, for whoever reads it still. */
    private const KEPT = 2;

    /** Bytes of the fullest table that are gathered before they are sent. */
    private const AT_ONCE = 1_000_000;

    private const TABLES = '
        CREATE TABLE edition (number integer NOT NULL, currency text NOT NULL, locale text NOT NULL);
        CREATE TABLE category (id integer PRIMARY KEY, slug text NOT NULL UNIQUE, name text NOT NULL, path text NOT NULL,
            parent_id integer, products integer NOT NULL);
        CREATE TABLE listing (category_id integer NOT NULL, product_id integer NOT NULL);
        CREATE TABLE attribute (id integer PRIMARY KEY, slug text NOT NULL UNIQUE, label text NOT NULL, kind text NOT NULL);
        CREATE TABLE term (id integer PRIMARY KEY, attribute_id integer NOT NULL, slug text NOT NULL, label text NOT NULL,
            products integer NOT NULL, parent_id integer, UNIQUE (attribute_id, slug));
        CREATE TABLE product (id integer PRIMARY KEY, sku text NOT NULL UNIQUE, name text NOT NULL, category text,
            price_from double precision, price_to double precision, currency text, in_stock boolean,
            description text, properties jsonb NOT NULL);
        CREATE TABLE variant (id integer PRIMARY KEY, product_id integer NOT NULL, sku text NOT NULL, name text, price double precision,
            stock integer, properties jsonb NOT NULL);
        CREATE TABLE carried (variant_id integer NOT NULL, term_id integer NOT NULL);
        CREATE TABLE number (variant_id integer NOT NULL, field text NOT NULL, number double precision NOT NULL);
        CREATE TABLE redirect (attribute text NOT NULL, from_slug text NOT NULL, to_slug text NOT NULL);';

    private const INDEXES = '
        CREATE INDEX ON listing (category_id, product_id);
        CREATE INDEX ON variant (product_id);
        CREATE UNIQUE INDEX ON carried (variant_id, term_id);
        CREATE INDEX ON carried (term_id, variant_id);
        CREATE INDEX ON number (variant_id, field);
        CREATE INDEX ON number (field, number);';

    private const ESCAPES = [
        '\\' => '\\\\',
        "\t" => '\t',
        "\n" => '\n',
        "\r" => '\r',
        "\0" => '',
    ];

    private readonly EditionLines $documents;

    public function __construct(private readonly EditionFile $edition)
    {
        $this->documents = new EditionLines($edition);
    }

    /** @return Generator<int, string> lines, each with its end */
    public function lines(): Generator
    {
        $schema = "edition_{$this->edition->number()}";
        yield "\\set ON_ERROR_STOP on\nSET client_min_messages = warning;\nBEGIN;\n";
        yield "DROP SCHEMA IF EXISTS {$schema} CASCADE;\nCREATE SCHEMA {$schema};\nSET LOCAL search_path = {$schema};\n".self::TABLES."\n";
        foreach ($this->tables() as $table => $rows) {
            yield "COPY {$table} FROM stdin;\n";
            foreach ($rows as $row) {
                yield self::row($row);
            }
            yield "\\.\n";
        }
        yield from $this->products();
        yield self::INDEXES."\n".(string) file_get_contents(__DIR__.'/postgres.sql');
        yield self::switched($schema);
        yield "COMMIT;\nANALYZE;\n";
    }

    /** @return iterable<string, iterable<list<mixed>>> rows by table; not those of products, of which there are many */
    private function tables(): iterable
    {
        $money = $this->edition->meta(EditionMeta::Currency);
        yield 'edition' => [[$this->edition->number(), $money, $this->edition->meta(EditionMeta::Locale)]];
        yield 'category' => array_map(
            fn (EditionCategory $one): array => [$one->id, $one->slug, $one->name, $one->path, $one->parent, $one->products],
            $this->edition->categories(),
        );
        yield 'listing' => $this->listings();
        yield 'attribute' => array_map(
            fn (EditionAttribute $one): array => [$one->id, $one->slug, $one->label, $one->kind->value],
            $this->edition->attributesAndStock(),
        );
        yield 'term' => $this->terms();
        yield 'redirect' => array_map(array_values(...), [...$this->edition->redirects()]);
    }

    /** @return iterable<list<mixed>> */
    private function listings(): iterable
    {
        foreach ($this->edition->categories() as $category) {
            foreach ($this->edition->listing($category)->numbers() as $product) {
                yield [$category->id, $product];
            }
        }
    }

    /** @return iterable<list<mixed>> */
    private function terms(): iterable
    {
        foreach ($this->edition->attributesAndStock() as $attribute) {
            foreach ($this->edition->terms($attribute, nested: true) as $term) {
                yield [$term->id, $attribute->id, $term->slug, $term->label, $term->products, $term->parent];
            }
        }
    }

    /**
     * Products with their variants, and what these carry; what belongs to the product belongs to each of them.
     *
     * @return iterable<string>
     */
    private function products(): iterable
    {
        $ids = $this->termIds();
        $none = array_fill_keys(['product', 'variant', 'carried', 'number'], '');
        $variant = 0;
        $rows = $none;
        foreach ($this->documents->products() as $number => $product) {
            $rows['product'] .= self::row([
                $number,
                $product['sku'],
                $product['name'],
                $product['category'],
                $product['price_from'],
                $product['price_to'],
                $product['currency'],
                $product['in_stock'],
                $product['description'],
                (object) $product['properties'],
            ]);
            foreach ($product['variants'] as $one) {
                $rows['variant'] .= self::row([
                    ++$variant,
                    $number,
                    $one['sku'],
                    $one['name'],
                    $one['price'],
                    $one['stock'],
                    (object) $one['properties'],
                ]);
                $terms = array_filter([ProductField::stockTerm($one['stock'])]);
                $numbers = ['price' => $one['price'], 'stock' => $one['stock']];
                foreach ([$product, $one] as $level) {
                    foreach ((array) $level['terms'] as $attribute => $slugs) {
                        array_push($terms, ...array_map(fn (string $slug): int => $ids[$attribute][$slug], $slugs));
                    }
                    $numbers += (array) $level['numbers'];
                }
                foreach ($terms as $term) {
                    $rows['carried'] .= self::row([$variant, $term]);
                }
                foreach (array_filter($numbers, fn (mixed $at): bool => $at !== null) as $field => $at) {
                    $rows['number'] .= self::row([$variant, (string) $field, $at]);
                }
            }
            if (strlen($rows['carried']) > self::AT_ONCE) {
                yield from self::copied($rows);
                $rows = $none;
            }
        }
        yield from self::copied($rows);
    }

    /** @return array<string, array<string, int>> ids of terms by attribute and slug */
    private function termIds(): array
    {
        $ids = [];
        foreach ($this->edition->attributes() as $attribute) {
            $ids[$attribute->slug] = array_column($this->edition->terms($attribute, nested: true), 'id', 'slug');
        }

        return $ids;
    }

    /**
     * @param  array<string, string>  $rows  by table
     * @return iterable<string>
     */
    private static function copied(array $rows): iterable
    {
        foreach ($rows as $table => $text) {
            yield "COPY {$table} FROM stdin;\n{$text}\\.\n";
        }
    }

    /** From here on the schema "lokum" shows this edition; older ones than the one before go. */
    private static function switched(string $schema): string
    {
        $sql = "CREATE SCHEMA IF NOT EXISTS lokum;\n";
        foreach (['edition', 'category', 'listing', 'attribute', 'term', 'product', 'variant', 'carried', 'number', 'redirect'] as $table) {
            $sql .= "CREATE OR REPLACE VIEW lokum.{$table} AS SELECT * FROM {$schema}.{$table};\n";
        }
        $arguments = "category text DEFAULT NULL, picks jsonb DEFAULT '{}', combine jsonb DEFAULT '{}', ranges jsonb DEFAULT '{}'";
        $functions = ['counts' => 'TABLE (attribute text, term text, products bigint)', 'products' => 'SETOF lokum.product'];
        foreach ($functions as $name => $returns) {
            $sql .=
                "CREATE OR REPLACE FUNCTION lokum.{$name}({$arguments}) RETURNS {$returns} LANGUAGE sql STABLE ".
                "SET search_path = {$schema} AS 'SELECT * FROM {$schema}.{$name}(\$1, \$2, \$3, \$4)';\n";
        }

        return $sql."DO \$\$ DECLARE old text; BEGIN FOR old IN SELECT nspname FROM pg_namespace WHERE nspname ~ '^edition_[0-9]+\$' ".
            'ORDER BY oid DESC OFFSET '.self::KEPT." LOOP EXECUTE format('DROP SCHEMA %I CASCADE', old); ".
            "END LOOP; END \$\$;\n";
    }

    /** @param  list<mixed>  $cells */
    private static function row(array $cells): string
    {
        return implode("\t", array_map(self::cell(...), $cells))."\n";
    }

    private static function cell(mixed $value): string
    {
        return match (true) {
            $value === null => '\N',
            is_bool($value) => $value ? 't' : 'f',
            is_int($value) => (string) $value,
            is_float($value) => var_export($value, true),
            default => strtr(
                mb_scrub(is_string($value) ? $value : (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE)),
                self::ESCAPES,
            ),
        };
    }
}
