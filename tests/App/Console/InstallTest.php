<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* A machine that lacks something: what is missing is fetched for the PHP that is there, or the exact line to do it is said. */

/**
 * @param  array<string, string>  $commands  scripts that stand for the machine's, by name
 * @return array{0: int, 1: string} exit status and what was said
 */
function onMachine(string $data, array $commands): array
{
    @mkdir("{$data}/machine");
    foreach (['bash', 'readlink', 'dirname', 'grep', 'cat', 'env'] as $real) {
        @symlink((string) trim((string) shell_exec("command -v {$real}")), "{$data}/machine/{$real}");
    }
    foreach ($commands as $name => $script) {
        file_put_contents("{$data}/machine/{$name}", "#!/bin/bash\n{$script}\n");
        chmod("{$data}/machine/{$name}", 0755);
    }
    $process = new Process(['bash', dirname(__DIR__, 3).'/bin/lokum', 'list'], null, ['PATH' => "{$data}/machine"], null, 20);
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

    return 'if [ "$1" = -m ]; then printf "%s\n" '.implode(' ', $has).'; elif [ "${2:0:4}" = exit ]; then exit 0; else printf '.
        $version.'; fi';
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
