<?php

declare(strict_types=1);

namespace App\Editions;

use App\Data\ReadOnlyFile;
use Lokum\Facet\Layout;
use Lokum\Facet\RangedNumbers;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\StoredBits;
use Lokum\Facet\VariantSet;
use Lokum\Lineup\ProductField;
use PDO;

/**
 * Prices and stock that were said since an edition was made, laid over it (C16). A file beside the edition's own, whole at each moment:
 * a new one takes its place whenever something is said.
 */
final class LivePrices
{
    public const SCHEMA = '
        CREATE TABLE rows (sku TEXT PRIMARY KEY, product_sku TEXT NOT NULL, product INTEGER NOT NULL, bit INTEGER NOT NULL,
            price REAL, stock INTEGER, list REAL, discount REAL, revision INTEGER NOT NULL);
        CREATE TABLE sets (name TEXT PRIMARY KEY, bits BLOB NOT NULL);
        CREATE TABLE numbers (field TEXT PRIMARY KEY, numbers BLOB NOT NULL, present BLOB NOT NULL);
        CREATE TABLE number_slices (field TEXT NOT NULL, digit INTEGER NOT NULL, bits BLOB NOT NULL, PRIMARY KEY (field, digit));
        CREATE TABLE places (name TEXT NOT NULL, product INTEGER NOT NULL, place REAL NOT NULL, PRIMARY KEY (name, product));
        CREATE INDEX places_in_order ON places (name, place);
        CREATE TABLE said (revision INTEGER NOT NULL, content INTEGER NOT NULL);';

    public const CHANGED = 'changed';

    /** Terms of stock, which variants may carry or not by what was said. */
    public const TERMS = [ProductField::IN_STOCK, ProductField::SOLD_OUT];

    private ?VariantSet $changed = null;

    private function __construct(private readonly PDO $pdo, private readonly Layout $layout)
    {
    }

    /** Null where nothing was said since. */
    public static function over(string $edition, Layout $layout): ?self
    {
        $file = self::file($edition);

        return is_file($file) ? new self(ReadOnlyFile::open($file), $layout) : null;
    }

    /** Where what is said of an edition stands. */
    public static function file(string $edition): string
    {
        return "{$edition}.live";
    }

    /** Another one whenever something was said. */
    public static function mark(string $edition): string
    {
        clearstatcache(true, self::file($edition));
        $file = @stat(self::file($edition));

        return $file === false ? '' : "{$file['ino']}-{$file['mtime']}-{$file['size']}";
    }

    /** How often something was said. */
    public function version(): int
    {
        return (int) $this->one('SELECT COUNT(*) FROM said');
    }

    /** Of how many variants something was said. */
    public function variants(): int
    {
        return (int) $this->one('SELECT COUNT(*) FROM rows');
    }

    /** What it adds to the sum that the content of the catalog is compared by. */
    public function content(): int
    {
        return (int) $this->one('SELECT SUM(content) FROM said');
    }

    /** The variants that something was said of. */
    public function changed(): VariantSet
    {
        return $this->changed ??= $this->set(self::CHANGED);
    }

    /** Those of them that carry a term of stock. */
    public function carrying(int $term): VariantSet
    {
        return $this->set((string) $term);
    }

    /** @return RangedNumbers<VariantSet> their numbers of a field; none for a field that is neither price, stock nor discount */
    public function numbers(string $field): ?RangedNumbers
    {
        $statement = $this->pdo->prepare('SELECT numbers, present FROM numbers WHERE field = ?');
        $statement->execute([$field]);
        $row = $statement->fetch(PDO::FETCH_ASSOC);
        if (! is_array($row)) {
            return null;
        }
        $slices = $this->pdo->prepare('SELECT bits FROM number_slices WHERE field = ? ORDER BY digit');
        $slices->execute([$field]);

        /** @var SlicedNumbers<VariantSet> */
        return StoredNumbers::read(
            (string) $row['numbers'],
            (string) $row['present'],
            array_values($slices->fetchAll(PDO::FETCH_COLUMN)),
            $this->layout,
            ofProducts: false,
        );
    }

    /**
     * @param  list<string>|null  $skus  null: of all
     * @return array<string, array{price: float|null, stock: int|null}> by sku; those that nothing was said of are left out
     */
    public function of(?array $skus = null): array
    {
        if ($skus === []) {
            return [];
        }
        $statement = $this->pdo->prepare(
            'SELECT sku, price, stock FROM rows'.
                ($skus === null ? '' : ' WHERE sku IN ('.implode(', ', array_fill(0, count($skus), '?')).')'),
        );
        $statement->execute($skus ?? []);
        $said = [];
        foreach ($statement->fetchAll(PDO::FETCH_ASSOC) as $row) {
            $said[(string) $row['sku']] = [
                'price' => $row['price'] === null ? null : (float) $row['price'],
                'stock' => $row['stock'] === null ? null : (int) $row['stock'],
            ];
        }

        return $said;
    }

    /** @return array<int, float> by product number: its place in an order, between those that stand still */
    public function places(string $order): array
    {
        $statement = $this->pdo->prepare('SELECT product, place FROM places WHERE name = ? ORDER BY place, product');
        $statement->execute([$order]);

        return array_map(floatval(...), $statement->fetchAll(PDO::FETCH_KEY_PAIR));
    }

    /** Whether a term is one of stock, which may be another now. */
    public static function touches(int $term): bool
    {
        return in_array($term, self::TERMS, true);
    }

    private function set(string $name): VariantSet
    {
        $statement = $this->pdo->prepare('SELECT bits FROM sets WHERE name = ?');
        $statement->execute([$name]);

        return StoredBits::variants((string) ($statement->fetchColumn() ?: 'l'), $this->layout);
    }

    private function one(string $sql): mixed
    {
        $statement = $this->pdo->query($sql);

        return $statement === false ? null : $statement->fetchColumn();
    }
}
