<?php

declare(strict_types=1);

namespace Tests\Support;

use LogicException;
use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * Breaks acts off at random moments and compares the catalog with before and after. An act is a command that is run on a copy of a
 * small catalog of its own; what it would have made of the catalog is worked out once, undisturbed.
 */
final class Faults
{
    /** The act as arguments of the command line; {dir} stands for a folder with the files below. */
    private const ACTS = [
        'reading' => ['feed:read', '{dir}/second.csv', '--feed=Tarnbeck', '--json'],
        'merge' => ['merge', 'shade', '--keep=red-0', 'red-1', 'red-2', '--json'],
        'publication' => ['publish', '--json'],
        'rules' => ['fill:run', '--json'],
        'update' => ['values', 'shade', '--json'],
        'first start' => ['values', 'shade', '--json'],
    ];

    private const TABLES = [
        'feeds',
        'categories',
        'items',
        'headings',
        'spellings',
        'assignments',
        'lineups',
        'filters',
        'fill_rules',
        'definitions',
        'expectations',
        'views',
        'kept_apart',
        'umbrellas',
        'attribute_values',
        'filter_changes',
    ];

    private const ADDED_BY_NIGHT = [
        'items.out_since',
        'items.out_by',
        'item_changes.out_since',
        'item_changes.out_by',
        'feeds.source',
        'feeds.secret',
        'feeds.times',
        'feeds.by_itself',
        'feeds.bounds',
        'feeds.whole',
        'feeds.gone',
        'feeds.seen',
        'feeds.looked_at',
        'feeds.failures',
        'feeds.version',
    ];

    private static ?self $one = null;

    /** @var array<string, array{before: string, after: string, seconds: float}> */
    private array $known = [];

    private function __construct(public readonly string $dir)
    {
        mkdir($dir, 0700);
        register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($dir)));
        $rows = fn (int $from, int $to, string $suffix): string => implode(
            '',
            array_map(
                fn (int $i): string => "T{$i},Thing {$i},Things > Kind ".
                    $i % 5 .
                    ','.
                    (($i % 40) + 1).
                    ','.
                    $i % 7 .
                    ',Red '.
                    $i % 9 .
                    $suffix.
                    ','.
                    $i % 90 .
                    " ml\n",
                range($from, $to),
            ),
        );
        file_put_contents("{$dir}/first.csv", "sku,name,category,price,stock,Shade,Volume\n".$rows(1, 900, ''));
        file_put_contents("{$dir}/second.csv", "sku,name,category,price,stock,Shade,Volume\n".$rows(400, 1800, ' deep'));
        foreach (
            [
                ['define', 'shade', '--kind=choice', '--label=Shade'],
                ['define', 'volume', '--kind=number', '--unit=ml', '--label=Volume'],
                ['define', 'finish', '--kind=choice', '--label=Finish'],
                ['feed:read', "{$dir}/first.csv", '--feed=Tarnbeck'],
                ['publish'],
            ] as $command
        ) {
            $this->must("{$dir}/base", $command);
        }
        $pdo = new PDO("sqlite:{$dir}/base/catalog.sqlite");
        $finish = self::one($pdo, "SELECT id FROM definitions WHERE slug = 'finish'");
        $pdo->exec(
            "INSERT INTO fill_rules (definition_id, source, settings, scope, position, paused)
                VALUES ({$finish}, 'fixed', '{\"value\": \"Gloss\"}', '[]', 1, 0)",
        );
        $pdo = null;
        $this->older();
        mkdir("{$dir}/none");
    }

    public static function here(): self
    {
        return self::$one ??= new self(sys_get_temp_dir().'/lokum-faults-'.bin2hex(random_bytes(6)));
    }

    /** @return list<string> */
    public static function acts(): array
    {
        return array_keys(self::ACTS);
    }

    /**
     * Kills an act at a moment that the seed says, and tells what is not as it was before or as it would have been behind.
     *
     * @return list<string> complaints
     */
    public function kill(string $act, int $seed): array
    {
        mt_srand($seed);
        $known = $this->known($act);
        $data = $this->fresh($act, "kill-{$seed}-".bin2hex(random_bytes(3)));
        $process = $this->start($data, self::ACTS[$act]);
        $others = $act === 'first start' ? array_map(fn (): Process => $this->start($data, self::ACTS[$act]), range(1, 3)) : [];
        usleep((int) ((mt_rand(0, 1100) / 1000) * $known['seconds'] * 1e6));
        try {
            $process->signal(SIGKILL);
        } catch (LogicException) {
            // It was done already.
        }
        $process->wait();
        $complaints = [];
        foreach ($others as $other) {
            $other->wait();
            // There is no attribute yet, which is what they say.
            if (! str_contains($other->getErrorOutput(), 'no attribute')) {
                $complaints[] = "another first start says {$other->getErrorOutput()}";
            }
        }
        $this->finish($data);
        $is =
            is_file("{$data}/catalog.sqlite") && filesize("{$data}/catalog.sqlite") > 0 ? $this->digest($data) : $known['before'];
        if (! in_array($is, [$known['before'], $known['after']], true)) {
            $complaints[] = 'the catalog is neither as before nor as behind';
        }
        if (is_dir("{$data}/editions") && (glob("{$data}/editions/*.sqlite") ?: []) !== []) {
            [$status, , $error] = $this->run($data, ['counts', '--json']);
            if ($status !== 0) {
                $complaints[] = "nothing is served: {$error}";
            }
        }
        // Done again it is done, and nothing of the first try is in its way.
        [$status, , $error] = $this->run($data, self::ACTS[$act]);
        $isAgain = $status === 0 || $is === $known['after'] || ($act === 'first start' && str_contains($error, 'no attribute'));
        if (! $isAgain) {
            $complaints[] = "it cannot be done again: {$error}";
        }
        if (! ($is === $known['after'] || $act === 'publication' || $this->digest($data) === $known['after'])) {
            $complaints[] = 'done again the catalog is another one';
        }
        exec('rm -rf '.escapeshellarg($data));

        return array_map(fn (string $complaint): string => "{$act}, seed {$seed}: {$complaint}", $complaints);
    }

    /**
     * Does an act where the disk has only so much room, in a file system of its own.
     *
     * @return list<string>|null complaints; null where this machine makes no file systems
     */
    public function fill(string $act, int $seed): ?array
    {
        mt_srand($seed);
        $known = $this->known($act);
        $at = "{$this->dir}/full-{$seed}";
        mkdir($at);
        mkdir("{$at}/disk");
        $from = $this->from($act);
        $left = mt_rand(0, 400);
        $command = implode(
            ' ',
            array_map(escapeshellarg(...), [
                PHP_BINARY,
                dirname(__DIR__, 2).'/bin/console.php',
                ...$this->named(self::ACTS[$act]),
            ]),
        );
        $counts = escapeshellarg(PHP_BINARY).' '.escapeshellarg(dirname(__DIR__, 2).'/bin/console.php').' counts --json';
        $script = "mount -t tmpfs -o size=64m none '{$at}/disk' || exit 77
            cp -r '{$from}/.' '{$at}/disk' && cd '{$at}/disk'
            dd if=/dev/zero of=filler bs=1M 2>/dev/null
            dd if=/dev/zero of=filler bs=1k count=\$((\$(stat -c %s filler) / 1024 - {$left})) 2>/dev/null
            LOKUM_DATA='{$at}/disk' {$command} > '{$at}/out' 2> '{$at}/err'; echo \$? > '{$at}/status'
            LOKUM_DATA='{$at}/disk' {$counts} > '{$at}/counts' 2>> '{$at}/counts'; echo \$? > '{$at}/served'
            rm -f filler; mkdir '{$at}/left'; cp -r . '{$at}/left'";
        $process = new Process(['unshare', '-rm', 'sh', '-c', $script], timeout: 120);
        $process->run();
        if (! is_file("{$at}/status")) {
            return null;
        }
        [$status, $error, $served] = [
            (int) file_get_contents("{$at}/status"),
            trim((string) file_get_contents("{$at}/err")),
            (int) file_get_contents("{$at}/served"),
        ];
        $complaints = [];
        $is = $this->digest("{$at}/left");
        if ($status === 0) {
            if (! ($is === $known['after'] || $act === 'publication')) {
                $complaints[] = 'it says it is done, and is not';
            }
        } else {
            if ($is !== $known['before']) {
                $complaints[] = 'it says it failed, and is not as before';
            }
        }
        if (! ($status === 0 || preg_match('/^lokum: [^\n]*(full|room)[^\n]*$/', $error) === 1)) {
            $complaints[] = "it says: {$error}";
        }
        if ($served !== 0) {
            $complaints[] = 'the shop is not served: '.file_get_contents("{$at}/counts");
        }
        if ((glob("{$at}/left/editions/*.part") ?: []) !== []) {
            $complaints[] = 'half an edition is left';
        }
        [$again, , $why] = $this->run("{$at}/left", self::ACTS[$act]);
        if (! ($again === 0 || $is === $known['after'])) {
            $complaints[] = "with room again it cannot be done: {$why}";
        }
        exec('rm -rf '.escapeshellarg($at));

        return array_map(
            fn (string $complaint): string => "{$act} on a full disk, seed {$seed}, {$left} kB left: {$complaint}",
            $complaints,
        );
    }

    /**
     * Damages a file of the catalog. What is asked then is answered, or refused in one sentence.
     *
     * @return list<string> complaints
     */
    public function damage(int $seed): array
    {
        mt_srand($seed);
        $data = $this->fresh('publication', "damage-{$seed}");
        $this->must($data, ['publish']);
        $files = [
            'catalog.sqlite',
            'runtime.sqlite',
            'app.key',
            'schema',
            ...array_map(fn (string $path): string => 'editions/'.basename($path), glob("{$data}/editions/*.sqlite") ?: []),
        ];
        $file = $files[mt_rand(0, count($files) - 1)];
        $size = (int) filesize("{$data}/{$file}");
        $how = ['emptied', 'cut', 'scribbled', 'gone'][mt_rand(0, 3)];
        match ($how) {
            'emptied' => file_put_contents("{$data}/{$file}", ''),
            'cut' => file_put_contents(
                "{$data}/{$file}",
                substr((string) file_get_contents("{$data}/{$file}"), 0, intdiv($size * mt_rand(1, 9), 10)),
            ),
            'scribbled' => file_put_contents(
                "{$data}/{$file}",
                substr_replace(
                    (string) file_get_contents("{$data}/{$file}"),
                    random_bytes(200),
                    mt_rand(0, max(0, $size - 200)),
                    min(200, $size),
                ),
            ),
            'gone' => unlink("{$data}/{$file}"),
        };
        $complaints = [];
        foreach ([['counts', '--json'], ['values', 'shade', '--json'], ['publish', '--json']] as $command) {
            [$status, $output, $error] = $this->run($data, $command);
            $isAnswer = $status === 0 && is_array(json_decode($output, true));
            $isRefusal =
                $status === 1 && substr_count(trim($error), "\n") <= 1 && is_string(json_decode($output, true)['error'] ?? null);
            if (! ($isAnswer || $isRefusal)) {
                $complaints[] =
                "{$command[0]} with {$file} {$how}, seed {$seed}: status {$status}, ".
                mb_strimwidth("{$output} {$error}", 0, 300);
            }
            if (str_starts_with($file, 'editions/') && $command[0] !== 'publish' && $status !== 0 && $how !== 'scribbled') {
                $complaints[] = "{$command[0]} is not served with {$file} {$how}: {$error}";
            }
        }
        exec('rm -rf '.escapeshellarg($data));

        return $complaints;
    }

    /** Rules that were cut off behind a reading run when pages and worker start next. */
    private function finish(string $data): void
    {
        if (
            ! is_file("{$data}/schema") ||
            self::one(new PDO("sqlite:{$data}/catalog.sqlite"), 'SELECT count(*) FROM readings WHERE rules_wait = 1') === 0
        ) {
            return;
        }
        $root = dirname(__DIR__, 2);
        $script =
            'require "'.
            $root.
            '/vendor/autoload.php"; $app = require "'.
            $root.
            '/bootstrap/app.php"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
            App\Data\Setup::ensure(); app(App\Feeds\FinishReading::class)->whatWasCutOff();';
        (new Process([PHP_BINARY, '-r', $script], null, ['LOKUM_DATA' => $data], timeout: 120))->mustRun();
    }

    /** @return array{before: string, after: string, seconds: float} */
    private function known(string $act): array
    {
        if (! isset($this->known[$act])) {
            $data = $this->fresh($act, 'known');
            $before = $act === 'first start' ? '' : $this->digest($data);
            $start = microtime(true);
            $this->run($data, self::ACTS[$act]);
            $this->known[$act] = ['before' => $before, 'after' => $this->digest($data), 'seconds' => microtime(true) - $start];
            exec('rm -rf '.escapeshellarg($data));
        }

        return $this->known[$act];
    }

    private function from(string $act): string
    {
        return $this->dir.'/'.(['first start' => 'none', 'update' => 'older'][$act] ?? 'base');
    }

    private function fresh(string $act, string $name): string
    {
        $data = "{$this->dir}/{$name}";
        exec('cp -r '.escapeshellarg($this->from($act)).' '.escapeshellarg($data));

        return $data;
    }

    /**
     * @param  list<string>  $arguments
     * @return list<string>
     */
    private function named(array $arguments): array
    {
        return array_map(fn (string $argument): string => str_replace('{dir}', $this->dir, $argument), $arguments);
    }

    /** The first column of the first row. */
    private static function one(PDO $pdo, string $sql): mixed
    {
        return array_values(Acts::rows($pdo, $sql)[0] ?? [null])[0];
    }

    /** What is in the catalog, but for when it came there. */
    private function digest(string $data): string
    {
        $pdo = new PDO("sqlite:{$data}/catalog.sqlite");
        $sound = self::one($pdo, 'PRAGMA integrity_check');
        $tables = array_column(Acts::rows($pdo, "SELECT name FROM sqlite_master WHERE type = 'table'"), 'name');
        $all = [$sound];
        foreach (array_intersect(self::TABLES, $tables) as $table) {
            $rows = array_map(
                fn (array $row): string => (string) json_encode(
                    array_diff_key($row, ['created_at' => 1, 'updated_at' => 1, 'reading_id' => 1]),
                ),
                Acts::rows($pdo, "SELECT * FROM \"{$table}\""),
            );
            sort($rows);
            array_push($all, $table, ...$rows);
        }
        foreach (array_intersect(['editions', 'changes'], $tables) as $table) {
            $all[] = $table.self::one($pdo, "SELECT count(*) FROM {$table}");
        }

        return md5(implode("\n", $all));
    }

    /** A catalog as an earlier version has left it: the newest changes of the schema are not in it yet. */
    private function older(): void
    {
        exec('cp -r '.escapeshellarg("{$this->dir}/base").' '.escapeshellarg("{$this->dir}/older"));
        $pdo = new PDO("sqlite:{$this->dir}/older/catalog.sqlite");
        foreach (
            [
                'ALTER TABLE editions DROP COLUMN again_of',
                'DROP TRIGGER category_comes',
                'DROP TRIGGER category_lists',
                'DROP TRIGGER item_comes',
                'DROP TRIGGER item_moves',
                'DROP TRIGGER item_goes',
                'DROP TABLE also_on',
                'DROP TABLE category_above',
                'DROP INDEX items_also',
                'ALTER TABLE items DROP COLUMN also_in',
                'ALTER TABLE items DROP COLUMN also_by_hand',
                'ALTER TABLE item_changes DROP COLUMN also_in',
                'ALTER TABLE item_changes DROP COLUMN also_by_hand',
                'ALTER TABLE feeds DROP COLUMN leaves',
                'DROP TABLE planned_publications',
                'DROP INDEX filters_shared_index',
                'ALTER TABLE filters DROP COLUMN shared',
                'ALTER TABLE attribute_values DROP COLUMN on_products',
                'ALTER TABLE definitions DROP COLUMN former_slugs',
                'ALTER TABLE changes DROP COLUMN by_itself',
                'ALTER TABLE changes DROP COLUMN program',
                'DROP TABLE former_addresses',
                'DROP TABLE runs',
                'DROP TABLE sent',
                'ALTER TABLE readings DROP COLUMN held',
                'DROP INDEX items_out',
                ...array_map(
                    fn (string $column): string => 'ALTER TABLE '.strtr($column, ['.' => ' DROP COLUMN ']),
                    self::ADDED_BY_NIGHT,
                ),
                'ALTER TABLE definitions DROP COLUMN day_order',
                'ALTER TABLE definitions DROP COLUMN decimals',
                'DROP TABLE settings',
                'DROP INDEX attribute_values_definition_id_label_index',
                'ALTER TABLE api_tokens DROP COLUMN expires_at',
                'ALTER TABLE api_tokens DROP COLUMN says_prices',
                'ALTER TABLE api_tokens DROP COLUMN copies',
                'ALTER TABLE receivers DROP COLUMN private',
                'ALTER TABLE readings DROP COLUMN rules_wait',
                "DELETE FROM migrations WHERE migration >= '2026_11_26_000017'",
            ] as $statement
        ) {
            $pdo->exec($statement);
        }
        unlink("{$this->dir}/older/schema");
    }

    /** @param  list<string>  $arguments */
    private function start(string $data, array $arguments): Process
    {
        $process = new Process(
            [PHP_BINARY, dirname(__DIR__, 2).'/bin/console.php', ...$this->named($arguments)],
            null,
            ['LOKUM_DATA' => $data],
            timeout: 120,
        );
        $process->start();

        return $process;
    }

    /**
     * @param  list<string>  $arguments
     * @return array{0: int, 1: string, 2: string} exit status, output, messages
     */
    private function run(string $data, array $arguments): array
    {
        $process = $this->start($data, $arguments);

        return [$process->wait(), $process->getOutput(), $process->getErrorOutput()];
    }

    /** @param  list<string>  $arguments */
    private function must(string $data, array $arguments): void
    {
        [$status, $output, $error] = $this->run($data, $arguments);
        if ($status !== 0) {
            throw new RuntimeException("{$arguments[0]} failed: {$output}{$error}");
        }
    }
}
