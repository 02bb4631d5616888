<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Where a notice goes when a new edition is served.
 *
 * @property int $id
 * @property string $url
 * @property string $secret that notices are signed with
 * @property bool $private whether its address may lie in a network of one's own
 */
final class Receiver extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['secret' => 'encrypted', 'private' => 'boolean'];

    /** @return HasMany<Delivery, $this> */
    public function deliveries(): HasMany
    {
        return $this->hasMany(Delivery::class)->latest('id');
    }

    /** HMAC-SHA-256 (RFC 2104) over the body, in hexadecimal digits. */
    public static function signature(string $body, string $secret): string
    {
        return 'sha256='.hash_hmac('sha256', $body, $secret);
    }

    /** The stand-in ships with the demo and lives on this machine. */
    public static function isStandIn(string $url): bool
    {
        return (bool) config('lokum.demo') &&
            parse_url($url, PHP_URL_PATH) === route('stand-in', absolute: false) &&
            in_array(parse_url($url, PHP_URL_HOST), ['127.0.0.1', 'localhost'], true);
    }
}
