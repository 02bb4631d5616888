<?php

declare(strict_types=1);

namespace App\Feeds;

/** The feed that a file belongs to, from its name: what is left without ending, dates and numbers of delivery. */
final class FeedName
{
    /** What a delivery adds to the name of its file: prices-2026-11-28, goods delivery 3, list_v12 */
    private const DELIVERED = '/[\s_.-]*(?:\d{4}-?\d{2}(?:-?\d{2})?|delivery[\s_-]*\d+|v?\d+)$/i';

    public static function from(string $fileName): string
    {
        $name = (string) preg_replace('/\.[a-z0-9]{1,4}$/i', '', mb_scrub($fileName));
        $name = (string) preg_replace(self::DELIVERED, '', $name);
        $name = trim(str_replace(['_', '-'], ' ', $name));

        return mb_strimwidth($name === '' ? 'Feed' : mb_strtoupper(mb_substr($name, 0, 1)).mb_substr($name, 1), 0, 100);
    }
}
