<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\Discount;
use App\Data\FileLock;
use App\Editions\EditionFile;
use App\Editions\EditionMeta;
use App\Editions\LivePrices;
use App\Editions\StoredNumbers;
use App\Models\Edition;
use App\Support\Refused;
use Lokum\Facet\RankedNumbers;
use Lokum\Facet\StoredBits;
use Lokum\Lineup\ProductField;
use PDO;

/** Lays prices and stock over an edition (C16): into a new file beside it that takes the place of the one before. */
final class LayOver
{
    private const WAIT_SECONDS = 30;

    private PDO $pdo;

    private function __construct(private readonly string $path, private readonly EditionFile $edition)
    {
    }

    /** Held while something is laid over, and while another edition takes the place of the one that it lies over. */
    public static function lock(): FileLock
    {
        return FileLock::hold(Edition::directory().'/live.lock', self::WAIT_SECONDS) ??
            throw new Refused('Another edition is taking its place right now. Say these again.', isForNow: true);
    }

    /**
     * @param  string  $path  of the edition
     * @param  list<SaidPrice>  $said
     * @param  int  $revision  of History when it was said
     * @param  int  $content  what it adds to the sum that the catalog's content is compared by
     * @return int of how many variants it is seen in the edition
     */
    public static function on(string $path, array $said, int $revision, int $content): int
    {
        $edition = new EditionFile($path);
        // An edition that was made from a later state has it.
        if ((int) $edition->meta(EditionMeta::Revision) >= $revision) {
            return count($said);
        }
        $self = new self($path, $edition);

        return $self->write(fn (): int => $self->say($said, $revision, $content));
    }

    /** What was laid over one edition after another was counted lies over that one, too. */
    public static function carry(string $from, string $to): void
    {
        $before = LivePrices::file($from);
        $since = (int) (new EditionFile($to))->meta(EditionMeta::Revision);
        if (! is_file($before)) {
            return;
        }
        $pdo = new PDO("sqlite:{$before}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $said = $pdo->query("SELECT sku, product_sku, price, stock, list, revision FROM rows WHERE revision > {$since}");
        $rows = array_map(
            fn (array $row): SaidPrice => new SaidPrice(
                (string) $row['sku'],
                (string) $row['product_sku'],
                $row['price'] === null ? null : (float) $row['price'],
                $row['stock'] === null ? null : (int) $row['stock'],
                true,
                true,
                $row['list'] === null ? null : (float) $row['list'],
            ),
            $said === false ? [] : array_values($said->fetchAll(PDO::FETCH_ASSOC)),
        );
        $newest = $pdo->query("SELECT MAX(revision), SUM(content) FROM said WHERE revision > {$since}");
        [$revision, $content] = ($newest === false ? false : $newest->fetch(PDO::FETCH_NUM)) ?: [null, 0];
        if ($rows !== [] && $revision !== null) {
            self::on($to, $rows, (int) $revision, (int) $content);
        }
    }

    /** @param  callable(): int  $write  gives of how many variants it is seen */
    private function write(callable $write): int
    {
        $file = LivePrices::file($this->path);
        $part = "{$file}.part";
        @unlink($part);
        $isNew = ! is_file($file);
        if (! $isNew && ! @copy($file, $part)) {
            throw new Refused('What was said cannot be kept beside the edition. Is the disk full?');
        }
        $this->pdo = new PDO("sqlite:{$part}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $this->pdo->exec('PRAGMA journal_mode = OFF; PRAGMA synchronous = OFF; BEGIN');
        if ($isNew) {
            $this->pdo->exec(LivePrices::SCHEMA);
        }
        $seen = $write();
        $this->pdo->exec('COMMIT');
        unset($this->pdo);
        rename($part, $file);

        return $seen;
    }

    /** @param  list<SaidPrice>  $said */
    private function say(array $said, int $revision, int $content): int
    {
        $this->run('INSERT INTO said VALUES (?, ?)', [$revision, $content]);
        $products = [];
        $seen = 0;
        $known = $this->edition->products->numbered(array_map(fn (SaidPrice $one): string => $one->product, $said));
        foreach ($said as $one) {
            [$product, $number] = $known[$one->product] ?? [null, 0];
            $lane = $product === null ? false : array_search($one->sku, $product->skus(), true);
            if ($product === null || $lane === false) {
                continue;
            }
            $seen++;
            $now = $products[$number] ?? $product;
            $variant = $now->variants[$lane];
            $price = $one->saysPrice ? $one->price : ($variant['price'] === null ? null : (float) $variant['price']);
            $stock = $one->saysStock ? $one->stock : $variant['stock'];
            $products[$number] = $now->with([$one->sku => ['price' => $price, 'stock' => $stock]]);
            $this->run('INSERT OR REPLACE INTO rows VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)', [
                $one->sku,
                $one->product,
                $number,
                $this->edition->layout->bit($lane, $number),
                $price,
                $stock,
                $one->listPrice,
                Discount::from($one->listPrice, $price),
                $revision,
            ]);
        }
        $this->sets();
        (new MovedPlaces($this->edition, $this->pdo))->write($products);

        return $seen;
    }

    /** The sets and numbers of all that was said so far. */
    private function sets(): void
    {
        $rows = $this->pdo->query('SELECT bit, price, stock, discount FROM rows');
        $changed = [];
        $stock = array_fill_keys(LivePrices::TERMS, []);
        $numbers = array_fill_keys(array_map(fn (ProductField $field): string => $field->value, self::fields()), []);
        foreach ($rows === false ? [] : $rows->fetchAll(PDO::FETCH_ASSOC) as $row) {
            $bit = $changed[] = (int) $row['bit'];
            $term = ProductField::stockTerm($row['stock'] === null ? null : (int) $row['stock']);
            if ($term !== null) {
                $stock[$term][] = $bit;
            }
            foreach (array_keys($numbers) as $field) {
                if ($row[$field] !== null) {
                    $numbers[$field][$bit] = (float) $row[$field];
                }
            }
        }
        $this->set(LivePrices::CHANGED, $changed);
        foreach ($stock as $term => $bits) {
            $this->set((string) $term, $bits);
        }
        $this->pdo->exec('DELETE FROM number_slices');
        foreach ($numbers as $field => $byBit) {
            $ranked = RankedNumbers::of($byBit, $this->edition->layout->bytes);
            $this->run('INSERT OR REPLACE INTO numbers VALUES (?, ?, ?)', [$field, StoredNumbers::packed($ranked), $ranked->present]);
            foreach ($ranked->slices as $digit => $bits) {
                $this->run('INSERT INTO number_slices VALUES (?, ?, ?)', [$field, $digit, $bits]);
            }
        }
    }

    /** @return list<ProductField> whose numbers follow from price and stock */
    private static function fields(): array
    {
        return [ProductField::Price, ProductField::Stock, ProductField::Discount];
    }

    /** @param  list<int>  $bits */
    private function set(string $name, array $bits): void
    {
        $this->run('INSERT OR REPLACE INTO sets VALUES (?, ?)', [$name, $this->bits($bits)]);
    }

    /** @param  list<int>  $bits */
    private function bits(array $bits): string
    {
        return StoredBits::encode($bits, $this->edition->layout->bytes);
    }

    /** @param  list<mixed>  $values */
    private function run(string $sql, array $values): void
    {
        $statement = $this->pdo->prepare($sql);
        foreach ($values as $i => $value) {
            $statement->bindValue(
                $i + 1,
                is_float($value) ? var_export($value, true) : $value,
                match (true) {
                    is_int($value) => PDO::PARAM_INT,
                    $value === null => PDO::PARAM_NULL,
                    is_string($value) && ! mb_check_encoding($value, 'UTF-8') => PDO::PARAM_LOB,
                    default => PDO::PARAM_STR,
                },
            );
        }
        $statement->execute();
    }
}
