<?php

declare(strict_types=1);

namespace App\Editions;

use App\Data\ReadOnlyFile;
use App\Support\Refused;
use PDO;
use PDOStatement;

/** The database of one edition, open for reading. It never changes while it is. */
final class EditionDatabase
{
    /** Raised when the file changes its shape; an edition of another shape is not read. */
    public const FORMAT = 4;

    /** Questions that are kept ready, since a page asks the same ones again and again. */
    private const READY = 40;

    private readonly PDO $pdo;

    /** @var array<string, PDOStatement> by their text */
    private array $ready = [];

    /** @var array<string, string> what was read of the edition as a whole, by key */
    private array $meta = [];

    /** @throws Refused when it is gone, or of another shape than this version of Lokum reads */
    public function __construct(string $path, ?int $bytes = null)
    {
        if (! is_file($path)) {
            throw new Refused('The file of the current edition is missing. Publish again.');
        }
        if ($bytes !== null && filesize($path) !== $bytes) {
            throw new Refused('The file of the current edition is short or damaged. Publish again.');
        }
        $this->pdo = ReadOnlyFile::open($path);
        $this->pdo->exec('PRAGMA mmap_size = 1073741824');
        if ($this->meta(EditionMeta::Format) !== (string) self::FORMAT) {
            throw new Refused('The current edition was made by another version of Lokum. Publish again.');
        }
    }

    public function meta(EditionMeta $what): string
    {
        return $this->meta[$what->value] ??= (string) ($this->row('SELECT value FROM meta WHERE key = ?', [$what->value])['value'] ?? '');
    }

    /**
     * @param  list<mixed>  $values
     * @return array<string, mixed>|null
     */
    public function row(string $sql, array $values = []): ?array
    {
        foreach ($this->rows($sql, $values) as $row) {
            return $row;
        }

        return null;
    }

    /**
     * @param  list<mixed>  $values
     * @return list<array<string, mixed>>
     */
    public function rows(string $sql, array $values = []): array
    {
        if (count($this->ready) >= self::READY) {
            $this->ready = [];
        }
        $statement = $this->ready[$sql] ??= $this->pdo->prepare($sql);
        $statement->execute($values);

        return array_values($statement->fetchAll(PDO::FETCH_ASSOC));
    }

    /** @return iterable<array<string, mixed>> read as they are asked for */
    public function stream(string $sql): iterable
    {
        $statement = $this->pdo->query($sql);
        while ($statement !== false && ($row = $statement->fetch(PDO::FETCH_ASSOC)) !== false) {
            yield $row;
        }
    }

    /** A question that is asked many times. */
    public function prepared(string $sql): PDOStatement
    {
        return $this->pdo->prepare($sql);
    }
}
