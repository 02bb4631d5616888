<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* A machine that lacks something: what is missing is fetched for the PHP that is there, or the exact line to do it is said. */

/**
 * @param  array<string, string>  $commands  scripts that stand for the machine's, by name
 * @param  string|null  $root  where Lokum is installed
 * @return array{0: int, 1: string} exit status and what was said
 */
function onMachine(string $data, array $commands, ?string $root = null): array
{
    @mkdir("{$data}/machine");
    foreach (['bash', 'readlink', 'dirname', 'grep', 'cat', 'env', 'mkdir'] as $real) {
        @symlink((string) trim((string) shell_exec("command -v {$real}")), "{$data}/machine/{$real}");
    }
    foreach ($commands as $name => $script) {
        file_put_contents("{$data}/machine/{$name}", "#!/bin/bash\n{$script}\n");
        chmod("{$data}/machine/{$name}", 0755);
    }
    $process = new Process(['bash', ($root ?? dirname(__DIR__, 3)).'/bin/lokum', 'list'], null, [
        'PATH' => "{$data}/machine",
        'PHP_INI_SCAN_DIR' => false,
        'LOKUM_COMPILED' => false,
    ], null, 20);
    $process->run();

    return [(int) $process->getExitCode(), $process->getErrorOutput()];
}

/** A PHP of some version without intl. */
function phpWithout(string $version, string $missing): string
{
    $has = array_diff(
        ['pdo_sqlite', 'gmp', 'mbstring', 'intl', 'dom', 'curl', 'zip', 'gd', 'pcntl', 'posix', 'fileinfo', 'tokenizer'],
        [$missing],
    );

    return 'printf "%s\n" '.implode(' ', [$version, ...$has]);
}

test('for whoever may not install, the exact line is said', function (): void {
    [$status, $said] = onMachine($this->data(), [
        'php' => phpWithout('8.3', 'intl'),
        'apt-get' => 'exit 9',
        'apt-cache' => '[ "$2" = php8.3-intl ]',
        'id' => 'echo 1000',
    ]);
    expect($status)->toBe(1)->and($said)->toContain('sudo apt-get install php8.3-intl');
});

test('where no package has the version in its name, the one without is meant', function (): void {
    [, $said] = onMachine($this->data(), [
        'php' => phpWithout('8.4', 'intl'),
        'apt-get' => 'exit 9',
        'apt-cache' => 'exit 1',
        'id' => 'echo 1000',
    ]);
    expect($said)->toContain('sudo apt-get install php-intl');
});

test('root installs; what does not work is said', function (): void {
    [$status, $said] = onMachine($this->data(), [
        'php' => phpWithout('8.2', 'gd'),
        'apt-get' => 'echo "apt-get $*" >&2; [ "$1" = update ]',
        'apt-cache' => 'exit 0',
        'id' => 'echo 0',
    ]);
    expect($status)->toBe(1)
        ->and($said)->toContain('Installing php8.2-gd')
        ->and($said)->toContain('apt-get install -y -qq php8.2-gd')
        ->and($said)->toContain('That did not work. Run this, then start Lokum again: sudo apt-get install php8.2-gd');
});

test('sudo is used where it asks nothing', function (): void {
    [, $said] = onMachine($this->data(), [
        'php' => phpWithout('8.2', 'gd'),
        'apt-get' => 'exit 0',
        'apt-cache' => 'exit 0',
        'id' => 'echo 1000',
        'sudo' => 'echo "by sudo: $*" >&2; exit 0',
    ]);
    expect($said)->toContain('by sudo: env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq php8.2-gd');
});

test('what no package brings is said by its name', function (): void {
    [$status, $said] = onMachine($this->data(), ['php' => phpWithout('8.2', 'pcntl'), 'id' => 'echo 0']);
    expect($status)->toBe(1)->and($said)->toContain('This PHP has no pcntl');
});

test('another system than Debian is told what to look for', function (): void {
    [$status, $said] = onMachine($this->data(), ['php' => phpWithout('8.2', 'intl'), 'id' => 'echo 1000']);
    expect($status)->toBe(1)->and($said)->toContain('Lokum needs: php-intl. They are Debian\'s names');
});

test('a PHP that is too old is told apart from one that does not start', function (string $php, string $is): void {
    expect(onMachine($this->data(), ['php' => $php]))->toBe([1, "Lokum needs PHP 8.2 or newer. Here is PHP {$is}.\n"]);
})->with([
    [phpWithout('8.1', ''), '8.1'],
    [phpWithout('7.4', ''), '7.4'],
    ['exit 127', 'that does not start'],
]);

test('what PHP compiled is kept beside the code, and not where that cannot be written', function (): void {
    $app = "{$this->data()}/app";
    exec('mkdir -p '.escapeshellarg("{$app}/vendor").' && cp -r '.escapeshellarg(dirname(__DIR__, 3).'/bin').' '.escapeshellarg($app));
    touch("{$app}/vendor/autoload.php");
    $php = phpWithout('8.2', '').'; case "$*" in *console.php*) echo "$PHP_INI_SCAN_DIR $LOKUM_COMPILED" >&2;; esac';
    expect(onMachine($this->data(), ['php' => $php], $app))
        ->toBe([0, ":{$app}/bin/php {$app}/storage/framework/compiled\n"]);
    rmdir("{$app}/storage/framework/compiled");
    touch("{$app}/storage/framework/compiled");
    expect(onMachine($this->data(), ['php' => $php], $app)[1])->toBe(" \n");
});
