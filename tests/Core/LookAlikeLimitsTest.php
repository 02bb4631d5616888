<?php

declare(strict_types=1);

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;

/* Look-alikes among texts as nobody writes them: they take bounded time. */

/** @param  list<string>  $texts */
function searched(array $texts): void
{
    (new LookAlikes(Lexicon::shipped()))->among(array_map(fn (string $text): Candidate => new Candidate($text), $texts));
}

test('very long words and texts take bounded time', function (): void {
    $word = fn (int $i): string => implode('', array_map(fn (int $n): string => chr(97 + ($n * $i) % 26), range(1, 490)));
    $start = hrtime(true);
    searched(array_map($word, range(1, 400)));
    searched(array_map(fn (int $i): string => mb_substr(str_repeat("value {$i} of long words ", 30), 0, 500), range(1, 600)));
    expect((hrtime(true) - $start) / 1e9)->toBeLessThan(60.0);
});

test('what grows word by word, and what is one endless word, takes time in proportion to its length', function (): void {
    $seconds = function (int $lines): float {
        $texts = array_map(
            fn (int $i): string => implode(' ', array_map(fn (int $j): string => "word{$j}", range(1, $i))),
            range(1, $lines),
        );
        $runs = [];
        // The quickest of several: whatever else the machine does is left out.
        while (count($runs) < 4 && array_sum($runs) < 0.5) {
            $start = hrtime(true);
            searched([...$texts, str_repeat('qx7', 100 * $lines), 'Red', 'red']);
            $runs[] = (hrtime(true) - $start) / 1e9;
        }

        return min($runs);
    };
    $seconds(100);
    // Twice the lines are four times the words.
    expect($seconds(400) / $seconds(200))->toBeLessThan(12.0);
});
