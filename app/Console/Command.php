<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Definition;
use App\Support\Refused;
use Illuminate\Console\Command as BaseCommand;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** A command that answers people with lines, and scripts with one JSON document (--json). */
abstract class Command extends BaseCommand
{
    /**
     * @param  array<mixed>  $document  for scripts
     * @param  iterable<string>  $lines  for people
     */
    protected function answer(array $document, iterable $lines): int
    {
        if ($this->option('json')) {
            $json = json_encode(
                $document,
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            );
            $this->output->getOutput()->writeln($json, OutputInterface::OUTPUT_RAW);
        } else {
            foreach ($lines as $line) {
                $this->output->getOutput()->writeln($line, OutputInterface::OUTPUT_RAW);
            }
        }

        return self::SUCCESS;
    }

    /** An argument that is one text; empty where it was left out. */
    protected function text(string $argument): string
    {
        $given = $this->argument($argument);

        return is_string($given) ? $given : '';
    }

    /** An option that is one text; empty where it was left out. */
    protected function textOption(string $option): string
    {
        $given = $this->option($option);

        return is_string($given) ? $given : '';
    }

    /**
     * @return list<string> of an argument or option that takes several texts
     */
    protected static function texts(mixed $given): array
    {
        return array_values(array_filter(is_array($given) ? $given : [], is_string(...)));
    }

    /**
     * The definition that the argument "attribute" names.
     *
     * @throws Refused where there is none
     */
    protected function definition(): Definition
    {
        $slug = $this->text('attribute');

        return Definition::called($slug) ?? throw Refused::unknown('attribute', $slug);
    }

    /** Shows how far work has come, on a terminal only. */
    protected function progress(string $what, int $count, float $share): void
    {
        $output = $this->output->getOutput();
        $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        if (stream_isatty(STDERR)) {
            $error->write(
                sprintf(
                    "\r\e[K%s · %s rows · %d %%%s",
                    $what,
                    number_format($count),
                    (int) round(100 * $share),
                    $what === 'Done' ? "\n" : '',
                ),
                false,
                OutputInterface::OUTPUT_RAW,
            );
        }
    }
}
