<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\EditionLines;
use App\Editions\Served;
use App\Support\Refused;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class EditionExportCommand extends Command
{
    private const FORMATS = ['lines', 'bulk', 'mapping'];

    protected $signature = 'edition:export {file? : where to write it; standard output when left out}
        {--format=lines : lines, bulk or mapping}';

    protected $description = 'Writes the current edition as JSON Lines, or for a search engine';

    public function handle(): int
    {
        $format = $this->textOption('format');
        if (! in_array($format, self::FORMATS, true)) {
            throw new InvalidOptionException('--format takes lines, bulk or mapping.');
        }
        $path = $this->argument('file') === null ? 'php://stdout' : $this->text('file');
        $file = @fopen($path, 'wb');
        if ($file === false) {
            throw new Refused("\"{$path}\" cannot be written.");
        }
        foreach ($this->documents(new EditionLines(Served::now()->file()), $format) as $document) {
            $line = json_encode($document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE)."\n";
            if (@fwrite($file, $line) !== strlen($line)) {
                throw new Refused("\"{$path}\" cannot be written to its end. Is the disk full?");
            }
        }
        fclose($file);

        return self::SUCCESS;
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
