<?php

declare(strict_types=1);

namespace Tests\Support\Mutants;

use Pest\Mutate\Mutation;
use Pest\Mutate\Plugins\Mutate;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** One small change of the core, tried against the tests that reach it until one fails. */
final class Trial
{
    private function __construct(public readonly Mutation $mutant, private readonly Process $process)
    {
    }

    /**
     * @param  list<string>  $tests  files
     * @param  float  $seconds  what they take without the change
     */
    public static function start(Mutation $mutant, array $tests, float $seconds): self
    {
        $file = (string) $mutant->file->getRealPath();
        $changed = [Mutate::ENV_MUTATION_TESTING => $file, Mutate::ENV_MUTATION_FILE => $mutant->modifiedSourcePath];
        $process = new Process(
            [PHP_BINARY, 'vendor/bin/pest', '--bail', '--colors=never', ...$tests],
            env: $changed,
            timeout: 10 + 3 * $seconds,
        );
        // What it prints is of no use, and a pipe that nobody empties would stop it.
        $process->disableOutput();
        $process->start();

        return new self($mutant, $process);
    }

    /** Null while it runs; then whether a test failed. What never ends is noticed too. */
    public function died(): ?bool
    {
        try {
            $this->process->checkTimeout();
        } catch (ProcessTimedOutException) {
            return true;
        }

        return $this->process->isRunning() ? null : ! $this->process->isSuccessful();
    }

    /** The change, as lines taken out and put in. */
    public function told(): string
    {
        return (string) preg_replace('/<[^>]*>/', '', $this->mutant->diff);
    }
}
