<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Lokum\Text\StrictKey;

/** Yes and no as suppliers write them. The words are common practice in feeds, no source. */
final class FlagWord
{
    private const YES = ['yes', 'y', 'true', 't', '1', 'on', 'x', '✓', '✔', '☑', 'ja', 'oui', 'si', 'sim', 'tak'];

    private const NO = ['no', 'n', 'false', 'f', '0', 'off', '✗', '✘', '☐', 'nein', 'non', 'nao', 'nie'];

    /** @return bool|null null for a text that says neither */
    public static function read(string $text): ?bool
    {
        $key = StrictKey::of($text);

        return match (true) {
            in_array($key, self::YES, true) => true,
            in_array($key, self::NO, true) => false,
            default => null,
        };
    }
}
