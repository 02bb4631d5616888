<?php

declare(strict_types=1);

namespace App\Console;

use App\Access\FirstAccount;
use App\Access\SoundPassword;
use App\Replicas\ReplicaState;
use App\Support\Refused;
use Closure;

final class ServeCommand extends Command
{
    protected $signature = 'serve {--port=8080 : where the pages are served}
        {--account : make the first account here at the terminal, not in the browser}
        {--name= : of whom the first account is}
        {--email= : address of the first account; with --password-file it is made without a question}
        {--password-file= : file whose first line is the password of the first account}';

    protected $description = 'Serves your own catalog: pages and worker. Without an account it tells the address at which one is made';

    public function handle(FirstAccount $first): int
    {
        if (ReplicaState::isKept()) {
            throw new Refused('This data directory is a replica\'s, and holds no catalog. Set LOKUM_DATA to another one.');
        }
        $secret = null;
        if (FirstAccount::isMissing()) {
            match (true) {
                $this->textOption('email') !== '' => $this->asTold($first),
                (bool) $this->option('account') => $this->asAsked($first),
                default => $secret = FirstAccount::invite(),
            };
        }

        return Server::run(
            (int) $this->option('port'),
            false,
            fn (string $address) => $this->line(
                ($secret === null
                    ? "Lokum is at {$address}."
                    : "Make your account at {$address}/begin/{$secret}\nThis address is for you alone, and ends when the account is made.").
                    "\nCtrl C stops Lokum.",
            ),
        );
    }

    private function asTold(FirstAccount $first): void
    {
        $file = $this->textOption('password-file');
        $password = $file === '' ? false : @file_get_contents($file);
        if ($password === false) {
            throw new Refused($file === '' ? 'Give a file with the password: --password-file.' : "The file \"{$file}\" cannot be read.");
        }
        $first->make(
            $this->textOption('name') ?: 'Manager',
            $this->textOption('email'),
            (string) preg_replace('/\R.*/s', '', $password),
        );
    }

    /** Each answer is checked at once, and asked for again. */
    private function asAsked(FirstAccount $first): void
    {
        if (! stream_isatty(STDIN)) {
            throw new Refused('There is no terminal to ask at. Give --name, --email and --password-file.');
        }
        $name = $this->until(fn (): mixed => $this->ask('Name', $this->textOption('name') ?: 'Manager'), FirstAccount::nameProblem(...));
        $email = $this->until(fn (): mixed => $this->ask('E-mail address'), FirstAccount::emailProblem(...));
        $password = $this->until(
            fn (): mixed => $this->secret('Password, '.SoundPassword::SHORTEST.' characters or more'),
            SoundPassword::problem(...),
        );
        $first->make($name, $email, $password);
    }

    /**
     * @param  Closure(): mixed  $ask
     * @param  Closure(string): ?string  $problem
     */
    private function until(Closure $ask, Closure $problem): string
    {
        do {
            $answer = $ask();
            $answer = is_string($answer) ? $answer : '';
            $wrong = $problem($answer);
            if ($wrong !== null) {
                $this->line($wrong);
            }
        } while ($wrong !== null);

        return $answer;
    }
}
