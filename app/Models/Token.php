<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a shop shows to be let in. Only its digest is kept.
 *
 * @property int $id
 * @property string $name
 * @property string $hash
 * @property Carbon|null $used_at
 * @property Carbon|null $expires_at null: never
 * @property bool $says_prices whether it may say prices and stock, beside reading
 * @property bool $copies whether replicas may copy whole editions with it, with settings, pictures and the digests of tokens
 */
final class Token extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'api_tokens';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'used_at' => 'datetime',
        'expires_at' => 'datetime',
        'says_prices' => 'boolean',
        'copies' => 'boolean',
    ];

    /** What it lets in for, in words. */
    public function may(): string
    {
        $rights = ['read' => true, 'say prices and stock' => $this->says_prices, 'copy editions' => $this->copies];

        return implode(', ', array_keys(array_filter($rights)));
    }

    /**
     * @param  int|null  $days  that it lets in for; null: until it is taken away
     * @return string the token itself, which is never seen again
     */
    public static function issue(string $name, ?int $days = null, bool $saysPrices = false, bool $copies = false): string
    {
        $secret = 'lokum_'.bin2hex(random_bytes(20));
        self::query()->create([
            'name' => $name,
            'hash' => hash('sha256', $secret),
            'expires_at' => $days === null ? null : now()->addDays($days),
            'says_prices' => $saysPrices,
            'copies' => $copies,
        ]);

        return $secret;
    }

    public static function of(?string $secret): ?self
    {
        return $secret === null || $secret === ''
            ? null
            : self::query()
                ->where('hash', hash('sha256', $secret))
                ->where(fn ($live) => $live->whereNull('expires_at')->orWhere('expires_at', '>', now()))
                ->first();
    }
}
