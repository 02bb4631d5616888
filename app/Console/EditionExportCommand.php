<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\EditionFile;
use App\Editions\EditionLines;
use App\Editions\PostgresScript;
use App\Editions\Served;
use App\Support\Refused;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

final class EditionExportCommand extends Command
{
    private const FORMATS = ['lines', 'bulk', 'mapping', 'postgres'];

    protected $signature = 'edition:export {file? : where to write it; standard output when left out}
        {--format=lines : lines, bulk, mapping or postgres}
        {--to= : postgres, to load it there at once}
        {--dsn= : address of the database, as psql takes it}';

    protected $description = 'Writes the current edition as JSON Lines, or for a search engine';

    public function handle(): int
    {
        $format = $this->textOption('format');
        if (! in_array($format, self::FORMATS, true)) {
            throw new InvalidOptionException('--format takes lines, bulk, mapping or postgres.');
        }
        if ($this->option('to') !== null || $this->option('dsn') !== null) {
            return $this->load();
        }
        // Asked for before anything is written, since there may be none.
        $edition = Served::now()->file();
        $path = $this->argument('file') === null ? null : $this->text('file');
        $part = $path === null ? 'php://stdout' : "{$path}.part";
        $file = @fopen($part, 'wb') ?: throw new Refused("\"{$path}\" cannot be written.");
        foreach ($this->lines($edition, $format) as $line) {
            if (@fwrite($file, $line) !== strlen($line)) {
                @unlink($part);
                throw new Refused(($path === null ? 'It' : "\"{$path}\"").' cannot be written to its end. Is the disk full?');
            }
        }
        fclose($file);
        if ($path !== null && ! @rename($part, $path)) {
            @unlink($part);
            throw new Refused("\"{$path}\" cannot be written.");
        }

        return self::SUCCESS;
    }

    /** Into a database, by way of its own client. */
    private function load(): int
    {
        if ($this->option('to') !== 'postgres' || $this->option('dsn') === null || $this->argument('file') !== null) {
            throw new InvalidOptionException('--to=postgres goes with --dsn, the address of the database, and without a file.');
        }
        $psql = (new ExecutableFinder())->find('psql') ?? throw new Refused('This needs psql, of the package postgresql-client.');
        $edition = Served::now()->file();
        $script = new Process([$psql, '-X', '-q', '-d', $this->textOption('dsn')], timeout: null);
        $script->setInput((new PostgresScript($edition))->lines());
        if ($script->run() !== 0) {
            throw new Refused('PostgreSQL refused it, and shows what it showed before: '.trim($script->getErrorOutput()));
        }
        $this->line("Edition {$edition->number()} is in PostgreSQL: ".number_format($edition->layout->products()).' products');

        return self::SUCCESS;
    }

    /** @return iterable<string> */
    private function lines(EditionFile $edition, string $format): iterable
    {
        if ($format === 'postgres') {
            yield from (new PostgresScript($edition))->lines();

            return;
        }
        foreach ($this->documents(new EditionLines($edition), $format) as $document) {
            yield json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE)."\n";
        }
    }

    /** @return iterable<array<string, mixed>> */
    private function documents(EditionLines $lines, string $format): iterable
    {
        if ($format === 'mapping') {
            yield $lines->mapping();

            return;
        }
        foreach ($format === 'lines' ? $lines->documents() : $lines->products() as $document) {
            if ($format === 'bulk') {
                yield ['index' => ['_id' => $document['sku']]];
            }
            yield $document;
        }
    }
}
