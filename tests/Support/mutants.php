<?php

declare(strict_types=1);

/*
 * How much the tests of the core hold: a file or folder of it is changed in a thousand small ways, and each change should make a test
 * fail. Each is tried against the files of tests that reach its line, the quickest first. Takes the folder, the coverage and the times of
 * a run of these tests (`bin/lokum test mutants` makes them), and prints every change that no test noticed, then how many there were;
 * those of Mutants/same.txt are counted apart. With a number behind, so many of them are tried, picked at random.
 */

use Pest\Mutate\Cache\NullStore;
use Pest\Mutate\Mutators\Sets\DefaultSet;
use Pest\Mutate\Support\FileFinder;
use Pest\Mutate\Support\MutationGenerator;
use Pest\Support\Container;
use Psr\SimpleCache\CacheInterface;
use Tests\Support\Mutants\Reached;
use Tests\Support\Mutants\Same;
use Tests\Support\Mutants\Trial;

require __DIR__.'/../../vendor/autoload.php';

[, $path, $coverage, $times] = $argv;
// Told to stop, it ends what it tries: a change may never end by itself.
pcntl_async_signals(true);
foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
    pcntl_signal($signal, fn () => exit(128 + $signal));
}
$most = (int) ($argv[4] ?? 0);
$atOnce = (int) shell_exec('nproc');
$reached = Reached::read($coverage, $times);
$root = dirname(__DIR__, 2);
$mutants = [];
// A change is made for this run only.
Container::getInstance()->add(CacheInterface::class, new NullStore());
foreach (FileFinder::files([$path], []) as $file) {
    // Lists of data are no rules: what stands in them is held by what is found with them.
    if (! str_contains($file->getContents(), "\nreturn [")) {
        array_push($mutants, ...(new MutationGenerator())->generate($file, DefaultSet::mutators()));
    }
}

if ($most > 0) {
    // Always the same ones, so that what is mended can be seen.
    mt_srand(1);
    shuffle($mutants);
    $mutants = array_slice($mutants, 0, $most);
}
$fates = ['died', 'lived', 'unreached', 'same'];
$same = Same::read(__DIR__.'/Mutants/same.txt');
/** @var array<string, array<string, int>> $counts */
$counts = [];
$count = function (string $file, string $fate) use (&$counts, $fates): void {
    $counts[$file] ??= array_fill_keys($fates, 0);
    $counts[$file][$fate]++;
};
/** @var list<Trial> $trials */
$trials = [];
while ($mutants !== [] || $trials !== []) {
    while ($mutants !== [] && count($trials) < $atOnce) {
        $mutant = array_shift($mutants);
        $file = (string) $mutant->file->getRealPath();
        $tests = $reached->by($file, $mutant->startLine, $mutant->endLine);
        if ($tests === []) {
            $count(substr($file, strlen($root) + 1), 'unreached');
            printf("%s:%d is reached by no test\n", substr($file, strlen($root) + 1), $mutant->startLine);
        } else {
            $trials[] = Trial::start($mutant, $tests, $reached->takes($tests));
        }
    }
    usleep(5_000);
    foreach ($trials as $i => $trial) {
        $died = $trial->died();
        if ($died !== null) {
            unset($trials[$i]);
            $file = substr((string) $trial->mutant->file->getRealPath(), strlen($root) + 1);
            $fate = $died ? 'died' : ($same->has($file, $trial->mutant->diff) ? 'same' : 'lived');
            $count($file, $fate);
            if ($fate === 'lived') {
                printf("%s:%d lives\n%s\n", $file, $trial->mutant->startLine, $trial->told());
            }
        }
    }
    $trials = array_values($trials);
}

ksort($counts);
$line = fn (string $of, array $n): string => sprintf(
    "%-40s %5d died %5d lived %5d reached by no test %5d that say the same %5.1f %%\n",
    $of,
    $n['died'],
    $n['lived'],
    $n['unreached'],
    $n['same'],
    100 * $n['died'] / max(1, array_sum($n) - $n['same']),
);
foreach ($counts as $file => $n) {
    echo $line($file, $n);
}
$sum = fn (string $fate): int => array_sum(array_column($counts, $fate));
echo $line($path, array_combine($fates, array_map($sum, $fates)));
