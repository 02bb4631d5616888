<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** What something is made of: parts with their shares, whichever stands first in the text, the greatest share first here. */
final readonly class Composition
{
    /** What ties a part to others: ", and cotton of" */
    private const TIES = '/^(?:[\s,;\/+&-]|\band\b|\bof\b)+|(?:[\s,;\/+&-]|\band\b)+$/u';

    private const SHARE = '\d+(?:[.,]\d+)?%';

    /** @param  non-empty-list<array{share: string, part: string}>  $parts */
    private function __construct(public array $parts)
    {
    }

    /**
     * @param  string  $text  strict key
     * @return self|null null where the text is no composition: no shares, or some without a part
     */
    public static function in(string $text): ?self
    {
        $shares = preg_match_all('/'.self::SHARE.'/', $text);
        $pattern =
            preg_match('/^\s*'.self::SHARE.'/', $text) === 1
                ? '/(?<share>'.self::SHARE.')\s*(?<part>[^\d%]+)/u'
                : '/(?<part>[^\d%]+?)\s*(?<share>'.self::SHARE.')/u';
        if (preg_match_all($pattern, $text, $found, PREG_SET_ORDER) !== $shares || $found === []) {
            return null;
        }
        $parts = array_map(
            fn (array $pair): array => [
                'share' => (string) preg_replace('/\.0+(?=%)/', '', str_replace(',', '.', $pair['share'])),
                'part' => (string) preg_replace(
                    self::TIES,
                    '',
                    $pair['part'],
                ),
            ],
            $found,
        );
        usort($parts, fn (array $a, array $b): int => (float) $b['share'] <=> (float) $a['share'] ?: $a['part'] <=> $b['part']);

        return new self($parts);
    }
}
