<?php

declare(strict_types=1);

namespace App\Access;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Twelve characters or more, none of the passwords that are tried first, no letter again and again. What is longer than anybody
 * types is refused, so that nothing of it is cut off unseen.
 */
final class SoundPassword implements ValidationRule
{
    public const SHORTEST = 12;

    private const LONGEST = 200;

    /** What is tried here as well: the name of what it opens, and the phrase that everybody has read about. */
    private const OWN = ['lokum', 'admin', 'lokumadmin', 'adminlokum', 'demo', 'lokumdemo', 'correcthorsebatterystaple'];

    /** Different characters that it has to have. */
    private const DIFFERENT = 5;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $problem = self::problem(is_string($value) ? $value : '');
        if ($problem !== null) {
            $fail($problem);
        }
    }

    /** Why a password is not taken; null where it is. */
    public static function problem(string $password): ?string
    {
        $plain = mb_strtolower($password);

        return match (true) {
            mb_strlen($password) < self::SHORTEST => 'A password has '.self::SHORTEST.' characters or more.',
            mb_strlen($password) > self::LONGEST => 'A password has '.self::LONGEST.' characters at most.',
            self::isCommon($plain) => 'This password is one of those that are tried first. Choose another, such as four words '.
                'that have nothing to do with each other.',
            count(array_unique(mb_str_split($plain))) < self::DIFFERENT => 'This password has too few different characters.',
            default => null,
        };
    }

    /** Whether it is one of those that are tried first, as it is, twice, or with digits and signs around or between it. */
    private static function isCommon(string $plain): bool
    {
        $letters = (string) preg_replace('/[^\p{L}]+/u', '', $plain);
        $half = mb_substr($letters, 0, intdiv(mb_strlen($letters), 2));
        $tried = array_filter([$plain, $letters, $half.$half === $letters ? $half : '']);
        $common = file(__DIR__.'/common-passwords.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];

        return array_intersect($tried, [...$common, ...self::OWN]) !== [];
    }
}
