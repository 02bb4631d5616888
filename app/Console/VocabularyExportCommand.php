<?php

declare(strict_types=1);

namespace App\Console;

use App\Support\Refused;
use App\Vocabulary\ListValues;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Output\OutputInterface;

final class VocabularyExportCommand extends Command
{
    protected $signature = 'vocabulary:export {attribute : slug of the attribute}
        {file? : where to write it; standard output when left out}
        {--format=csv : csv, turtle or jsonld}';

    protected $description = 'Writes an attribute\'s values, spellings and umbrellas as CSV or SKOS';

    public function handle(ListValues $list): int
    {
        $definition = $this->definition();
        $format = $this->textOption('format');
        if (! in_array($format, ListValues::FORMATS, true)) {
            throw new InvalidOptionException('--format takes csv, turtle or jsonld.');
        }
        $text = $list->write($definition, $format);
        if ($this->argument('file') === null) {
            $this->output->getOutput()->write($text, false, OutputInterface::OUTPUT_RAW);
        } elseif (@file_put_contents($this->text('file'), $text) !== strlen($text)) {
            throw new Refused("\"{$this->text('file')}\" cannot be written.");
        }

        return self::SUCCESS;
    }
}
