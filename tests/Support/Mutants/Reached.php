<?php

declare(strict_types=1);

namespace Tests\Support\Mutants;

use RuntimeException;
use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which files of tests reach a line of the core, the quickest first. */
final class Reached
{
    /** Seconds. */
    private const BEARABLE = 10.0;

    /** One test that ran: <testcase name="…" file="tests/Core/SetsTest.php::sets meet" … time="0.01"> */
    private const CASE = '/<testcase [^>]*file="([^":]+)::[^>]* time="([0-9.]+)"/';

    /**
     * @param  array<string, array<int, list<string>>>  $lines  files of tests by line, by file of the core
     * @param  array<string, float>  $seconds  what a file of tests takes
     */
    private function __construct(private readonly array $lines, private readonly array $seconds)
    {
    }

    /**
     * @param  string  $coverage  what `pest --coverage-php` wrote
     * @param  string  $times  what `pest --log-junit` wrote in the same run
     */
    public static function read(string $coverage, string $times): self
    {
        $report = require $coverage;
        if (! $report instanceof CodeCoverage) {
            throw new RuntimeException('Which lines are reached is not known.');
        }
        $lines = [];
        foreach ($report->getData()->lineCoverage() as $file => $byLine) {
            foreach ($byLine as $line => $tests) {
                $lines[$file][$line] = array_values(array_unique(array_map(self::fileOf(...), $tests ?? [])));
            }
        }

        return new self($lines, self::seconds($times));
    }

    /**
     * The quickest of them, then those that reach its file (what is read once and kept is reached by the first of them only), as long as
     * is bearable for each of thousands of changes; and those called after the folder.
     *
     * @return list<string>
     */
    public function by(string $file, int $from, int $to): array
    {
        $lines = $this->lines[$file] ?? [];
        $byLine = $this->inOrder(array_merge(...array_values(array_intersect_key($lines, array_flip(range($from, $to))))));
        $tests = array_values(array_unique([...$byLine, ...$this->inOrder(array_merge(...array_values($lines)))]));
        $taken = 0.0;

        return array_values(array_filter($tests, function (string $test) use (&$taken, $file): bool {
            $taken += $this->takes([$test]);

            return $taken <= self::BEARABLE || str_contains($test, basename(dirname($file)));
        }));
    }

    /**
     * @param  list<string>  $tests
     * @return list<string> each once, the quickest first
     */
    private function inOrder(array $tests): array
    {
        $tests = array_values(array_unique($tests));
        usort($tests, fn (string $a, string $b): int => $this->takes([$a]) <=> $this->takes([$b]));

        return $tests;
    }

    /** @param  list<string>  $tests */
    public function takes(array $tests): float
    {
        return array_sum(array_map(fn (string $test): float => $this->seconds[$test] ?? 0.0, $tests));
    }

    /** The file that a test stands in, as the coverage names it: "P\Tests\Core\SetsTest::…". */
    private static function fileOf(string $test): string
    {
        $class = explode('::', $test)[0];

        return 'tests/'.str_replace('\\', '/', substr($class, strpos($class, 'Tests\\') + strlen('Tests\\'))).'.php';
    }

    /** @return array<string, float> */
    private static function seconds(string $times): array
    {
        preg_match_all(self::CASE, (string) file_get_contents($times), $cases, PREG_SET_ORDER);
        $seconds = [];
        foreach ($cases as [, $file, $time]) {
            $seconds[$file] = ($seconds[$file] ?? 0.0) + (float) $time;
        }

        return $seconds;
    }
}
