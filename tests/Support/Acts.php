<?php

declare(strict_types=1);

namespace Tests\Support;

use App\History\TakeBack;
use App\Models\Change;
use App\Models\Definition;
use PDO;
use RuntimeException;

/** What tests do again and again. */
final class Acts
{
    /** Takes back what an act has done. */
    public static function takeBack(?Change $change): Change
    {
        return app(TakeBack::class)($change ?? throw new RuntimeException('Nothing was done that could be taken back.'));
    }

    public static function definition(string $slug): Definition
    {
        return Definition::query()->where('slug', $slug)->firstOrFail();
    }

    /** @return list<array<string, mixed>> */
    public static function rows(PDO $pdo, string $sql): array
    {
        $statement = $pdo->query($sql);

        return $statement === false ? [] : array_values($statement->fetchAll(PDO::FETCH_ASSOC));
    }

    /** @return resource a file that holds a text, read from its start */
    public static function file(string $text)
    {
        $file = fopen('php://temp', 'r+b') ?: throw new RuntimeException('There is no room for a file.');
        fwrite($file, $text);
        rewind($file);

        return $file;
    }
}
