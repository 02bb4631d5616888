<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Edition;
use App\Models\Item;
use Closure;
use Fidry\CpuCoreCounter\CpuCoreCounter;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOException;
use Symfony\Component\Process\Exception\RuntimeException as ProcessFailure;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/**
 * A process of its own that writes the products of a new edition into a file beside it, while the rest is written here: on two processors
 * an edition takes little more than half the time. Both read the catalog of one moment, at which nobody could write.
 */
final class WriteBeside
{
    /** What the two say to each other. */
    public const READY = 'ready';

    public const BEGIN = 'begin';

    public const BEGUN = 'begun';

    private const COMMAND = 'publish:beside';

    /** Seconds that the other process has to start, and somebody who writes to end. */
    private const PATIENCE = 10;

    private string $heard = '';

    private function __construct(
        private readonly Process $process,
        private readonly InputStream $says,
        public readonly string $path,
    ) {
    }

    /** Whether the catalog is so large, and the machine such, that it takes less time with two. */
    public static function pays(): bool
    {
        return (new CpuCoreCounter())->getCountWithFallback(1) > 1
            && Item::table()->whereNull('parent_id')->count() >= (int) config('lokum.beside_from');
    }

    /**
     * Begins a read transaction here and in another process, on the same state of the catalog.
     *
     * @param  PDO  $pdo  of the catalog, not in a transaction; it is in one afterwards, whatever came of the other process
     * @param  string  $edition  name of the edition's file
     * @return self|null null where the other process does not start, or somebody writes to the catalog for long
     */
    public static function together(PDO $pdo, string $edition): ?self
    {
        $beside = self::start($edition);
        $nobodyWrites = $beside?->hears(self::READY) === true ? self::holdWriters() : null;
        self::beginToRead($pdo);
        if ($beside === null || $nobodyWrites === null) {
            return $beside?->leave();
        }
        $beside->says->write(self::BEGIN."\n");
        $has = $beside->hears(self::BEGUN);
        $nobodyWrites->exec('ROLLBACK');

        return $has ? $beside : $beside->leave();
    }

    /** From here on the connection sees the catalog as it is now, whoever writes to it. */
    public static function beginToRead(PDO $pdo): void
    {
        $pdo->exec('BEGIN DEFERRED');
        // A transaction begins with the first row that is read.
        $pdo->query('SELECT 1 FROM items LIMIT 1');
    }

    /**
     * @param  Closure(float): void  $progress
     * @return bool whether the file is complete
     */
    public function ends(Closure $progress): bool
    {
        $this->says->close();
        while ($this->process->isRunning()) {
            $this->hear();
            if (preg_match('/(0\.\d+)\n$/', $this->heard, $share) === 1) {
                $progress((float) $share[1]);
            }
            usleep(20_000);
        }

        return $this->process->isSuccessful();
    }

    /** Its file is not needed any more, or was never written. */
    public function leave(): null
    {
        $this->process->stop(0);
        @unlink($this->path);

        return null;
    }

    /** @param  string  $edition  name of the edition's file */
    public static function path(string $edition): string
    {
        return Edition::directory().'/'.basename($edition).'.beside';
    }

    private static function start(string $edition): ?self
    {
        $says = new InputStream();
        $process = new Process(
            [
                PHP_BINARY,
                '-d',
                'memory_limit='.ini_get('memory_limit'),
                base_path('bin/console.php'),
                self::COMMAND,
                $edition,
            ],
            base_path(),
            ['LOKUM_DATA' => (string) config('lokum.data')],
            $says,
            null,
        );
        try {
            $process->start();
        } catch (ProcessFailure) {
            return null;
        }

        return new self($process, $says, self::path($edition));
    }

    /** Waits for a word of the other process. */
    private function hears(string $word): bool
    {
        $until = microtime(true) + self::PATIENCE;
        while (! str_contains($this->heard, $word) && $this->process->isRunning() && microtime(true) < $until) {
            usleep(2_000);
            $this->hear();
        }

        return str_contains($this->heard, $word);
    }

    private function hear(): void
    {
        $this->heard = substr($this->heard, -100).$this->process->getIncrementalOutput();
    }

    /** @return PDO|null a connection that lets nobody else write; null where somebody is at it for long */
    private static function holdWriters(): ?PDO
    {
        $pdo = new PDO('sqlite:'.DB::connection()->getDatabaseName(), options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $pdo->exec('PRAGMA busy_timeout = '.(self::PATIENCE * 1000));
        try {
            $pdo->exec('BEGIN IMMEDIATE');
        } catch (PDOException) {
            return null;
        }

        return $pdo;
    }
}
