<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Lokum\Feed\Gone;

/**
 * A supplier's file with its column mapping.
 *
 * @property int $id
 * @property string $name
 * @property list<string>|null $empty cells that count as missing
 * @property array<string, mixed>|null $source where its files come from (kind, pattern, url, user, private); null: somebody brings them
 * @property string|null $secret password or token of the source
 * @property string|null $times when it is looked for; null: when somebody asks
 * @property bool $by_itself whether what is within its bounds is read without anybody
 * @property array<string, int>|null $bounds null: proposed from what it has sent
 * @property list<string>|null $leaves columns whose word is another feed's where that sends the same product: "price", "definition:7"
 * @property bool $whole whether it sends all it has each time
 * @property Gone $gone
 * @property array<string, string>|null $seen what was taken already
 * @property Carbon|null $looked_at
 * @property int $failures one after the other
 * @property int $version
 */
final class Feed extends Model
{
    use Versioned;

    protected $attributes = ['gone' => 'stay', 'whole' => false, 'by_itself' => false];

    protected $guarded = [];

    /** Which file is meant where several come in one archive. */
    public function archivePattern(): ?string
    {
        $pattern = ($this->source['kind'] ?? null) === 'address' ? $this->source['pattern'] ?? null : null;

        return is_string($pattern) && $pattern !== '' ? $pattern : null;
    }

    /** Whether its files have a column that says this. */
    public function sends(string $key): bool
    {
        return $this->headings->contains(fn (Heading $heading): bool => $heading->key() === $key);
    }

    /** Whether it has the last word on this where others send the same product: it sends it, and leaves it to nobody. */
    public function hasWord(string $key): bool
    {
        return $this->sends($key) && ! in_array($key, $this->leaves ?? [], true);
    }

    /** @return HasMany<Heading, $this> */
    public function headings(): HasMany
    {
        return $this->hasMany(Heading::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'empty' => 'array',
            'source' => 'array',
            'secret' => 'encrypted',
            'by_itself' => 'boolean',
            'bounds' => 'array',
            'leaves' => 'array',
            'whole' => 'boolean',
            'gone' => Gone::class,
            'seen' => 'array',
            'looked_at' => 'datetime',
        ];
    }
}
