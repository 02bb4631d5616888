<?php

declare(strict_types=1);

use Lokum\Text\StrictKey;

/* Source: the Unicode Character Database, NormalizationTest.txt and CaseFolding.txt (Debian package unicode-data). */

/** @return iterable<mixed> */
function unicodeLines(string $name): iterable
{
    $path = "/usr/share/unicode/{$name}";
    $text = is_file($path) ? (string) file_get_contents($path) : (string) shell_exec('bzcat '.escapeshellarg("{$path}.bz2"));
    foreach (explode("\n", $text) as $line) {
        $line = trim(explode('#', $line)[0]);
        if ($line !== '' && $line[0] !== '@') {
            yield array_map(trim(...), explode(';', $line));
        }
    }
}

function characters(string $codes): string
{
    return implode('', array_map(fn (string $code): string => (string) mb_chr((int) hexdec($code)), explode(' ', $codes)));
}

test('texts with the same compatibility form have the same key', function (): void {
    $tested = 0;
    $wrong = [];
    foreach (unicodeLines('NormalizationTest.txt') as [$source, $nfc, $nfd, $nfkc, $nfkd]) {
        // Columns of one line are the same text for NFKC; marks that stand apart from what they replace are covered above.
        $keys = array_unique(
            array_map(fn (string $codes): string => StrictKey::of('a '.characters($codes).' z'), [
                $source,
                $nfc,
                $nfd,
                $nfkc,
                $nfkd,
            ]),
        );
        $tested++;
        // The trade mark signs are left out of keys on purpose; their compatibility form is letters.
        if (count($keys) > 1 && ! in_array($source, ['2120', '2122'], true)) {
            $wrong[] = $source;
        }
    }
    expect($tested)->toBeGreaterThan(15000)->and($wrong)->toBe([]);
});

test('every full case folding is followed', function (): void {
    $tested = 0;
    $wrong = [];
    foreach (unicodeLines('CaseFolding.txt') as [$code, $status, $mapping]) {
        if (in_array($status, ['C', 'F'], true)) {
            $tested++;
            if (StrictKey::of('a'.characters($code).'z') !== StrictKey::of('a'.characters($mapping).'z')) {
                $wrong[] = $code;
            }
        }
    }
    expect($tested)->toBeGreaterThan(1400)->and($wrong)->toBe([]);
});
