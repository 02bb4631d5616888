<?php

declare(strict_types=1);

namespace Tests\Support\Mutants;

/** Changes of the core after which it says the same, so that no test can notice them; each stands in a list with its reason. */
final readonly class Same
{
    /** Of what this gives, which is a text but for patterns that are none, and all of ours are. */
    private const CAST = '(string) preg_';

    /** @param  list<array{0: string, 1: string}>  $known  file, and code in the changed line */
    private function __construct(private array $known)
    {
    }

    /** @param  string  $file  a line each: file | code in the changed line | why */
    public static function read(string $file): self
    {
        $known = [];
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            if ($line[0] !== '#') {
                [$of, $code] = explode(' | ', $line);
                $known[] = [$of, $code];
            }
        }

        return new self($known);
    }

    /** @param  string  $change  lines taken out and put in, as the mutant tells them */
    public function has(string $file, string $change): bool
    {
        [$taken, $put] = [self::lines('red', '-', $change), self::lines('green', '+', $change)];

        return str_replace(self::CAST, substr(self::CAST, strlen('(string) ')), $taken) === $put ||
            array_filter($this->known, fn (array $one): bool => $one[0] === $file && str_contains($taken, $one[1])) !== [];
    }

    /** The lines of one color, as code. */
    private static function lines(string $color, string $sign, string $change): string
    {
        preg_match_all("/^ *<fg={$color}>\\s*\\{$sign}(.*)<\\/>$/m", $change, $lines);

        return str_replace(['\\<', '\\>'], ['<', '>'], implode("\n", $lines[1]));
    }
}
