<?php

declare(strict_types=1);

namespace App\Console;

use App\Refused;
use App\Setup;
use Illuminate\Console\Application;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Contracts\Foundation\Application as App;
use Symfony\Component\Console\Exception\ExceptionInterface as WrongUsage;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;
use Symfony\Component\Console\Output\OutputInterface;

/** Runs one of Lokum's commands. Exit status: 0 done, 1 refused with a reason, 2 wrong usage. */
final class CommandLine
{
    private const COMMANDS = [
        DemoCommand::class, ServeCommand::class, FeedReadCommand::class, DefineCommand::class, ValuesCommand::class, LookalikesCommand::class, MergeCommand::class, GatherCommand::class, ApartCommand::class, VocabularyExportCommand::class, VocabularyImportCommand::class,
        UndoCommand::class, PublishCommand::class, DriftCommand::class, SetCommand::class, FillCheckCommand::class, FillRunCommand::class, CountsCommand::class, QuantityCommand::class, BenchCommand::class,
    ];

    public static function run(App $app): int
    {
        $console = new Application($app, $app->make(Dispatcher::class), 'structures attribute data for filtering');
        $console->setName('Lokum');
        $console->setAutoExit(false);
        $console->setCatchExceptions(false);
        $console->resolveCommands(self::COMMANDS);
        $input = new ArgvInput;
        $output = new ConsoleOutput;
        try {
            Setup::ensure();

            return $console->run($input, $output);
        } catch (Refused $why) {
            return self::say($output, $input, $why->getMessage(), 1);
        } catch (WrongUsage $why) {
            return self::say($output, $input, $why->getMessage(), 2);
        }
    }

    private static function say(ConsoleOutput $output, ArgvInput $input, string $message, int $status): int
    {
        $output->getErrorOutput()->writeln('lokum: '.$message, OutputInterface::OUTPUT_RAW);
        if ($input->hasParameterOption('--json', true)) {
            $output->writeln(
                (string) json_encode(['error' => $message], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        }

        return $status;
    }
}
