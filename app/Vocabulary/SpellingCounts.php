<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Spelling;
use stdClass;

/** What has come in for each attribute and number field, in figures. */
final readonly class SpellingCounts
{
    private const WAITS = 'CASE WHEN settled = 0 THEN 1 END';

    /** @param  array<int, stdClass>  $byDefinition  counts: texts that were read, newcomers, different numbers */
    private function __construct(private array $byDefinition)
    {
    }

    public static function load(): self
    {
        return new self(
            Spelling::table()
                ->groupBy('definition_id')
                ->selectRaw(
                    'definition_id, COUNT(COALESCE(value_id, number)) AS texts, COUNT('.self::WAITS.') AS newcomers,
                        COUNT(DISTINCT number) AS numbers',
                )
                ->get()
                ->keyBy('definition_id')
                ->all(),
        );
    }

    public function texts(int $definition): int
    {
        return (int) ($this->byDefinition[$definition]->texts ?? 0);
    }

    public function newcomers(int $definition): int
    {
        return (int) ($this->byDefinition[$definition]->newcomers ?? 0);
    }

    public function numbers(int $definition): int
    {
        return (int) ($this->byDefinition[$definition]->numbers ?? 0);
    }
}
