<?php

declare(strict_types=1);

namespace App\Console;

use App\Access\SoundPassword;
use App\Models\Role;
use App\Models\User;
use App\Support\Refused;

final class ServeCommand extends Command
{
    protected $signature = 'serve {--port=8080 : where the pages are served}';

    protected $description = 'Serves your own catalog: pages and worker';

    public function handle(): int
    {
        if (! User::query()->exists()) {
            $this->line('A manager\'s account comes first.');
            $name = (string) $this->ask('Name', 'Manager');
            $email = (string) $this->ask('E-mail address');
            $password = (string) $this->secret('Password, '.SoundPassword::SHORTEST.' characters or more');
            $problem =
                filter_var($email, FILTER_VALIDATE_EMAIL) === false
                    ? 'That is no e-mail address.'
                    : SoundPassword::problem($password);
            if ($problem !== null) {
                throw new Refused($problem);
            }
            User::query()->create([
                'name' => $name,
                'email' => User::address($email),
                'password' => $password,
                'role' => Role::Manager,
            ]);
        }

        return Server::run(
            (int) $this->option('port'),
            false,
            fn (string $address) => $this->line("Lokum is at {$address}. Ctrl C stops it."),
        );
    }
}
