<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A column heading of a feed and what it leads to: a known column, a definition, or (neither) nothing.
 *
 * @property int $id
 * @property int $feed_id
 * @property string $text
 * @property string $key
 * @property string|null $field
 * @property int|null $definition_id
 * @property list<string>|null $empty
 * @property-read Definition|null $definition
 */
final class Heading extends Model
{
    use InSets;

    private const DEFINITION = 'definition:';

    public $timestamps = false;

    protected $guarded = [];

    /** What its cells say, as feeds leave it to each other: the name of a known column, or the definition's key; null for left aside. */
    public function key(): ?string
    {
        return $this->definition_id === null ? $this->field : self::ofDefinition($this->definition_id);
    }

    /** What stands for a definition beside the names of known columns. */
    public static function ofDefinition(int $id): string
    {
        return self::DEFINITION.$id;
    }

    /** The definition that a key stands for; null where it is the name of a known column. */
    public static function definitionOf(string $key): ?int
    {
        return str_starts_with($key, self::DEFINITION) ? (int) substr($key, strlen(self::DEFINITION)) : null;
    }

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** @return list<string> headings of all feeds that lead to a definition */
    public static function textsOf(Definition $definition): array
    {
        return array_values(self::query()->where('definition_id', $definition->id)->pluck('text')->all());
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['empty' => 'array'];
    }
}
