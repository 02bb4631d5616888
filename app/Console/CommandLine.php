<?php

declare(strict_types=1);

namespace App\Console;

use App\Data\Setup;
use App\Data\StorageProblem;
use App\Settings\Shop;
use App\Support\Refused;
use Illuminate\Console\Application;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Contracts\Foundation\Application as App;
use Symfony\Component\Console\Exception\ExceptionInterface as WrongUsage;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;
use Symfony\Component\Console\Output\OutputInterface;
use Throwable;

/**
 * Runs one of Lokum's commands. Exit status: 0 done, 1 refused or failed, 2 wrong usage. Whatever goes wrong is one sentence on
 * standard error, and JSON where that was asked for; what stands on standard output is the answer.
 */
final class CommandLine
{
    private const COMMANDS = [
        DemoCommand::class,
        ServeCommand::class,
        ReplicaCommand::class,
        BackupCommand::class,
        RestoreCommand::class,
        FeedReadCommand::class,
        FeedRunCommand::class,
        FeedListCommand::class,
        FeedSourceCommand::class,
        ReportCommand::class,
        GoneCommand::class,
        DefineCommand::class,
        ValuesCommand::class,
        LookalikesCommand::class,
        MergeCommand::class,
        GatherCommand::class,
        ApartCommand::class,
        VocabularyExportCommand::class,
        VocabularyImportCommand::class,
        UndoCommand::class,
        PublishCommand::class,
        PublishBesideCommand::class,
        EditionExportCommand::class,
        EditionListCommand::class,
        EditionCompareCommand::class,
        EditionServeCommand::class,
        DriftCommand::class,
        SetCommand::class,
        FillCheckCommand::class,
        FillRunCommand::class,
        CountsCommand::class,
        QuantityCommand::class,
        BenchCommand::class,
    ];

    public static function run(App $app): int
    {
        $input = new ArgvInput();
        $output = new ConsoleOutput();
        try {
            $app->make(Kernel::class)->bootstrap();
            self::checkArguments();
            // A catalog that is to be restored may be damaged or missing.
            if ($input->getFirstArgument() !== 'restore') {
                Setup::ensure(fn (string $what) => $output->getErrorOutput()->writeln($what, OutputInterface::OUTPUT_RAW));
                Shop::apply();
            }
            $console = new Application($app, $app->make(Dispatcher::class), 'structures attribute data for filtering');
            $console->setName('Lokum');
            $console->setAutoExit(false);
            $console->setCatchExceptions(false);
            $console->resolveCommands(self::COMMANDS);

            return $console->run($input, $output);
        } catch (Refused $why) {
            return self::say($output, $why->getMessage(), 1);
        } catch (WrongUsage $why) {
            return self::say($output, $why->getMessage(), 2);
        } catch (Throwable $failure) {
            self::report($failure);

            return self::say(
                $output,
                StorageProblem::inWords($failure) ??
                    'That failed, and nothing was half changed. The log in '.
                        storage_path('logs').
                        ' says why: '.
                        self::firstLine($failure).
                        '.',
                1,
            );
        }
    }

    /** For what stops PHP itself, such as too little memory: the same sentence and status. */
    public static function whenStopped(): void
    {
        ini_set('display_errors', '0');
        register_shutdown_function(function (): void {
            $error = error_get_last();
            if ($error !== null && in_array($error['type'], [E_ERROR, E_PARSE, E_CORE_ERROR, E_COMPILE_ERROR], true)) {
                self::say(
                    new ConsoleOutput(),
                    str_contains($error['message'], 'memory')
                        ? 'There is too little memory for that. Nothing was half changed.'
                        : "That failed: {$error['message']}.",
                    1,
                );
                exit(1);
            }
        });
    }

    private static function checkArguments(): void
    {
        foreach ((array) ($_SERVER['argv'] ?? []) as $argument) {
            if (! mb_check_encoding((string) $argument, 'UTF-8')) {
                throw new Refused('An argument holds bytes that are no text in UTF-8.');
            }
        }
    }

    private static function report(Throwable $failure): void
    {
        try {
            report($failure);
        } catch (Throwable) {
            // Where even the log cannot be written, the sentence has to do.
        }
    }

    private static function firstLine(Throwable $failure): string
    {
        return rtrim(mb_strimwidth(mb_scrub(strtok($failure->getMessage(), "\n") ?: $failure::class), 0, 160, '…'), '.');
    }

    private static function say(ConsoleOutput $output, string $message, int $status): int
    {
        $message = mb_scrub($message);
        $output->getErrorOutput()->writeln('lokum: '.$message, OutputInterface::OUTPUT_RAW);
        if (in_array('--json', (array) ($_SERVER['argv'] ?? []), true)) {
            $output->writeln(
                (string) json_encode(['error' => $message], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        }

        return $status;
    }
}
