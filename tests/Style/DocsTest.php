<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* What docs say is there is there: commands with their options, tests, files. */

/** @return list<string> files */
function docs(): array
{
    return [dirname(__DIR__, 2).'/README.md', ...glob(dirname(__DIR__, 2).'/docs/*.md') ?: []];
}

test('every command that docs give is one, with the options that they give it', function (): void {
    $root = dirname(__DIR__, 2);
    $run = new Process([PHP_BINARY, "{$root}/bin/console.php", 'list', '--format=json'], null, [
        'LOKUM_DATA' => sys_get_temp_dir().'/lokum-docs-'.bin2hex(random_bytes(4)),
    ]);
    $run->mustRun();
    $known = [];
    foreach (json_decode($run->getOutput(), true, flags: JSON_THROW_ON_ERROR)['commands'] as $command) {
        $known[$command['name']] = array_map(fn (array $option): string => $option['name'], $command['definition']['options']);
    }
    $given = [];
    foreach (docs() as $path) {
        $text = (string) file_get_contents($path);
        preg_match_all('/bin\/lokum ([a-z:]+)([^`\n]*)/', $text, $calls, PREG_SET_ORDER);
        preg_match_all(
            '/^\| `([a-z]+(?::[a-z]+)?)([^`]*)`(?:, `[^`]*`)? \| /m',
            basename($path) === 'commands.md' ? $text : '',
            $rows,
            PREG_SET_ORDER,
        );
        array_push($given, ...array_map(fn (array $call): array => [basename($path), $call[1], $call[2]], [...$calls, ...$rows]));
    }
    expect(count($given))->toBeGreaterThan(25);
    $wrong = [];
    foreach ($given as [$doc, $name, $rest]) {
        if ($name === 'test') {
            continue;
        }
        if (! isset($known[$name])) {
            $wrong[] = "{$doc}: {$name}";
        }
        preg_match_all('/--[a-z-]+/', explode('#', $rest)[0], $options);
        foreach (array_diff($options[0], $known[$name] ?? []) as $option) {
            $wrong[] = "{$doc}: {$name} {$option}";
        }
    }
    expect($wrong)->toBe([]);
});

test('every test that security.md stands on is there', function (): void {
    preg_match_all(
        '/`(\w+Test)`(?: "([^"]+)")?/',
        (string) file_get_contents(dirname(__DIR__, 2).'/docs/security.md'),
        $named,
        PREG_SET_ORDER,
    );
    expect(count($named))->toBeGreaterThan(15);
    foreach ($named as $one) {
        $path = glob(dirname(__DIR__).'/{*,*/*,*/*/*}/'.$one[1].'.php', GLOB_BRACE)[0] ?? '';
        expect($path)->not->toBe('', $one[1]);
        if (isset($one[2])) {
            expect((string) file_get_contents($path))->toContain($one[2]);
        }
    }
});

test('links of the docs lead to files', function (): void {
    foreach (docs() as $path) {
        preg_match_all('/\]\((?!http)([^)#]+)\)/', (string) file_get_contents($path), $links);
        foreach ($links[1] as $link) {
            expect(is_file(dirname($path)."/{$link}"))->toBeTrue(basename($path).": {$link}");
        }
    }
});

test('the units for systemd say what systemd understands, and run what is there', function (): void {
    $root = dirname(__DIR__, 2);
    $units = glob("{$root}/deploy/*.service") ?: [];
    expect($units)->toHaveCount(3);
    foreach ($units as $unit) {
        preg_match('/^ExecStart=(.+)$/m', (string) file_get_contents($unit), $part);
        $words = explode(' ', $part[1] ?? '');
        $command = array_values(array_intersect($words, ['serve', 'queue:work', 'schedule:work']));
        expect($command)->toHaveCount(1);
        // The same with programs and directories that are there on every machine: systemd looks at these, too.
        $copy = sys_get_temp_dir().'/'.basename($unit);
        file_put_contents($copy, preg_replace(
            ['/^ExecStart=\S+/m', '/^User=.*$/m', '/^WorkingDirectory=.*$/m'],
            ['ExecStart=/bin/true', 'User=root', 'WorkingDirectory=/tmp'],
            (string) file_get_contents($unit),
        ));
        exec('command -v systemd-analyze', $there, $missing);
        if ($missing === 0) {
            exec('systemd-analyze verify '.escapeshellarg($copy).' 2>&1', $said, $status);
            expect(implode("\n", preg_grep('/'.preg_quote(basename($unit), '/').'/', $said) ?: []))->toBe('')->and($status)->toBe(0);
        }
        unlink($copy);
    }
});
