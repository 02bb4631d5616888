<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\User;
use App\Refused;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A numbered publication. Its contents are a file of their own that never changes; the newest row is what shoppers see.
 *
 * @property int $id the number
 * @property string $file name below the editions directory
 * @property int $products
 * @property int $variants
 * @property int $terms
 * @property float $seconds
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class Edition extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    public static function current(): ?self
    {
        return self::query()->orderByDesc('id')->first();
    }

    public static function directory(): string
    {
        return config('lokum.data').'/editions';
    }

    /** @throws Refused before the first edition */
    public static function openCurrent(): EditionFile
    {
        $edition = self::current() ?? throw new Refused('There is no edition yet. Publish one first.');

        return $edition->open();
    }

    public function open(): EditionFile
    {
        return new EditionFile(self::directory().'/'.$this->file);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return list<EditionAttribute> attributes with a directory in the shop */
    public static function directories(): array
    {
        if (self::current() === null) {
            return [];
        }
        $edition = self::openCurrent();

        return array_values(array_filter(
            $edition->attributes(),
            fn (EditionAttribute $attribute): bool => in_array($attribute->id, $edition->directories(), true),
        ));
    }
}
